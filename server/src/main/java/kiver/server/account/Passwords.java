package kiver.server.account;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder;

/** How passwords are kept, and which are too well known to be taken. */
final class Passwords {

    /** The name before a hash, as it is stored; those from before have none. */
    private static final String PRESENT = "argon2id";

    private static final int SALT_BYTES = 16;
    private static final int HASH_BYTES = 32;
    private static final int LANES = 1;
    private static final int KIBIBYTES = 19_456;
    private static final int PASSES = 2;

    /** Long enough for the rule of ten letters and tried first by everybody. */
    private static final Set<String> WELL_KNOWN = Set.of(
            "1234567890",
            "0123456789",
            "12345678910",
            "123456789012",
            "0987654321",
            "1111111111",
            "0000000000",
            "1q2w3e4r5t",
            "1qaz2wsx3edc",
            "qwertyuiop",
            "qwertzuiop",
            "azertyuiop",
            "qwerty1234",
            "qwerty12345",
            "qwerty123456",
            "asdfghjkl1",
            "password01",
            "password10",
            "password12",
            "password123",
            "password1234",
            "password12345",
            "passw0rd123",
            "p@ssw0rd123",
            "passwordpassword",
            "mypassword",
            "mypassword1",
            "letmein123",
            "letmein1234",
            "iloveyou12",
            "iloveyou123",
            "iloveyou1234",
            "welcome123",
            "welcome1234",
            "administrator",
            "admin12345",
            "admin123456",
            "changeme12",
            "changeme123",
            "changeit123",
            "abcdefghij",
            "abcdefghijk",
            "abcd123456",
            "abc1234567",
            "abc123abc123",
            "aaaaaaaaaa",
            "sunshine12",
            "sunshine123",
            "football123",
            "baseball123",
            "princess123",
            "superman123",
            "trustno1234",
            "monkey1234",
            "dragon1234",
            "master1234",
            "computer123",
            "internet123",
            "secret1234",
            "secret12345",
            "default123",
            "letmeinplease",
            "unbelievable",
            "greenhouse",
            "greenhouse1",
            "seedlings1",
            "seedlings123",
            "propagator",
            "propagator1");

    private Passwords() {}

    /**
     * Argon2id in the least strength that current guidance names (19 MiB, two passes); older hashes go on being right and
     * are made anew when their owner signs in.
     */
    static PasswordEncoder encoder() {
        PasswordEncoder argon = new Argon2PasswordEncoder(SALT_BYTES, HASH_BYTES, LANES, KIBIBYTES, PASSES);
        DelegatingPasswordEncoder encoder = new DelegatingPasswordEncoder(PRESENT, Map.of(PRESENT, argon));
        encoder.setDefaultPasswordEncoderForMatches(Pbkdf2PasswordEncoder.defaultsForSpringSecurity_v5_8());
        return encoder;
    }

    /** Refuses a password that others would guess first. */
    static void requireUnguessable(String password, String email, String name) {
        String lower = password.toLowerCase(Locale.ROOT);
        String box =
                email.contains("@") ? email.substring(0, email.indexOf('@')).toLowerCase(Locale.ROOT) : "";
        boolean own = lower.equals(email.toLowerCase(Locale.ROOT))
                || lower.equals(name.toLowerCase(Locale.ROOT))
                || (box.length() >= 4 && lower.startsWith(box) && lower.length() < box.length() + 5);
        if (own) {
            throw new Refusal(
                    "password", Said.of("This is your own name or address; choose something that others do not know."));
        }
        if (WELL_KNOWN.contains(lower) || lower.chars().distinct().count() < 4) {
            throw new Refusal(
                    "password",
                    Said.of("This password is among those tried first; choose another, for example three words."));
        }
    }
}
