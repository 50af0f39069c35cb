package elsom.web.device;

import elsom.core.sim.ScaleFault;
import elsom.core.sim.ScaleReading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;

/** A scale beside the bench. The one that ships is simulated; a real one would stand behind the same calls. */
public interface Scale {
    /** Puts a unit on the pan, if it is not there yet, and reads the display. */
    ScaleReading weigh(TrialRecord record, ReadingRef what);

    /** Presses the tare button with what is on the pan, or with nothing on it. */
    void tare(boolean panCleared);

    /** What is wrong with it. */
    ScaleFault fault();

    /** Makes something wrong with it, to practise. */
    void setFault(ScaleFault fault);
}
