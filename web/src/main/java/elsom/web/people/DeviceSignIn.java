package elsom.web.people;

import elsom.web.platform.Role;
import java.time.Instant;

/**
 * A device somebody signed in on.
 *
 * @param owner who signed in with a password
 * @param person who is at it now
 * @param byPin whether that is by a PIN
 */
record DeviceSignIn(
        long id,
        long ownerId,
        long personId,
        String owner,
        String person,
        Role role,
        boolean byPin,
        String device,
        Instant begunAt,
        Instant seenAt,
        Instant endsAt) {
    /** What may be done on it: a PIN of a few digits lets nobody do more than measure. */
    Role allowed() {
        return byPin ? role.atMost(Role.MEASURE) : role;
    }
}
