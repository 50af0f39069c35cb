package elsom.core.stats;

import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How likely a unit of a treatment lies above one of the comparator, ties counting half, where both may scatter by unlike
 * amounts (Brunner &amp; Munzel 2000, Biom. J. 42:17–25). All but the effect and a standard error of 0 are empty where the
 * two don't overlap at all or all are alike.
 *
 * @param relativeEffect 0.5 where neither lies above the other
 * @param low and {@code high}: 95 % on the effect's own scale, not cut off at 0 and 1
 * @param lowLogit and {@code highLogit}: by the logit, within 0 and 1
 */
public record BrunnerMunzel(
        double relativeEffect,
        double se,
        OptionalDouble t,
        OptionalDouble df,
        OptionalDouble p,
        OptionalDouble low,
        OptionalDouble high,
        OptionalDouble lowLogit,
        OptionalDouble highLogit) {
    private static final double NOTHING = 1e-12;

    /** The effect of a treatment; each side needs two units or more. */
    public static Outcome<BrunnerMunzel> of(List<Double> comparator, List<Double> treatment, double alpha) {
        int n = comparator.size();
        int m = treatment.size();
        if (n < 2 || m < 2) {
            return Outcome.notEstimable("Two units or more on each side are needed, got " + n + " and " + m);
        }
        double effect = mean(placements(treatment, comparator));
        double one = variance(placements(comparator, treatment));
        double other = variance(placements(treatment, comparator));
        double error = Math.sqrt(one / n + other / m);
        OptionalDouble none = OptionalDouble.empty();
        if (error < NOTHING) {
            return Outcome.found(new BrunnerMunzel(effect, 0, none, none, none, none, none, none, none));
        }
        double df = Math.pow(one / n + other / m, 2)
                / (one * one / (n * (double) n * (n - 1)) + other * other / (m * (double) m * (m - 1)));
        TDistribution student = TDistribution.of(df);
        double t = (effect - 0.5) / error;
        double reach = student.inverseSurvivalProbability(alpha / 2);
        boolean within = effect > 0 && effect < 1;
        double logit = Math.log(effect / (1 - effect));
        double half = reach * error / (effect * (1 - effect));
        return Outcome.found(new BrunnerMunzel(
                effect,
                error,
                OptionalDouble.of(t),
                OptionalDouble.of(df),
                OptionalDouble.of(2 * student.survivalProbability(Math.abs(t))),
                OptionalDouble.of(effect - reach * error),
                OptionalDouble.of(effect + reach * error),
                within ? OptionalDouble.of(share(logit - half)) : none,
                within ? OptionalDouble.of(share(logit + half)) : none));
    }

    /** Of each value the share of the others that lie below it, ties counting half. */
    private static double[] placements(List<Double> values, List<Double> others) {
        return values.stream()
                .mapToDouble(value -> others.stream()
                                .mapToDouble(other -> other < value ? 1 : other.equals(value) ? 0.5 : 0)
                                .sum()
                        / others.size())
                .toArray();
    }

    private static double mean(double[] values) {
        return Summary.of(values).mean();
    }

    private static double variance(double[] values) {
        return Math.pow(Summary.of(values).sd().orElse(0), 2);
    }

    private static double share(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }
}
