package elsom.core.design;

import java.util.ArrayList;
import java.util.List;

/**
 * Drawing lots from a seed; the same seed draws the same on every machine, for ever. The generator is SplitMix64 (Steele,
 * Lea & Flood 2014), written out here, as the library's own may change.
 */
public final class RandomDraw {
    private static final long GOLDEN_GAMMA = 0x9e3779b97f4a7c15L;

    private long state;

    public RandomDraw(long seed) {
        this.state = seed;
    }

    /** The upper half of the next 64 bits, mixed by Stafford's variant 4 for 32 bits. */
    private int bits() {
        state += GOLDEN_GAMMA;
        long z = (state ^ (state >>> 33)) * 0x62a9d9ed799705f5L;
        return (int) (((z ^ (z >>> 28)) * 0xcb24d0a5c88c35b3L) >>> 32);
    }

    /** A number from 0 to below a bound, each equally likely: bits that would favour some are drawn again. */
    public int below(int bound) {
        int most = bound - 1;
        if ((bound & most) == 0) {
            return bits() & most;
        }
        int drawn = bits() >>> 1;
        int number = drawn % bound;
        while (drawn + most - number < 0) {
            drawn = bits() >>> 1;
            number = drawn % bound;
        }
        return number;
    }

    /** A number from 0 to below 1, of 31 bits. */
    public double share() {
        return (bits() >>> 1) * 0x1.0p-31;
    }

    /** A normal deviate, by the polar method (Marsaglia and Bray 1964) in arithmetic that is the same on every machine. */
    public double deviate() {
        while (true) {
            double one = 2 * share() - 1;
            double other = 2 * share() - 1;
            double square = one * one + other * other;
            if (square > 0 && square < 1) {
                return one * StrictMath.sqrt(-2 * StrictMath.log(square) / square);
            }
        }
    }

    /** The same items in an order in which each is equally likely (Fisher and Yates 1938, Durstenfeld's form). */
    public <T> List<T> shuffled(List<T> items) {
        List<T> order = new ArrayList<>(items);
        for (int last = order.size() - 1; last > 0; last--) {
            int other = below(last + 1);
            T drawn = order.get(other);
            order.set(other, order.get(last));
            order.set(last, drawn);
        }
        return order;
    }
}
