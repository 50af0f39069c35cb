package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Observations.Better;
import elsom.core.stats.Group;
import elsom.core.stats.Pairwise;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Which analysis is chosen, and that its figures are those of the tests it stands on. */
class JudgeTest {
    private final List<Arm> arms = new ArrayList<>();
    private final List<Observed> units = new ArrayList<>();

    private int arm(boolean control, String... levels) {
        String code = String.valueOf((char) ('A' + arms.size()));
        arms.add(new Arm(code, String.join(" ", levels), List.of(levels), control));
        return arms.size() - 1;
    }

    private void values(int arm, double... values) {
        for (int i = 0; i < values.length; i++) {
            units.add(new Observed("u" + units.size(), arm, i + 1, 0, 0, 0, new Value.Measured(values[i])));
        }
    }

    private void trays(int arm, int n, int... counts) {
        for (int k : counts) {
            units.add(new Observed("u" + units.size(), arm, 0, 0, 0, 0, new Value.CountOf(k, n)));
        }
    }

    private Observations observations(Design design, EndpointKind kind, String... factors) {
        return new Observations(
                design, List.of(factors), arms, kind, Better.HIGHER, kind == EndpointKind.MEASURED ? 0.1 : 1, units);
    }

    private Judgement judged(Design design, EndpointKind kind, OptionalDouble margin, String... factors) {
        return Judge.of(observations(design, kind, factors), Ask.againstControl(margin));
    }

    @Test
    void groupsThatScatterDifferentlyAreEachJudgedByTheirOwnScatter() {
        values(arm(true, "a"), 10, 10.1, 9.9, 10, 10.1, 9.9);
        values(arm(false, "b"), 5, 15, 2, 18, 12, 8);
        values(arm(false, "c"), 11, 11.1, 11.2, 11, 11.1, 11.2);
        Judgement judged = judged(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, OptionalDouble.empty(), "mix");
        assertThat(judged.method()).isEqualTo(Method.DUNNETT_UNEQUAL);
        assertThat(judged.comparisons().get(0).answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(judged.comparisons().get(1).answer()).isEqualTo(Answer.BETTER);
        assertThat(judged.checked()).anyMatch(text -> text.contains("one scatter for all counts for 0 %"));
    }

    /** 0 of 3 beside 3 of 3: Fisher's exact p is 2/20, so neither the answer nor the letters tell them apart. */
    @Test
    void threePlantsOfEachTellNothingApart() {
        trays(arm(true, "a"), 1, 0, 0, 0);
        trays(arm(false, "b"), 1, 1, 1, 1);
        Judgement judged = judged(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip");
        assertThat(judged.comparisons().get(0).p().orElseThrow()).isCloseTo(0.1, within(1e-12));
        assertThat(judged.comparisons().get(0).answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(judged.comparisons().get(0).interval().orElseThrow().low()).isZero();
        assertThat(judged.letters()).containsExactly("a", "a");
    }

    @Test
    void withoutAControlAllPairsAreThoseOfTukeyAndKramer() {
        double[] first = {11.4, 12.2, 11.2, 13.4};
        double[] second = {12.7, 11.7, 12.8, 13.1, 12.9, 12.1};
        double[] third = {16.4, 15.4, 14.4, 13, 16};
        values(arm(false, "a"), first);
        values(arm(false, "b"), second);
        values(arm(false, "c"), third);
        Judgement judged = Judge.of(
                observations(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, "mix"),
                Ask.againstControl(OptionalDouble.empty()).alike());
        Pairwise.Compared tukey = Pairwise.tukey(List.of(group(first), group(second), group(third)), 0.05)
                .asOptional()
                .orElseThrow();
        for (int i = 0; i < 3; i++) {
            Pairwise.Pair pair = tukey.pairs().get(i).orElseThrow();
            assertThat(judged.comparisons().get(i).interval().orElseThrow().low())
                    .isCloseTo(pair.interval().low(), within(1e-8));
            assertThat(judged.comparisons().get(i).p().orElseThrow()).isCloseTo(pair.p(), within(1e-8));
        }
        assertThat(judged.checked()).anyMatch(text -> text.contains("no control"));
        assertThat(judged.letters()).containsExactly("b", "b", "a");
    }

    private static Group group(double... values) {
        return new Group("g", java.util.Arrays.stream(values).boxed().toList());
    }

    @Test
    void readingsThatAgreeToTheDigitHaveTheScatterOfTheDigit() {
        values(arm(true, "a"), 5.6, 5.6, 5.6);
        values(arm(false, "b"), 6.1, 6.1, 6.1);
        Comparison only = judged(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, OptionalDouble.empty(), "lime")
                .comparisons()
                .get(0);
        assertThat(only.interval().orElseThrow().low()).isLessThan(0.5);
        assertThat(only.interval().orElseThrow().high()).isGreaterThan(0.5);
        assertThat(only.answer()).isEqualTo(Answer.BETTER);
    }

    @Test
    void blocksAreTakenOutAndLostUnitsDoNotUnbalanceTheMeans() {
        int control = arm(true, "a");
        int treated = arm(false, "b");
        values(control, 10, 20, 30, 40);
        values(treated, 12.1, 21.9, 32.0, 41.9);
        units.set(3, new Observed("lost", control, 4, 0, 0, 0, new Value.Missing("lost")));
        Judgement judged = judged(Design.BLOCKS, EndpointKind.MEASURED, OptionalDouble.of(1), "feed");
        assertThat(judged.comparisons().get(0).difference()).isCloseTo(2.0, within(0.01));
        assertThat(judged.comparisons().get(0).answer()).isEqualTo(Answer.BETTER);
    }

    @Test
    void theComparatorIsTheControlAtTheSameLevelOfTheOthers() {
        values(arm(true, "none", "leaf mould"), 10, 11, 10.5, 10.2);
        values(arm(true, "none", "hulls"), 10.1, 10.9, 10.4, 10.3);
        values(arm(false, "dip", "leaf mould"), 10.2, 10.8, 10.6, 10.1);
        values(arm(false, "dip", "hulls"), 15.2, 15.8, 15.6, 15.1);
        Judgement judged =
                judged(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, OptionalDouble.of(1), "dip", "medium");
        assertThat(judged.comparisons()).extracting(Comparison::comparator).containsExactly(0, 1);
        assertThat(judged.comparisons())
                .extracting(Comparison::answer)
                .containsExactly(Answer.NO_DIFFERENCE, Answer.BETTER);
        Interaction interaction = judged.interaction().orElseThrow();
        assertThat(interaction.shown()).isTrue();
        assertThat(interaction.estimate()).isCloseTo(5, within(0.2));
        assertThat(judged.mainEffects()).singleElement().satisfies(effect -> {
            assertThat(effect.level()).isEqualTo("dip");
            assertThat(effect.difference()).isCloseTo(2.5, within(0.1));
        });
    }

    /** One cutting a cell of the tray: the odds stand beside the shares, also where all or none of a group rooted. */
    @Test
    void anInteractionOfSinglePlantsIsAlsoGivenOnTheScaleOfOdds() {
        plants(arm(true, "none", "leaf mould"), 3, 10);
        plants(arm(true, "none", "hulls"), 0, 10);
        plants(arm(false, "dip", "leaf mould"), 4, 10);
        plants(arm(false, "dip", "hulls"), 10, 10);
        Judgement judged =
                judged(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip", "medium");
        Interaction found = judged.interaction().orElseThrow();
        double mould = (4.5 / 6.5) / (3.5 / 7.5);
        double hulls = (10.5 / 0.5) / (0.5 / 10.5);
        assertThat(found.shown()).isTrue();
        assertThat(found.odds().orElseThrow().ratio()).isCloseTo(hulls / mould, within(hulls / mould * 1e-6));
        assertThat(found.odds().orElseThrow().interval().low()).isBetween(1.0, hulls / mould);
        assertThat(found.odds().orElseThrow().p()).isLessThan(0.05);
    }

    /** Blocks that differ are taken out first: without them the odds would be drawn together. */
    @Test
    void oddsAreThoseWithinBlocks() {
        int plain = arm(true, "none", "leaf mould");
        int plainHulls = arm(true, "none", "hulls");
        int dipped = arm(false, "dip", "leaf mould");
        int dippedHulls = arm(false, "dip", "hulls");
        int[][] rooted = {{2, 1, 3, 7}, {8, 5, 8, 10}};
        for (int block = 0; block < 2; block++) {
            int[] arms = {plain, plainHulls, dipped, dippedHulls};
            for (int arm = 0; arm < arms.length; arm++) {
                for (int plant = 0; plant < 10; plant++) {
                    units.add(new Observed(
                            "u" + units.size(),
                            arms[arm],
                            block + 1,
                            0,
                            0,
                            0,
                            new Value.CountOf(plant < rooted[block][arm] ? 1 : 0, 1)));
                }
            }
        }
        Interaction.Odds within = judged(Design.BLOCKS, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip", "medium")
                .interaction()
                .orElseThrow()
                .odds()
                .orElseThrow();
        Interaction.Odds together = judged(
                        Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip", "medium")
                .interaction()
                .orElseThrow()
                .odds()
                .orElseThrow();
        assertThat(Math.abs(Math.log(within.ratio()))).isGreaterThan(Math.abs(Math.log(together.ratio())));
        assertThat(within.interval().low()).isLessThan(within.ratio());
        assertThat(within.interval().high()).isGreaterThan(within.ratio());
    }

    @Test
    void plantsThatShareATrayHaveNoOddsOfTheirOwn() {
        trays(arm(true, "none", "leaf mould"), 10, 3, 4, 5);
        trays(arm(true, "none", "hulls"), 10, 1, 2, 0);
        trays(arm(false, "dip", "leaf mould"), 10, 4, 4, 6);
        trays(arm(false, "dip", "hulls"), 10, 9, 10, 8);
        Judgement judged =
                judged(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip", "medium");
        assertThat(judged.interaction().orElseThrow().odds()).isEmpty();
    }

    private void plants(int arm, int rooted, int of) {
        for (int i = 0; i < of; i++) {
            trays(arm, 1, i < rooted ? 1 : 0);
        }
    }

    @Test
    void struckCellsHaveNoComparatorAndSaySo() {
        values(arm(true, "none", "leaf mould"), 10, 11, 10.5, 10.2);
        values(arm(false, "dip", "leaf mould"), 10.2, 10.8, 10.6, 10.1);
        values(arm(false, "dip", "hulls"), 15.2, 15.8, 15.6, 15.1);
        arms.set(0, new Arm("A", "none", List.of("none", "leaf mould"), true));
        Judgement judged =
                judged(Design.COMPLETELY_RANDOM, EndpointKind.MEASURED, OptionalDouble.empty(), "dip", "medium");
        assertThat(judged.comparisons()).extracting(Comparison::treatment).contains(1);
    }

    /** Whole plots differ by far more than units within them: the grouped factor is judged by the former. */
    @Test
    void aSplitPlotJudgesWholePlotsByTheirOwnScatter() {
        arm(true, "cold", "none");
        arm(false, "cold", "feed");
        arm(false, "warm", "none");
        arm(false, "warm", "feed");
        double[] plots = {0, 8, -6, 5, -9, 3, 7, -4};
        double[] noise = {0.1, -0.1, 0.2, -0.2, 0.15, -0.05, 0.05, -0.15, 0.1, -0.2, 0.2, -0.1, 0, 0.1, -0.1, 0.05};
        for (int plot = 0; plot < 8; plot++) {
            for (int feed = 0; feed < 2; feed++) {
                int arm = plot % 2 * 2 + feed;
                double value = 20 + plots[plot] + 2 * feed + noise[2 * plot + feed];
                units.add(
                        new Observed("u" + units.size(), arm, plot / 2 + 1, 0, 0, plot + 1, new Value.Measured(value)));
            }
        }
        Judgement judged = judged(Design.SPLIT_PLOT, EndpointKind.MEASURED, OptionalDouble.empty(), "bench", "feed");
        assertThat(judged.comparisons()).anySatisfy(c -> {
            assertThat(c.treatment()).isEqualTo(1);
            assertThat(c.answer()).isEqualTo(Answer.BETTER);
        });
        assertThat(judged.comparisons()).anySatisfy(c -> {
            assertThat(c.treatment()).isEqualTo(2);
            assertThat(c.answer()).isEqualTo(Answer.CANT_TELL);
            assertThat(c.interval().orElseThrow().high()
                            - c.interval().orElseThrow().low())
                    .isGreaterThan(15);
        });
    }

    @Test
    void plantsInATrayAreNoReplicates() {
        trays(arm(true, "none"), 20, 12);
        trays(arm(false, "dip"), 20, 17);
        Judgement judged = judged(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.of(0.1), "dip");
        assertThat(judged.refused())
                .hasValueSatisfying(reason -> assertThat(reason).contains("no replicates"));
        assertThat(judged.comparisons().get(0).difference()).isCloseTo(0.25, within(1e-12));
    }

    @Test
    void traysThatDifferMuchWidenTheIntervals() {
        int control = arm(true, "none");
        int dip = arm(false, "dip");
        trays(control, 10, 3, 3, 3, 3);
        trays(dip, 10, 7, 7, 7, 7);
        Judgement even = judged(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip");
        units.clear();
        trays(control, 10, 0, 6, 0, 6);
        trays(dip, 10, 4, 10, 4, 10);
        Judgement uneven = judged(Design.COMPLETELY_RANDOM, EndpointKind.COUNT_OF, OptionalDouble.empty(), "dip");
        assertThat(even.comparisons().get(0).answer()).isEqualTo(Answer.BETTER);
        assertThat(uneven.comparisons().get(0).answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(uneven.comparisons().get(0).difference())
                .isCloseTo(even.comparisons().get(0).difference(), within(1e-12));
    }

    @Test
    void notYetIsLaterThanAllThatCame() {
        int control = arm(true, "none");
        int dip = arm(false, "dip");
        double[] early = {4, 5, 5, 6, 4, 5};
        for (double day : early) {
            units.add(new Observed("d" + units.size(), dip, 0, 0, 0, 0, new Value.Measured(day)));
            units.add(new Observed(
                    "c" + units.size(), control, 0, 0, 0, 0, day > 4 ? new Value.NotYet() : new Value.Measured(9)));
        }
        Observations times = new Observations(
                Design.COMPLETELY_RANDOM, List.of("dip"), arms, EndpointKind.TIME, Better.LOWER, 1, units);
        Judgement judged = Judge.of(times, Ask.againstControl(OptionalDouble.empty()));
        assertThat(judged.method()).isEqualTo(Method.RANK_SHIFT);
        assertThat(judged.comparisons().get(0).answer()).isEqualTo(Answer.BETTER);
        assertThat(judged.comparisons().get(0).interval().orElseThrow().low()).isEqualTo(Double.NEGATIVE_INFINITY);
    }

    @Test
    void theRuleOfAnswersIsOnTheIntervalAndTheMargin() {
        assertThat(answer(-0.5, 0.8, 1)).isEqualTo(Answer.NO_DIFFERENCE);
        assertThat(answer(0.2, 0.8, 1)).isEqualTo(Answer.NO_DIFFERENCE);
        assertThat(answer(0.2, 1.8, 1)).isEqualTo(Answer.BETTER);
        assertThat(answer(-1.8, -0.2, 1)).isEqualTo(Answer.WORSE);
        assertThat(answer(-0.5, 1.8, 1)).isEqualTo(Answer.CANT_TELL);
        assertThat(Answer.of(new elsom.core.stats.Interval(-0.5, 0.5), Better.HIGHER, OptionalDouble.empty()))
                .isEqualTo(Answer.CANT_TELL);
        assertThat(Answer.of(new elsom.core.stats.Interval(0.5, 1.5), Better.LOWER, OptionalDouble.empty()))
                .isEqualTo(Answer.WORSE);
    }

    private static Answer answer(double low, double high, double margin) {
        return Answer.of(new elsom.core.stats.Interval(low, high), Better.HIGHER, OptionalDouble.of(margin));
    }
}
