package elsom.core.water;

import elsom.core.curve.LeastSquares;
import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The water retention curve of van Genuchten (1980), {@code θ(h) = θr + (θs − θr)(1 + (αh)^n)^−(1−1/n)}: water by
 * volume against suction h in cm of water.
 *
 * @param residual θr
 * @param saturated θs
 * @param alphaPerCm α
 * @param n shape, above 1
 */
public record RetentionCurve(double residual, double saturated, double alphaPerCm, double n) {
    public RetentionCurve {
        if (!(residual >= 0 && residual < saturated && saturated <= 1)) {
            throw new IllegalArgumentException(
                    "water contents must satisfy 0 ≤ θr < θs ≤ 1, got θr " + residual + " and θs " + saturated);
        }
        if (!(alphaPerCm > 0) || !(n > 1) || Double.isInfinite(alphaPerCm + n)) {
            throw new IllegalArgumentException("α must be above 0 and n above 1, got " + alphaPerCm + " and " + n);
        }
    }

    /** m = 1 − 1/n. */
    public double m() {
        return 1 - 1 / n;
    }

    /** Water by volume at a suction of 0 or more, in cm. */
    public double waterAt(double suctionCm) {
        return residual + (saturated - residual) * Math.pow(1 + Math.pow(alphaPerCm * suctionCm, n), -m());
    }

    /** θ(10) − θ(50) (De Boodt & Verdonck 1972). */
    public double easilyAvailableWater() {
        return waterAt(10) - waterAt(50);
    }

    /** θ(50) − θ(100) (De Boodt & Verdonck 1972). */
    public double waterBufferCapacity() {
        return waterAt(50) - waterAt(100);
    }

    /**
     * A curve fitted to points.
     *
     * @param standardErrors of θr, θs, α, n; NaN-free: θr's is 0 when it is held at its bound
     * @param residualAtBound whether θr came out at 0
     */
    public record Fitted(
            RetentionCurve curve,
            List<Double> standardErrors,
            boolean residualAtBound,
            LeastSquaresFit fit,
            int points) {}

    /** θr, θs, ln α and ln(n − 1), so that α and n stay where they can be; θr is left out when held at 0. */
    private record Model(boolean residualHeld) implements LeastSquares.Model {
        @Override
        public double value(double h, double[] p) {
            int i = residualHeld ? 0 : 1;
            double residual = residualHeld ? 0 : p[0];
            double shape = 1 + Math.exp(p[i + 2]);
            return residual
                    + (p[i] - residual) * Math.pow(1 + Math.pow(Math.exp(p[i + 1]) * h, shape), -(1 - 1 / shape));
        }

        @Override
        public double[] gradient(double h, double[] p) {
            int i = residualHeld ? 0 : 1;
            double residual = residualHeld ? 0 : p[0];
            double shape = 1 + Math.exp(p[i + 2]);
            double scaled = Math.exp(p[i + 1]) * h;
            double power = Math.pow(scaled, shape);
            double m = 1 - 1 / shape;
            double effective = Math.pow(1 + power, -m);
            double range = p[i] - residual;
            double byLogAlpha = h == 0 ? 0 : -range * m * shape * power * effective / (1 + power);
            double byShape = h == 0
                    ? 0
                    : -range
                            * effective
                            * (Math.log1p(power) / (shape * shape) + m * power * Math.log(scaled) / (1 + power));
            double byLogShape = byShape * (shape - 1);
            return residualHeld
                    ? new double[] {effective, byLogAlpha, byLogShape}
                    : new double[] {1 - effective, effective, byLogAlpha, byLogShape};
        }
    }

    /**
     * Fits measured points by unweighted least squares with θr at least 0.
     *
     * @param suctionCm 0 or more
     * @param water by volume
     */
    public static Outcome<Fitted> fit(double[] suctionCm, double[] water) {
        if (suctionCm.length != water.length) {
            throw new IllegalArgumentException(
                    "suctions and waters must be equally many, got " + suctionCm.length + " and " + water.length);
        }
        if (Arrays.stream(suctionCm).distinct().count() < 5) {
            return Outcome.notEstimable("A curve needs at least 5 different suctions");
        }
        return LeastSquares.fit(new Model(false), suctionCm, water, starts(water, false))
                .then(fit -> fit.estimates()[0] >= 0
                        ? named(fit, false, suctionCm.length)
                        : LeastSquares.fit(new Model(true), suctionCm, water, starts(water, true))
                                .then(held -> named(held, true, suctionCm.length)));
    }

    private static List<double[]> starts(double[] water, boolean held) {
        double top = Arrays.stream(water).max().orElseThrow();
        double bottom = Arrays.stream(water).min().orElseThrow();
        List<double[]> starts = new ArrayList<>();
        for (double alpha : new double[] {0.01, 0.05, 0.2, 1}) {
            for (double shape : new double[] {1.3, 1.8, 3}) {
                starts.add(
                        held
                                ? new double[] {top, Math.log(alpha), Math.log(shape - 1)}
                                : new double[] {bottom * 0.7, top, Math.log(alpha), Math.log(shape - 1)});
            }
        }
        return starts;
    }

    private static Outcome<Fitted> named(LeastSquaresFit fit, boolean held, int points) {
        int i = held ? 0 : 1;
        double[] p = fit.estimates();
        double residual = held ? 0 : p[0];
        double alpha = Math.exp(p[i + 1]);
        double shape = 1 + Math.exp(p[i + 2]);
        if (!(p[i] > residual && p[i] <= 1)) {
            return Outcome.notEstimable("The points do not hold a retention curve");
        }
        List<Double> errors = List.of(
                held ? 0.0 : fit.standardError(0),
                fit.standardError(i),
                alpha * fit.standardError(i + 1),
                (shape - 1) * fit.standardError(i + 2));
        return Outcome.found(new Fitted(new RetentionCurve(residual, p[i], alpha, shape), errors, held, fit, points));
    }
}
