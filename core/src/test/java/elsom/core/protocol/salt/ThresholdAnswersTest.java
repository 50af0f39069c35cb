package elsom.core.protocol.salt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.curve.SalinityResponse;
import elsom.core.curve.XyData;
import elsom.core.plan.APlan;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** From which salinity on yield falls: by what drained, not by what was given. */
class ThresholdAnswersTest {
    private static final double[] STRENGTHS = {0, 5, 10, 20, 40, 60};

    private static double holdsThenFalls(double salinity) {
        return 60 * Math.max(0, 1 - 0.15 * Math.max(0, salinity - 3));
    }

    private static double drained(double strength) {
        return 0.8 + 0.12 * strength;
    }

    private static Findings found(DoubleUnaryOperator yield, boolean withDrain) {
        Plan plan = APlan.of("salinity")
                .factors(APlan.doses(null, null, STRENGTHS))
                .replicates(5)
                .asking(APlan.question("yield"))
                .plan();
        Measured measured = Measured.started(plan);
        Random noise = new Random(11);
        for (Look look : measured.record().looks()) {
            for (ExperimentalUnit unit : measured.record().units()) {
                double salinity = drained(STRENGTHS[unit.treatment() - 1]);
                if (withDrain && look.endpoints().contains(new EndpointCode("ec-out"))) {
                    measured.add(unit, look, "ec-out", 1, Math.round(salinity * 100) / 100.0);
                }
                if (look.endpoints().contains(new EndpointCode("yield"))) {
                    measured.add(
                            unit,
                            look,
                            "yield",
                            1,
                            Math.max(0, yield.applyAsDouble(salinity) + 2 * noise.nextGaussian()));
                }
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan,
                        measured.record(),
                        OptionalInt.of(measured.record().looks().size())));
    }

    private static ThresholdResult result(Findings findings) {
        return findings.sections(ThresholdResult.class).get(0);
    }

    @Test
    void theThresholdIsOfWhatDrainedAndComesFirst() {
        Findings findings = found(ThresholdAnswersTest::holdsThenFalls, true);
        SalinityResponse fit = result(findings).fit().asOptional().orElseThrow();
        assertThat(fit.threshold()).isCloseTo(3, within(0.6));
        assertThat(fit.slopePercent()).isCloseTo(15, within(3.0));
        assertThat(result(findings).axis().code()).isEqualTo("ec-out");
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("Yield at harvest holds up to ")
                .contains("mS/cm (95 % interval ", " in EC of the drain water, then falls by ", "; half is left at ");
        assertThat(findings.answers().get(0).details())
                .anyMatch(said -> said.startsWith("The strongest given without a loss is "));
        assertThat(result(findings).strengths()).hasSize(6);
        assertThat(result(findings).strengths().get(0).percent()).isCloseTo(100, within(5.0));
    }

    @Test
    void withoutAMeterTheStrengthGivenIsTheAxis() {
        ThresholdResult result = result(found(ThresholdAnswersTest::holdsThenFalls, false));
        assertThat(result.axis().label()).isEqualTo("Wood vinegar");
        assertThat(result.points()).extracting(ThresholdResult.Point::salinity).contains(0.0, 60.0);
    }

    @Test
    void aRiseBeforeTheFallIsSaid() {
        Findings findings = found(salinity -> holdsThenFalls(salinity) * Math.min(1, 0.6 + 0.2 * salinity), true);
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("Yield at harvest rises before it falls, so that it has no one threshold: it was highest, ")
                .doesNotContain("holds up to");
        assertThat(result(findings).fit().whyNot().orElseThrow()).contains("lack of fit, p ");
    }

    @Test
    void yieldThatDoesNotFallIsNoThreshold() {
        Findings findings = found(salinity -> 60, true);
        Verdict verdict = findings.answers().get(0).verdict();
        assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(verdict.sentence()).doesNotContain("holds up to");
    }

    /** Over 250 series with a known truth: the profile interval of the threshold holds it about as often as it says. */
    @Test
    void theThresholdsIntervalHoldsTheTruth() {
        Random noise = new Random(20_260_602);
        int trials = 250;
        int held = 0;
        int told = 0;
        double[] levels = {0.8, 1.5, 2.5, 3.5, 5, 6.5, 8};
        for (int trial = 0; trial < trials; trial++) {
            double[] x = new double[levels.length * 5];
            double[] y = new double[x.length];
            for (int i = 0; i < x.length; i++) {
                x[i] = levels[i / 5];
                y[i] = holdsThenFalls(x[i]) + 4 * noise.nextGaussian();
            }
            var fit = SalinityResponse.fit(new XyData(x, y), true).asOptional();
            if (fit.isPresent()) {
                told++;
                boolean low = fit.get().thresholdInterval().low().orElse(Double.NEGATIVE_INFINITY) <= 3;
                boolean high = fit.get().thresholdInterval().high().orElse(Double.POSITIVE_INFINITY) >= 3;
                held += low && high ? 1 : 0;
            }
        }
        assertThat(told).isGreaterThan(245);
        assertThat(held / (double) told).isBetween(0.92, 0.98);
    }

    @Test
    void withoutWaterFreeOfSaltsTheWeakestIsWhatTheOthersAreHeldAgainst() {
        double[] waters = {1, 2, 4, 6, 8};
        Plan plan = APlan.of("salinity")
                .factors(LevelsText.parse("Water", FactorKind.DOSE, "1, 2, 4, 6, 8 mS/cm", "", null, null))
                .replicates(5)
                .asking(APlan.question("yield"))
                .plan();
        Measured measured = Measured.started(plan);
        Random noise = new Random(4);
        Look harvest = measured.record().looks().get(measured.record().looks().size() - 1);
        for (ExperimentalUnit unit : measured.record().units()) {
            measured.add(
                    unit, harvest, "yield", 1, holdsThenFalls(waters[unit.treatment() - 1]) + noise.nextGaussian());
        }
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan,
                        measured.record(),
                        OptionalInt.of(measured.record().looks().size())));
        assertThat(result(findings).fit().asOptional().orElseThrow().threshold())
                .isCloseTo(3, within(0.4));
        assertThat(findings.answers().get(0).details().toString())
                .contains("The strongest given without a loss is 2 mS/cm beside 1 mS/cm; a loss shows from 4 mS/cm on.")
                .doesNotContain("less than without");
        assertThat(plan.treatments().all().get(0).isControl()).isTrue();
    }

    @Test
    void whereTheWeakestWaterBurnsNothingIsTold() {
        Plan plan = APlan.of("salinity")
                .factors(APlan.doses(null, null, STRENGTHS))
                .replicates(5)
                .asking(APlan.question("yield"))
                .plan();
        Measured measured = Measured.started(plan);
        Look harvest = measured.record().looks().get(measured.record().looks().size() - 1);
        for (ExperimentalUnit unit : measured.record().units()) {
            measured.add(unit, harvest, "injury", 1, 5).add(unit, harvest, "yield", 1, 60 - 8 * unit.treatment());
        }
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(harvest.number())));
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("No threshold can be told: the control failed: the weakest water must leave plants");
        assertThat(findings.sections(ThresholdResult.class)).isEmpty();
    }
}
