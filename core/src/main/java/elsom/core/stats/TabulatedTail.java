package elsom.core.stats;

import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.DoubleUnaryOperator;

/**
 * A probability that falls from 1 to 0 over the line, worked out once on each unit stretch that is asked for: there its
 * logarithm is a Chebyshev series, so that small probabilities keep their digits.
 */
final class TabulatedTail {
    private static final int USUAL = 20;
    private static final int FURTHEST = 37;
    private static final double LEAST = 1e-305;

    private final DoubleUnaryOperator tail;
    private final int count;
    private final AtomicReferenceArray<double[]> series = new AtomicReferenceArray<>(2 * FURTHEST);

    /** A tail that costs much for each value. */
    TabulatedTail(DoubleUnaryOperator tail) {
        this(tail, USUAL);
    }

    /** One that is known to so few digits that fewer terms keep them. */
    TabulatedTail(DoubleUnaryOperator tail, int count) {
        this.tail = tail;
        this.count = count;
    }

    double at(double x) {
        if (x <= -FURTHEST) {
            return 1;
        }
        if (x >= FURTHEST) {
            return 0;
        }
        int stretch = (int) Math.floor(x);
        double[] terms = series.get(stretch + FURTHEST);
        if (terms == null) {
            terms = terms(stretch);
            series.set(stretch + FURTHEST, terms);
        }
        return Math.min(1, Math.exp(sum(terms, 2 * (x - stretch) - 1)));
    }

    private double[] terms(int stretch) {
        double[] values = new double[count];
        for (int j = 0; j < count; j++) {
            double node = Math.cos(Math.PI * (j + 0.5) / count);
            values[j] = Math.log(Math.max(LEAST, tail.applyAsDouble(stretch + (node + 1) / 2)));
        }
        double[] terms = new double[count];
        for (int k = 0; k < count; k++) {
            double sum = 0;
            for (int j = 0; j < count; j++) {
                sum += values[j] * Math.cos(Math.PI * k * (j + 0.5) / count);
            }
            terms[k] = (k == 0 ? 1.0 : 2.0) / count * sum;
        }
        return terms;
    }

    /** Clenshaw's recurrence. */
    private static double sum(double[] terms, double x) {
        double last = 0;
        double beforeLast = 0;
        for (int k = terms.length - 1; k > 0; k--) {
            double next = 2 * x * last - beforeLast + terms[k];
            beforeLast = last;
            last = next;
        }
        return x * last - beforeLast + terms[0];
    }
}
