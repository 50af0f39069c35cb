package elsom.web.device;

import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.Optional;

/** A meter for dissolved oxygen that is hung into a brew. */
public interface OxygenMeter {
    /** What its display shows; empty when the brew has not been begun. */
    Optional<Shown> read(TrialRecord record, UnitCode brew, Instant begun);

    /** Oxygen and temperature, each with its unit. */
    record Shown(String oxygen, String temperature) {}
}
