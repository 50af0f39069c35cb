package elsom.core.meter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.flag.Flag;
import elsom.core.flag.UncheckedMeter;
import elsom.core.protocol.water.WaterTrial;
import elsom.core.sim.BenchMeter;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.TrialRecord;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeterCheckTest {
    private static List<Double> shown(String text) {
        return Arrays.stream(text.trim().split(" ")).map(Double::valueOf).toList();
    }

    /** Slopes by hand: (7.05 − 4.12) / 2.99 = 98.0 %, (9.90 − 7.05) / 3.01 = 94.7 %. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "PH | 4.12 7.05      | GOOD | 97.9933",
                "PH | 4.12 7.05 9.90 | FAIR | 94.6844",
                "PH | 4.40 7.00      | BAD  | 86.9565",
                "PH | 4.31 7.30      | FAIR | 100",
                "PH | 4.61 7.60      | BAD  | 100",
                "PH | 2.01 5.00      | BAD  | 100",
                "EC | 1.39           | GOOD | 98.3723",
                "EC | 1.39 11.9      | FAIR | 92.3913",
                "EC | 1.70           | BAD  | 120.3114"
            })
    void aMeterIsAsGoodAsItsWorstSlope(MeterKind kind, String readings, MeterCheck.Grade grade, double percent) {
        MeterCheck check = MeterCheck.of(kind, shown(readings));
        assertThat(check.grade()).isEqualTo(grade);
        assertThat(check.slopePercent()).isCloseTo(percent, within(0.001));
        assertThat(check.advice()).isNotEmpty();
        assertThat(check.words()).contains("%");
    }

    @Test
    void whatCantBeIsRefused() {
        assertThatThrownBy(() -> MeterCheck.of(MeterKind.PH, shown("7.0 4.0"))).hasMessageContaining("show more in 7");
        assertThatThrownBy(() -> MeterCheck.of(MeterKind.PH, shown("4.0"))).hasMessageContaining("2 to 3 solutions");
        assertThatThrownBy(() -> MeterCheck.of(MeterKind.EC, List.of())).hasMessageContaining("1 to 2 solutions");
    }

    @Test
    void theSimulatedMeterPassesWhileItWorksAndFailsWithAnOldElectrode() {
        for (long seed = 0; seed < 200; seed++) {
            long from = 10 * seed;
            assertThat(check(BenchMeter.Fault.NONE, from).grade()).isEqualTo(MeterCheck.Grade.GOOD);
            assertThat(check(BenchMeter.Fault.OLD_ELECTRODE, from).grade()).isEqualTo(MeterCheck.Grade.BAD);
        }
    }

    private static MeterCheck check(BenchMeter.Fault fault, long seed) {
        return MeterCheck.of(
                MeterKind.PH,
                IntStream.range(0, 3)
                        .mapToObj(i -> Double.valueOf(BenchMeter.shows(
                                MeterKind.PH, MeterKind.PH.solutions().get(i), fault, 3, seed + i)))
                        .toList());
    }

    @Test
    void whatWasReadWithoutACheckIsFlaggedWithItsUnits() {
        TrialRecord record = WaterTrial.aTrial()
                .medium("wood fibre")
                .medium("leaf mould")
                .dried((t, r) -> 40, (t, r) -> 200 + r, (t, r) -> 0.01)
                .drawn();
        Reading last = record.readings().get(record.readings().size() - 1);
        Reading unchecked = new Reading(
                new ReadingId(last.id().value() + 1),
                last.ref(),
                last.value(),
                last.typedText(),
                last.typedUnit(),
                last.takenAt(),
                last.recordedAt(),
                "Bench A",
                Instrument.METER_UNCHECKED,
                last.id(),
                CorrectionReason.WEIGHED_AGAIN);
        assertThat(UncheckedMeter.of(record.plus(List.of(unchecked))))
                .singleElement()
                .satisfies(flag -> {
                    assertThat(flag.seen()).startsWith("1 reading was taken with a meter");
                    assertThat(flag.units()).containsExactly(last.ref().unit().value());
                });
    }

    @Test
    void withoutAMeterThereIsNothingToFlag() {
        List<Flag> flags = UncheckedMeter.of(WaterTrial.aTrial()
                .medium("wood fibre")
                .medium("leaf mould")
                .dried((t, r) -> 40, (t, r) -> 200 + r, (t, r) -> 0.01)
                .drawn());
        assertThat(flags).isEmpty();
    }
}
