package kiver.server.account;

import java.io.Serializable;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * The person who is signed in; kept with the session.
 *
 * @param id account number
 * @param email they signed in with
 * @param name as shown
 * @param passwordHash checked at sign-in; afterwards only what tells whether the password was changed since
 * @param role what they do
 * @param growerId the grower they belong to; null unless the role is grower
 */
public record Person(long id, String email, String name, String passwordHash, Role role, Long growerId)
        implements UserDetails, Serializable {

    static Person of(Account account) {
        return new Person(
                account.id(),
                account.email(),
                account.name(),
                account.passwordHash(),
                account.role(),
                account.growerId());
    }

    Person withoutPassword() {
        return new Person(id, email, name, mark(passwordHash), role, growerId);
    }

    /** Whether the account is still what it was when this person signed in. */
    boolean isOf(Account account) {
        return account.role() == role
                && Objects.equals(account.growerId(), growerId)
                && (passwordHash.isEmpty() || passwordHash.equals(mark(account.passwordHash())));
    }

    private static String mark(String hash) {
        return Integer.toHexString(hash.hashCode());
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return email;
    }
}
