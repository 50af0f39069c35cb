package elsom.web.device;

import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.OptionalDouble;

/** Knows what is true of a unit on a bench whose truth is its own; the simulated scale and meters ask it first. */
@FunctionalInterface
public interface StandIn {
    /** The true value in the endpoint's unit; empty for a trial, or a reading, that it knows nothing of. */
    OptionalDouble seen(TrialRecord record, ReadingRef what);
}
