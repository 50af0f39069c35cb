package elsom.core.stats;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * How likely each answer is about shares of plants in trays, by simulation: plants of a tray go together (beta-binomial),
 * trays are judged by Dunnett's (1955) interval on their shares. Trays that do not scatter at all tell nothing.
 *
 * @param anyDifferent that any interval leaves out 0
 * @param comparisons each treatment beside the control, in their order
 */
public record TrayAnswers(int df, double critical, double anyDifferent, List<AnswerChances> comparisons) {
    private static final double SMALLEST = 1e-12;

    /**
     * What is simulated.
     *
     * @param shares true ones, the control first
     * @param trays of each
     * @param plants in a tray
     * @param together correlation of plants within a tray, 0 to below 1
     */
    public record Plan(List<Double> shares, int trays, int plants, double together) {
        public Plan {
            shares = List.copyOf(shares);
            boolean possible = shares.stream().allMatch(share -> share >= 0 && share <= 1);
            if (shares.size() < 2 || trays < 2 || plants < 1 || !(together >= 0 && together < 1) || !possible) {
                throw new IllegalArgumentException(
                        "two shares or more from 0 to 1, two trays or more of each, a plant or"
                                + " more in each and a correlation from 0 to below 1 are needed");
            }
        }

        private int drawn(double share, SplittableRandom random) {
            double here = together == 0 || share == 0 || share == 1
                    ? share
                    : BetaDistribution.of(share * (1 - together) / together, (1 - share) * (1 - together) / together)
                            .createSampler(random::nextLong)
                            .sample();
            return (int) IntStream.range(0, plants)
                    .filter(i -> random.nextDouble() < here)
                    .count();
        }
    }

    public TrayAnswers {
        comparisons = List.copyOf(comparisons);
    }

    /**
     * Simulates.
     *
     * @param margin the least difference that matters, not a number where none was named
     */
    public static TrayAnswers of(Plan plan, double alpha, double margin, int simulations, long seed) {
        int arms = plan.shares().size();
        int df = arms * (plan.trays() - 1);
        int[] n = IntStream.generate(plan::trays).limit(arms - 1L).toArray();
        double critical = MaximumT.of(plan.trays(), n, df).twoSidedQuantile(alpha);
        int[][] counts = new int[arms - 1][4];
        int any = 0;
        SplittableRandom random = new SplittableRandom(seed);
        for (int run = 0; run < simulations; run++) {
            any += one(plan, critical * Math.sqrt(2.0 / plan.trays()), margin, random, counts) ? 1 : 0;
        }
        List<AnswerChances> chances = new ArrayList<>();
        for (int[] count : counts) {
            double all = simulations;
            chances.add(new AnswerChances(
                    count[0] / all,
                    count[1] / all,
                    count[2] / all,
                    count[3] / all,
                    1 - (count[1] + count[2] + count[3]) / all));
        }
        return new TrayAnswers(df, critical, any / (double) simulations, chances);
    }

    /** One run; whether any interval leaves out 0. */
    private static boolean one(Plan plan, double reach, double margin, SplittableRandom random, int[][] counts) {
        int arms = plan.shares().size();
        double[] mean = new double[arms];
        double squares = 0;
        for (int arm = 0; arm < arms; arm++) {
            double sum = 0;
            double sumOfSquares = 0;
            for (int tray = 0; tray < plan.trays(); tray++) {
                double share = plan.drawn(plan.shares().get(arm), random) / (double) plan.plants();
                sum += share;
                sumOfSquares += share * share;
            }
            mean[arm] = sum / plan.trays();
            squares += sumOfSquares - sum * mean[arm];
        }
        double half = reach * Math.sqrt(Math.max(0, squares) / (arms * (plan.trays() - 1.0)));
        if (!(squares > SMALLEST)) {
            return false;
        }
        boolean any = false;
        for (int arm = 1; arm < arms; arm++) {
            double difference = mean[arm] - mean[0];
            boolean none = Math.abs(difference) + half < margin;
            boolean different = Math.abs(difference) > half;
            any |= different;
            int[] count = counts[arm - 1];
            count[0] += different ? 1 : 0;
            count[1] += different && !none && difference > 0 ? 1 : 0;
            count[2] += different && !none && difference < 0 ? 1 : 0;
            count[3] += none ? 1 : 0;
        }
        return any;
    }
}
