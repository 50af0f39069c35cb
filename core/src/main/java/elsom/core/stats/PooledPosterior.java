package elsom.core.stats;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The mean of trials' true effects where a half-normal prior says how much trials may differ: flat on the mean, normal
 * likelihood, by quadrature over the scatter between trials (Röver 2020, J. Stat. Softw. 93(6)).
 *
 * @param low and {@code high}: 95 %, equal tails
 * @param aboveZero the chance that the mean is above 0
 * @param tauMedian the median of the scatter between trials
 * @param nextTrialLow and {@code nextTrialHigh}: 95 % of the true effect of another trial like them
 */
public record PooledPosterior(
        double mean,
        double sd,
        double median,
        double low,
        double high,
        double aboveZero,
        double tauMedian,
        double nextTrialLow,
        double nextTrialHigh) {
    private static final double FURTHEST = 8;
    private static final int PANELS = 400;
    private static final int FINER = 60;
    private static final double END = 0.025;

    /** A trial pooled at one scatter between trials. */
    private record At(double mean, double variance, double logWeight) {}

    @SuppressWarnings("ArrayRecordComponent")
    private record Trials(double[] effects, double[] errors, double scale) {
        At at(double tau) {
            double weights = 0;
            double sum = 0;
            double logs = 0;
            for (int i = 0; i < effects.length; i++) {
                double weight = 1 / (errors[i] * errors[i] + tau * tau);
                weights += weight;
                sum += weight * effects[i];
                logs += Math.log(weight);
            }
            double mean = sum / weights;
            double q = 0;
            for (int i = 0; i < effects.length; i++) {
                q += (effects[i] - mean) * (effects[i] - mean) / (errors[i] * errors[i] + tau * tau);
            }
            return new At(
                    mean, 1 / weights, logs / 2 - Math.log(weights) / 2 - q / 2 - tau * tau / (2 * scale * scale));
        }

        /** What lies below a scatter between trials, but for a factor. */
        double below(double tau, double highest) {
            double[] points = new double[FINER * Quadrature.points()];
            double[] weights = new double[points.length];
            Quadrature.nodes(0, tau, points, weights);
            return IntStream.range(0, points.length)
                    .mapToDouble(i -> weights[i] * Math.exp(at(points[i]).logWeight() - highest))
                    .sum();
        }
    }

    /**
     * The posterior.
     *
     * @param effects of each trial
     * @param errors their standard errors, above 0
     * @param priorScale of the half-normal prior of the scatter between trials, in the effects' unit, above 0
     */
    public static PooledPosterior of(double[] effects, double[] errors, double priorScale) {
        boolean sound = priorScale > 0 && Arrays.stream(errors).allMatch(error -> error > 0);
        if (effects.length < 1 || effects.length != errors.length || !sound) {
            throw new IllegalArgumentException("trials with standard errors and a prior's scale above 0 are needed");
        }
        Trials trials = new Trials(effects, errors, priorScale);
        double[] tau = new double[PANELS * Quadrature.points()];
        double[] weight = new double[tau.length];
        Quadrature.nodes(0, FURTHEST * priorScale, tau, weight);
        At[] at = Arrays.stream(tau).mapToObj(trials::at).toArray(At[]::new);
        double highest = Arrays.stream(at).mapToDouble(At::logWeight).max().orElseThrow();
        double total = 0;
        for (int i = 0; i < tau.length; i++) {
            weight[i] *= Math.exp(at[i].logWeight() - highest);
            total += weight[i];
        }
        double mean = 0;
        for (int i = 0; i < tau.length; i++) {
            weight[i] /= total;
            mean += weight[i] * at[i].mean();
        }
        double variance = 0;
        for (int i = 0; i < tau.length; i++) {
            variance += weight[i] * (at[i].variance() + Math.pow(at[i].mean() - mean, 2));
        }
        double all = total;
        Mixture mixture = new Mixture(tau, weight, at, mean, Math.sqrt(variance));
        return new PooledPosterior(
                mean,
                Math.sqrt(variance),
                mixture.quantile(0.5, 0),
                mixture.quantile(END, 0),
                mixture.quantile(1 - END, 0),
                1 - mixture.below(0, 0),
                solved(t -> trials.below(t, highest) / all - 0.5, 1e-9, FURTHEST * priorScale),
                mixture.quantile(END, 1),
                mixture.quantile(1 - END, 1));
    }

    private static double solved(DoubleUnaryOperator f, double low, double high) {
        return new BracketingNthOrderBrentSolver(1e-11, 1e-11, 5).solve(300, f::applyAsDouble, low, high);
    }

    /** Normals of each scatter between trials, put together; {@code next} adds that scatter itself. */
    @SuppressWarnings("ArrayRecordComponent")
    private record Mixture(double[] tau, double[] weight, At[] at, double mean, double sd) {
        double below(double x, int next) {
            double sum = 0;
            for (int i = 0; i < tau.length; i++) {
                double error = Math.sqrt(at[i].variance() + next * tau[i] * tau[i]);
                sum += weight[i] * Quadrature.NORMAL.cumulativeProbability((x - at[i].mean()) / error);
            }
            return sum;
        }

        double quantile(double probability, int next) {
            double far = 40 + 40 * sd;
            return solved(x -> below(x, next) - probability, mean - far, mean + far);
        }
    }
}
