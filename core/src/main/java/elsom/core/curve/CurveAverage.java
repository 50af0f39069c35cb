package elsom.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Several curves' doses averaged on the logarithm by Akaike's weights, with the unconditional standard error (Burnham &amp;
 * Anderson 2002, §4.3). Pages average chances instead (profiles and small samples; see {@code MeasuredCurves}); this is the
 * textbook's way, for those who want to check against it.
 *
 * @param models in the order they were given
 */
public record CurveAverage(List<Model> models, List<Dose> ec) {
    private static final double END = 0.025;
    private static final double HUNDRED = 100;

    /**
     * A curve.
     *
     * @param aic by Gauss's likelihood, the variance counted among the parameters
     */
    public record Model(String model, double rss, double aic, double weight) {}

    /** What a curve says of a dose. */
    public record Each(String model, double logEc, double se) {}

    /** A dose; not a number where a curve never comes to it. */
    public record Dose(
            double percent,
            List<Each> each,
            double logEc,
            double seUnconditional,
            double estimate,
            double low,
            double high) {}

    public CurveAverage {
        models = List.copyOf(models);
        ec = List.copyOf(ec);
    }

    /** The average of fitted curves. */
    public static CurveAverage of(List<CurveFit> fits, List<Double> percents) {
        double[] aic = fits.stream().mapToDouble(CurveAverage::aic).toArray();
        double best = Arrays.stream(aic).min().orElseThrow();
        double whole = Arrays.stream(aic).map(a -> Math.exp((best - a) / 2)).sum();
        List<Model> models = new ArrayList<>();
        for (int i = 0; i < aic.length; i++) {
            models.add(new Model(
                    fits.get(i).model().code(),
                    fits.get(i).fit().residualSumOfSquares(),
                    aic[i],
                    Math.exp((best - aic[i]) / 2) / whole));
        }
        return new CurveAverage(
                models,
                percents.stream().map(percent -> dose(fits, models, percent)).toList());
    }

    private static double aic(CurveFit fit) {
        double n = fit.levels().units();
        return n * Math.log(fit.fit().residualSumOfSquares() / n)
                + n * (1 + Math.log(2 * Math.PI))
                + 2 * (fit.model().parameters() + 1);
    }

    private static Dose dose(List<CurveFit> fits, List<Model> models, double percent) {
        double kept = 1 - percent / HUNDRED;
        List<Each> each = fits.stream()
                .map(fit -> new Each(
                        fit.model().code(), fit.logDose(kept).orElse(Double.NaN), fit.standardErrorOfLogDose(kept)))
                .toList();
        double mean = 0;
        for (int i = 0; i < each.size(); i++) {
            mean += models.get(i).weight() * each.get(i).logEc();
        }
        double error = 0;
        for (int i = 0; i < each.size(); i++) {
            error += models.get(i).weight()
                    * Math.hypot(each.get(i).se(), each.get(i).logEc() - mean);
        }
        double reach = NormalDistribution.of(0, 1).inverseSurvivalProbability(END) * error;
        return new Dose(percent, each, mean, error, Math.exp(mean), Math.exp(mean - reach), Math.exp(mean + reach));
    }
}
