package elsom.core.curve;

import elsom.core.stats.Outcome;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A cubic through points that never overshoots them (Fritsch & Carlson 1980; slopes by Fritsch & Butland 1984, ends by
 * the three-point formula).
 */
public final class MonotoneCubic {
    private final double[] x;
    private final double[] y;
    private final double[] slope;

    private MonotoneCubic(double[] x, double[] y, double[] slope) {
        this.x = x;
        this.y = y;
        this.slope = slope;
    }

    /**
     * The curve through points.
     *
     * @param x strictly rising, at least two
     */
    public static MonotoneCubic through(double[] x, double[] y) {
        if (x.length != y.length || x.length < 2) {
            throw new IllegalArgumentException("two or more points are needed, got " + x.length + " and " + y.length);
        }
        int pieces = x.length - 1;
        double[] width = new double[pieces];
        double[] secant = new double[pieces];
        for (int i = 0; i < pieces; i++) {
            width[i] = x[i + 1] - x[i];
            if (!(width[i] > 0)) {
                throw new IllegalArgumentException("places must rise, got " + x[i] + " then " + x[i + 1]);
            }
            secant[i] = (y[i + 1] - y[i]) / width[i];
        }
        double[] slope = new double[x.length];
        if (pieces == 1) {
            slope[0] = secant[0];
            slope[1] = secant[0];
        } else {
            for (int i = 1; i < pieces; i++) {
                slope[i] = inner(width[i - 1], width[i], secant[i - 1], secant[i]);
            }
            slope[0] = end(width[0], width[1], secant[0], secant[1]);
            slope[pieces] = end(width[pieces - 1], width[pieces - 2], secant[pieces - 1], secant[pieces - 2]);
        }
        return new MonotoneCubic(x.clone(), y.clone(), slope);
    }

    private static double inner(double before, double after, double left, double right) {
        if (left * right <= 0) {
            return 0;
        }
        double one = 2 * after + before;
        double other = after + 2 * before;
        return (one + other) / (one / left + other / right);
    }

    private static double end(double near, double far, double nearSecant, double farSecant) {
        double slope = ((2 * near + far) * nearSecant - near * farSecant) / (near + far);
        if (Math.signum(slope) != Math.signum(nearSecant)) {
            return 0;
        }
        boolean turns = Math.signum(nearSecant) != Math.signum(farSecant);
        return turns && Math.abs(slope) > 3 * Math.abs(nearSecant) ? 3 * nearSecant : slope;
    }

    /** A copy of the slopes at the points. */
    public double[] slopes() {
        return slope.clone();
    }

    /** The curve at a place; not estimable outside the points. */
    public Outcome<Double> at(double place) {
        if (!(place >= x[0] && place <= x[x.length - 1])) {
            return Outcome.notEstimable("Outside the tested range");
        }
        int piece = 0;
        while (piece < x.length - 2 && place > x[piece + 1]) {
            piece++;
        }
        return Outcome.found(value(piece, place));
    }

    private double value(int piece, double place) {
        double width = x[piece + 1] - x[piece];
        double t = (place - x[piece]) / width;
        double u = 1 - t;
        return y[piece] * (1 + 2 * t) * u * u
                + slope[piece] * width * t * u * u
                + y[piece + 1] * t * t * (3 - 2 * t)
                - slope[piece + 1] * width * t * t * u;
    }

    /** The first place, from the left, with this value; a flat piece gives its left end. */
    public Outcome<Double> firstWhere(double value) {
        for (int piece = 0; piece < x.length; piece++) {
            if (y[piece] == value) {
                return Outcome.found(x[piece]);
            }
            if (piece < x.length - 1 && (y[piece] - value) * (y[piece + 1] - value) < 0) {
                int inside = piece;
                return Outcome.found(new BracketingNthOrderBrentSolver(1e-14, 1e-14, 5)
                        .solve(200, place -> value(inside, place) - value, x[piece], x[piece + 1]));
            }
        }
        return Outcome.notEstimable("No point of the curve has this value");
    }
}
