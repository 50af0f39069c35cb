package elsom.web.people;

import elsom.web.platform.Role;
import java.time.Instant;

/** A link by which one person joins. */
record Invitation(long id, Role role, String madeBy, Instant madeAt, Instant endsAt) {}
