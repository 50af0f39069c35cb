package elsom.web.trial;

import elsom.core.trial.Reading;
import java.util.Optional;

/** What became of a reading that was sent. */
public sealed interface Entered {
    /** It is in the store; the same one when it had been sent before. */
    record Saved(Reading reading) implements Entered {}

    /** Another reading stands there that the sender had not seen; nothing was written. */
    record Stale(Optional<Reading> standing) implements Entered {}
}
