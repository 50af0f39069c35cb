package elsom.core.meter;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.Instrument;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How long a check of a meter holds, and what a reading was taken with. */
class MeterLogTest {
    private static final Instant MORNING = Instant.parse("2026-06-01T07:00:00Z");
    private static final MeterCheck GOOD = MeterCheck.of(MeterKind.PH, List.of(4.12, 7.05));
    private static final MeterCheck BAD = MeterCheck.of(MeterKind.PH, List.of(4.40, 7.00));

    private static Instant after(int hours) {
        return MORNING.plus(Duration.ofHours(hours));
    }

    @Test
    void aCheckHoldsForADaysWorkAndNotForWhatWasReadBefore() {
        MeterLog log = new MeterLog(List.of(new MeterLog.Checked(GOOD, MORNING)));
        assertThat(log.good(after(15))).isPresent();
        assertThat(log.good(after(16))).isEmpty();
        assertThat(log.good(after(-1))).isEmpty();
        assertThat(log.due(after(15))).isFalse();
        assertThat(log.due(after(16))).isTrue();
    }

    @Test
    void aMeterThatFailedIsNotMadeGoodByAnEarlierCheck() {
        MeterLog log = new MeterLog(List.of(new MeterLog.Checked(BAD, after(1)), new MeterLog.Checked(GOOD, MORNING)));
        assertThat(log.good(after(2))).isEmpty();
        assertThat(log.due(after(2))).isTrue();
        assertThat(log.instrument(Instrument.HAND, after(2))).isEqualTo(Instrument.METER_UNCHECKED);
        assertThat(log.instrument(Instrument.HAND, MORNING)).isEqualTo(Instrument.METER);
        assertThat(log.instrument(Instrument.FILE, after(2))).isEqualTo(Instrument.FILE);
    }

    @Test
    void aStationWithoutAMeterIsNotDue() {
        assertThat(new MeterLog(List.of()).due(MORNING)).isFalse();
    }
}
