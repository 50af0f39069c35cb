package elsom.core.seedling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.Interval;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Seedling sums against values worked out on paper. */
class SeedlingsTest {
    private static Dish dish(int seeds, int germinated, double... roots) {
        return new Dish(
                seeds, germinated, java.util.Arrays.stream(roots).boxed().toList());
    }

    @Test
    void theIndexIsGerminationTimesRootsAgainstTheControl() {
        // Sample: 8 of 10, roots 10 and 20; control: 10 of 10, roots 30 and 30. 0.8 · 0.5 = 40 %.
        GerminationIndex index = GerminationIndex.of(List.of(dish(10, 8, 10, 20)), List.of(dish(10, 10, 30, 30)))
                .asOptional()
                .orElseThrow();
        assertThat(index.relativeGermination()).isCloseTo(0.8, within(1e-12));
        assertThat(index.relativeRootLength()).isCloseTo(0.5, within(1e-12));
        assertThat(index.index()).isCloseTo(0.4, within(1e-12));
    }

    @Test
    void adishWithoutRootsIsLeftOutOfTheLengthsAndCountsInTheVitality() {
        GerminationIndex index = GerminationIndex.of(
                        List.of(dish(10, 10, 20, 20), dish(10, 0)), List.of(dish(10, 10, 20, 20)))
                .asOptional()
                .orElseThrow();
        assertThat(index.relativeRootLength()).isCloseTo(1, within(1e-12));
        assertThat(index.relativeGermination()).isCloseTo(0.5, within(1e-12));
        assertThat(index.vitalityOverControlMeans()).isCloseTo(0.5, within(1e-12));
    }

    @Test
    void withoutRootsInTheControlThereIsNothingToCompareWith() {
        assertThat(GerminationIndex.of(List.of(dish(10, 8, 10)), List.of(dish(10, 0)))
                        .whyNot())
                .isPresent();
        assertThatThrownBy(() -> GerminationIndex.Side.of(List.of())).hasMessageContaining("at least one dish");
        assertThatThrownBy(() -> dish(10, 11)).hasMessageContaining("11 of 10");
        assertThatThrownBy(() -> dish(10, 1, -2)).hasMessageContaining("0 or more");
    }

    @Test
    void aCourseTellsHowFastSeedsCameUp() {
        // 2 on day 2, 4 on day 4, 2 on day 6, of 10: mean (4 + 16 + 12)/8 = 4; half of 8 between day 2 and 4.
        GerminationCourse course = GerminationCourse.of(
                10,
                List.of(
                        new GerminationCourse.Count(2, 2),
                        new GerminationCourse.Count(4, 4),
                        new GerminationCourse.Count(6, 2)));
        assertThat(course.finalGermination()).isCloseTo(0.8, within(1e-12));
        assertThat(course.meanDays().orElseThrow()).isCloseTo(4, within(1e-12));
        assertThat(course.t50Farooq().orElseThrow()).isCloseTo(3, within(1e-12));
        assertThat(course.t50Coolbear().orElseThrow()).isCloseTo(3.25, within(1e-12));
        assertThat(course.sdDays().orElseThrow()).isCloseTo(Math.sqrt(16 / 7.0), within(1e-12));
        assertThat(course.speed()).isCloseTo(1 + 1 + 2 / 6.0, within(1e-12));
    }

    @Test
    void nothingThatCameUpHasNoMiddle() {
        GerminationCourse none = GerminationCourse.of(10, List.of(new GerminationCourse.Count(2, 0)));
        assertThat(none.finalGermination()).isZero();
        assertThat(none.meanDays()).isEmpty();
        assertThat(none.t50Farooq()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.6,0.2,0.5", "0.2,0.2,0", "0.1,0.2,-0.125", "1,0,1"})
    void injuryIsCorrectedForTheControls(double treated, double control, double expected) {
        assertThat(Abbott.corrected(treated, control).asOptional().orElseThrow())
                .isCloseTo(expected, within(1e-12));
    }

    @Test
    void aDeadControlCorrectsNothing() {
        assertThat(Abbott.corrected(1, 1).whyNot()).isPresent();
        assertThatThrownBy(() -> Abbott.corrected(1.2, 0)).hasMessageContaining("0 to 1");
    }

    @Test
    void aResidueThatHalvesEveryTenDaysIsFoundToDoSo() {
        List<ResidueDecay.Sample> samples = IntStream.of(0, 5, 10, 20, 40)
                .mapToObj(day -> new ResidueDecay.Sample(day, 8 * Math.pow(0.5, day / 10.0)))
                .toList();
        ResidueDecay decay = ResidueDecay.fit(samples).asOptional().orElseThrow();
        assertThat(decay.ratePerDay()).isCloseTo(Math.log(2) / 10, within(1e-12));
        assertThat(decay.daysTo(0.5).asOptional().orElseThrow()).isCloseTo(10, within(1e-9));
        assertThat(decay.daysTo(0.25).asOptional().orElseThrow()).isCloseTo(20, within(1e-9));
    }

    @Test
    void scatterWidensTheHalfLifeAndZeroReadingsAreLeftOut() {
        List<ResidueDecay.Sample> samples = List.of(
                new ResidueDecay.Sample(0, 8.4),
                new ResidueDecay.Sample(5, 5.2),
                new ResidueDecay.Sample(10, 4.3),
                new ResidueDecay.Sample(20, 1.9),
                new ResidueDecay.Sample(60, 0));
        ResidueDecay decay = ResidueDecay.fit(samples).asOptional().orElseThrow();
        Interval interval = decay.daysToInterval95(0.5).orElseThrow();
        double half = decay.daysTo(0.5).asOptional().orElseThrow();
        assertThat(half).isBetween(interval.low(), interval.high());
        assertThat(interval.high() - interval.low()).isPositive();
    }

    @Test
    void whatGrowsHasNoHalfLife() {
        ResidueDecay grows = ResidueDecay.fit(List.of(
                        new ResidueDecay.Sample(0, 1), new ResidueDecay.Sample(5, 2), new ResidueDecay.Sample(9, 4)))
                .asOptional()
                .orElseThrow();
        assertThat(grows.daysTo(0.5).whyNot()).isPresent();
    }

    @Test
    void theFirstSafeDayIsReadOffTheDecline() {
        double[] days = IntStream.rangeClosed(0, 10).mapToDouble(i -> 2.0 * i).toArray();
        double[] injury = java.util.Arrays.stream(days)
                .map(day -> 100 / (1 + Math.exp(0.5 * (day - 8))))
                .toArray();
        InjuryDecline decline = InjuryDecline.fit(days, injury, OptionalDouble.of(100))
                .asOptional()
                .orElseThrow();
        assertThat(decline.dayAt(50).asOptional().orElseThrow().day()).isCloseTo(8, within(1e-6));
        // 10 %: 8 + ln(9)/0.5.
        assertThat(decline.dayAt(10).asOptional().orElseThrow().day()).isCloseTo(8 + Math.log(9) / 0.5, within(1e-6));
        assertThat(decline.dayAt(100).whyNot()).isPresent();
    }
}
