package elsom.core.stats;

import java.util.concurrent.atomic.AtomicIntegerArray;

/**
 * Lattices of rank 1 over the unit cube, 1, a, a², … of a prime number of points (Korobov 1959): the step whose worst error
 * over smooth functions is least, by the criterion P2 (Sloan and Joe 1994).
 */
final class Korobov {
    /** A prime. */
    static final int POINTS = 8009;

    private static final int MOST = 20;
    private static final int TRIED = 150;
    private static final AtomicIntegerArray FOUND = new AtomicIntegerArray(MOST + 1);

    private Korobov() {}

    /** The step for so many dimensions, 2 to 20. */
    static int step(int dimensions) {
        int known = FOUND.get(dimensions);
        if (known > 0) {
            return known;
        }
        int best = 1;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i <= TRIED; i++) {
            // Spread over all steps, most of them far from the small ones that fail.
            int step = (int) (1 + (long) i * 1597 % (POINTS - 1));
            double error = error(step, dimensions);
            if (error < least) {
                least = error;
                best = step;
            }
        }
        FOUND.set(dimensions, best);
        return best;
    }

    private static double error(int step, int dimensions) {
        double sum = 0;
        for (int point = 0; point < POINTS; point++) {
            double product = 1;
            long at = point;
            for (int j = 0; j < dimensions; j++) {
                double x = (double) at / POINTS;
                product *= 1 + 2 * Math.PI * Math.PI * (x * x - x + 1.0 / 6);
                at = at * step % POINTS;
            }
            sum += product;
        }
        return sum / POINTS - 1;
    }
}
