package elsom.core.stats;

import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** How likely any of several treatments is told from their common control under true differences (Dunnett 1955). */
public final class AnyBesideControl {
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final double FURTHEST = 8.5;
    private static final int POINTS = Quadrature.points() * 12;

    private AnyBesideControl() {}

    /**
     * The chance that an interval leaves out 0, by quadrature of the noncentral multivariate t.
     *
     * @param control units of the control
     * @param n units of each treatment
     * @param differences true ones, treatment less control
     * @param sd true scatter between units
     * @param df degrees of freedom of the shared scatter
     * @param critical what a standard error is multiplied by
     */
    public static double told(int control, int[] n, double[] differences, double sd, double df, double critical) {
        double[] z = new double[POINTS];
        double[] weight = new double[POINTS];
        Quadrature.nodes(-FURTHEST, FURTHEST, z, weight);
        double none = Quadrature.Scale.of(df)
                .mean(s -> IntStream.range(0, POINTS)
                        .mapToDouble(i -> weight[i]
                                * NORMAL.density(z[i])
                                * untold(control, n, differences, sd, critical * s, z[i] / Math.sqrt(control)))
                        .sum());
        return 1 - none;
    }

    /** That no treatment is told, the control's mean being off by so many standard deviations of a unit. */
    private static double untold(int control, int[] n, double[] differences, double sd, double reach, double off) {
        double all = 1;
        for (int i = 0; i < n.length; i++) {
            double room = reach * Math.sqrt(1.0 / control + 1.0 / n[i]);
            double centre = off - differences[i] / sd;
            double root = Math.sqrt(n[i]);
            all *= NORMAL.cumulativeProbability((centre + room) * root)
                    - NORMAL.cumulativeProbability((centre - room) * root);
        }
        return all;
    }
}
