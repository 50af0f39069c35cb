package elsom.core.curve;

import elsom.core.stats.MaximumLikelihood;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * A curve whose scatter follows its mean: variance {@code σ² mean^(2δ)}, by full maximum likelihood (Carroll &amp; Ruppert 1988,
 * ch. 3). Pages weigh by the mean of what the units hold likely instead ({@code ScatterOfMean}), which few units don't
 * mislead.
 *
 * @param estimates of the curve, in its order
 * @param errors their standard errors, that of e on the scale of ln e
 * @param sigma the scatter where the mean is 1
 */
public record PowerOfMean(
        CurveModel model,
        List<Double> estimates,
        List<Double> errors,
        double delta,
        double deltaError,
        double sigma,
        double loglik,
        List<Dose> doses) {
    private static final double FAR = Math.log(1e4);
    private static final double END = 0.025;
    private static final double HUNDRED = 100;

    /** A dose with the standard error of its logarithm, 95 % by it and by the profile of the likelihood. */
    public record Dose(
            double percent,
            double estimate,
            double logError,
            double low,
            double high,
            OptionalDouble lowByProfile,
            OptionalDouble highByProfile) {}

    public PowerOfMean {
        estimates = List.copyOf(estimates);
        errors = List.copyOf(errors);
        doses = List.copyOf(doses);
    }

    /** What is fitted; σ is always at its best. */
    private record Likelihood(CurveModel model, List<DoseResponse.Point> points) {
        private double sigma(double[] p, double delta) {
            double sum = 0;
            for (DoseResponse.Point point : points) {
                double mean = model.value(point.dose(), p);
                sum += Math.pow((point.response() - mean) / Math.pow(mean, delta), 2);
            }
            return Math.sqrt(sum / points.size());
        }

        /** Minus its logarithm. */
        double lost(double[] all) {
            double[] p = Arrays.copyOf(all, all.length - 1);
            double delta = all[all.length - 1];
            double logs = 0;
            for (DoseResponse.Point point : points) {
                double mean = model.value(point.dose(), p);
                if (!(mean > 0)) {
                    return Double.MAX_VALUE;
                }
                logs += delta * Math.log(mean);
            }
            double n = points.size();
            double lost = n / 2 * (1 + Math.log(2 * Math.PI)) + n * Math.log(sigma(p, delta)) + logs;
            return Double.isFinite(lost) ? lost : Double.MAX_VALUE;
        }
    }

    /**
     * Fits, starting from the curve by least squares.
     *
     * @param start fitted to the same points
     */
    public static PowerOfMean of(CurveFit start, List<DoseResponse.Point> points, List<Double> percents) {
        Likelihood likelihood = new Likelihood(start.model(), points);
        double[] curve = start.fit().estimates();
        double[] first = Arrays.copyOf(curve, curve.length + 1);
        first[curve.length] = 0.5;
        double[] best = MaximumLikelihood.least(likelihood::lost, first);
        RealMatrix covariance = MaximumLikelihood.covariance(likelihood::lost, best);
        double[] p = Arrays.copyOf(best, curve.length);
        double delta = best[curve.length];
        double lost = likelihood.lost(best);
        return new PowerOfMean(
                start.model(),
                Arrays.stream(p).boxed().toList(),
                IntStream.range(0, p.length)
                        .mapToObj(i -> Math.sqrt(covariance.getEntry(i, i)))
                        .toList(),
                delta,
                Math.sqrt(covariance.getEntry(curve.length, curve.length)),
                likelihood.sigma(p, delta),
                -lost,
                percents.stream()
                        .map(percent -> dose(start, likelihood, best, covariance, percent))
                        .toList());
    }

    private static Dose dose(
            CurveFit start, Likelihood likelihood, double[] best, RealMatrix covariance, double percent) {
        double kept = 1 - percent / HUNDRED;
        double[] p = Arrays.copyOf(best, best.length - 1);
        double at = start.logDose(kept, p).orElse(Double.NaN);
        double[] gradient = new double[best.length];
        for (int i = 0; i < p.length; i++) {
            double step = 1e-6 * (1 + Math.abs(p[i]));
            double[] more = p.clone();
            double[] less = p.clone();
            more[i] += step;
            less[i] -= step;
            gradient[i] = (start.logDose(kept, more).orElse(Double.NaN)
                            - start.logDose(kept, less).orElse(Double.NaN))
                    / (2 * step);
        }
        double error = Math.sqrt(MatrixUtils.createRealVector(gradient)
                .dotProduct(covariance.operate(MatrixUtils.createRealVector(gradient))));
        double reach = NormalDistribution.of(0, 1).inverseSurvivalProbability(END) * error;
        double limit = ChiSquaredDistribution.of(1).inverseSurvivalProbability(2 * END) / 2;
        DoubleUnaryOperator rise = held -> risen(start, likelihood, best, kept, held) - likelihood.lost(best) - limit;
        return new Dose(
                percent,
                Math.exp(at),
                error,
                Math.exp(at - reach),
                Math.exp(at + reach),
                end(rise, at, -error, Math.log(start.levels().lowestDose()) - FAR),
                end(rise, at, error, Math.log(start.levels().highestDose()) + FAR));
    }

    /** What is lost with a dose held, e following from all else. */
    private static double risen(CurveFit start, Likelihood likelihood, double[] best, double kept, double held) {
        int logE = start.model().indexOfLogE();
        double[] free = new double[best.length - 1];
        System.arraycopy(best, 0, free, 0, logE);
        System.arraycopy(best, logE + 1, free, logE, best.length - logE - 1);
        ToDoubleFunction<double[]> lost = z -> {
            double[] all = new double[best.length];
            System.arraycopy(z, 0, all, 0, logE);
            System.arraycopy(z, logE, all, logE + 1, best.length - logE - 1);
            OptionalDouble from = start.logDose(kept, Arrays.copyOf(all, all.length - 1));
            if (from.isEmpty()) {
                return Double.MAX_VALUE;
            }
            all[logE] = held - from.getAsDouble();
            return likelihood.lost(all);
        };
        return lost.applyAsDouble(MaximumLikelihood.least(lost, free));
    }

    private static OptionalDouble end(DoubleUnaryOperator rise, double from, double step, double furthest) {
        double near = from;
        while (Math.signum(step) * (furthest - near - step) > 0) {
            double next = near + step;
            if (rise.applyAsDouble(next) > 0) {
                return OptionalDouble.of(Math.exp(new BracketingNthOrderBrentSolver(1e-6, 1e-6, 5)
                        .solve(200, rise::applyAsDouble, Math.min(near, next), Math.max(near, next))));
            }
            near = next;
        }
        return OptionalDouble.empty();
    }
}
