package elsom.core.panel;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Samples that every taster ranked or scored: Friedman (1937), J. Am. Stat. Assoc. 32:675–701, ties sharing the middle of
 * their ranks.
 *
 * @param rankSums of each sample; 1 is the lowest score
 * @param statistic corrected for ties
 * @param p counted over all the rankings there could have been where a small panel allows it, else by its χ² with
 *     samples − 1 degrees of freedom
 * @param counted whether it was
 * @param leastApart how far apart two rank sums must lie to be parted at 1 in 20, over all pairs (Nemenyi, by Bonferroni's
 *     normal bound)
 */
public record RankedPanel(
        int tasters, List<Double> rankSums, double statistic, double p, boolean counted, double leastApart) {
    private static final double ALPHA = 0.05;

    public RankedPanel {
        rankSums = List.copyOf(rankSums);
    }

    /**
     * What a panel says.
     *
     * @param scores a row a taster, a column a sample; all rows as long
     * @throws IllegalArgumentException with fewer than two tasters or samples, or rows of unlike length
     */
    public static RankedPanel of(List<List<Double>> scores) {
        int tasters = scores.size();
        int samples = tasters == 0 ? 0 : scores.get(0).size();
        if (tasters < 2 || samples < 2 || scores.stream().anyMatch(row -> row.size() != samples)) {
            throw new IllegalArgumentException("two tasters or more, each with all of two samples or more");
        }
        double[] sums = new double[samples];
        List<int[]> doubled = new ArrayList<>();
        double ties = 0;
        for (List<Double> row : scores) {
            int[] ranks = new int[samples];
            for (int i = 0; i < samples; i++) {
                double below = 0;
                double alike = 0;
                for (double other : row) {
                    below += other < row.get(i) ? 1 : 0;
                    alike += other == row.get(i) ? 1 : 0;
                }
                sums[i] += below + (alike + 1) / 2;
                ranks[i] = (int) (2 * below + alike + 1);
                // Σ over tied groups of t³ − t is Σ over values of t² − 1.
                ties += alike * alike - 1;
            }
            doubled.add(ranks);
        }
        double squares = 0;
        List<Double> told = new ArrayList<>();
        for (double sum : sums) {
            squares += sum * sum;
            told.add(sum);
        }
        double n = tasters;
        double k = samples;
        double above = 12 * squares - 3 * n * n * k * (k + 1) * (k + 1);
        double below = n * k * (k + 1) - ties / (k - 1);
        double statistic = below > 0 ? above / below : 0;
        double z = NormalDistribution.of(0, 1).inverseSurvivalProbability(ALPHA / (k * (k - 1)));
        OptionalDouble exact = RankingsCounted.asFar(doubled, 4 * squares);
        return new RankedPanel(
                tasters,
                told,
                statistic,
                exact.orElseGet(() -> ChiSquaredDistribution.of(k - 1).survivalProbability(Math.max(0, statistic))),
                exact.isPresent(),
                z * Math.sqrt(n * k * (k + 1) / 6));
    }
}
