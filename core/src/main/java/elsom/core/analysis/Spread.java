package elsom.core.analysis;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * How a combination's t is spread were there no difference: as Student's t, or as several of them of which each counts as
 * much as the data speak for it (averaging over models: Hoeting, Madigan, Raftery and Volinsky 1999).
 */
record Spread(List<Part> parts) {
    /** No reader, and no answer, asks for more digits of a reach. */
    private static final double NEAR = 1e-6;

    private static final int MOST = 200;

    /**
     * One Student's t.
     *
     * @param weight 0 to 1; all together 1
     * @param factor its standard error over that of the model
     */
    record Part(double weight, double factor, double df) {}

    Spread {
        parts = List.copyOf(parts);
    }

    static Spread of(double df) {
        return new Spread(List.of(new Part(1, 1, df)));
    }

    private boolean single() {
        return parts.size() == 1 && parts.get(0).factor() == 1;
    }

    /** Degrees of freedom, on average of its parts. */
    double df() {
        return parts.stream().mapToDouble(part -> part.weight() * part.df()).sum();
    }

    /** The chance of a t as large. */
    double chance(double t, Tail tail) {
        double sum = 0;
        for (Part part : parts) {
            sum += part.weight() * tail.chance(t / part.factor(), part.df());
        }
        return sum;
    }

    /**
     * The t of this chance.
     *
     * @param alone that of one part by itself
     */
    double reach(double chance, ToDoubleFunction<Part> alone, Tail tail) {
        if (single()) {
            return alone.applyAsDouble(parts.get(0));
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Part part : parts) {
            double reached = part.factor() * alone.applyAsDouble(part);
            low = Math.min(low, reached);
            high = Math.max(high, reached);
        }
        DoubleUnaryOperator over = t -> chance(t, tail) - chance;
        if (high - low < NEAR * high || over.applyAsDouble(low) <= 0) {
            return low;
        }
        return over.applyAsDouble(high) >= 0
                ? high
                : new BracketingNthOrderBrentSolver(NEAR, NEAR, 3).solve(MOST, over::applyAsDouble, low, high);
    }

    /** The chance of a t beyond one, at some degrees of freedom. */
    interface Tail {
        double chance(double t, double df);
    }
}
