package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.seedling.HalfLives;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Sowings after a treatment: each beside its untreated twin, and the first day from which all later ones are clean. */
class PlantBackAnswersTest {
    private static final Factor SOWN =
            LevelsText.parse("Sown after", FactorKind.TIME, "0, 2, 4, 6, 8, 10 d", "", null, null);
    private static final Factor GROUND = APlan.factor("Ground", FactorKind.HANDLING, "untreated", "treated");

    private static Findings found(int looks, DoubleUnaryOperator injury, Factor... factors) {
        return found(looks, injury, 0, factors);
    }

    /** What stands untreated has an injury of its own. */
    private static Findings found(int looks, DoubleUnaryOperator injury, double own, Factor... factors) {
        Plan plan = APlan.of("plant-back").factors(factors).replicates(4).plan();
        Measured measured = Measured.started(plan);
        Random noise = new Random(5);
        for (Look look : measured.record().looks().subList(0, looks)) {
            for (ExperimentalUnit unit : measured.record().units()) {
                String name = measured.record().treatment(unit).name();
                double day = Double.parseDouble(name.split(" ")[0]);
                double value = own
                        + (name.contains("untreated") ? 0 : injury.applyAsDouble(day))
                        + 0.5
                        + 0.3 * noise.nextGaussian();
                measured.add(unit, look, "injury", 1, Math.max(0, Math.min(10, Math.rint(value))));
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(looks)));
    }

    private static PlantBackResult result(Findings findings) {
        return findings.sections(PlantBackResult.class).get(0);
    }

    private static double gone(double day) {
        return 9 / (1 + Math.exp(1.4 * (day - 3)));
    }

    @Test
    void cleanIsFromTheFirstDayAfterWhichEverySowingIs() {
        Findings findings = found(2, PlantBackAnswersTest::gone, SOWN, GROUND);
        PlantBackResult result = result(findings);
        assertThat(result.sowings())
                .extracting(PlantBackResult.Sowing::days)
                .containsExactly(0.0, 2.0, 4.0, 6.0, 8.0, 10.0);
        assertThat(result.cleanFrom()).hasValue(6);
        assertThat(result.sowings().get(0).clean()).isEqualTo(PlantBackResult.Clean.INJURED);
        assertThat(result.dayAtLimit().asOptional().orElseThrow().day()).isCloseTo(3.9, within(0.8));
        Findings.Answered first = findings.answers().get(0);
        assertThat(first.verdict().sentence())
                .isEqualTo(
                        "What was sown 6 days after the treatment or later was clean at the look “all together”: injury within 2"
                                + " points of the untreated, in every later sowing.");
        assertThat(first.verdict().firmness()).isEqualTo(Verdict.Firmness.SETTLED);
        assertThat(first.verdict().wouldChange()).startsWith("The label's and the law's waiting times rule over this");
    }

    @Test
    void whileItIsLookedAtAgainItIsSoFarOnly() {
        Findings findings = found(1, PlantBackAnswersTest::gone, SOWN, GROUND);
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.SO_FAR);
        assertThat(findings.answers().get(0).details()).contains("Injury may still come: it is looked at again later.");
    }

    @Test
    void anInjuryThatComesBackLeavesNoDayCleanBeforeIt() {
        PlantBackResult result = result(found(2, day -> day == 8 ? 6 : gone(day), SOWN, GROUND));
        assertThat(result.cleanFrom()).hasValue(10);
    }

    @Test
    void withoutAnUntreatedPotNothingIsClean() {
        Findings findings = found(2, PlantBackAnswersTest::gone, SOWN);
        assertThat(result(findings).withoutTwins()).isTrue();
        assertThat(findings.answers().get(0).verdict().sentence()).startsWith("There is no untreated pot");
        assertThat(result(findings).dayAtLimit().asOptional()).isEmpty();
        assertThat(findings.answers().get(0).details()).noneMatch(said -> said.contains("falls to the limit"));
    }

    @Test
    void untreatedPotsThatAreInjuredTooJudgeNoSowing() {
        PlantBackResult result = result(found(2, day -> 1, 6, SOWN, GROUND));
        assertThat(result.sowings())
                .extracting(PlantBackResult.Sowing::clean)
                .containsOnly(PlantBackResult.Clean.TWIN_FAILED);
        assertThat(result.cleanFrom()).isEmpty();
    }

    /** After 4 days 91 to 95 % of what halves in 30 to 60 days is left. */
    @Test
    void whatLastsCannotHaveDecayedInDays() {
        Factor sown = LevelsText.parse("Sown after", FactorKind.TIME, "0, 1, 2, 3, 4 d", "", null, null);
        Findings findings = found(2, day -> day < 3 ? 6 : 0, sown, GROUND);
        assertThat(findings.answers().get(0).details())
                .anyMatch(said ->
                        said.contains("would still be there to 93 to 97 % after 3 days: its decay can't be why"));
    }

    @Test
    void whatIsLeftHalvesInEachHalfLife() {
        HalfLives.Left left = new HalfLives(7, 14).after(14);
        assertThat(left.least()).isCloseTo(0.25, within(1e-12));
        assertThat(left.most()).isCloseTo(0.5, within(1e-12));
    }
}
