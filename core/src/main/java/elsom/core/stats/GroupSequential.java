package elsom.core.stats;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * How clear a difference must be at each of several looks, so that a false one shows in no more than alpha of trials over
 * all of them: alpha is spent as O'Brien and Fleming's limits would (Lan and DeMets 1983), two-sided.
 */
public final class GroupSequential {
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final int POINTS = 16;
    private static final int PANELS_EACH = 2;
    private static final double LOWEST_Z = 0.5;
    private static final double HIGHEST_Z = 9;
    private static final int MOST_TRIES = 500;

    private GroupSequential() {}

    /**
     * A look.
     *
     * @param fraction of all that will be known at the last look, above 0 to 1
     * @param cumulativeAlpha spent up to it
     * @param z the limit: beyond it, either way, it may be said
     * @param nominalP the same as a chance
     * @param confidenceLevel of an interval that says the same
     */
    public record Limit(double fraction, double cumulativeAlpha, double z, double nominalP, double confidenceLevel) {}

    /** Where the density of what is known so far stands, with its weights. */
    private static final class Density {
        private final double[] at;
        private final double[] mass;

        Density(double[] at, double[] mass) {
            this.at = at;
            this.mass = mass;
        }
    }

    /** What of alpha may be spent up to a fraction. */
    public static double spent(double fraction, double alpha) {
        return 4 * NORMAL.survivalProbability(NORMAL.inverseSurvivalProbability(alpha / 4) / Math.sqrt(fraction));
    }

    /**
     * The limit of each look.
     *
     * @param fractions rising, above 0, at most 1
     */
    public static List<Limit> limits(List<Double> fractions, double alpha) {
        double before = 0;
        for (double fraction : fractions) {
            if (!(fraction > before && fraction <= 1)) {
                throw new IllegalArgumentException("fractions rise from above 0 to 1, got " + fractions);
            }
            before = fraction;
        }
        List<Limit> limits = new ArrayList<>();
        Density density = new Density(new double[] {0}, new double[] {1});
        double reached = 0;
        double spentBefore = 0;
        for (double fraction : fractions) {
            double spent = spent(fraction, alpha);
            double sd = Math.sqrt(fraction - reached);
            double z = limit(density, sd, fraction, spent - spentBefore);
            double p = 2 * NORMAL.survivalProbability(z);
            limits.add(new Limit(fraction, spent, z, p, 1 - p));
            density = gone(density, sd, z * Math.sqrt(fraction));
            reached = fraction;
            spentBefore = spent;
        }
        return limits;
    }

    /** The first look at which something may be said; empty while at none. */
    public static OptionalInt stop(List<Limit> limits, List<Double> observed) {
        for (int i = 0; i < Math.min(limits.size(), observed.size()); i++) {
            if (Math.abs(observed.get(i)) >= limits.get(i).z()) {
                return OptionalInt.of(i + 1);
            }
        }
        return OptionalInt.empty();
    }

    private static double limit(Density density, double sd, double fraction, double wanted) {
        double scale = Math.sqrt(fraction);
        return new BrentSolver(1e-13, 1e-13)
                .solve(
                        MOST_TRIES,
                        z -> Math.log(outside(density, sd, z * scale)) - Math.log(wanted),
                        LOWEST_Z,
                        HIGHEST_Z);
    }

    private static double outside(Density density, double sd, double bound) {
        double sum = 0;
        for (int i = 0; i < density.at.length; i++) {
            double at = density.at[i];
            sum += density.mass[i]
                    * (NORMAL.survivalProbability((bound - at) / sd) + NORMAL.survivalProbability((bound + at) / sd));
        }
        return sum;
    }

    /** The density of those that went on, at the next look. */
    private static Density gone(Density density, double sd, double bound) {
        int panels = (int) Math.max(24, Math.ceil(bound * 8 * PANELS_EACH));
        double[] at = new double[panels * POINTS];
        double[] mass = new double[at.length];
        var rule = new GaussIntegratorFactory().legendre(POINTS);
        double half = bound / panels;
        for (int panel = 0; panel < panels; panel++) {
            double middle = -bound + (2 * panel + 1) * half;
            for (int i = 0; i < POINTS; i++) {
                int index = panel * POINTS + i;
                at[index] = middle + half * rule.getPoint(i);
                double sum = 0;
                for (int j = 0; j < density.at.length; j++) {
                    sum += density.mass[j] * NORMAL.density((at[index] - density.at[j]) / sd) / sd;
                }
                mass[index] = sum * half * rule.getWeight(i);
            }
        }
        return new Density(at, mass);
    }
}
