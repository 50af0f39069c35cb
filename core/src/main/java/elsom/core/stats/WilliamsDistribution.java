package elsom.core.stats;

import java.util.Arrays;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * The null distribution of Williams's (1971, 1972) statistic for any group sizes. The isotonic mean of the highest dose
 * stays at or below c exactly when every mean of the highest few doses does: a Gaussian walk from the highest dose down
 * that never rises above 0, whose chance is found by passing its density from step to step. Each step has points of its
 * own, as close as the smaller of the two groups beside it asks for, so that very unequal groups are no harder.
 */
final class WilliamsDistribution {
    private static final int KNOTS = 201;
    private static final int MOST_PANELS = 64;
    private static final double REACH = 8.5;

    private final int control;
    private final int top;
    private final double total;
    private final Quadrature.Scale scale;
    private final PolynomialSplineFunction staysBelow;
    private final double edge;

    /**
     * A distribution.
     *
     * @param control units of the control
     * @param doses units of each dose up to the one tested, in rising dose
     */
    WilliamsDistribution(int control, int[] doses, double df) {
        this.control = control;
        this.top = doses[doses.length - 1];
        this.total = Arrays.stream(doses).sum();
        this.scale = Quadrature.Scale.ofCentral(df);
        double fewest = Arrays.stream(doses).min().orElseThrow();
        edge = REACH / Math.sqrt(fewest);
        // Closest about 0, where the mean of all doses decides, and further apart where one small dose does.
        double fine = 2 / Math.sqrt(total);
        double reach = Math.log(edge / fine + Math.sqrt(1 + edge * edge / (fine * fine)));
        double[] c = new double[KNOTS];
        double[] chance = new double[KNOTS];
        for (int i = 0; i < KNOTS; i++) {
            c[i] = fine * Math.sinh(reach * (2.0 * i / (KNOTS - 1) - 1));
            chance[i] = staysBelow(doses, c[i]);
        }
        staysBelow = new SplineInterpolator().interpolate(c, chance);
    }

    private static double staysBelow(int[] doses, double c) {
        double[] node = {0};
        double[] mass = {1};
        double chance = 1;
        double so = 0;
        for (int j = doses.length - 1; j >= 0; j--) {
            so += doses[j];
            double sd = Math.sqrt(doses[j]);
            double drift = -doses[j] * c;
            double finest = j == 0 ? sd : Math.min(sd, Math.sqrt(doses[j - 1]));
            double depth = so * Math.max(0, c) + REACH * Math.sqrt(so);
            int points = Quadrature.pointsFor(depth, 4 * finest, MOST_PANELS);
            double[] nextNode = new double[points];
            double[] nextMass = new double[points];
            Quadrature.nodes(-depth, 0, nextNode, nextMass);
            chance = 0;
            for (int to = 0; to < points; to++) {
                nextMass[to] *= density(node, mass, nextNode[to] - drift, sd);
                chance += nextMass[to];
            }
            node = nextNode;
            mass = nextMass;
        }
        return Math.min(1, Math.max(0, chance));
    }

    /** Where the walk stands after a step, from where it stood before. */
    private static double density(double[] node, double[] mass, double to, double sd) {
        double sum = 0;
        for (int from = 0; from < node.length; from++) {
            double step = (to - node[from]) / sd;
            if (Math.abs(step) < 9) {
                sum += mass[from] * Math.exp(-step * step / 2);
            }
        }
        return sum / (sd * Math.sqrt(2 * Math.PI));
    }

    private double below(double c) {
        return c <= -edge ? 0 : c >= edge ? 1 : Math.min(1, Math.max(0, staysBelow.value(c)));
    }

    /** P(statistic > t). */
    double survival(double t) {
        double error = Math.sqrt(1.0 / top + 1.0 / control);
        double root = Math.sqrt(control);
        double width = root / Math.sqrt(total);
        double stays = scale.mean(s -> Quadrature.overNormal(z -> below(z / root + t * s * error), Math.min(1, width)));
        return Math.min(1, Math.max(0, 1 - stays));
    }

    /** The t exceeded with this probability. */
    double upperQuantile(double probability) {
        return Quadrature.quantile(this::survival, probability, -8, 8, 1e-9);
    }
}
