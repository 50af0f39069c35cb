package elsom.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/** Drawing lots from a seed; the same seed always draws the same. */
final class Lots {
    private final SplittableRandom random;

    Lots(long seed) {
        this.random = new SplittableRandom(seed);
    }

    /** The same items in an order in which each is equally likely (Fisher and Yates 1938, Durstenfeld's form). */
    <T> List<T> shuffled(List<T> items) {
        List<T> order = new ArrayList<>(items);
        for (int last = order.size() - 1; last > 0; last--) {
            int other = random.nextInt(last + 1);
            T drawn = order.get(other);
            order.set(other, order.get(last));
            order.set(last, drawn);
        }
        return order;
    }
}
