package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Plan;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Chore;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Turn;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class RotationTest {
    private final TrialRecord record =
            APlan.ofGrowth().list("a", "b", "c", "d").replicates(3).plan().draw(new TrialId(1));

    private static Map<Integer, List<BenchPosition>> places(List<ExperimentalUnit> units) {
        return units.stream()
                .collect(Collectors.groupingBy(
                        ExperimentalUnit::block,
                        Collectors.collectingAndThen(
                                Collectors.toList(),
                                block -> block.stream()
                                        .map(ExperimentalUnit::position)
                                        .sorted((one, other) -> one.toString().compareTo(other.toString()))
                                        .toList())));
    }

    @Test
    void everyUnitStandsOnEveryPlaceOfItsBlockOnce() {
        for (ExperimentalUnit unit : record.units()) {
            long visited = java.util.stream.IntStream.range(0, 4)
                    .mapToObj(turns -> Rotation.after(record.units(), turns).stream()
                            .filter(moved -> moved.code().equals(unit.code()))
                            .findFirst()
                            .orElseThrow()
                            .position())
                    .distinct()
                    .count();
            assertThat(visited).isEqualTo(4);
        }
        assertThat(Rotation.after(record.units(), 4)).isEqualTo(record.units());
    }

    @Test
    void blocksStayWhole() {
        List<ExperimentalUnit> moved = Rotation.after(record.units(), 3);
        assertThat(moved).isNotEqualTo(record.units());
        assertThat(places(moved)).isEqualTo(places(record.units()));
    }

    @Test
    void turnsThatAreStillToComeMoveNothing() {
        Plan plan = APlan.ofGrowth().list("a", "b").plan();
        Duration week = Duration.ofDays(7);
        TrialRecord turning = plan.draw(new TrialId(1))
                .with(List.of(
                        new Chore(Chore.Kind.TURN, "Turn", week),
                        new Chore(Chore.Kind.TURN, "Turn", week.multipliedBy(2)),
                        new Chore(Chore.Kind.WATER, "Water", Duration.ofDays(1))));
        assertThat(Rotation.at(turning, APlan.START.plus(week).minusSeconds(1)).units())
                .isEqualTo(turning.units());
        assertThat(Rotation.at(turning, APlan.START.plus(week)).units()).isEqualTo(Rotation.after(turning.units(), 1));
        assertThat(Rotation.at(turning, APlan.START.plus(week.multipliedBy(5))).units())
                .isEqualTo(turning.units());
    }

    @Test
    void whatWasWrittenDownCountsMoreThanWhatWasPlanned() {
        Duration week = Duration.ofDays(7);
        TrialRecord planned = record.with(List.of(
                new Chore(Chore.Kind.TURN, "turn", week), new Chore(Chore.Kind.TURN, "turn", week.multipliedBy(2))));
        Instant later = record.trial().start().plus(week.multipliedBy(3));
        assertThat(Rotation.at(planned, later).units()).isEqualTo(Rotation.after(record.units(), 2));
        // The last planned turn is the one to be made, as long as nothing was written down.
        Rotation.Next due = Rotation.next(planned, later);
        assertThat(due.number()).isEqualTo(2);
        assertThat(due.from().units()).isEqualTo(Rotation.after(record.units(), 1));
        assertThat(due.to().units()).isEqualTo(Rotation.after(record.units(), 2));
        TrialRecord once = planned.with(planned.beside().turns(List.of(new Turn(1, later.minus(week), "Bench A"))));
        assertThat(Rotation.at(once, later).units()).isEqualTo(Rotation.after(record.units(), 1));
        assertThat(Rotation.next(once, later).number()).isEqualTo(2);
        assertThat(Rotation.at(once, record.trial().start()).units()).isEqualTo(record.units());
    }
}
