package elsom.core.curve;

import java.util.List;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * How badly a curve through counts fits when its dose for a given share is held: the signed square root of the deviance's
 * rise (McCullagh &amp; Nelder 1989, §7.3), with slope and background at their best, the background not below 0.
 */
public final class QuantalProfile {
    private static final double[] SLOPES = {1, 3, 8, 20};
    private static final double[] BACKGROUNDS = {-9, -3, -1.5};
    private static final double NEAR = 1e-6;
    private static final double SMALLEST = 1e-12;
    private static final double SPAN = 0.8;
    private static final int MOST = 1000;

    private final QuantalFit fit;
    private final double level;
    private final double estimate;

    /**
     * Of a curve.
     *
     * @param share affected of those not affected anyway, above 0 and below 1
     */
    public QuantalProfile(QuantalFit fit, double share) {
        this.fit = fit;
        this.level = fit.link().level(share);
        this.estimate = fit.logDoseAt(share).x();
    }

    /** The signed root: above 0 where the log10 dose held is above the estimate. */
    public double root(double log10Dose) {
        double root = Math.sqrt(2 * Math.max(0, fit.kernelLikelihood() - likelihood(log10Dose)));
        return log10Dose > estimate ? root : -root;
    }

    private double likelihood(double log10Dose) {
        double best = Double.NEGATIVE_INFINITY;
        double[] start = {0, 0};
        for (double slope : SLOPES) {
            for (double background : BACKGROUNDS) {
                double[] trial = {Math.log(slope), background};
                double reached = likelihood(log10Dose, trial);
                if (reached > best) {
                    best = reached;
                    start = trial;
                }
            }
        }
        return Math.max(best, near(log10Dose, start, best));
    }

    private double near(double log10Dose, double[] start, double reached) {
        try {
            return new SimplexOptimizer(NEAR, NEAR)
                    .optimize(
                            new MaxEval(MOST),
                            new ObjectiveFunction(z -> likelihood(log10Dose, z)),
                            GoalType.MAXIMIZE,
                            new InitialGuess(start),
                            new NelderMeadSimplex(new double[] {SPAN, SPAN}))
                    .getValue();
        } catch (MathRuntimeException unsettled) {
            return reached;
        }
    }

    private double likelihood(double log10Dose, double[] z) {
        double slope = Math.exp(z[0]);
        double background = 1 / (1 + Math.exp(-z[1]));
        List<QuantalLevel> levels = fit.used();
        double sum = 0;
        for (QuantalLevel one : levels) {
            double share = one.dose() == 0 ? 0 : fit.link().share(level + slope * (one.logDose() - log10Dose));
            double expected = Math.min(1 - SMALLEST, Math.max(SMALLEST, background + (1 - background) * share));
            sum += one.affected() * Math.log(expected) + (one.n() - one.affected()) * Math.log1p(-expected);
        }
        return sum;
    }
}
