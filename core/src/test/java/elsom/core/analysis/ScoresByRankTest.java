package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/** Scores of injury, 0 to 10, where means and ranks may say different things. */
class ScoresByRankTest {
    private static Judgement judged(Design design, double[]... scores) {
        List<Arm> arms = new ArrayList<>();
        List<Observed> rows = new ArrayList<>();
        for (int arm = 0; arm < scores.length; arm++) {
            arms.add(new Arm(String.valueOf((char) ('A' + arm)), "T" + arm, List.of("t" + arm), arm == 0));
            for (int i = 0; i < scores[arm].length; i++) {
                rows.add(new Observed(
                        "U" + rows.size(),
                        arm,
                        design == Design.COMPLETELY_RANDOM ? 0 : i + 1,
                        0,
                        0,
                        0,
                        new Value.Measured(scores[arm][i])));
            }
        }
        return Judge.of(
                new Observations(
                        design, List.of("medium"), arms, EndpointKind.SCORE, Observations.Better.LOWER, 1, rows),
                Ask.againstControl(OptionalDouble.empty()));
    }

    private static double[] of(double... scores) {
        return scores;
    }

    /** All ranks of one side but one lie above the other's: exact p 4 in 462, whatever the one plant at 10 does to a mean. */
    @Test
    void oneVeryBadPlantHidesNothing() {
        Comparison one = judged(Design.COMPLETELY_RANDOM, of(1, 1, 1, 1, 1, 1), of(2, 2, 2, 2, 2, 10))
                .comparisons()
                .get(0);
        assertThat(one.clear()).isFalse();
        assertThat(one.rankP().orElseThrow()).isCloseTo(2 / 924.0, within(1e-9));
        assertThat(one.answer()).isEqualTo(Answer.WORSE);
        assertThat(one.byRanks()).isTrue();
    }

    @Test
    void meansAloneTellNothingOfRanksThatOverlap() {
        Judgement judged = judged(Design.COMPLETELY_RANDOM, of(3, 3, 3, 3, 3, 3, 3, 3), of(0, 1, 1, 1, 3, 3, 4, 4));
        Comparison one = judged.comparisons().get(0);
        assertThat(one.answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(judged.checked()).anyMatch(line -> line.contains("anks of the scores"));
    }

    /** Three beside three have no p below 2 in 20: their means stand, and it is said. */
    @Test
    void withTooFewUnitsForRanksMeansStand() {
        Judgement judged = judged(Design.COMPLETELY_RANDOM, of(1, 1, 2), of(8, 9, 8));
        assertThat(judged.comparisons().get(0).answer()).isEqualTo(Answer.WORSE);
        assertThat(judged.comparisons().get(0).byRanks()).isFalse();
        assertThat(judged.checked()).anyMatch(line -> line.contains("too few for ranks"));
    }

    @Test
    void blocksAreTakenOutBeforeUnitsAreRanked() {
        double[] control = of(0, 2, 4, 5, 6, 7);
        double[] treated = DoubleStream.of(control).map(score -> score + 2).toArray();
        treated[5] = 10;
        Comparison one = judged(Design.BLOCKS, control, treated).comparisons().get(0);
        assertThat(one.rankP().orElseThrow()).isLessThan(0.01);
        assertThat(one.answer()).isEqualTo(Answer.WORSE);
    }

    @Test
    void allAlikeIsNothingToTell() {
        Comparison one = judged(Design.COMPLETELY_RANDOM, of(0, 0, 0, 0, 0), of(0, 0, 0, 0, 0))
                .comparisons()
                .get(0);
        assertThat(one.answer()).isEqualTo(Answer.CANT_TELL);
    }

    /** Whether one is as good is no question for ranks: clearly worse ones never make it "better" or "worse". */
    @Test
    void asGoodIsNotAnsweredByRanks() {
        List<Observed> rows = new ArrayList<>();
        List<Arm> arms = List.of(new Arm("A", "T0", List.of("t0"), true), new Arm("B", "T1", List.of("t1"), false));
        double[][] scores = {of(1, 1, 1, 1, 1, 1), of(2, 2, 2, 2, 2, 10)};
        for (int arm = 0; arm < 2; arm++) {
            for (double score : scores[arm]) {
                rows.add(new Observed("U" + rows.size(), arm, 0, 0, 0, 0, new Value.Measured(score)));
            }
        }
        Observations all = new Observations(
                Design.COMPLETELY_RANDOM,
                List.of("medium"),
                arms,
                EndpointKind.SCORE,
                Observations.Better.LOWER,
                1,
                rows);
        Ask asGood = new Ask(List.of(), new Ask.Against.Control(), OptionalDouble.of(2), false, true, 0.05);
        assertThat(Judge.of(all, asGood).comparisons().get(0).answer()).isEqualTo(Answer.CANT_TELL);
    }
}
