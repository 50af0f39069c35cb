package elsom.web.trial;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A reading to be entered.
 *
 * @param value in the endpoint's unit; null to take the replaced reading back
 * @param replaces the reading that stood when this one was typed, as far as the page knew; null for none
 * @param reason why it replaces one; null when it replaces none
 * @param token made once where it was typed, so that sending twice enters once
 */
public record NewReading(
        ReadingRef ref,
        @Nullable Double value,
        String typedText,
        UnitOfMeasure typedUnit,
        Instant takenAt,
        Instant recordedAt,
        String station,
        Instrument instrument,
        @Nullable ReadingId replaces,
        @Nullable CorrectionReason reason,
        UUID token) {

    NewReading superseding(ReadingId other, CorrectionReason why) {
        return new NewReading(
                ref, value, typedText, typedUnit, takenAt, recordedAt, station, instrument, other, why, token);
    }

    /** The reading this becomes once the store gave it a number. */
    Reading withId(ReadingId id) {
        return new Reading(
                id, ref, value, typedText, typedUnit, takenAt, recordedAt, station, instrument, replaces, reason);
    }
}
