package elsom.core.trial;

import static elsom.core.protocol.water.WaterTrial.aTrial;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.protocol.water.WaterHolding;
import elsom.core.protocol.water.WaterTrial;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class TrialRecordTest {
    private final WaterTrial trial = aTrial().medium("Wood fibre").medium("Leaf mould");

    private ReadingRef empty(ExperimentalUnit unit) {
        return new ReadingRef(unit.code(), 1, WaterHolding.TARE);
    }

    @Test
    void aCorrectionStandsAndTheOldValueIsKept() {
        ExperimentalUnit unit = trial.unit(1, 1);
        TrialRecord record = trial.weigh(unit, "empty", WaterHolding.TARE, 300)
                .weigh(unit, "empty", WaterHolding.TARE, 30)
                .drawn();
        assertThat(record.current(empty(unit)).orElseThrow().value()).isEqualTo(30);
        assertThat(record.history(empty(unit))).extracting(Reading::value).containsExactly(300.0, 30.0);
    }

    @Test
    void aTakenBackReadingLeavesNothingStanding() {
        ExperimentalUnit unit = trial.unit(1, 1);
        TrialRecord record = trial.weigh(unit, "empty", WaterHolding.TARE, 30)
                .takeBack(unit, "empty", WaterHolding.TARE)
                .drawn();
        assertThat(record.current(empty(unit))).isEmpty();
        assertThat(record.latest(empty(unit))).isPresent();
        assertThat(record.progress(record.looks().get(0)).done()).isZero();
    }

    @Test
    void theWalkGoesAlongTheShelfAndBack() {
        TrialRecord record = trial.drawn();
        List<BenchPosition> walk =
                record.benchOrder().stream().map(ExperimentalUnit::position).toList();
        assertThat(walk)
                .containsExactly(
                        new BenchPosition(1, 1, 1),
                        new BenchPosition(1, 1, 2),
                        new BenchPosition(1, 2, 2),
                        new BenchPosition(1, 2, 1),
                        new BenchPosition(1, 3, 1),
                        new BenchPosition(1, 3, 2));
    }

    @Test
    void aLostUnitIsNotWaitedForFromThenOn() {
        ExperimentalUnit lost = trial.unit(1, 1);
        trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 30);
        TrialRecord record = trial.mishap(MishapKind.LOST, lost, "dry").drawn();
        assertThat(record.expected(lost.code(), 1)).isTrue();
        assertThat(record.expected(lost.code(), 2)).isFalse();
        assertThat(record.progress(record.looks().get(0))).isEqualTo(new TrialRecord.Progress(6, 6));
        assertThat(record.progress(record.looks().get(1))).isEqualTo(new TrialRecord.Progress(0, 5));
    }

    @Test
    void looksGoFromPlannedToDueToLateToDone() {
        TrialRecord record = trial.drawn();
        Look dry = record.looks().get(1);
        var planned = dry.plannedAt(WaterTrial.START);
        assertThat(LookState.of(record, dry, planned.minusSeconds(1))).isEqualTo(LookState.PLANNED);
        assertThat(LookState.of(record, dry, planned)).isEqualTo(LookState.DUE);
        assertThat(LookState.of(record, dry, WaterTrial.START)).isEqualTo(LookState.LATE);
        TrialRecord weighed =
                trial.weigh("dry", WaterHolding.DRY, (unit, look) -> 60).drawn();
        assertThat(LookState.of(weighed, dry, planned)).isEqualTo(LookState.DONE);
    }

    @Test
    void aNotebookIsGivenThePlannedTimesAndTheBenchTheClock() {
        TrialRecord record = trial.drawn();
        Look second = trial.look("day 2");
        var planned = second.plannedAt(WaterTrial.START);
        assertThat(LookTiming.likely(record, second, WaterTrial.START)).isEqualTo(LookTiming.NOW);
        assertThat(LookTiming.likely(record, second, planned.minus(Duration.ofHours(2))))
                .isEqualTo(LookTiming.NOW);
        assertThat(LookTiming.likely(record, second, planned.plus(Duration.ofHours(20))))
                .isEqualTo(LookTiming.NOW);
        assertThat(LookTiming.likely(record, second, planned.plus(Duration.ofHours(60))))
                .isEqualTo(LookTiming.AS_PLANNED);
        assertThat(LookTiming.AS_PLANNED.at(record, second, WaterTrial.START)).isEqualTo(WaterTrial.START);
        assertThat(LookTiming.AS_PLANNED.at(record, second, planned.plus(Duration.ofHours(60))))
                .isEqualTo(planned);
        assertThat(LookTiming.early(record, second, planned.minus(Duration.ofHours(20))))
                .isPresent();
        assertThat(LookTiming.early(record, second, planned.minus(Duration.ofHours(2))))
                .isEmpty();
    }

    @Test
    void refusesRecordsThatDoNotFitTogether() {
        TrialRecord record = trial.drawn();
        List<ExperimentalUnit> doubled =
                List.of(record.units().get(0), record.units().get(0));
        assertThatThrownBy(() -> TrialRecord.of(
                        record.trial(),
                        record.treatments(),
                        List.of(),
                        record.benches(),
                        doubled,
                        record.endpoints(),
                        record.looks(),
                        List.of(),
                        List.of()))
                .hasMessageContaining("share a code")
                .hasMessageContaining("no container")
                .hasMessageContaining("stands on another one");
    }

    @Test
    void aReadingThatCorrectsNamesWhy() {
        Reading first = trial.weigh(trial.unit(1, 1), "empty", WaterHolding.TARE, 30)
                .drawn()
                .readings()
                .get(0);
        assertThatThrownBy(() -> new Reading(
                        first.id(),
                        first.ref(),
                        first.value(),
                        first.typedText(),
                        first.typedUnit(),
                        first.takenAt(),
                        first.recordedAt(),
                        first.station(),
                        first.instrument(),
                        new ReadingId(9),
                        null))
                .hasMessageContaining("why");
    }
}
