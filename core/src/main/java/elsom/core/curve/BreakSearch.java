package elsom.core.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.FDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;

/** Sums of squares over the place of a break: smooth between data points, kinked at them, with several minima. */
final class BreakSearch {
    private static final int PARTS = 3;
    private static final int STEPS = 60;

    private BreakSearch() {}

    /** Where a sum of squares is least, and what it is there. */
    record Least(double at, double squares) {}

    /** The least over a range, searched between each two neighbouring places and at them. */
    static Least least(DoubleUnaryOperator squares, List<Double> places) {
        Least best = new Least(places.get(0), squares.applyAsDouble(places.get(0)));
        for (int i = 1; i < places.size(); i++) {
            best = better(best, new Least(places.get(i), squares.applyAsDouble(places.get(i))));
            for (int part = 0; part < PARTS; part++) {
                double width = (places.get(i) - places.get(i - 1)) / PARTS;
                double from = places.get(i - 1) + part * width;
                UnivariatePointValuePair found = new BrentOptimizer(1e-11, 1e-13)
                        .optimize(
                                new MaxEval(300),
                                new UnivariateObjectiveFunction(squares::applyAsDouble),
                                GoalType.MINIMIZE,
                                new SearchInterval(from, from + width));
                best = better(best, new Least(found.getPoint(), found.getValue()));
            }
        }
        return best;
    }

    /**
     * The same where it is asked for thousands of times: every place and the middles between are tried, and only the two
     * stretches beside the best are searched.
     */
    static Least quick(DoubleUnaryOperator squares, List<Double> places) {
        List<Double> tried = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            if (i > 0) {
                tried.add((places.get(i - 1) + places.get(i)) / 2);
            }
            tried.add(places.get(i));
        }
        double[] values = tried.stream().mapToDouble(squares::applyAsDouble).toArray();
        int best = 0;
        for (int i = 1; i < values.length; i++) {
            best = values[i] < values[best] ? i : best;
        }
        return least(squares, tried.subList(Math.max(0, best - 1), Math.min(tried.size(), best + 2)));
    }

    private static Least better(Least one, Least other) {
        return other.squares() < one.squares() ? other : one;
    }

    /** The distinct places within a range, its ends among them. */
    static List<Double> within(List<Double> distinct, double from, double to) {
        List<Double> places = new ArrayList<>();
        places.add(from);
        distinct.stream().filter(x -> x > from && x < to).forEach(places::add);
        if (to > from) {
            places.add(to);
        }
        return places;
    }

    /** How far a sum of squares may rise before a value leaves its 95 % profile interval. */
    static double limit(double least, int df) {
        return least * (1 + FDistribution.of(1, df).inverseSurvivalProbability(0.05) / df);
    }

    static ProfileInterval profile(
            DoubleUnaryOperator squares, double limit, double estimate, double lowest, double highest) {
        DoubleUnaryOperator over = theta -> squares.applyAsDouble(theta) - limit;
        return new ProfileInterval(side(over, estimate, lowest), side(over, estimate, highest));
    }

    private static OptionalDouble side(DoubleUnaryOperator over, double estimate, double end) {
        double inside = estimate;
        for (int i = 1; i <= STEPS; i++) {
            // Fine beside the estimate, where the limit usually lies, and coarse far off.
            double outside = estimate + (end - estimate) * i * i / (STEPS * STEPS);
            if (over.applyAsDouble(outside) > 0) {
                return OptionalDouble.of(new BracketingNthOrderBrentSolver(1e-10, 1e-10, 5)
                        .solve(200, over::applyAsDouble, Math.min(inside, outside), Math.max(inside, outside)));
            }
            inside = outside;
        }
        return OptionalDouble.empty();
    }
}
