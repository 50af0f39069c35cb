package elsom.core.protocol;

import elsom.core.trial.Endpoint;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Findings;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** A kind of trial: what is measured when, how to prepare, what to be careful of, and how it is worked out. */
public interface Protocol {
    ProtocolCode code();

    /** What it is called, in a grower's words. */
    String name();

    /** What it tells, in a sentence. */
    String purpose();

    /** An example of the question it answers. */
    String exampleQuestion();

    List<Endpoint> endpoints();

    /** What is asked of each treatment beforehand. */
    List<TreatmentProperty> properties();

    /** The classes treatments are ranked within. */
    List<String> kinds();

    /**
     * The looks for these later measuring times.
     *
     * @param later times after the start, positive, ascending and distinct; the start itself is always a look
     * @param checkDryness whether to plan the optional checks before the start
     */
    List<Look> looks(List<Duration> later, boolean checkDryness);

    /** Later measuring times to offer. */
    List<Duration> usualTimes();

    /** What to do before a look. */
    Step stepBefore(TrialRecord record, Look look);

    /** Whether a value looks odd beside the unit's own history and its neighbours. */
    Optional<Concern> concern(TrialRecord record, ReadingRef ref, double value);

    /**
     * Works the trial out.
     *
     * @param compareAt the look at which to compare; empty for the last one that is complete
     */
    Findings findings(TrialRecord record, OptionalInt compareAt);
}
