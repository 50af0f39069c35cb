package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Laws that comparisons obey whatever the data. */
class ComparisonsTest {
    private static List<Group> groups(long seed, int... sizes) {
        Random random = new Random(seed);
        List<Group> groups = new ArrayList<>();
        for (int size : sizes) {
            double mean = 10 + 3 * random.nextGaussian();
            List<Double> values = new ArrayList<>();
            for (int i = 0; i < size; i++) {
                values.add(mean + random.nextGaussian());
            }
            groups.add(new Group("g" + groups.size(), values));
        }
        return groups;
    }

    private static List<Group> shifted(List<Group> groups, double by) {
        return groups.stream()
                .map(g ->
                        new Group(g.name(), g.values().stream().map(v -> v + by).toList()))
                .toList();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void shiftingAllDataChangesNoTest(long seed) {
        OneWay plain = OneWay.of(groups(seed, 4, 5, 3));
        OneWay moved = OneWay.of(shifted(groups(seed, 4, 5, 3), 50));
        assertThat(moved.classical().asOptional().orElseThrow().f())
                .isCloseTo(plain.classical().asOptional().orElseThrow().f(), within(1e-8));
        assertThat(moved.welch().asOptional().orElseThrow().p())
                .isCloseTo(plain.welch().asOptional().orElseThrow().p(), within(1e-9));
        assertThat(moved.kruskal()).isEqualTo(plain.kruskal());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void twoGroupsShareALetterExactlyWhenTheyDoNotDiffer(long seed) {
        Pairwise.Compared compared =
                Pairwise.tukey(groups(seed, 3, 4, 3, 5, 4), 0.05).asOptional().orElseThrow();
        Map<String, String> letters = compared.letters().asOptional().orElseThrow();
        compared.pairs().stream().flatMap(pair -> pair.stream()).forEach(pair -> {
            String a = letters.get(pair.a().name());
            String b = letters.get(pair.b().name());
            boolean share = a.chars().anyMatch(letter -> b.indexOf(letter) >= 0);
            assertThat(share).as("%s %s", a, b).isEqualTo(pair.p() >= 0.05);
        });
    }

    @Test
    void twoGroupsNeedNoAdjustment() {
        List<Group> two = groups(3, 6, 7);
        double student = new TwoSample(two.get(0), two.get(1))
                .student()
                .asOptional()
                .orElseThrow()
                .p();
        assertThat(Pairwise.tukey(two, 0.05)
                        .asOptional()
                        .orElseThrow()
                        .pairs()
                        .get(0)
                        .orElseThrow()
                        .p())
                .isCloseTo(student, within(1e-9));
        assertThat(Dunnett.compare(two.get(0), two.subList(1, 2), 0.05)
                        .asOptional()
                        .orElseThrow()
                        .comparisons()
                        .get(0)
                        .pTwoSided())
                .isCloseTo(student, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"3, 10, 3.877", "5, 20, 4.232", "2, 5, 3.635", "10, 60, 4.646"})
    void theStudentisedRangeHasTheTabledQuantiles(int groups, double df, double q) {
        assertThat(StudentisedRange.of(groups, df).upperQuantile(0.05)).isCloseTo(q, within(7e-4));
    }

    @Test
    void withoutScatterNothingIsJudged() {
        List<Group> flat = List.of(new Group("a", List.of(1.0, 1.0)), new Group("b", List.of(2.0, 2.0)));
        assertThat(OneWay.of(flat).classical().asOptional().orElseThrow().f()).isInfinite();
        assertThat(OneWay.of(flat).welch().whyNot()).isPresent();
        assertThat(Pairwise.tukey(flat, 0.05).whyNot()).isPresent();
        assertThat(Pairwise.gamesHowell(flat, 0.05).letters().whyNot()).isPresent();
        assertThat(Dunnett.compare(flat.get(0), flat.subList(1, 2), 0.05).whyNot())
                .isPresent();
        List<Group> single = List.of(new Group("a", List.of(1.0)), new Group("b", List.of(2.0)));
        assertThat(OneWay.of(single).classical().whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("One unit per treatment"));
        assertThatThrownBy(() -> new Group("a", List.of(Double.NaN))).hasMessageContaining("“a”");
    }

    @Test
    void holmNeverLowersAndKeepsTheOrder() {
        double[] p = {0.01, 0.04, 0.03, 0.5};
        double[] adjusted = Holm.adjust(p);
        assertThat(adjusted).containsExactly(new double[] {0.04, 0.09, 0.09, 0.5}, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"0, 10", "3, 10", "10, 10", "50, 100"})
    void intervalsHoldTheShareAndNarrowWithN(int k, int n) {
        Proportion small = new Proportion(k, n);
        Proportion large = new Proportion(10 * k, 10 * n);
        for (Interval interval : List.of(small.wilson95(), small.clopperPearson95())) {
            assertThat(small.share()).isBetween(interval.low(), interval.high());
        }
        assertThat(width(large.wilson95())).isLessThan(width(small.wilson95()));
        assertThat(width(large.clopperPearson95())).isLessThan(width(small.clopperPearson95()));
    }

    private static double width(Interval interval) {
        return interval.high() - interval.low();
    }

    @Test
    void fishersTestIsTheSameSeenFromEitherSide() {
        Proportion one = new Proportion(3, 14);
        Proportion other = new Proportion(9, 12);
        assertThat(FisherExact.of(one, other).p())
                .isCloseTo(FisherExact.of(other, one).p(), within(1e-12));
        double odds = FisherExact.of(one, other).oddsRatio().asOptional().orElseThrow();
        assertThat(FisherExact.of(other, one).oddsRatio().asOptional().orElseThrow())
                .isCloseTo(1 / odds, within(1e-8));
        FisherExact nothing = FisherExact.of(new Proportion(0, 5), new Proportion(0, 7));
        assertThat(nothing.p()).isEqualTo(1);
        assertThat(nothing.oddsRatio().whyNot()).isPresent();
        assertThat(nothing.oddsRatioInterval95()).isEqualTo(new Interval(0, Double.POSITIVE_INFINITY));
    }

    @Test
    void separatedCountsHaveNoSlope() {
        double[] days = {0, 7, 14, 21};
        int[] n = {10, 10, 10, 10};
        assertThat(LogisticLine.fit(days, n, new int[] {10, 10, 0, 0}).whyNot()).isPresent();
        assertThat(LogisticLine.fit(days, n, new int[] {10, 10, 10, 10}).whyNot())
                .isPresent();
        LogisticLine line =
                LogisticLine.fit(days, n, new int[] {10, 8, 3, 0}).asOptional().orElseThrow();
        assertThat(line.line().slope()).isNegative();
        assertThat(line.at(0.5).asOptional().orElseThrow().x()).isBetween(7.0, 14.0);
        assertThat(line.at(0).whyNot()).isPresent();
    }

    @Test
    void ranksAgreeWithCountingByHand() {
        RankTests.MannWhitney test =
                RankTests.mannWhitney(new Group("x", List.of(1.0, 2.0)), new Group("y", List.of(3.0, 4.0)));
        assertThat(test.uFirst()).isZero();
        assertThat(test.pExact()).isCloseTo(2 / 6.0, within(1e-12));
        assertThat(test.shift()).isEqualTo(2);
        assertThat(RankTests.signedRank(List.of(1.0, 2.0, 3.0)).pExact()).isCloseTo(2 / 8.0, within(1e-12));
        assertThat(RankTests.signedRank(List.of(0.0)).pExact()).isEqualTo(1);
    }
}
