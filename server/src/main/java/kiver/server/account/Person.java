package kiver.server.account;

import java.io.Serializable;
import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * The person who is signed in; kept with the session.
 *
 * @param id account number
 * @param email they signed in with
 * @param name as shown
 * @param passwordHash checked at sign-in, empty afterwards
 * @param role what they do
 * @param growerId the grower they belong to; null unless the role is grower
 */
public record Person(long id, String email, String name, String passwordHash, Role role, Long growerId)
        implements UserDetails, Serializable {

    static Person of(Account account) {
        return new Person(account.id(), account.email(), account.name(), account.passwordHash(), account.role(),
                account.growerId());
    }

    Person withoutPassword() {
        return new Person(id, email, name, "", role, growerId);
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
