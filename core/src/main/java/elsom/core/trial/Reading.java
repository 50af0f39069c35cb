package elsom.core.trial;

import elsom.core.quantity.Bounds;
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
 * @param person who entered it; empty where there are no accounts, and for scripts and files
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
        @Nullable CorrectionReason reason,
        String person) {
    /** What was typed with its symptoms may be longer than a number. */
    public static final int LONGEST_TEXT = 120;

    public Reading {
        Bounds.present("a reading's number", id);
        Bounds.present("what a reading is of", ref);
        if (value != null) {
            Bounds.number("a reading", value, -Bounds.LARGEST, Bounds.LARGEST);
        }
        Bounds.line("what was typed", typedText, LONGEST_TEXT);
        Bounds.present("the unit that was typed", typedUnit);
        Bounds.instant("when a reading was taken", takenAt);
        Bounds.instant("when a reading was entered", recordedAt);
        Bounds.name("the station", station, Bounds.STATION);
        Bounds.present("the instrument", instrument);
        Bounds.line("who entered it", person, Bounds.STATION);
        if ((supersedes == null) != (reason == null)) {
            throw new IllegalArgumentException("a correction names both what it supersedes and why");
        }
        if (value == null && supersedes == null) {
            throw new IllegalArgumentException("a reading without a value must take another one back");
        }
    }

    /** One that nobody with an account entered. */
    public Reading(
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
        this(id, ref, value, typedText, typedUnit, takenAt, recordedAt, station, instrument, supersedes, reason, "");
    }

    /** The same, entered by somebody. */
    public Reading by(String who) {
        return new Reading(
                id,
                ref,
                value,
                typedText,
                typedUnit,
                takenAt,
                recordedAt,
                station,
                instrument,
                supersedes,
                reason,
                who);
    }

    /** Whose eyes saw it: a person's, and where nobody has an account, those at a station. */
    public String eyes() {
        return person.isEmpty() ? station : person;
    }

    /** Who entered it and where, to be shown. */
    public String signed() {
        return person.isEmpty() ? station : person + ", " + station;
    }

    /** The same with another value. */
    public Reading reading(double other) {
        return new Reading(
                id,
                ref,
                other,
                typedText,
                typedUnit,
                takenAt,
                recordedAt,
                station,
                instrument,
                supersedes,
                reason,
                person);
    }
}
