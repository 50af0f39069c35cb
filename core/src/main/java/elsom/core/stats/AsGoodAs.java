package elsom.core.stats;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Whether treatments are as good as a standard, not worse by more than a margin: one-sided, together for all of them
 * (Dunnett 1955; the margin is stated beforehand).
 */
public record AsGoodAs(double mse, int df, double crit, List<Comparison> comparisons) {
    public AsGoodAs {
        comparisons = List.copyOf(comparisons);
    }

    /**
     * A treatment beside the standard.
     *
     * @param advantage in the better direction
     * @param oneSidedBound the least advantage that can't be ruled out
     */
    public record Comparison(
            String treatment,
            double advantage,
            double se,
            double t,
            double p,
            double oneSidedBound,
            boolean notWorse,
            boolean betterShown) {}

    /**
     * Judges them.
     *
     * @param margin above 0, in the unit of what was measured
     * @param alpha one-sided, over all treatments
     */
    public static Outcome<AsGoodAs> of(
            Group standard, List<Group> treatments, boolean higherIsBetter, double margin, double alpha) {
        List<Group> all = new ArrayList<>(treatments);
        all.add(standard);
        OneWay design = OneWay.of(all);
        OptionalDouble mse = design.meanSquareError();
        int df = design.dfWithin();
        if (mse.isEmpty() || !(mse.getAsDouble() > 0)) {
            return Outcome.notEstimable("How much units treated alike differ can't be seen");
        }
        int[] sizes = treatments.stream().mapToInt(Group::n).toArray();
        MaximumT largest = MaximumT.of(standard.n(), sizes, df);
        boolean one = treatments.size() == 1;
        TDistribution alone = TDistribution.of(df);
        double critical = one ? alone.inverseSurvivalProbability(alpha) : largest.oneSidedQuantile(alpha);
        double sign = higherIsBetter ? 1 : -1;
        List<Comparison> comparisons = new ArrayList<>();
        for (Group treatment : treatments) {
            double advantage = sign * (treatment.mean() - standard.mean());
            double error = Math.sqrt(mse.getAsDouble() * (1.0 / treatment.n() + 1.0 / standard.n()));
            double t = (advantage + margin) / error;
            double bound = advantage - critical * error;
            comparisons.add(new Comparison(
                    treatment.name(),
                    advantage,
                    error,
                    t,
                    one ? alone.survivalProbability(t) : largest.oneSided(t),
                    bound,
                    bound > -margin,
                    bound > 0));
        }
        return Outcome.found(new AsGoodAs(mse.getAsDouble(), df, critical, comparisons));
    }
}
