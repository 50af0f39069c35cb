package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class StretchTest {
    private static final Instant START = Instant.parse("2026-11-01T00:00:00Z");
    private static final Offset<Double> CLOSE = within(1e-9);

    private static Stretch stretch(double hours, double limit) {
        return new Stretch(START, START.plusMillis((long) (hours * 3_600_000)), limit);
    }

    private static void fill(Stretch stretch, double from, double to, double every, DoubleUnaryOperator course) {
        for (double hour = from; hour <= to + 1e-9; hour += every) {
            stretch.add(START.toEpochMilli() + Math.round(hour * 3_600_000), course.applyAsDouble(hour));
        }
    }

    @Test
    void aStraightRiseHasItsMiddleAsMeanAndItsTriangleAsArea() {
        Stretch rise = stretch(10, 4);
        fill(rise, 0, 10, 0.5, hour -> hour);
        assertThat(rise.figure(SeriesSummary.MEAN)).hasValueCloseTo(5.0, CLOSE);
        assertThat(rise.figure(SeriesSummary.LOWEST)).hasValue(0);
        assertThat(rise.figure(SeriesSummary.HIGHEST)).hasValue(10);
        assertThat(rise.figure(SeriesSummary.AREA)).hasValueCloseTo(50.0 / 24, CLOSE);
        assertThat(rise.figure(SeriesSummary.HOURS_ABOVE)).hasValueCloseTo(6.0, CLOSE);
        assertThat(rise.covered()).isCloseTo(1, CLOSE);
    }

    @Test
    void unevenStepsDoNotPullTheMean() {
        Stretch often = stretch(10, 0);
        fill(often, 0, 4.9, 0.1, hour -> 2);
        fill(often, 5, 10, 2.5, hour -> 2);
        assertThat(often.figure(SeriesSummary.MEAN)).hasValueCloseTo(2.0, CLOSE);
        Stretch crossing = stretch(2, 1);
        fill(crossing, 0, 2, 2, hour -> hour * 2);
        assertThat(crossing.figure(SeriesSummary.HOURS_ABOVE)).hasValueCloseTo(1.5, CLOSE);
    }

    @Test
    void aSilenceIsNotBridgedAndHalfAStretchOfItGivesNoFigure() {
        Stretch half = stretch(48, 0);
        fill(half, 0, 20, 1, hour -> 1);
        assertThat(half.figure(SeriesSummary.MEAN)).isEmpty();
        fill(half, 40, 48, 1, hour -> 3);
        assertThat(half.covered()).isCloseTo(28.0 / 48, CLOSE);
        assertThat(half.figure(SeriesSummary.MEAN)).hasValueCloseTo((20 + 3 * 8) / 28.0, CLOSE);
    }

    @Test
    void aProbeCarriedRoundOnceAWeekIsAveragedAndHasNoArea() {
        Stretch walked = stretch(24 * 15, 0);
        fill(walked, 0, 24 * 15, 24 * 7, hour -> hour / 168);
        assertThat(walked.figure(SeriesSummary.MEAN)).hasValue(1);
        assertThat(walked.figure(SeriesSummary.AREA)).isEmpty();
        assertThat(walked.figure(SeriesSummary.HOURS_ABOVE)).isEmpty();
        assertThat(stretch(5, 0).figure(SeriesSummary.MEAN)).isEmpty();
    }

    @Test
    void samplesOutsideAreLeftOutAndTheOthersComeInOrder() {
        Stretch narrow = stretch(1, 0);
        fill(narrow, -5, 8, 0.5, hour -> hour);
        assertThat(narrow.samples()).isEqualTo(3);
        assertThatThrownBy(() -> narrow.add(START.plus(Duration.ofMinutes(30)).toEpochMilli(), 1))
                .hasMessageContaining("order of time");
    }

    @Test
    void thinningKeepsEveryPeakAndBothEnds() {
        Random random = new Random(7);
        long from = START.toEpochMilli();
        int samples = 100_000;
        Thinning thinning = new Thinning(from, from + samples * 1000L, 800);
        double highest = Double.NEGATIVE_INFINITY;
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < samples; i++) {
            double value = random.nextGaussian() + (i == 51_234 ? 40 : 0);
            highest = Math.max(highest, value);
            lowest = Math.min(lowest, value);
            thinning.add(from + i * 1000L, value);
        }
        List<Sample> points = thinning.points();
        assertThat(thinning.samples()).isEqualTo(samples);
        assertThat(points)
                .hasSizeLessThanOrEqualTo(4 * 800)
                .isSortedAccordingTo((a, b) -> Long.compare(a.at(), b.at()));
        assertThat(points.get(0).at()).isEqualTo(from);
        assertThat(points.get(points.size() - 1).at()).isEqualTo(from + (samples - 1) * 1000L);
        assertThat(points.stream().mapToDouble(Sample::value).max()).hasValue(highest);
        assertThat(points.stream().mapToDouble(Sample::value).min()).hasValue(lowest);
    }

    @Test
    void aFewSamplesAreAllKept() {
        Thinning thinning = new Thinning(0, 1000, 800);
        List.of(0L, 10L, 500L, 1000L).forEach(at -> thinning.add(at, at));
        assertThat(thinning.points()).hasSize(4);
    }

    @Test
    void whatASensorIsAskedForHasAName() {
        assertThat(new Sensed(Measurand.EC, 10, SeriesSummary.MEAN, 0).name()).isEqualTo("Mean EC at 10 cm");
        assertThat(new Sensed(Measurand.TEMPERATURE, 0, SeriesSummary.HOURS_ABOVE, 30).name())
                .isEqualTo("Hours above 30 °C temperature");
        assertThatThrownBy(() -> new Sensed(Measurand.PH, 0, SeriesSummary.HOURS_ABOVE, 30))
                .hasMessageContaining("a limit");
    }
}
