package elsom.web.device;

import elsom.core.sim.HandMeter;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.Optional;

/** Instruments held to a unit. Those that ship are simulated; real ones, on a line or over HTTP, would stand behind it. */
public interface HandMeters {
    /** What the instrument's display shows, with its unit; empty when it does not answer. */
    Optional<String> read(HandMeter meter, TrialRecord record, ReadingRef what);

    HandMeter.Fault fault(HandMeter meter);

    /** Makes something wrong with one, to practise. */
    void setFault(HandMeter meter, HandMeter.Fault fault);
}
