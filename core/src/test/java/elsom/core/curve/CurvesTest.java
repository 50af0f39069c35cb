package elsom.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.chemistry.Titration;
import elsom.core.seedling.GerminationCourse;
import elsom.core.seedling.ResidueDecay;
import elsom.core.water.RetentionCurve;
import elsom.core.water.WaterColumn;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Laws of the curves. */
class CurvesTest {
    private static final RetentionCurve PEAT = new RetentionCurve(0.15, 0.86, 0.1, 2.1);

    private static DoseResponse falling(double unit, long seed) {
        Random random = new Random(seed);
        List<DoseResponse.Point> points = new ArrayList<>();
        for (double dose : new double[] {0, 1, 2, 4, 8, 16}) {
            for (int i = 0; i < 4; i++) {
                double response = 20 / (1 + Math.pow(dose / 4, 2.5)) + 0.5 * random.nextGaussian();
                points.add(new DoseResponse.Point(dose * unit, response));
            }
        }
        return new DoseResponse(points);
    }

    private static LogLogistic fitted(DoseResponse data) {
        return LogLogistic.fit(data, true, DoseResponse.Direction.DECREASE)
                .asOptional()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void anotherUnitOfDoseScalesTheEffectiveDose(long seed) {
        LogLogistic one = fitted(falling(1, seed));
        LogLogistic thousand = fitted(falling(1000, seed));
        assertThat(thousand.effective(50).dose())
                .isCloseTo(1000 * one.effective(50).dose(), within(0.01));
        assertThat(thousand.b()).isCloseTo(one.b(), within(1e-6));
        assertThat(one.effective(10).dose()).isLessThan(one.effective(50).dose());
        assertThat(one.effective(50).dose()).isBetween(3.5, 4.5);
    }

    @Test
    void noResponseAndTooFewDosesAreRefused() {
        List<DoseResponse.Point> flat = new ArrayList<>();
        for (double dose : new double[] {0, 1, 2, 4}) {
            flat.add(new DoseResponse.Point(dose, 5));
            flat.add(new DoseResponse.Point(dose, 6));
        }
        assertThat(LogLogistic.fit(new DoseResponse(flat), false, DoseResponse.Direction.DECREASE)
                        .whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("no response"));
        DoseResponse few = new DoseResponse(
                List.of(new DoseResponse.Point(0, 9), new DoseResponse.Point(1, 5), new DoseResponse.Point(2, 1)));
        assertThat(Hormesis.fit(few).whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("at least 4 doses"));
        assertThatThrownBy(() -> new DoseResponse.Point(-1, 3)).hasMessageContaining("0 or more");
    }

    @Test
    void deeperColumnsHoldLessPerLitre() {
        double before = 1;
        for (double depth = 3; depth < 40; depth += 3) {
            double mean = WaterColumn.meanWater(new WaterColumn.Layer(0, depth, PEAT), z -> 1);
            assertThat(mean).isLessThan(before).isBetween(PEAT.waterAt(depth), PEAT.waterAt(0));
            before = mean;
        }
    }

    @Test
    void aGravelLayerLeavesLessWaterInTheWholePot() {
        RetentionCurve gravel = new RetentionCurve(0.02, 0.42, 2.5, 3);
        double onGravel = WaterColumn.meanWater(new WaterColumn.Layer(3, 13, PEAT), z -> 1);
        double whole = WaterColumn.meanWater(
                List.of(new WaterColumn.Layer(0, 3, gravel), new WaterColumn.Layer(3, 13, PEAT)), z -> 1);
        assertThat(onGravel).isLessThan(WaterColumn.meanWater(new WaterColumn.Layer(0, 10, PEAT), z -> 1));
        assertThat(whole).isLessThan(onGravel);
    }

    @Test
    void aRetentionCurveIsFoundAgain() {
        double[] suction = {0, 5, 10, 20, 50, 100, 300};
        double[] water = Arrays.stream(suction).map(PEAT::waterAt).toArray();
        RetentionCurve found =
                RetentionCurve.fit(suction, water).asOptional().orElseThrow().curve();
        assertThat(found.alphaPerCm()).isCloseTo(0.1, within(1e-5));
        assertThat(found.n()).isCloseTo(2.1, within(1e-4));
        assertThat(RetentionCurve.fit(new double[] {0, 1}, new double[] {0.8, 0.7})
                        .whyNot())
                .isPresent();
        assertThatThrownBy(() -> new RetentionCurve(0.5, 0.4, 0.1, 2)).hasMessageContaining("θr");
    }

    @Test
    void theMonotoneCubicNeverOvershoots() {
        MonotoneCubic curve = MonotoneCubic.through(new double[] {0, 1, 2, 4}, new double[] {4, 4, 6, 6.1});
        double before = 4;
        for (int i = 0; i <= 80; i++) {
            double y = curve.at(i / 20.0).asOptional().orElseThrow();
            assertThat(y).isBetween(before - 1e-12, 6.1 + 1e-12);
            before = y;
        }
        assertThat(curve.at(4.1).whyNot()).isPresent();
        assertThat(curve.firstWhere(4).asOptional()).contains(0.0);
    }

    @Test
    void aTitrationAnswersOnlyWithinItsRange() {
        Titration titration = Titration.of(
                        List.of(new Titration.Jar(0, 4.5), new Titration.Jar(2, 5.5), new Titration.Jar(4, 6.5)))
                .asOptional()
                .orElseThrow();
        assertThat(titration.dose(6).asOptional().orElseThrow()).isCloseTo(3, within(1e-9));
        assertThat(titration.dose(7).whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("higher amounts"));
        assertThat(titration.status(4)).isEqualTo(Titration.Status.BELOW_RANGE);
        assertThat(Titration.of(List.of(new Titration.Jar(0, 4.5))).whyNot()).isPresent();
    }

    @Test
    void decayHalvesInItsHalfLife() {
        List<ResidueDecay.Sample> samples = new ArrayList<>();
        for (int day = 0; day <= 40; day += 10) {
            samples.add(new ResidueDecay.Sample(day, 8 * Math.pow(0.5, day / 12.0)));
        }
        ResidueDecay decay = ResidueDecay.fit(samples).asOptional().orElseThrow();
        assertThat(decay.daysTo(0.5).asOptional().orElseThrow()).isCloseTo(12, within(1e-9));
        List<ResidueDecay.Sample> rising =
                List.of(new ResidueDecay.Sample(0, 1), new ResidueDecay.Sample(5, 2), new ResidueDecay.Sample(9, 3));
        assertThat(ResidueDecay.fit(rising)
                        .asOptional()
                        .orElseThrow()
                        .daysTo(0.5)
                        .whyNot())
                .isPresent();
    }

    @Test
    void germinationCountsMustBePossible() {
        assertThatThrownBy(() -> GerminationCourse.of(5, List.of(new GerminationCourse.Count(1, 6))))
                .hasMessageContaining("6 germinated of 5");
        assertThatThrownBy(() -> GerminationCourse.of(
                        5, List.of(new GerminationCourse.Count(2, 1), new GerminationCourse.Count(1, 1))))
                .hasMessageContaining("rise");
    }
}
