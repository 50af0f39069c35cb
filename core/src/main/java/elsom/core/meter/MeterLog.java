package elsom.core.meter;

import elsom.core.trial.Instrument;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * The checks of one station's meter.
 *
 * @param checks the latest first
 */
public record MeterLog(List<Checked> checks) {
    /** So long a reading can lean on a check: a day's work. */
    public static final Duration HOLDS = Duration.ofHours(16);

    /** A check with when it was made. */
    public record Checked(MeterCheck check, Instant at) {}

    public MeterLog {
        checks = List.copyOf(checks);
    }

    /** The check that a reading at this time can lean on; empty when there is none, or the meter failed the last one. */
    public Optional<Checked> good(Instant at) {
        return checks.stream()
                .filter(one -> !one.at().isAfter(at))
                .findFirst()
                .filter(one -> one.check().grade() != MeterCheck.Grade.BAD
                        && one.at().plus(HOLDS).isAfter(at));
    }

    /** Whether there is such a meter, and it is to be checked before the day's next reading. */
    public boolean due(Instant at) {
        return !checks.isEmpty() && good(at).isEmpty();
    }

    /** What a reading was taken with that was typed, or read off the meter's face: the meter, checked or not. */
    public Instrument instrument(Instrument typed, Instant at) {
        return typed != Instrument.HAND && typed != Instrument.GAUGE
                ? typed
                : good(at).isPresent() ? Instrument.METER : Instrument.METER_UNCHECKED;
    }
}
