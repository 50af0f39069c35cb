package elsom.core.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * Scores by how the odds of a higher one differ between treatments, with a threshold for each score that occurs (McCullagh
 * 1980, J. R. Stat. Soc. B 42:109–142), by maximum likelihood.
 *
 * @param categories scores that occur
 * @param comparisons each other group against the control
 */
public record ProportionalOdds(int categories, double loglik, List<Comparison> comparisons) {
    private static final int MOST = 200;
    private static final double SETTLED = 1e-11;
    /** Logarithms of odds beyond this are those of groups that do not overlap. */
    private static final double APART = 12;

    private static final double SMALLEST = 1e-300;

    /**
     * A group against the control.
     *
     * @param logOddsRatio of a higher score; infinite where the two don't overlap
     * @param se by the observed information; empty where it is infinite
     * @param pLikelihoodRatio of no difference
     * @param low and {@code high}: by the profile of the likelihood; one end is infinite where they don't overlap
     */
    public record Comparison(
            String treatment,
            double logOddsRatio,
            OptionalDouble se,
            double pLikelihoodRatio,
            double low,
            double high) {}

    public ProportionalOdds {
        comparisons = List.copyOf(comparisons);
    }

    /** A unit's score, as its place among those that occur, and its group. */
    private record Scored(int place, int group) {}

    /** Scores with what is held. */
    private record Scores(List<Scored> units, int categories, int groups) {
        private int cuts() {
            return categories - 1;
        }

        private static double share(double x) {
            return x == Double.NEGATIVE_INFINITY ? 0 : x == Double.POSITIVE_INFINITY ? 1 : 1 / (1 + Math.exp(-x));
        }

        private static double slope(double x) {
            return Double.isInfinite(x) ? 0 : share(x) * share(-x);
        }

        private double cut(double[] z, int place) {
            return place == 0
                    ? Double.NEGATIVE_INFINITY
                    : place == categories ? Double.POSITIVE_INFINITY : z[place - 1];
        }

        /** Where group 0 is the control and the others' effects follow the cuts. */
        private double effect(double[] z, int group) {
            return group == 0 ? 0 : z[cuts() + group - 1];
        }

        private double chance(double upper, double lower) {
            // From the nearer end, so that small chances keep their digits.
            return lower > 0 ? share(-lower) - share(-upper) : share(upper) - share(lower);
        }

        double likelihood(double[] z) {
            double sum = 0;
            for (Scored unit : units) {
                double effect = effect(z, unit.group());
                double chance = chance(cut(z, unit.place() + 1) - effect, cut(z, unit.place()) - effect);
                sum += chance > 0 ? Math.log(Math.max(SMALLEST, chance)) : Double.NEGATIVE_INFINITY;
            }
            return sum;
        }

        double[] score(double[] z) {
            double[] gradient = new double[z.length];
            for (Scored unit : units) {
                double effect = effect(z, unit.group());
                double upper = cut(z, unit.place() + 1) - effect;
                double lower = cut(z, unit.place()) - effect;
                double chance = Math.max(SMALLEST, chance(upper, lower));
                if (unit.place() < cuts()) {
                    gradient[unit.place()] += slope(upper) / chance;
                }
                if (unit.place() > 0) {
                    gradient[unit.place() - 1] -= slope(lower) / chance;
                }
                if (unit.group() > 0) {
                    gradient[cuts() + unit.group() - 1] -= (slope(upper) - slope(lower)) / chance;
                }
            }
            return gradient;
        }

        /** Minus the second derivatives, by differences of the first. */
        RealMatrix information(double[] z) {
            RealMatrix information = MatrixUtils.createRealMatrix(z.length, z.length);
            for (int i = 0; i < z.length; i++) {
                double step = 1e-5 * (1 + Math.abs(z[i]));
                double[] more = z.clone();
                double[] less = z.clone();
                more[i] += step;
                less[i] -= step;
                double[] up = score(more);
                double[] down = score(less);
                for (int j = 0; j < z.length; j++) {
                    double second = -(up[j] - down[j]) / (4 * step);
                    information.addToEntry(i, j, second);
                    information.addToEntry(j, i, second);
                }
            }
            return information;
        }

        double[] start() {
            double[] z = new double[cuts() + groups - 1];
            for (int cut = 0; cut < cuts(); cut++) {
                int at = cut;
                double below = units.stream().filter(unit -> unit.place() <= at).count();
                z[cut] = Math.log(below / (units.size() - below));
            }
            return z;
        }

        /** The greatest likelihood, with one effect held or none; Newton's steps, halved where they go too far. */
        double[] fitted(double[] from, Optional<Integer> held) {
            double[] z = from.clone();
            double reached = likelihood(z);
            int[] free = IntStream.range(0, z.length)
                    .filter(i -> held.isEmpty() || i != cuts() + held.get() - 1)
                    .toArray();
            for (int i = 0; i < MOST; i++) {
                double[] step = step(z, free);
                double scale = 1;
                double[] next = moved(z, free, step, scale);
                while (!(likelihood(next) >= reached) && scale > 1e-10) {
                    scale /= 2;
                    next = moved(z, free, step, scale);
                }
                double largest = Arrays.stream(step).map(Math::abs).max().orElse(0) * scale;
                if (!(likelihood(next) >= reached)) {
                    return z;
                }
                z = next;
                reached = likelihood(z);
                if (largest < SETTLED || IntStream.range(cuts(), z.length).anyMatch(at(z))) {
                    return z;
                }
            }
            return z;
        }

        private static IntPredicate at(double[] z) {
            return i -> Math.abs(z[i]) > 3 * APART;
        }

        private double[] step(double[] z, int[] free) {
            double[] all = score(z);
            double[] gradient = Arrays.stream(free).mapToDouble(i -> all[i]).toArray();
            try {
                return new LUDecomposition(information(z).getSubMatrix(free, free))
                        .getSolver()
                        .solve(MatrixUtils.createRealVector(gradient))
                        .toArray();
            } catch (MathRuntimeException flat) {
                return gradient;
            }
        }

        private static double[] moved(double[] z, int[] free, double[] step, double scale) {
            double[] next = z.clone();
            for (int i = 0; i < free.length; i++) {
                next[free[i]] += scale * step[i];
            }
            return next;
        }
    }

    /**
     * The comparisons.
     *
     * @param control the group that others are compared with
     * @return not estimable where all scores are alike
     */
    public static Outcome<ProportionalOdds> of(Group control, List<Group> others) {
        TreeSet<Double> occurring = new TreeSet<>(control.values());
        others.forEach(group -> occurring.addAll(group.values()));
        if (occurring.size() < 2 || others.isEmpty()) {
            return Outcome.notEstimable("All scores are alike, or there is nothing to compare");
        }
        List<Double> places = new ArrayList<>(occurring);
        List<Scored> units = new ArrayList<>();
        control.values().forEach(value -> units.add(new Scored(places.indexOf(value), 0)));
        for (int group = 0; group < others.size(); group++) {
            for (double value : others.get(group).values()) {
                units.add(new Scored(places.indexOf(value), group + 1));
            }
        }
        Scores scores = new Scores(units, places.size(), others.size() + 1);
        double[] best = scores.fitted(scores.start(), Optional.empty());
        double greatest = scores.likelihood(best);
        List<Comparison> comparisons = new ArrayList<>();
        for (int group = 1; group <= others.size(); group++) {
            comparisons.add(
                    compared(scores, best, greatest, others.get(group - 1).name(), group));
        }
        return Outcome.found(new ProportionalOdds(places.size(), greatest, comparisons));
    }

    private static Comparison compared(Scores scores, double[] best, double greatest, String name, int group) {
        int place = scores.categories() - 1 + group - 1;
        double effect = best[place];
        double limit = ChiSquaredDistribution.of(1).inverseSurvivalProbability(0.05) / 2;
        DoubleUnaryOperator lost = at -> {
            double[] from = best.clone();
            for (int i = scores.categories() - 1; i < from.length; i++) {
                from[i] = Math.max(-APART, Math.min(APART, from[i]));
            }
            from[place] = at;
            return greatest - scores.likelihood(scores.fitted(from, Optional.of(group)));
        };
        double p = ChiSquaredDistribution.of(1).survivalProbability(Math.max(0, 2 * lost.applyAsDouble(0)));
        if (Math.abs(effect) > APART) {
            double sign = Math.signum(effect);
            double end = solved(at -> lost.applyAsDouble(at) - limit, -6 * sign, 10 * sign);
            return new Comparison(
                    name,
                    sign * Double.POSITIVE_INFINITY,
                    OptionalDouble.empty(),
                    p,
                    sign > 0 ? end : Double.NEGATIVE_INFINITY,
                    sign > 0 ? Double.POSITIVE_INFINITY : end);
        }
        double error = Math.sqrt(new LUDecomposition(scores.information(best))
                .getSolver()
                .getInverse()
                .getEntry(place, place));
        return new Comparison(
                name,
                effect,
                OptionalDouble.of(error),
                p,
                beyond(lost, limit, effect, -error),
                beyond(lost, limit, effect, error));
    }

    /** Where so much likelihood is lost, going out by steps. */
    private static double beyond(DoubleUnaryOperator lost, double limit, double from, double step) {
        double near = from;
        double far = from + 2 * step;
        for (int i = 0; i < 40 && lost.applyAsDouble(far) < limit; i++) {
            near = far;
            far += 2 * step;
        }
        return solved(at -> lost.applyAsDouble(at) - limit, near, far);
    }

    private static double solved(DoubleUnaryOperator f, double one, double other) {
        double low = Math.min(one, other);
        double high = Math.max(one, other);
        return f.applyAsDouble(low) * f.applyAsDouble(high) > 0
                ? Double.NaN
                : new BracketingNthOrderBrentSolver(1e-10, 1e-10, 5).solve(300, f::applyAsDouble, low, high);
    }
}
