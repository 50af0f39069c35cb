package elsom.core.curve;

import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The dose at which one curve's response is so many percent below that without a dose (above it where the percentage is
 * negative), with its standard error and intervals; all empty but the percentage where the curve never comes to it.
 *
 * @param logError of its natural logarithm
 * @param low and {@code high}: 95 %, by the standard error of the logarithm
 * @param lowOnDoseScale and {@code highOnDoseScale}: by the standard error of the dose itself
 * @param lowByProfile and {@code highByProfile}: where the squares rise by F's 95 % point; empty where they never do within
 *     ten thousand times the doses tested
 */
public record EffectiveDose(
        double percent,
        OptionalDouble estimate,
        OptionalDouble logError,
        OptionalDouble low,
        OptionalDouble high,
        OptionalDouble lowOnDoseScale,
        OptionalDouble highOnDoseScale,
        OptionalDouble lowByProfile,
        OptionalDouble highByProfile) {
    private static final double FAR = Math.log(1e4);
    private static final double END = 0.025;
    private static final double HUNDRED = 100;
    private static final double NEAR = 1e-8;

    /** Of a fitted curve. */
    public static EffectiveDose of(CurveFit fit, double percent) {
        double kept = 1 - percent / HUNDRED;
        OptionalDouble log = fit.logDose(kept);
        OptionalDouble none = OptionalDouble.empty();
        if (log.isEmpty()) {
            return new EffectiveDose(percent, none, none, none, none, none, none, none, none);
        }
        double error = fit.standardErrorOfLogDose(kept);
        double t = TDistribution.of(fit.fit().degreesOfFreedom()).inverseSurvivalProbability(END);
        double dose = Math.exp(log.getAsDouble());
        CurveProfile profile = CurveProfile.unbounded(fit, kept);
        double lowest = Math.log(fit.levels().lowestDose()) - FAR;
        double highest = Math.log(fit.levels().highestDose()) + FAR;
        return new EffectiveDose(
                percent,
                OptionalDouble.of(dose),
                OptionalDouble.of(error),
                OptionalDouble.of(dose * Math.exp(-t * error)),
                OptionalDouble.of(dose * Math.exp(t * error)),
                OptionalDouble.of(dose * (1 - t * error)),
                OptionalDouble.of(dose * (1 + t * error)),
                side(profile, -t, log.getAsDouble(), lowest, error),
                side(profile, t, log.getAsDouble(), highest, error));
    }

    /** In steps, since far out the squares may fall again. */
    private static OptionalDouble side(CurveProfile profile, double t, double from, double furthest, double error) {
        double step = Math.copySign(Math.min(Math.max(error, 1e-3), 0.5) / 2, t);
        double near = from;
        while (Math.signum(t) * (furthest - near - step) > 0) {
            double next = near + step;
            if (Math.abs(profile.root(next)) > Math.abs(t)) {
                return OptionalDouble.of(Math.exp(new BracketingNthOrderBrentSolver(NEAR, NEAR, 5)
                        .solve(
                                300,
                                at -> Math.abs(profile.root(at)) - Math.abs(t),
                                Math.min(near, next),
                                Math.max(near, next))));
            }
            near = next;
        }
        return OptionalDouble.empty();
    }

    /** Whether it lies outside the positive doses tested. */
    public boolean extrapolated(DoseLevels levels) {
        double dose = estimate.orElse(Double.NaN);
        return dose < levels.lowestDose() || dose > levels.highestDose();
    }
}
