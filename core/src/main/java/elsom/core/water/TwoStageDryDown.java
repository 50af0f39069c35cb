package elsom.core.water;

import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Outcome;
import java.util.Optional;

/**
 * Loss at a constant rate until a break, then exponential with the same rate at the break:
 * {@code M = M_0 − R t} up to {@code t_b}, then {@code M_r + (M_b − M_r) e^(−R (t − t_b)/(M_b − M_r))}.
 *
 * @param fit parameters in the order M₀, R, t_b, M_r
 */
public record TwoStageDryDown(
        double startMassG, double constantRateGPerHour, double breakHours, double residualMassG, LeastSquaresFit fit)
        implements DryDownFit {
    static TwoStageDryDown of(LeastSquaresFit fit) {
        double[] p = fit.estimates();
        return new TwoStageDryDown(p[0], p[1], p[2], p[3], fit);
    }

    public double massAtBreakG() {
        return startMassG - constantRateGPerHour * breakHours;
    }

    /** The rate of the falling stage per hour. */
    public double fallingRatePerHour() {
        return constantRateGPerHour / (massAtBreakG() - residualMassG);
    }

    @Override
    public double massAt(double hours) {
        return TwoStageModel.INSTANCE.value(hours, fit.estimates());
    }

    @Override
    public Outcome<Crossing> timeTo(double triggerGrams) {
        if (triggerGrams <= residualMassG) {
            return Outcome.notEstimable("The curve levels off above this weight");
        }
        double hours;
        if (triggerGrams >= massAtBreakG()) {
            hours = Math.max(0, (startMassG - triggerGrams) / constantRateGPerHour);
        } else {
            hours = breakHours
                    + Math.log((massAtBreakG() - residualMassG) / (triggerGrams - residualMassG))
                            / fallingRatePerHour();
        }
        return Outcome.found(new Crossing(hours, Optional.empty(), Optional.empty()));
    }
}
