package elsom.web.people;

import elsom.web.platform.Role;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Somebody with an account.
 *
 * @param password a hash with its method, as {@code {bcrypt}…}
 * @param pin the same of a PIN; null where none was chosen
 * @param pinMisses wrong PINs since the last right one
 * @param leftAt when the account was closed; null while it is open
 */
record Person(
        long id,
        String name,
        Role role,
        String password,
        @Nullable String pin,
        int pinMisses,
        Instant addedAt,
        @Nullable Instant leftAt) {
    static final int LONGEST_NAME = 40;

    boolean here() {
        return leftAt == null;
    }
}
