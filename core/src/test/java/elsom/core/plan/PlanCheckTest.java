package elsom.core.plan;

import static elsom.core.plan.APlan.doses;
import static elsom.core.plan.APlan.factor;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.dose.Stock;
import elsom.core.flag.Flag;
import elsom.core.plan.check.PlanCheck;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TreatmentProperty;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlanCheckTest {
    private static List<String> seen(Plan plan) {
        return PlanCheck.of(plan).stream().map(Flag::seen).toList();
    }

    private static PlannedTreatment fed(String name, double nitrogen, double gramsPerLitre) {
        return new PlannedTreatment(
                name,
                "leaf mould",
                "",
                ControlKind.NONE,
                Map.of(TreatmentProperty.NITROGEN, nitrogen, TreatmentProperty.PRODUCT_RATE, gramsPerLitre),
                null,
                0,
                List.of());
    }

    @Test
    void aFairPlanIsLeftInPeace() {
        Plan plan = APlan.ofGrowth()
                .factors(
                        factor("Dip", FactorKind.HANDLING, "none", "seaweed"),
                        factor("Medium", FactorKind.MATERIAL, "leaf mould", "wood fibre"))
                .asking(APlan.question("fresh-mass"))
                .replicates(40)
                .plan();
        assertThat(PlanCheck.of(plan)).isEmpty();
    }

    @Test
    void unitsThatWouldLikelyMissWhatMattersAreTooFew() {
        assertThat(seen(APlan.ofGrowth()
                        .list("none", "seaweed")
                        .asking(APlan.question("fresh-mass"))
                        .replicates(4)
                        .plan()))
                .anyMatch(text -> text.matches(
                        "A difference that matters in fresh mass would be missed \\d\\d times in a" + " hundred\\."));
    }

    @Test
    void whatIsAskedAboutAndNeverReadIsSaid() {
        assertThat(seen(APlan.ofGrowth()
                        .list("none", "seaweed")
                        .asking(APlan.question("yield"))
                        .replicates(30)
                        .plan()))
                .contains("No look takes yield, which is asked about.");
    }

    /** Shares of a stock are asked of what; 2 % of one with 25 % acidity is half a percent of it, in what is got ready too. */
    @Test
    void aStockHasItsStrengthBesideItsShare() {
        Factor vinegar = LevelsText.parse("Wood vinegar", FactorKind.DOSE, "0, 0.5, 1, 2 %", "", null, null);
        Plan unnamed = APlan.of("dose-series").factors(vinegar).replicates(6).plan();
        assertThat(seen(unnamed)).contains("How strong the stock of “Wood vinegar” is isn't written.");
        Plan named = APlan.of("dose-series")
                .factors(vinegar.from(Stock.read("25 % acidity").orElseThrow()))
                .replicates(6)
                .plan();
        assertThat(seen(named)).noneMatch(text -> text.startsWith("How strong the stock"));
        assertThat(Needs.of(named, Measured.started(named).record()))
                .extracting(Need::name)
                .anyMatch(name -> name.endsWith("(0.5 % active)"));
        assertThat(vinegar.from(Stock.read("lot 4 of the spring").orElseThrow()).active(2))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"-3 %", "300 %", "0 %", "2-3 %", "25", "about 4 g"})
    void aStockThatCantBeIsRefusedWithAnExample(String typed) {
        assertThatThrownBy(() -> Stock.read(typed)).hasMessageContaining("Accepted: 25 % acidity.");
    }

    @Test
    void aShareOfAMixNeedsTheRestOfIt() {
        List<Factor> factors = List.of(
                factor("Compost", FactorKind.MATERIAL, "GW-31", "GW-32"),
                LevelsText.parse("Share", FactorKind.SHARE, "0, 25, 100 %", "", null, null));
        Plan plan = APlan.of("seedling-injury").plan();
        assertThat(seen(plan.with(Treatments.crossed(factors, "", List.of()), plan.pots())))
                .anyMatch(text -> text.contains("nothing says what the rest of it is"));
        Treatments thinned = Treatments.crossed(factors, "leaf mould", List.of());
        assertThat(seen(plan.with(thinned, plan.pots()))).noneMatch(text -> text.contains("the rest of it"));
        assertThat(thinned.all())
                .extracting(PlannedTreatment::mix)
                .containsExactly(
                        "leaf mould",
                        "25 % GW-31 + 75 % leaf mould",
                        "GW-31",
                        "leaf mould",
                        "25 % GW-32 + 75 % leaf mould",
                        "GW-32");
        assertThat(thinned.all())
                .extracting(PlannedTreatment::isControl)
                .containsExactly(true, false, false, true, false, false);
    }

    @Test
    void aControlThatIsTypedForADoseStays() {
        Factor typed = LevelsText.parse("Feed", FactorKind.DOSE, "1, 2, 4 g/L", "2", null, null);
        assertThat(typed.levels()).extracting(Factor.Level::control).containsExactly(false, true, false);
        assertThat(LevelsText.parse("Feed", FactorKind.DOSE, "0, 1, 2 g/L", "", null, null)
                        .levels())
                .extracting(Factor.Level::control)
                .containsExactly(true, false, false);
    }

    @Test
    void noControlAndOneUnitEachAreSaid() {
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("a", "a", ControlKind.NONE),
                        PlannedTreatment.of("b", "b", ControlKind.NONE)))
                .replicates(1)
                .plan();
        assertThat(seen(plan))
                .startsWith("One unit of each treatment.")
                .contains("There is no control.", "No comparison is stated yet.");
    }

    @Test
    void aMediumWithItsOwnContainerCannotBeJudged() {
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("a", "leaf mould", ControlKind.CONTROL),
                        PlannedTreatment.of("b", "wood fibre", ControlKind.NONE).in(APlan.TUB, 0)))
                .plan();
        assertThat(seen(plan)).contains("Medium and container change together.");
        // With one medium in both, depth and medium can be told apart.
        Plan both = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("a", "leaf mould", ControlKind.CONTROL),
                        PlannedTreatment.of("b", "wood fibre", ControlKind.NONE),
                        PlannedTreatment.of("c", "wood fibre", ControlKind.NONE).in(APlan.TUB, 0)))
                .plan();
        assertThat(seen(both)).doesNotContain("Medium and container change together.");
    }

    @Test
    void struckCellsCanTieTwoFactors() {
        Plan plan = APlan.ofGrowth()
                .factors(
                        factor("Dip", FactorKind.HANDLING, "none", "seaweed"),
                        factor("Medium", FactorKind.MATERIAL, "leaf mould", "wood fibre"))
                .striking(0, 1)
                .striking(1, 0)
                .plan();
        assertThat(seen(plan)).contains("Dip and medium change together.");
    }

    @Test
    void equalSpoonsOfUnequalFeedsAreSaidWithTheEqualRates() {
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("none", "leaf mould", ControlKind.CONTROL),
                        fed("feed 6-2-4", 0.06, 2),
                        fed("feed 12-5-15", 0.12, 2)))
                .plan();
        Flag flag = PlanCheck.of(plan).stream()
                .filter(f -> f.seen().startsWith("Equal spoon"))
                .findFirst()
                .orElseThrow();
        assertThat(flag.seen())
                .isEqualTo("Equal spoon, not equal nitrogen: feed 6-2-4 0.12 g N/L, feed 12-5-15 0.24 g N/L.");
        assertThat(flag.next()).contains("feed 6-2-4 2 g/L, feed 12-5-15 1 g/L");
        Plan equal = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("none", "leaf mould", ControlKind.CONTROL),
                        fed("feed 6-2-4", 0.06, 2),
                        fed("feed 12-5-15", 0.12, 1)))
                .plan();
        assertThat(seen(equal)).noneMatch(text -> text.contains("itrogen"));
    }

    @Test
    void aSeriesThatStopsShortIsSaid() {
        assertThat(seen(APlan.of("dose-series")
                        .factors(doses(1.5, 4.0, 0, 1, 2, 4))
                        .plan()))
                .contains(
                        "No level of Wood vinegar lies above 4 %, where you expect the effect.",
                        "Wood vinegar has 4 levels.", "The label's rate, 1.5 %, is not among the levels.");
        assertThat(seen(APlan.of("dose-series")
                        .factors(doses(1.0, 1.5, 0, 0.5, 1, 2, 4)
                                .from(Stock.read("6 % acidity").orElseThrow()))
                        .asking(APlan.question("injury"))
                        .plan()))
                .isEmpty();
        assertThat(seen(APlan.of("dose-series")
                        .factors(doses(null, 0.2, 0, 0.5, 1, 2, 4))
                        .plan()))
                .contains("No level of Wood vinegar lies between none and 0.2 %.");
    }

    @Test
    void aSeriesWithoutNoneIsWarnedAndWaterNeverHasNone() {
        assertThat(seen(APlan.of("dose-series")
                        .factors(LevelsText.parse("Wood vinegar", FactorKind.DOSE, "1, 2, 4, 8 %", "", null, null))
                        .plan()))
                .contains("No level of Wood vinegar is none.");
        assertThat(seen(APlan.of("salinity")
                        .factors(LevelsText.parse("Water", FactorKind.DOSE, "1, 2, 4, 8 mS/cm", "", null, null))
                        .plan()))
                .doesNotContain("No level of Water is none.", "There is no control.");
    }

    @Test
    void oneTreatmentAloneIsNoComparison() {
        assertThat(PlanCheck.of(APlan.ofGrowth().list("a").plan()))
                .filteredOn(flag -> flag.severity() == Flag.Severity.WRONG)
                .extracting(Flag::seen)
                .contains("There is one treatment only.");
    }

    @Test
    void theMostSeriousComesFirst() {
        List<Flag> flags = PlanCheck.of(APlan.ofGrowth().list("a").replicates(1).plan());
        assertThat(flags).extracting(Flag::severity).isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(flags).allSatisfy(flag -> {
            assertThat(flag.seen()).endsWith(".");
            assertThat(flag.why()).endsWith(".");
            assertThat(flag.next()).endsWith(".");
        });
    }

    @Test
    void runningTimesThatGoWithATreatmentCannotBeToldFromIt() {
        Plan plan = APlan.of("brew")
                .list("stone", "no stone")
                .endingTogether(
                        APlan.START.plus(java.time.Duration.ofDays(3)),
                        java.time.Duration.ofHours(36),
                        java.time.Duration.ofHours(24))
                .plan();
        assertThat(seen(plan)).contains("Medium and running time change together.");
        Plan alike = APlan.of("brew")
                .list("stone", "no stone")
                .endingTogether(APlan.START.plus(java.time.Duration.ofDays(3)), java.time.Duration.ofHours(36))
                .plan();
        assertThat(seen(alike)).doesNotContain("Medium and running time change together.");
    }

    @Test
    void aLookBeforeATreatmentStartsIsSaid() {
        Plan plan = APlan.of("brew")
                .list("long", "short")
                .endingTogether(
                        APlan.START.plus(java.time.Duration.ofHours(36)),
                        java.time.Duration.ofHours(36),
                        java.time.Duration.ofHours(12))
                .plan();
        assertThat(plan.schedule().looks().get(0).after()).isEqualTo(java.time.Duration.ofHours(18));
        assertThat(seen(plan))
                .contains("Look “" + plan.schedule().looks().get(0).name() + "” comes before short starts.");
        Plan together = plan.with(plan.schedule().startingTogether(APlan.START));
        assertThat(seen(together)).noneMatch(text -> text.contains("comes before"));
    }

    @Test
    void aMixThatCannotBeReadIsSaid() {
        assertThat(seen(APlan.ofGrowth()
                        .list("leaf mould", "3 leaf mould + zero GW-32 + -1 x")
                        .plan()))
                .anyMatch(text -> text.startsWith("The mix of 3 leaf mould"));
    }

    @Test
    void movesInABlindTrialAreSaid() {
        Plan plan = APlan.ofGrowth().list("a", "b").plan();
        var drawn = plan.draw(new elsom.core.trial.TrialId(1));
        Plan moved = plan.with(plan.arrangement()
                        .moved(new Arrangement.Move(
                                drawn.units().get(0).code(),
                                drawn.units().get(1).position())))
                .with(new Rules(plan.rules().watering(), 0.5, true));
        assertThat(seen(moved)).contains("Units were moved by hand in a blind trial.");
        assertThat(seen(plan)).doesNotContain("Units were moved by hand in a blind trial.");
    }

    @Test
    void aComparisonWithoutComparatorIsSaid() {
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("a", "a", ControlKind.NONE),
                        PlannedTreatment.of("b", "b", ControlKind.NONE)))
                .asking(APlan.question("height"))
                .plan();
        assertThat(seen(plan)).anyMatch(text -> text.endsWith("has nothing to compare with."));
    }

    @Test
    void whatHasAWeightAndIsNeverReadIsSaid() {
        Plan plan =
                APlan.ofGrowth().list("a", "b").asking(APlan.question("height")).plan();
        Measure yield = plan.unread().stream()
                .filter(measure -> measure.endpoint().code().value().equals("yield"))
                .findFirst()
                .orElseThrow();
        List<Measure> weighted = plan.asked().measures().stream()
                .map(m -> m.equals(yield) ? m.with(m.rule(), m.scorer(), 2, m.better()) : m)
                .toList();
        assertThat(seen(plan)).noneMatch(text -> text.contains("yield"));
        assertThat(seen(plan.measuring(
                        new Asked(plan.question(), "marigold", plan.asked().questions(), weighted))))
                .contains("No look takes yield, which has a weight.");
    }

    /** Days after a treatment need something untreated beside each; hours of soaking have their own nought. */
    @Test
    void aPlantBackWithoutAnUntreatedUnitIsSaid() {
        Factor sown = LevelsText.parse("Sown after", FactorKind.TIME, "0, 2, 4 d", "", null, null);
        Factor ground = factor("Ground", FactorKind.HANDLING, "untreated", "treated");
        String warning = "There is no untreated unit beside each day.";
        assertThat(seen(APlan.of("plant-back").factors(sown).replicates(4).plan()))
                .contains(warning);
        assertThat(seen(APlan.of("plant-back")
                        .factors(sown, ground)
                        .replicates(4)
                        .plan()))
                .doesNotContain(warning);
        assertThat(seen(APlan.ofGrowth().factors(sown).replicates(4).plan())).doesNotContain(warning);
    }
}
