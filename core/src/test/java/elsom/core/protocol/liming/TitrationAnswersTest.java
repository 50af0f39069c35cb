package elsom.core.protocol.liming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.chemistry.LimeDose;
import elsom.core.plan.APlan;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How much lime for a pH, only within what was tested, and whether pH has come to rest. */
class TitrationAnswersTest {
    private static final double[] GRAMS = {0, 1, 2, 3, 4, 6};

    /** pH by amount and look. */
    @FunctionalInterface
    private interface Truth {
        double of(double grams, int look);
    }

    private static Plan plan() {
        return plan("0, 1, 2, 3, 4, 6 g/L");
    }

    private static Plan plan(String amounts) {
        return plan("liming", "Limestone", amounts);
    }

    private static Plan plan(String protocol, String product, String amounts) {
        Plan begun = APlan.of(protocol).replicates(3).plan();
        return begun.with(
                Treatments.crossed(
                        List.of(LevelsText.parse(product, FactorKind.DOSE, amounts, "", null, null)),
                        "composted bracken",
                        List.of()),
                begun.pots());
    }

    private static Findings found(Truth truth, int looks) {
        return found(plan(), truth, looks);
    }

    private static Findings found(Plan plan, Truth truth, int looks) {
        Measured measured = Measured.started(plan);
        for (Look look : measured.record().looks().subList(0, looks)) {
            for (ExperimentalUnit unit : measured.record().units()) {
                double off = (unit.replicate() - 2) * 0.04;
                double ph = truth.of(GRAMS[unit.treatment() - 1], look.number()) + off;
                measured.add(unit, look, "ph", 1, Math.round(ph * 100) / 100.0);
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(looks)));
    }

    private static TitrationResult result(Findings findings) {
        return findings.sections(TitrationResult.class).get(0);
    }

    /** Sulfur: pH falls, and a target is found on the way down. */
    @Test
    void acidifyingIsReadOnTheWayDown() {
        Findings findings = found((grams, look) -> 7.4 - 0.4 * grams, 2);
        TitrationResult result = result(findings);
        assertThat(result.range().orElseThrow().low()).isCloseTo(5.0, within(0.01));
        assertThat(result.dose(6.2).asOptional().orElseThrow().gramsPerLitre()).isCloseTo(3.0, within(0.02));
        assertThat(result.dose(7.9).whyNot()).isPresent();
        assertThat(result.dose(4.5).whyNot()).isPresent();
    }

    @Test
    void sulfurIsToldByPurityAndOnlyOnceItHasWorked() {
        Plan plan = plan("sulfur", "Elemental sulphur", "0, 1, 2, 3, 4, 6 g/L");
        Findings early = found(plan, (grams, look) -> 7.4 - 0.3 * grams, 2);
        assertThat(result(early).kind()).isEqualTo(Product.SULFUR);
        assertThat(early.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.SO_FAR);
        assertThat(early.answers().get(0).details().toString())
                .contains("Sulfur works on: it takes about 6 weeks in a warm, moist medium")
                .contains("this is day 28. An amount read now is too much.")
                .doesNotContain("lime");
        Findings done = found(plan, (grams, look) -> 7.4 - 0.3 * grams, 3);
        assertThat(result(done).stillActing()).isEmpty();
        assertThat(done.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.SETTLED);
    }

    @ParameterizedTest
    @CsvSource({
        "Ground limestone, LIME",
        "Dolomite, LIME",
        "Sulphur 90 %, SULFUR",
        "flowers of sulfur, SULFUR",
        "Aluminium sulfate, OTHER",
        "Lime sulfur, OTHER",
        "Vinegar, OTHER"
    })
    void theProductIsToldByItsName(String name, Product product) {
        assertThat(Product.called(name)).isEqualTo(product);
    }

    private static double straight(double grams, int look) {
        return 4.6 + 0.5 * grams;
    }

    @Test
    void theAmountForATargetLiesOnTheCurveWithItsRange() {
        TitrationResult result = result(found(TitrationAnswersTest::straight, 2));
        LimeDose dose = result.dose(6.1).asOptional().orElseThrow();
        assertThat(dose.gramsPerLitre()).isCloseTo(3, within(1e-6));
        assertThat(dose.low().orElseThrow()).isLessThan(3);
        assertThat(dose.high().orElseThrow()).isGreaterThan(3);
        assertThat(result.jars()).hasSize(18);
    }

    @Test
    void amountsInAnotherUnitAreTheSameAmounts() {
        Plan milligrams = plan("0, 1000, 2000, 3000, 4000, 6000 mg/L");
        LimeDose dose = result(found(milligrams, TitrationAnswersTest::straight, 2))
                .dose(6.1)
                .asOptional()
                .orElseThrow();
        assertThat(dose.gramsPerLitre()).isCloseTo(3, within(1e-6));
        assertThat(dose.gramsFor(500)).isCloseTo(1.5, within(1e-6));
    }

    @Test
    void nothingIsSaidOutsideWhatWasTested() {
        TitrationResult result = result(found(TitrationAnswersTest::straight, 2));
        assertThat(result.dose(8).whyNot().orElseThrow()).contains("Above every pH");
        assertThat(result.dose(4).whyNot().orElseThrow()).contains("Below every pH");
        assertThat(result.dose(7.5).asOptional().orElseThrow().nearEnd()).isTrue();
        assertThat(result.dose(6).asOptional().orElseThrow().nearEnd()).isFalse();
    }

    @Test
    void aStrongerProductNeedsLess() {
        TitrationResult result = result(found(TitrationAnswersTest::straight, 2));
        LimeDose slaked = LimeDose.of(result.curve().asOptional().orElseThrow(), 6.1, 0, 100, 135)
                .asOptional()
                .orElseThrow();
        assertThat(slaked.gramsPerLitre()).isCloseTo(3 / 1.35, within(1e-6));
        assertThatThrownBy(() -> LimeDose.of(result.curve().asOptional().orElseThrow(), 6.1, 0, 100, 0))
                .hasMessageContaining("1 to 200 %");
    }

    @Test
    void movingPhSaysToWait() {
        Findings findings = found((grams, look) -> straight(grams, look) + 0.2 * look, 2);
        assertThat(result(findings).drift().orElseThrow().moving()).isTrue();
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.SO_FAR);
        assertThat(findings.answers().get(0).details().get(0))
                .startsWith("pH is still moving: +0.20 since week 1")
                .endsWith("Wait for another look before you go by it.");
    }

    @Test
    void phAtRestIsClear() {
        Findings findings = found(TitrationAnswersTest::straight, 2);
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.SETTLED);
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("Limestone takes the medium from pH 4.60 to 7.60 at week 2. For pH 6.0: 2.8 g/L (");
        assertThat(findings.answers().get(0).details().get(0)).startsWith("pH has come to rest: ");
    }

    @Test
    void oneLookIsTooFewToLimeBy() {
        assertThat(found(TitrationAnswersTest::straight, 1)
                        .answers()
                        .get(0)
                        .details()
                        .get(0))
                .startsWith("One look only");
    }

    @Test
    void aCurveThatTurnsBackIsSaid() {
        Findings findings = found((grams, look) -> grams == 6 ? 5.5 : straight(grams, look), 2);
        assertThat(findings.answers().get(0).details()).anyMatch(said -> said.startsWith("pH does not go one way"));
    }
}
