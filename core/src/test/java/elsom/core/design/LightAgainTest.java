package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.APlan;
import elsom.core.plan.Site;
import elsom.core.trial.Bench;
import elsom.core.trial.LightMap;
import elsom.core.trial.Side;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.util.List;
import org.junit.jupiter.api.Test;

class LightAgainTest {
    private final TrialRecord record = APlan.ofGrowth()
            .list("a", "b")
            .replicates(4)
            .laidOut(
                    LayoutKind.BLOCKS,
                    new Site("Sill", 0, 0, Side.TOP, Side.LEFT, LightMap.parse("400 400\n200 200"), List.of()))
            .plan()
            .draw(new TrialId(1));

    private final Bench bench = record.bench(1);

    @Test
    void halfTheLightEverywhereChangesNoPlace() {
        LightAgain again = LightAgain.of(record, bench, LightMap.parse("200 200\n100 100"));
        assertThat(again.part()).isCloseTo(0.5, within(1e-9));
        assertThat(again.changed()).isEmpty();
        assertThat(again.words()).contains("Light is 50 % of what it was.");
    }

    @Test
    void aShadowOnOneSideIsNamedByItsUnitAndItsTreatment() {
        LightAgain again = LightAgain.of(record, bench, LightMap.parse("400 100\n200 50"));
        assertThat(again.changed()).isPresent();
        assertThat(Math.abs(again.after() - again.before())).isGreaterThan(0.1);
        double mean = record.units().stream()
                .mapToDouble(
                        unit -> light(unit.position().row(), unit.position().column()))
                .average()
                .orElseThrow();
        double ofA = record.units().stream()
                .filter(unit -> unit.treatment() == 1)
                .mapToDouble(
                        unit -> light(unit.position().row(), unit.position().column()))
                .average()
                .orElseThrow();
        assertThat(again.unequal().isEmpty()).isEqualTo(Math.abs(ofA / mean - 1) <= 0.05);
    }

    private double light(int row, int column) {
        return LightMap.parse("400 100\n200 50").at((column - 0.5) / bench.columns(), (row - 0.5) / bench.rows());
    }

    @Test
    void withoutAFirstGridOnlyTreatmentsAreCompared() {
        TrialRecord dark = APlan.ofGrowth().list("a", "b").replicates(4).plan().draw(new TrialId(1));
        assertThat(LightAgain.of(dark, dark.bench(1), LightMap.parse("300")).words())
                .containsExactly("No treatment stands brighter or darker than the bench by more than a twentieth.");
        assertThatThrownBy(() -> LightAgain.of(dark, dark.bench(1), LightMap.NONE))
                .hasMessageContaining("no light");
    }
}
