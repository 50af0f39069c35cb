package elsom.web.kit;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import org.junit.jupiter.api.Test;

class BenchMapTest {
    private final TrialRecord growth = GrowthPlan.plan().draw(new TrialId(1));

    private static BenchMap.Drawn only(BenchMap map) {
        assertThat(map.benches()).hasSize(1);
        return map.benches().get(0);
    }

    private static BenchMap.Drawn readable(TrialRecord record) {
        return only(BenchMap.of(record, unit -> new BenchMap.Face("12", BenchMap.State.DONE, "#")));
    }

    @Test
    void everyUnitIsInsideTheBenchAndNoTwoTouch() {
        BenchMap.Drawn drawn = readable(growth);
        assertThat(drawn.cells()).hasSize(12);
        for (BenchMap.Cell cell : drawn.cells()) {
            String[] at = cell.place().replaceAll("[^0-9. ]", "").split(" ");
            double x = Double.parseDouble(at[0]);
            double y = Double.parseDouble(at[1]);
            assertThat(x - cell.body().width() / 2).isGreaterThanOrEqualTo(drawn.originX());
            assertThat(x + cell.body().width() / 2).isLessThan(drawn.width());
            assertThat(y + cell.body().height() / 2).isLessThan(drawn.height());
            assertThat(cell.body().width()).isLessThan(drawn.pitchX());
            assertThat(cell.body().height()).isLessThan(drawn.pitchY());
        }
    }

    @Test
    void measuredLightAndWarmPlacesLieWhereTheyAre() {
        BenchMap.Drawn drawn = readable(growth);
        assertThat(drawn.lit()).hasSize(6);
        assertThat(drawn.lit().get(0).strength()).isEqualTo(1);
        assertThat(drawn.lit().get(5).strength()).isZero();
        assertThat(drawn.lightWords()).isEqualTo("light 280–400 µmol/m²/s");
        assertThat(drawn.influences()).singleElement().satisfies(mat -> {
            assertThat(mat.label()).isEqualTo("heat mat");
            assertThat(mat.width()).isLessThan(2 * drawn.pitchX());
        });
    }

    @Test
    void shelvesAndContainersAreToOneScale() {
        BenchMap.Drawn drawn = readable(ExchangeFixture.drawn());
        BenchMap.Shape pot = drawn.shapes().get(0);
        double pxPerCm = pot.width() / 9;
        assertThat(drawn.pitchX() / pxPerCm).isGreaterThanOrEqualTo(9);
        assertThat(pot.height()).isEqualTo(pot.width());
    }

    @Test
    void manyUnitsShowTheirLetterOnly() {
        Arrangement many = GrowthPlan.plan().arrangement();
        Plan large = GrowthPlan.plan()
                .with(new Arrangement(
                        many.kind(),
                        50,
                        java.util.List.of(elsom.core.plan.Site.named("Long table")),
                        true,
                        0,
                        true,
                        0,
                        1,
                        java.util.List.of()));
        TrialRecord record = large.draw(new TrialId(1));
        BenchMap.Drawn whole = only(BenchMap.whole(record, unit -> new BenchMap.Face("", BenchMap.State.TODO, "#")));
        assertThat(whole.cells()).hasSize(200).allMatch(BenchMap.Cell::small);
        assertThat(whole.cells()).extracting(BenchMap.Cell::shown).containsOnly("A", "B", "C", "D");
        assertThat(whole.guards()).isNotEmpty();
        assertThat(whole.width()).isLessThanOrEqualTo(800);
        BenchMap.Drawn blind =
                only(BenchMap.whole(record.codesOnly(), unit -> new BenchMap.Face("", BenchMap.State.TODO, "#")));
        assertThat(blind.cells()).extracting(BenchMap.Cell::shown).containsOnly("");
    }

    @Test
    void wordsTellHowAUnitStands() {
        BenchMap.Drawn drawn = only(BenchMap.of(
                growth,
                unit -> new BenchMap.Face(
                        unit.replicate() == 1 ? "12 cm" : "",
                        unit.replicate() == 2 ? BenchMap.State.LOST : BenchMap.State.DONE,
                        "#")));
        assertThat(drawn.cells())
                .extracting(BenchMap.Cell::words)
                .anyMatch(words -> words.endsWith(", 12 cm"))
                .anyMatch(words -> words.endsWith(", lost"));
    }
}
