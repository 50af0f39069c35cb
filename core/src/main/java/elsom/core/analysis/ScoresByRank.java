package elsom.core.analysis;

import elsom.core.stats.Group;
import elsom.core.stats.Holm;
import elsom.core.stats.RankTests;
import elsom.core.stats.RankTests.MannWhitney;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.apache.commons.numbers.combinatorics.BinomialCoefficientDouble;

/**
 * Scores whose steps need not be alike: where means and ranks (Mann and Whitney 1947, adjusted by Holm 1979) say different
 * things of a pair, ranks decide. Blocks, rows and columns are taken out first (aligned ranks, Hodges and Lehmann 1962). In a
 * split-plot ranks know nothing of whole plots, and where units are so few that no ranks could ever tell, means stand.
 */
final class ScoresByRank {
    private static final double ROUNDED = 1e9;

    private final List<Pairing.Pair> pairs;
    private final List<MannWhitney> tests;
    private final double[] adjusted;
    private final double alpha;
    private final boolean decides;
    private final Observations all;
    private int differed;

    private ScoresByRank(Observations all, List<Pairing.Pair> pairs, Map<Integer, List<Double>> values, double alpha) {
        this.all = all;
        this.pairs = pairs;
        this.alpha = alpha;
        this.tests = pairs.stream()
                .map(pair -> RankTests.mannWhitney(group(values, pair.comparator()), group(values, pair.treatment())))
                .toList();
        this.adjusted =
                Holm.adjust(tests.stream().mapToDouble(MannWhitney::pExact).toArray());
        this.decides = all.design() != Design.SPLIT_PLOT
                && pairs.stream().allMatch(pair -> least(pair) * pairs.size() <= alpha);
    }

    static ScoresByRank of(Observations all, List<Pairing.Pair> pairs, Model model, double alpha) {
        Map<Integer, List<Double>> values = new TreeMap<>();
        double[] residuals = model.residuals();
        double[] means = model.means();
        for (int i = 0; i < residuals.length; i++) {
            int arm = all.seen().get(i).arm();
            values.computeIfAbsent(arm, none -> new ArrayList<>())
                    .add(Math.rint((means[arm] + residuals[i]) * ROUNDED) / ROUNDED);
        }
        return new ScoresByRank(all, pairs, values, alpha);
    }

    private Group group(Map<Integer, List<Double>> values, int arm) {
        return new Group(all.arms().get(arm).name(), values.getOrDefault(arm, List.of()));
    }

    /** The least p that so many units can have: all of one side above all of the other. */
    private double least(Pairing.Pair pair) {
        int one = all.seen(pair.treatment());
        return 2 / BinomialCoefficientDouble.value(one + all.seen(pair.comparator()), one);
    }

    /** Adjusted for all pairs. */
    OptionalDouble p(int pair) {
        return OptionalDouble.of(adjusted[pair]);
    }

    /** What is said of a pair: what its means say, but where its ranks say otherwise. */
    Answer answer(int pair, Answer byMeans) {
        boolean asked = byMeans == Answer.BETTER || byMeans == Answer.WORSE || byMeans == Answer.CANT_TELL;
        if (!decides || !asked) {
            return byMeans;
        }
        Answer byRanks = byRanks(pair);
        differed += byRanks == byMeans ? 0 : 1;
        return byRanks;
    }

    private Answer byRanks(int pair) {
        MannWhitney test = tests.get(pair);
        if (adjusted[pair] > alpha || test.uFirst() == test.uSecond()) {
            return Answer.CANT_TELL;
        }
        boolean higher = test.uSecond() > test.uFirst();
        return higher == (all.better() == Observations.Better.HIGHER) ? Answer.BETTER : Answer.WORSE;
    }

    /** What is told of how scores are judged. */
    String remark() {
        if (!decides) {
            return all.design() == Design.SPLIT_PLOT
                    ? "Scores are judged by their means, as ranks know nothing of whole plots."
                    : "Scores are judged by their means: so few units are too few for ranks.";
        }
        return differed == 0
                ? "Ranks of the scores (Mann–Whitney) say the same as their means."
                : "Ranks of the scores (Mann–Whitney) say otherwise than their means for " + differed + " of "
                        + pairs.size() + (pairs.size() == 1 ? " comparison" : " comparisons")
                        + ", and decide: steps of a score need not be alike.";
    }
}
