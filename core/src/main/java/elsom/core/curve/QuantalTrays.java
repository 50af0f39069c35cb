package elsom.core.curve;

import elsom.core.stats.Interval;
import elsom.core.stats.InverseLine;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Lethal doses where the plants of a tray go together: all variances times the heterogeneity where it is above 1, with
 * Student's t for its degrees of freedom (Finney 1971, ch. 4).
 *
 * @param heterogeneity Pearson's chi-squared over its degrees of freedom
 * @param factor the greater of it and 1
 * @param multiplier of standard errors, for 95 %
 */
public record QuantalTrays(QuantalFit fit, double heterogeneity, double factor, double multiplier) {
    private static final double END = 0.025;
    private static final double HUNDRED = 100;

    /** A dose, with its interval by the standard error of its log10 and by Fieller's theorem where that is bounded. */
    public record Place(double dose, double log10Error, Interval byError, Optional<Interval> fieller) {}

    /** With each of the fit's levels one tray. */
    public static QuantalTrays of(QuantalFit fit) {
        int df = fit.pearson().df();
        double heterogeneity = df > 0 ? fit.pearson().statistic() / df : 1;
        return new QuantalTrays(
                fit,
                heterogeneity,
                Math.max(1, heterogeneity),
                heterogeneity > 1
                        ? TDistribution.of(df).inverseSurvivalProbability(END)
                        : NormalDistribution.of(0, 1).inverseSurvivalProbability(END));
    }

    /** A standard error from a variance. */
    public OptionalDouble widened(double variance) {
        return OptionalDouble.of(Math.sqrt(variance * factor));
    }

    private InverseLine line() {
        InverseLine line = fit.line();
        return new InverseLine(
                line.intercept(),
                line.slope(),
                line.varianceOfIntercept() * factor,
                line.covariance() * factor,
                line.varianceOfSlope() * factor);
    }

    /** Fieller's g. */
    public double g() {
        return line().g(multiplier);
    }

    /** The dose that affects so many percent of those that would not be affected anyway. */
    public Place at(double percent) {
        InverseLine.Place place = line().at(fit.link().level(percent / HUNDRED), multiplier);
        return new Place(
                Math.pow(10, place.x()),
                place.standardError(),
                raised(place.interval95()),
                place.fieller95().map(QuantalTrays::raised));
    }

    private static Interval raised(Interval log10) {
        return new Interval(Math.pow(10, log10.low()), Math.pow(10, log10.high()));
    }
}
