package elsom.core.dose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Curves, harmless doses and working rates of series with a known truth. */
class DoseEffectTest {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4};
    private static final int REPLICATES = 6;

    private static List<DoseEffect.Given> given(double... doses) {
        List<DoseEffect.Given> given = new ArrayList<>();
        for (double dose : doses) {
            given.add(new DoseEffect.Given(given.size(), dose));
        }
        return given;
    }

    private static final double TOLERATED = 5;

    private static Observations seen(
            EndpointKind kind,
            Observations.Better better,
            double[] doses,
            java.util.function.DoubleFunction<Value> read) {
        List<Arm> arms = new ArrayList<>();
        List<Observed> units = new ArrayList<>();
        for (int arm = 0; arm < doses.length; arm++) {
            String code = String.valueOf((char) ('A' + arm));
            arms.add(new Arm(code, doses[arm] + " %", List.of(), doses[arm] == 0));
            for (int i = 0; i < REPLICATES; i++) {
                units.add(new Observed(code + i, arm, 0, 0, 0, 0, read.apply(doses[arm])));
            }
        }
        return new Observations(Design.COMPLETELY_RANDOM, List.of("dose"), arms, kind, better, 0.01, units);
    }

    private static DoseEffect measured(DoubleUnaryOperator truth, double sd, Observations.Better better, Random noise) {
        return DoseEffect.of(
                seen(
                        EndpointKind.MEASURED,
                        better,
                        DOSES,
                        dose -> new Value.Measured(truth.applyAsDouble(dose) + sd * noise.nextGaussian())),
                given(DOSES),
                0.05,
                TOLERATED,
                OptionalDouble.empty());
    }

    private static double falling(double dose) {
        return 20 / (1 + Math.pow(dose / 1.2, 2.5));
    }

    @Test
    void aFallHasItsCurveItsEffectiveDosesAndItsHarmlessDose() {
        DoseEffect effect = measured(DoseEffectTest::falling, 0.8, Observations.Better.HIGHER, new Random(5));
        DoseCurve curve = effect.curve().asOptional().orElseThrow();
        assertThat(curve.parts()).extracting(DoseCurve.Part::label).contains("log-logistic");
        assertThat(curve.parts().stream().mapToDouble(DoseCurve.Part::weight).sum())
                .isCloseTo(1, within(1e-9));
        DoseCurve.Effective half = effect.effective(50).orElseThrow();
        assertThat(half.dose()).isCloseTo(1.2, within(0.15));
        assertThat(half.interval95().low()).isLessThan(1.2);
        assertThat(half.interval95().high()).isGreaterThan(1.2);
        assertThat(effect.tested().loec()).hasValue(0.5);
        assertThat(effect.tested().noec()).hasValue(0.25);
        assertThat(curve.bandAt(1).orElseThrow().low()).isLessThan(curve.at(1));
        assertThat(curve.lackOfFitP().orElseThrow()).isGreaterThan(0.01);
    }

    @Test
    void injuryRisesWithTheDose() {
        Random noise = new Random(2);
        DoseEffect effect = DoseEffect.of(
                seen(
                        EndpointKind.SCORE,
                        Observations.Better.LOWER,
                        DOSES,
                        dose -> new Value.Measured((dose == 0 ? 1 : 1 + 6 / (1 + Math.pow(1.5 / dose, 2)))
                                + 0.3 * noise.nextGaussian())),
                given(DOSES),
                0.05,
                TOLERATED,
                OptionalDouble.of(10));
        assertThat(effect.harmIsUp()).isTrue();
        assertThat(effect.meaning()).isEqualTo(DoseCurve.Meaning.TO_THE_END);
        // Half way from 1 to the scale's end at 10 is 5.5, three quarters of the rise to 7.
        assertThat(effect.effective(50).orElseThrow().dose()).isCloseTo(1.5 * Math.sqrt(3), within(0.3));
        assertThat(effect.tested().loec()).isPresent();
    }

    /** A plateau at two thirds of the control's is no half of it, wherever the curve's own half way lies. */
    @Test
    void halfIsHalfOfTheControlAndNotReachedOnAPlateauAboveIt() {
        DoseEffect effect = measured(
                dose -> 13 + 7 / (1 + Math.pow(dose / 0.8, 3)), 0.5, Observations.Better.HIGHER, new Random(8));
        assertThat(effect.effective(10).orElseThrow().dose()).isCloseTo(0.8 * Math.pow(2.0 / 5, 1.0 / 3), within(0.1));
        DoseCurve.Effective half = effect.effective(50).orElseThrow();
        assertThat(half.dose()).isInfinite();
        assertThat(half.outside()).isTrue();
        assertThat(half.interval95().low()).isGreaterThan(2);
    }

    @Test
    void whatRisesWithoutAnEndIsInPercentOfTheControl() {
        DoseEffect effect = measured(
                dose -> dose == 0 ? 4 : 4 + 6 / (1 + Math.pow(1.5 / dose, 2)),
                0.2,
                Observations.Better.LOWER,
                new Random(2));
        assertThat(effect.meaning()).isEqualTo(DoseCurve.Meaning.ABOVE_CONTROL);
        assertThat(effect.effective(50).orElseThrow().dose()).isCloseTo(1.5 / Math.sqrt(2), within(0.1));
    }

    @Test
    void aCurveThatMissesTheMeansIsNoAnswer() {
        double[] means = {20, 17, 20, 13, 15, 3};
        DoseEffect effect = measured(
                dose -> means[Arrays.binarySearch(DOSES, dose)], 0.4, Observations.Better.HIGHER, new Random(2));
        assertThat(effect.curve().whyNot().orElseThrow()).startsWith("No curve goes through these means");
        assertThat(effect.effective(50)).isEmpty();
        assertThat(effect.tested().loec()).hasValue(0.25);
    }

    /** Those that lived at lower doses show half at most; the dose that killed all is no "not reached". */
    @Test
    void aDoseThatLeftNoneAliveHasNoCurveOfTheLiving() {
        Random noise = new Random(12);
        DoseEffect effect = DoseEffect.of(
                seen(
                        EndpointKind.MEASURED,
                        Observations.Better.HIGHER,
                        DOSES,
                        dose -> dose == 4
                                ? new Value.Missing("scorched", true)
                                : new Value.Measured(falling(dose / 3) + 0.5 * noise.nextGaussian())),
                given(DOSES),
                0.05,
                TOLERATED,
                OptionalDouble.empty());
        assertThat(effect.curve().whyNot().orElseThrow()).startsWith("A dose left none alive");
        assertThat(effect.effective(50)).isEmpty();
        assertThat(effect.tested().loec()).isPresent();
    }

    @Test
    void aControlOfNothingHasNoPercent() {
        DoseEffect effect = measured(dose -> 3 * dose, 0.0001, Observations.Better.LOWER, new Random(2));
        assertThat(effect.curve().whyNot().orElse("")).contains("no percent of it");
    }

    @Test
    void aRiseBeforeTheFallIsKeptWhenTheDataHoldIt() {
        DoseEffect effect = measured(
                dose -> (20 + 30 * dose) / (1 + Math.pow(dose / 1.4, 3)),
                0.6,
                Observations.Better.HIGHER,
                new Random(4));
        assertThat(effect.curve().asOptional().orElseThrow().parts().get(0).label())
                .isEqualTo("a rise at low doses, then a fall");
    }

    @Test
    void refusalsAreInWords() {
        DoseEffect flat = measured(dose -> 10, 1, Observations.Better.HIGHER, new Random(1));
        assertThat(flat.curve().whyNot().orElseThrow()).contains("no response");
        assertThat(flat.tested().loec()).isEmpty();
        assertThat(flat.tested().noec()).hasValue(4);
        DoseEffect cliff = measured(dose -> dose < 1.5 ? 20 : 1, 0.3, Observations.Better.HIGHER, new Random(1));
        assertThat(cliff.curve().whyNot().orElseThrow()).startsWith("All or nothing between 1 and 2");
        double[] few = {0, 1, 2};
        DoseEffect short3 = DoseEffect.of(
                seen(EndpointKind.MEASURED, Observations.Better.HIGHER, few, dose -> new Value.Measured(20 - dose)),
                given(few),
                0.05,
                TOLERATED,
                OptionalDouble.empty());
        assertThat(short3.curve().whyNot().orElseThrow())
                .contains("needs 4 doses or more")
                .contains("3 were read");
    }

    @Test
    void withoutAControlNothingIsHarmless() {
        DoseEffect effect = DoseEffect.of(
                seen(
                        EndpointKind.MEASURED,
                        Observations.Better.HIGHER,
                        new double[] {1, 2, 4},
                        dose -> new Value.Measured(20 - dose)),
                given(1, 2, 4),
                0.05,
                TOLERATED,
                OptionalDouble.empty());
        assertThat(effect.tested().refused().orElseThrow()).isEqualTo("There is no untreated control");
        assertThat(effect.curve().whyNot().orElseThrow()).startsWith("The untreated control was not read");
        assertThat(WorkingRate.of(effect, 2).whyNot()).isPresent();
    }

    @Test
    void countsHaveTheirOwnCurve() {
        Random chance = new Random(3);
        DoseEffect effect = DoseEffect.of(
                seen(EndpointKind.COUNT_OF, Observations.Better.HIGHER, DOSES, dose -> {
                    int alive = 0;
                    for (int i = 0; i < 20; i++) {
                        alive += chance.nextDouble() < 0.97 / (1 + Math.pow(dose / 1.2, 3)) ? 1 : 0;
                    }
                    return new Value.CountOf(alive, 20);
                }),
                given(DOSES),
                0.05,
                TOLERATED,
                OptionalDouble.empty());
        DoseCurve curve = effect.curve().asOptional().orElseThrow();
        assertThat(curve).isInstanceOf(CountedCurves.class);
        assertThat(effect.effective(50).orElseThrow().dose()).isCloseTo(1.2, within(0.12));
        assertThat(curve.at(0)).isBetween(0.9, 1.0);
        assertThat(curve.at(4)).isLessThan(0.1);
    }

    @Test
    void theWorkingRateIsTheLesserOverItsFactorAndSaysWhetherItWasTested() {
        DoseEffect effect = measured(DoseEffectTest::falling, 0.8, Observations.Better.HIGHER, new Random(5));
        WorkingRate rate = WorkingRate.of(effect, 2).asOptional().orElseThrow();
        assertThat(rate.of()).isEqualTo(WorkingRate.Basis.NOEC);
        assertThat(rate.rate()).isEqualTo(0.125);
        assertThat(rate.between()).isEqualTo(new WorkingRate.Between(0, 0.25));
        assertThat(WorkingRate.of(effect, 1)
                        .asOptional()
                        .orElseThrow()
                        .between()
                        .tested())
                .isTrue();
        assertThatThrownBy(() -> WorkingRate.of(effect, 0.5)).hasMessageContaining("1 to 1000");
    }

    /** Six units that scatter by half their mean show no harm at any dose: that is not harmless. */
    @Test
    void aNoneOfTooFewUnitsAllowsNothing() {
        double[] doses = {0, 1, 2, 4};
        Random noise = new Random(21);
        DoseEffect effect = DoseEffect.of(
                seen(
                        EndpointKind.MEASURED,
                        Observations.Better.HIGHER,
                        doses,
                        dose -> new Value.Measured(20 + 9 * noise.nextGaussian())),
                given(doses),
                0.05,
                TOLERATED,
                OptionalDouble.empty());
        assertThat(effect.tested().noec()).hasValue(4);
        assertThat(effect.tested().unseen().orElseThrow()).isGreaterThan(TOLERATED);
        assertThat(effect.proven()).isFalse();
        assertThat(WorkingRate.of(effect, 2).whyNot().orElseThrow()).contains("units could have missed it");
    }

    @Test
    void aNoneThatLeavesNoRoomForHarmStandsWithoutACurve() {
        DoseEffect effect = measured(dose -> 10, 0.5, Observations.Better.HIGHER, new Random(1));
        assertThat(effect.curve().asOptional()).isEmpty();
        assertThat(effect.proven()).isTrue();
        assertThat(WorkingRate.of(effect, 2).asOptional().orElseThrow().rate()).isEqualTo(2);
    }

    @Test
    void whereTheLowestDoseHarmsThereIsNoRate() {
        DoseEffect effect = measured(
                dose -> dose == 0 ? 20 : 20 / (1 + Math.pow(dose / 0.1, 1.2)),
                0.5,
                Observations.Better.HIGHER,
                new Random(1));
        assertThat(WorkingRate.of(effect, 2).whyNot().orElseThrow())
                .contains("Even the lowest strength tested did harm");
    }

    /** Over 800 series: EC50's interval holds the truth as often as it says, and the working rate stays below EC10. */
    @Test
    void intervalsHoldTheTruthAndWorkingRatesStayBelowEc10() {
        int trials = 800;
        int covered = 0;
        int found = 0;
        int below = 0;
        int rates = 0;
        double ec10 = 1.2 * Math.pow(1.0 / 9, 1 / 2.5);
        Random noise = new Random(20_260_601);
        for (int i = 0; i < trials; i++) {
            DoseEffect effect = measured(DoseEffectTest::falling, 1.5, Observations.Better.HIGHER, noise);
            var half = effect.effective(50);
            if (half.isPresent()) {
                found++;
                covered += half.get().interval95().low() <= 1.2
                                && 1.2 <= half.get().interval95().high()
                        ? 1
                        : 0;
            }
            var rate = WorkingRate.of(effect, WorkingRate.USUAL_FACTOR).asOptional();
            if (rate.isPresent()) {
                rates++;
                below += rate.get().rate() < ec10 ? 1 : 0;
            }
        }
        assertThat(found).isGreaterThan(790);
        assertThat(covered / (double) found).isBetween(0.93, 0.97);
        assertThat(below / (double) rates).isGreaterThanOrEqualTo(0.95);
    }
}
