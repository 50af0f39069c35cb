package elsom.web.device;

import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.OptionalDouble;

/** Knows what a unit weighs on a bench whose truth is not the demo's; the simulated scale asks it first. */
@FunctionalInterface
public interface StandIn {
    /** Grams; empty for a trial, or a reading, that it knows nothing of. */
    OptionalDouble grams(TrialRecord record, ReadingRef what);
}
