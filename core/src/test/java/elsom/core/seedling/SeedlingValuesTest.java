package elsom.core.seedling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.curve.LeastSquaresFit;
import elsom.core.seedling.GerminationCourse.Count;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Curves and indices against sums made in another environment (normal equations and Gauss–Newton in plain Python). */
class SeedlingValuesTest {
    private static final double[] DAYS = {0, 2, 4, 6, 8, 10, 12, 16};
    private static final double[] INJURY = {97, 96, 88, 75, 52, 24, 14, 3};

    private static ResidueDecay decay(double... concentrations) {
        double[] days = {0, 5, 10, 20, 60};
        List<ResidueDecay.Sample> samples = new ArrayList<>();
        for (int i = 0; i < concentrations.length; i++) {
            samples.add(new ResidueDecay.Sample(days[i], concentrations[i]));
        }
        return ResidueDecay.fit(samples).asOptional().orElseThrow();
    }

    @Test
    void aHalfLifeAndItsInterval() {
        ResidueDecay decay = decay(8.4, 5.2, 4.3, 1.9, 0);
        assertThat(decay.ratePerDay()).isCloseTo(0.07204741611, within(1e-10));
        Interval rate = decay.rateInterval95().orElseThrow();
        assertThat(rate.low()).isCloseTo(0.04631552269, within(1e-9));
        assertThat(rate.high()).isCloseTo(0.09777930953, within(1e-9));
        Interval days = decay.daysToInterval95(0.5).orElseThrow();
        assertThat(days.low()).isCloseTo(7.0888942033, within(1e-7));
        assertThat(days.high()).isCloseTo(14.9657639669, within(1e-7));
    }

    /** Where growth can't be ruled out no day is too late. */
    @Test
    void anUnsureHalfLifeIsOpenAbove() {
        ResidueDecay weak = decay(8, 2, 7, 2.5);
        assertThat(weak.ratePerDay()).isCloseTo(0.03681717484, within(1e-10));
        Interval days = weak.daysToInterval95(0.5).orElseThrow();
        assertThat(days.low()).isCloseTo(Math.log(2) / 0.26182388517, within(1e-7));
        assertThat(days.high()).isInfinite();
        ResidueDecay grows = decay(1, 2, 4, 16);
        assertThat(grows.daysToInterval95(0.5).orElseThrow().low()).isInfinite();
    }

    @Test
    void theCurveItselfIsFittedToAllSamples() {
        LeastSquaresFit fit = ResidueDecay.fitCurve(List.of(
                        new ResidueDecay.Sample(0, 8.4),
                        new ResidueDecay.Sample(5, 5.2),
                        new ResidueDecay.Sample(10, 4.3),
                        new ResidueDecay.Sample(20, 1.9),
                        new ResidueDecay.Sample(60, 0)))
                .asOptional()
                .orElseThrow();
        assertThat(fit.estimates()[0]).isCloseTo(8.2314991941, within(1e-6));
        assertThat(fit.estimates()[1]).isCloseTo(0.0736691770, within(1e-8));
        assertThat(fit.standardErrorOf(new double[] {1, 0})).isCloseTo(0.3421748623, within(1e-6));
        assertThat(fit.standardErrorOf(new double[] {0, 1})).isCloseTo(0.0073437835, within(1e-8));
        assertThat(ResidueDecay.fitCurve(List.of(new ResidueDecay.Sample(0, 8.4), new ResidueDecay.Sample(5, 5.2)))
                        .whyNot())
                .isPresent();
    }

    @Test
    void theDayOfAThresholdWithAFixedTop() {
        InjuryDecline decline = InjuryDecline.fit(DAYS, INJURY, OptionalDouble.of(100))
                .asOptional()
                .orElseThrow();
        InjuryDecline.Day day = decline.dayAt(20).asOptional().orElseThrow();
        assertThat(decline.ratePerDay()).isCloseTo(0.5112637220, within(1e-6));
        assertThat(decline.halfDay()).isCloseTo(8.0636791770, within(1e-6));
        assertThat(day.day()).isCloseTo(10.7751846122, within(1e-6));
        assertThat(day.standardError()).isCloseTo(0.1504274966, within(1e-6));
        assertThat(day.interval95().low()).isCloseTo(10.4071017880, within(1e-5));
        assertThat(day.interval95().high()).isCloseTo(11.1432674365, within(1e-5));
    }

    @Test
    void theDayOfAThresholdWithItsOwnTop() {
        InjuryDecline decline = InjuryDecline.fit(DAYS, INJURY, OptionalDouble.empty())
                .asOptional()
                .orElseThrow();
        assertThat(decline.upper()).isCloseTo(98.9980203304, within(1e-5));
        assertThat(decline.at(7)).isCloseTo(63.6017015313, within(1e-5));
        InjuryDecline.Day day = decline.dayAt(20).asOptional().orElseThrow();
        assertThat(day.day()).isCloseTo(10.7425833448, within(1e-6));
        assertThat(day.standardError()).isCloseTo(0.1661190759, within(1e-5));
        assertThat(decline.dayAt(0).whyNot()).isPresent();
        assertThat(decline.dayAt(99).whyNot()).isPresent();
    }

    @Test
    void aCurveNeedsMoreDaysThanItHasParameters() {
        double[] three = {0, 4, 8};
        double[] injury = {90, 50, 10};
        assertThat(InjuryDecline.fit(three, injury, OptionalDouble.of(100)).asOptional())
                .isPresent();
        assertThat(InjuryDecline.fit(three, injury, OptionalDouble.empty()).whyNot())
                .isPresent();
        assertThat(InjuryDecline.fit(new double[] {0, 0, 8, 8}, new double[] {90, 80, 10, 12}, OptionalDouble.of(100))
                        .whyNot())
                .isPresent();
        assertThat(InjuryDecline.fit(DAYS, new double[] {1, 5, 9, 20, 40, 66, 80, 91}, OptionalDouble.of(100))
                        .whyNot())
                .isPresent();
    }

    /**
     * Sample: 8 of 10 with roots 10 and 20, 4 of 10 with one of 30; control: 10 of 10 with 40 and 30, 8 of 10 with 20.
     * Germination 0.6/0.9; means of dishes 22.5/27.5, of roots 20/30; products (12 + 12)/2 and (35 + 16)/2.
     */
    @Test
    void fourWaysToIndexOnSidesThatAllDiffer() {
        GerminationIndex index = GerminationIndex.of(
                        List.of(new Dish(10, 8, List.of(10.0, 20.0)), new Dish(10, 4, List.of(30.0))),
                        List.of(new Dish(10, 10, List.of(40.0, 30.0)), new Dish(10, 8, List.of(20.0))))
                .asOptional()
                .orElseThrow();
        assertThat(index.relativeGermination()).isCloseTo(0.6 / 0.9, within(1e-12));
        assertThat(index.relativeRootLength()).isCloseTo(22.5 / 27.5, within(1e-12));
        assertThat(index.index()).isCloseTo(0.6 / 0.9 * 22.5 / 27.5, within(1e-12));
        assertThat(index.pooledIndex()).isCloseTo(0.6 / 0.9 * 20 / 30, within(1e-12));
        assertThat(index.vitalityOverControlMeans()).isCloseTo(12 / (0.9 * 27.5), within(1e-12));
        assertThat(index.vitalityOverControlProducts()).isCloseTo(12 / 25.5, within(1e-12));
    }

    @Test
    void rootsOfNoLengthAtAllAreNothingToCompareWith() {
        Dish sample = new Dish(1, 1, List.of(3.0));
        assertThat(GerminationIndex.of(List.of(sample), List.of(new Dish(1, 1, List.of(0.0))))
                        .whyNot())
                .isPresent();
        assertThat(GerminationIndex.of(List.of(sample), List.of(new Dish(1, 0, List.of(5.0))))
                        .whyNot())
                .isPresent();
        assertThat(new Dish(1, 0, List.of(0.0)).seeds()).isEqualTo(1);
        assertThatThrownBy(() -> new Dish(0, 0, List.of())).hasMessageContaining("0 of 0");
        assertThatThrownBy(() -> new Dish(5, -1, List.of())).hasMessageContaining("-1 of 5");
        assertThatThrownBy(() -> new Dish(5, 1, List.of(Double.POSITIVE_INFINITY)))
                .hasMessageContaining("0 or more");
    }

    /** 1 on day 2, 3 on day 5: mean 4.25, squares 6.75; half of 4 on day 2 + 1/3 · 3; (4 + 1)/2 on day 2 + 1.5/3 · 3. */
    @Test
    void aCourseOfUnevenDays() {
        GerminationCourse course = GerminationCourse.of(4, List.of(new Count(2, 1), new Count(5, 3)));
        assertThat(course.finalGermination()).isEqualTo(1);
        assertThat(course.meanDays().orElseThrow()).isCloseTo(4.25, within(1e-12));
        assertThat(course.sdDays().orElseThrow()).isCloseTo(1.5, within(1e-12));
        assertThat(course.t50Farooq().orElseThrow()).isCloseTo(3, within(1e-12));
        assertThat(course.t50Coolbear().orElseThrow()).isCloseTo(3.5, within(1e-12));
        assertThat(GerminationCourse.of(4, List.of(new Count(2, 1))).sdDays()).isEmpty();
        assertThat(GerminationCourse.of(4, List.of(new Count(2, 2), new Count(5, 2)))
                        .t50Farooq()
                        .orElseThrow())
                .isCloseTo(2, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"0, 1, 3, 1, 5", "2, 1, 2, 1, 5", "2, -1, 3, 1, 5", "2, 3, 3, 3, 5", "1, 0, 2, 0, 0"})
    void aCourseThatCantBeIsRefused(double dayOne, int one, double dayTwo, int two, int seeds) {
        assertThatThrownBy(() -> GerminationCourse.of(seeds, List.of(new Count(dayOne, one), new Count(dayTwo, two))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"treated", "control"})
    void sharesAboveOneOrBelowNoneAreRefused(String which) {
        boolean treated = which.equals("treated");
        assertThatThrownBy(() -> Abbott.corrected(treated ? -0.1 : 0.5, treated ? 0.5 : 1.1))
                .hasMessageContaining("0 to 1");
        assertThat(Abbott.corrected(1, 0).asOptional()).contains(1.0);
        assertThat(Abbott.corrected(0, 0).asOptional()).contains(0.0);
    }
}
