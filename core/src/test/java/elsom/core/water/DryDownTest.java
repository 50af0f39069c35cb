package elsom.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DryDownTest {
    private static final double[] HOURS = {0, 2, 6, 24, 48, 72, 120};

    private static List<TimedMass> weighings(DoubleUnaryOperator mass) {
        return DoubleStream.of(HOURS)
                .mapToObj(hour -> new TimedMass(hour, mass.applyAsDouble(hour)))
                .toList();
    }

    private static ExponentialDryDown exponential(List<TimedMass> points) {
        return DryDown.exponential(points).asOptional().orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.002, 0.01, 0.05, 0.3})
    void findsTheCurveThatMadeThePoints(double rate) {
        ExponentialDryDown fit = exponential(weighings(t -> 200 + 300 * Math.exp(-rate * t)));
        assertThat(fit.startMassG()).isCloseTo(500, within(1e-4));
        assertThat(fit.residualMassG()).isCloseTo(200, within(1e-2));
        assertThat(fit.ratePerHour()).isCloseTo(rate, within(rate * 1e-4));
        assertThat(fit.timeTo(350).asOptional().orElseThrow().hours()).isCloseTo(Math.log(2) / rate, within(1e-2));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void theFittedMassNeverRises(long seed) {
        Random random = new Random(seed);
        List<TimedMass> noisy = weighings(t -> 150 + 250 * Math.exp(-0.005 * seed * t) + 2 * random.nextGaussian());
        DryDown.exponential(noisy).asOptional().ifPresent(fit -> {
            for (double hour = 0; hour < 200; hour++) {
                assertThat(fit.massAt(hour + 1)).isLessThanOrEqualTo(fit.massAt(hour));
            }
        });
        assertThat(DryDown.exponential(noisy).asOptional()).isPresent();
    }

    @Test
    void hoursInAnotherUnitScaleTheRateOnly() {
        List<TimedMass> hours = weighings(t -> 200 + 300 * Math.exp(-0.02 * t) + Math.sin(t));
        List<TimedMass> days = hours.stream()
                .map(point -> new TimedMass(point.hours() / 24, point.grams()))
                .toList();
        assertThat(exponential(days).ratePerHour()).isCloseTo(exponential(hours).ratePerHour() * 24, within(1e-6));
        assertThat(exponential(days).residualMassG())
                .isCloseTo(exponential(hours).residualMassG(), within(1e-5));
    }

    @Test
    void theOrderOfTheWeighingsDoesNotMatter() {
        List<TimedMass> points = new ArrayList<>(weighings(t -> 200 + 300 * Math.exp(-0.02 * t) + Math.sin(t)));
        double rate = exponential(points).ratePerHour();
        java.util.Collections.reverse(points);
        assertThat(exponential(points).ratePerHour()).isCloseTo(rate, within(1e-9));
    }

    @Test
    void saysWhyThereIsNoCurve() {
        assertThat(DryDown.exponential(weighings(t -> 400)).whyNot()).contains("The weight never changes");
        assertThat(DryDown.exponential(weighings(t -> 400 - t)).whyNot()).isPresent();
        assertThat(DryDown.exponential(weighings(t -> 400 + t)).whyNot()).isPresent();
        assertThat(DryDown.exponential(weighings(t -> 400 - t).subList(0, 3)).whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("at least 4 weighings"));
    }

    @Test
    void aTriggerOutsideTheCurveIsNotReachedOrReachedAtOnce() {
        ExponentialDryDown fit = exponential(weighings(t -> 200 + 300 * Math.exp(-0.02 * t)));
        assertThat(fit.timeTo(199).whyNot()).isPresent();
        assertThat(fit.timeTo(600).asOptional().orElseThrow().hours()).isZero();
    }

    @Test
    void twoStagesMeetWithoutAJump() {
        double[] truth = {600, 5, 30, 320};
        List<TimedMass> points = DoubleStream.iterate(0, t -> t <= 100, t -> t + 5)
                .mapToObj(t -> new TimedMass(t, TwoStageModel.INSTANCE.value(t, truth)))
                .toList();
        TwoStageDryDown fit = DryDown.twoStage(points).asOptional().orElseThrow();
        assertThat(fit.breakHours()).isCloseTo(30, within(0.01));
        assertThat(fit.massAtBreakG()).isCloseTo(450, within(0.1));
        assertThat(fit.massAt(fit.breakHours() - 1e-9)).isCloseTo(fit.massAt(fit.breakHours() + 1e-9), within(1e-6));
        assertThat(fit.timeTo(500).asOptional().orElseThrow().hours()).isCloseTo(20, within(0.01));
        assertThat(DryDown.twoStage(points.subList(0, 4)).whyNot()).isPresent();
    }

    @Test
    void theModelsSlopesAreThoseOfItsCurve() {
        double[] at = {600, 5, 30, 320};
        for (double t : new double[] {10, 35, 60, 95}) {
            double[] gradient = TwoStageModel.INSTANCE.gradient(t, at);
            for (int i = 0; i < at.length; i++) {
                double step = 1e-5;
                double[] up = at.clone();
                double[] down = at.clone();
                up[i] += step;
                down[i] -= step;
                double slope =
                        (TwoStageModel.INSTANCE.value(t, up) - TwoStageModel.INSTANCE.value(t, down)) / (2 * step);
                assertThat(gradient[i]).as("parameter %d at %s h", i, t).isCloseTo(slope, within(1e-4));
            }
        }
    }

    @Test
    void theRefillTimeComesFromTheCurveOrFromTheWeighingsAround() {
        Gravimetry smooth =
                new Gravimetry(30, 100, weighings(t -> 100 + 200 * Math.exp(-0.02 * t)), 400, OptionalDouble.empty());
        RefillTime byCurve = RefillTime.of(smooth, 0.5).asOptional().orElseThrow();
        assertThat(byCurve.method()).isEqualTo(RefillTime.Method.CURVE);
        assertThat(byCurve.hours()).isCloseTo(Math.log(2) / 0.02, within(0.01));
        assertThat(byCurve.extrapolated()).isFalse();

        Gravimetry few = new Gravimetry(
                30,
                100,
                List.of(new TimedMass(0, 300), new TimedMass(10, 240), new TimedMass(30, 180)),
                400,
                OptionalDouble.empty());
        RefillTime byLine = RefillTime.of(few, 0.5).asOptional().orElseThrow();
        assertThat(byLine.method()).isEqualTo(RefillTime.Method.STRAIGHT_LINE);
        assertThat(byLine.hours()).isCloseTo(10 + 20 * 40 / 60.0, within(1e-9));
    }

    @Test
    void aRefillTimeFarBeyondTheWeighingsIsNotGiven() {
        Gravimetry slow =
                new Gravimetry(30, 100, weighings(t -> 100 + 200 * Math.exp(-0.002 * t)), 400, OptionalDouble.empty());
        assertThat(RefillTime.of(slow, 0.5).whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("longer"));
        Gravimetry slower =
                new Gravimetry(30, 100, weighings(t -> 100 + 200 * Math.exp(-0.004 * t)), 400, OptionalDouble.empty());
        assertThat(RefillTime.of(slower, 0.5).asOptional().orElseThrow().extrapolated())
                .isTrue();
    }
}
