package elsom.core.water;

import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * {@code M(t) = M_r + (M_0 − M_r) e^(−k t)}, fitted.
 *
 * @param startMassG M₀
 * @param residualMassG M_r, which the mass tends to
 * @param ratePerHour k
 * @param fit parameters in the order M₀, M_r, k
 */
public record ExponentialDryDown(double startMassG, double residualMassG, double ratePerHour, LeastSquaresFit fit)
        implements DryDownFit {
    static ExponentialDryDown of(LeastSquaresFit fit) {
        double[] p = fit.estimates();
        return new ExponentialDryDown(p[0], p[1], p[2], fit);
    }

    @Override
    public double massAt(double hours) {
        return residualMassG + (startMassG - residualMassG) * Math.exp(-ratePerHour * hours);
    }

    /** The time in which half of what will ever be lost is lost. */
    public double halfTimeHours() {
        return Math.log(2) / ratePerHour;
    }

    @Override
    public Outcome<Crossing> timeTo(double triggerGrams) {
        if (triggerGrams >= startMassG) {
            return Outcome.found(new Crossing(0, Optional.empty(), Optional.empty()));
        }
        if (triggerGrams <= residualMassG) {
            return Outcome.notEstimable("The curve levels off above this weight");
        }
        double above = triggerGrams - residualMassG;
        double range = startMassG - residualMassG;
        double hours = Math.log(range / above) / ratePerHour;
        double[] gradient = {1 / (ratePerHour * range), (1 / above - 1 / range) / ratePerHour, -hours / ratePerHour};
        double error = fit.standardErrorOf(gradient);
        double half = TDistribution.of(fit.degreesOfFreedom()).inverseSurvivalProbability(0.025) * error;
        return Outcome.found(
                new Crossing(hours, Optional.of(error), Optional.of(new Interval(hours - half, hours + half))));
    }
}
