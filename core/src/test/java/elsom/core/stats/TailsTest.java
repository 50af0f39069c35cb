package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.TDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The distributions that are tabulated, against closed forms of their simplest cases, far out into the tail. */
class TailsTest {
    @ParameterizedTest
    @ValueSource(doubles = {0.3, 1, 2.5, 6, 12, 25})
    void theRangeOfTwoIsAStudentT(double t) {
        double expected = 2 * TDistribution.of(9).survivalProbability(t);
        double found = StudentisedRange.of(2, 9).survival(t * Math.sqrt(2));
        assertThat(found / expected).isCloseTo(1, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.3, 1, 2.5, 6, 12, 25})
    void oneTreatmentAgainstAControlIsAStudentT(double t) {
        MaximumT one = MaximumT.of(5, new int[] {7}, 10);
        double expected = TDistribution.of(10).survivalProbability(t);
        assertThat(one.twoSided(t) / (2 * expected)).isCloseTo(1, within(1e-9));
        assertThat(one.oneSided(t) / expected).isCloseTo(1, within(1e-9));
        assertThat(one.oneSided(-t)).isCloseTo(1 - expected, within(1e-11));
    }

    /** Tables of the studentised range and of Dunnett's t at 5 %. */
    @Test
    void tablesAreMet() {
        assertThat(StudentisedRange.of(3, 10).upperQuantile(0.05)).isCloseTo(3.877, within(1e-3));
        assertThat(StudentisedRange.of(12, 60).upperQuantile(0.05)).isCloseTo(4.808, within(1e-3));
        assertThat(MaximumT.of(6, new int[] {6, 6, 6}, 20).twoSidedQuantile(0.05))
                .isCloseTo(2.54, within(0.01));
    }

    @Test
    void moreGroupsAreNeverLessLikelyToLieFarApart() {
        double before = 0;
        for (int groups = 2; groups <= 24; groups++) {
            double now = StudentisedRange.of(groups, 15).survival(4);
            assertThat(now).isGreaterThan(before);
            before = now;
        }
    }

    private static Group spread(String name, int n, double shift) {
        return new Group(
                name, IntStream.range(0, n).mapToObj(i -> i * 1.37 % 19 + shift).toList());
    }

    @Test
    void largeSamplesAreComparedByTheNormalFormAndSayIt() {
        RankTests.MannWhitney test = RankTests.mannWhitney(spread("x", 300, 0), spread("y", 300, 0.4));
        assertThat(test.counted()).isFalse();
        assertThat(test.pExact()).isEqualTo(test.pCorrected()).isBetween(0.0, 1.0);
    }

    @Test
    void theExactAndTheNormalFormMeetWhereOneTakesOver() {
        RankTests.MannWhitney exact = RankTests.mannWhitney(spread("x", 55, 0), spread("y", 50, 1.5));
        assertThat(exact.counted()).isTrue();
        assertThat(exact.pExact()).isCloseTo(exact.pCorrected(), within(0.002));
        List<Double> differences =
                IntStream.range(0, 400).mapToObj(i -> i % 7 - 2.9).toList();
        List<Double> more = DoubleStream.concat(differences.stream().mapToDouble(d -> d), DoubleStream.of(0.1))
                .boxed()
                .toList();
        RankTests.SignedRank counted = RankTests.signedRank(differences);
        RankTests.SignedRank normal = RankTests.signedRank(more);
        assertThat(counted.counted()).isTrue();
        assertThat(normal.counted()).isFalse();
        assertThat(counted.pExact()).isCloseTo(normal.pExact(), within(0.02));
        assertThat(RankTests.signedRank(IntStream.range(0, 1100)
                                .mapToObj(i -> i % 9 - 4.2)
                                .toList())
                        .pExact())
                .isBetween(0.0, 1.0);
    }

    /** 5.6 three times is not exactly 5.6 on average in binary; the difference is rounding, whatever the scale. */
    @ParameterizedTest
    @ValueSource(doubles = {1e-9, 1, 1e9})
    void alikeValuesDoNotScatterAtAnyScale(double scale) {
        Group alike = new Group("a", Arrays.asList(5.6 * scale, 5.6 * scale, 5.6 * scale));
        assertThat(alike.squares()).isZero();
        Group close = new Group("b", Arrays.asList(5.6 * scale, 5.6000001 * scale, 5.6 * scale));
        assertThat(close.squares()).isGreaterThan(0);
        assertThat(OneWay.of(List.of(alike, new Group("c", alike.values()))).sumOfSquaresBetween())
                .isZero();
    }
}
