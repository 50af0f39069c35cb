package elsom.web.device;

import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Living;
import java.util.Optional;
import java.util.OptionalDouble;

/** Knows what is true of a unit on a bench whose truth is its own; simulated instruments ask it first. */
public interface StandIn {
    /** The true value in the endpoint's unit; empty for a trial, or a reading, that it knows nothing of. */
    OptionalDouble seen(TrialRecord record, ReadingRef what);

    /** What the plants of a unit live in; empty for a trial that it knows nothing of. */
    Optional<Living> living(TrialRecord record, ExperimentalUnit unit);
}
