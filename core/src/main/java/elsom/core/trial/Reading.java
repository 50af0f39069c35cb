package elsom.core.trial;

import elsom.core.quantity.UnitOfMeasure;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What was taken, never changed afterwards: a correction is a new reading that supersedes the old one.
 *
 * @param value in the endpoint's unit; null when the reading takes an earlier one back
 * @param typedText exactly what was typed, or shown by the instrument
 * @param typedUnit the unit it was typed in
 * @param takenAt when it was measured
 * @param recordedAt when it was entered
 * @param supersedes the reading it corrects; null for a first reading
 * @param reason why it corrects; null for a first reading
 */
public record Reading(
        ReadingId id,
        ReadingRef ref,
        @Nullable Double value,
        String typedText,
        UnitOfMeasure typedUnit,
        Instant takenAt,
        Instant recordedAt,
        String station,
        Instrument instrument,
        @Nullable ReadingId supersedes,
        @Nullable CorrectionReason reason) {
    public Reading {
        if (value != null && !Double.isFinite(value)) {
            throw new IllegalArgumentException("a reading must be finite, got " + value);
        }
        if ((supersedes == null) != (reason == null)) {
            throw new IllegalArgumentException("a correction names both what it supersedes and why");
        }
        if (value == null && supersedes == null) {
            throw new IllegalArgumentException("a reading without a value must take another one back");
        }
    }
}
