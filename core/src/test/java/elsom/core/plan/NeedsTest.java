package elsom.core.plan;

import static elsom.core.plan.APlan.doses;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class NeedsTest {
    private static final Pots POTS = new Pots(APlan.POT, 400, 6, 8, 3.2, 0.2, 0.1, 50);

    private static Need need(Plan plan, String name) {
        return Needs.of(plan, plan.draw(new TrialId(1))).stream()
                .filter(need -> need.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** 4 pots of 400 mL, a tenth spare, settling 20 %: 4 · 0.4 · 1.1 ÷ 0.8 = 2.2 L loose, three quarters leaf mould. */
    @Test
    void mediaAllowForSpareAndSettling() {
        Plan plan = APlan.ofGrowth()
                .list("wood fibre", "3 leaf mould + 1 GW-32")
                .pots(POTS)
                .plan();
        assertThat(need(plan, "leaf mould").amount()).isCloseTo(1.65, within(1e-9));
        assertThat(need(plan, "GW-32").amount()).isCloseTo(0.55, within(1e-9));
        assertThat(need(plan, "wood fibre").amount()).isCloseTo(2.2, within(1e-9));
        Need batch = Needs.of(plan, plan.draw(new TrialId(1))).stream()
                .filter(need -> need.kind() == Need.Kind.MEDIUM && need.name().equals("leaf mould"))
                .findFirst()
                .orElseThrow();
        assertThat(batch.working().steps()).containsExactly("1.6 L · 1.1 · 0.75 ÷ 0.8 = 1.65 L");
    }

    @Test
    void aMaterialInTwoMixesIsAddedUp() {
        Plan plan = APlan.ofGrowth()
                .list("leaf mould", "3 leaf mould + 1 GW-32")
                .pots(POTS)
                .plan();
        assertThat(need(plan, "leaf mould").kind()).isEqualTo(Need.Kind.SHOPPING);
        assertThat(need(plan, "leaf mould").amount()).isCloseTo(2.2 + 1.65, within(1e-9));
    }

    @Test
    void seedIsCountedAndWeighed() {
        Plan plan = APlan.ofGrowth().list("a", "b").pots(POTS).plan();
        // 8 units · 8 seeds · 1.1 = 70.4, and 71 seeds of 3.2 g a thousand.
        assertThat(need(plan, "marigold seed").amount()).isEqualTo(71);
        assertThat(need(plan, "marigold seed, by mass").amount()).isCloseTo(0.2272, within(1e-9));
    }

    @Test
    void solutionsAndStocksAreWorkedOutForEachStrength() {
        Plan plan = APlan.of("dose-series")
                .factors(doses(null, null, 0, 1, 4))
                .replicates(6)
                .pots(POTS)
                .plan();
        // 6 units · 50 mL · 1.1 = 0.33 L at 4 % = 40 mL/L: 13.2 mL.
        assertThat(need(plan, "4.0 %").amount()).isCloseTo(0.33, within(1e-9));
        Need stock = need(plan, "Wood vinegar in 4.0 %");
        assertThat(stock.amount()).isCloseTo(13.2, within(1e-9));
        assertThat(stock.unit()).isEqualTo(UnitOfMeasure.MILLILITRE);
    }

    /** 4 pots · 2 teaspoons of 4.929 mL · 1.1; and 4 pots of 9 cm across · 150 g/m² · 1.1, 63.6 cm² each. */
    @Test
    void dosesForEachUnitAndForItsSurfaceAreBoughtToo() {
        assertThat(bySpoon(UnitOfMeasure.TEASPOON, 2).unit()).isEqualTo(UnitOfMeasure.MILLILITRE);
        assertThat(bySpoon(UnitOfMeasure.TEASPOON, 2).amount()).isCloseTo(43.37, within(0.01));
        double top = APlan.POT.areaCm2(APlan.POT.depthCm()) / 1e4;
        Need spread = bySpoon(UnitOfMeasure.GRAM_PER_SQUARE_METRE, 150);
        assertThat(spread.unit()).isEqualTo(UnitOfMeasure.GRAM);
        assertThat(spread.amount()).isCloseTo(4 * 150 * top * 1.1, within(1e-9));
        assertThat(spread.working().formula()).contains("surface at the brim", "given once");
    }

    private static Need bySpoon(UnitOfMeasure unit, double dose) {
        Factor factor = new Factor(
                "Castings",
                FactorKind.DOSE,
                unit,
                List.of(new Factor.Level("none", 0.0, true), new Factor.Level("some", dose, false)),
                null,
                null);
        return need(
                APlan.of("dose-series").factors(factor).replicates(4).pots(POTS).plan(), "Castings in some");
    }

    /** Two looks of feeding: 4 units · 50 mL · 2 · 1.1 = 0.44 L of 2 g/L. */
    @Test
    void aProductIsWeighedForAllItsFeeds() {
        PlannedTreatment fed = new PlannedTreatment(
                "feed",
                "leaf mould",
                "",
                ControlKind.NONE,
                Map.of(TreatmentProperty.PRODUCT_RATE, 2.0, TreatmentProperty.NITROGEN, 0.06),
                null,
                0,
                List.of());
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(PlannedTreatment.of("none", "leaf mould", ControlKind.CONTROL), fed))
                .steps(new Recurring(
                        Recurring.Kind.FEED, "", Duration.ofDays(7), Duration.ofDays(7), Duration.ofDays(14)))
                .pots(POTS)
                .plan();
        assertThat(need(plan, "product in feed").amount()).isCloseTo(0.88, within(1e-9));
        assertThat(need(plan, "product in feed").unit()).isEqualTo(UnitOfMeasure.GRAM);
    }

    @Test
    void unitsThatGoOnNeedNeitherMediumNorSeed() {
        Plan first = APlan.ofGrowth().list("a", "b").pots(POTS).plan();
        var before = first.draw(new TrialId(1));
        Plan second = PlanCopy.secondStage(
                first, before, java.util.Set.of(before.units().get(0).code()), APlan.START, 1);
        assertThat(Needs.of(second, second.draw(new TrialId(2))))
                .extracting(Need::kind)
                .doesNotContain(Need.Kind.MEDIUM, Need.Kind.SHOPPING, Need.Kind.SEED);
    }

    @Test
    void containersGuardsAndLabelsAreCounted() {
        Plan plan = APlan.ofGrowth().list("a", "b", "c").pots(POTS).plan();
        Arrangement a = plan.arrangement();
        Plan guarded = plan.with(new Arrangement(a.kind(), 4, a.sites(), true, 0, true, 0, a.seed(), List.of()));
        assertThat(need(guarded, "Round pot 9 cm").amount()).isEqualTo(12);
        assertThat(need(guarded, "labels").amount()).isEqualTo(12);
        // 4 rows and 3 columns with a ring around them: 6 · 5 − 12.
        assertThat(need(guarded, "guard units, Round pot 9 cm").amount()).isEqualTo(18);
        // Filled as the control: 4 + 18 pots · 0.4 L · 1.1 ÷ 0.8, and sown: 30 · 8 · 1.1.
        assertThat(need(guarded, "a").amount()).isCloseTo(22 * 0.4 * 1.1 / 0.8, within(1e-9));
        assertThat(need(guarded, "marigold seed").amount()).isEqualTo(264);
    }
}
