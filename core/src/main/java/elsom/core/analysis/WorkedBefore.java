package elsom.core.analysis;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** Distributions and quantiles that were worked out before: alike trials, looks and endpoints ask for the same ones. */
final class WorkedBefore<T> {
    private static final int MOST = 300;

    private final Map<Object, T> values = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, T> eldest) {
            return size() > MOST;
        }
    };

    /** The value of a key, worked out when it is not known; by two at once when they ask at once. */
    T of(Object key, Supplier<T> work) {
        T known;
        synchronized (values) {
            known = values.get(key);
        }
        if (known == null) {
            known = work.get();
            synchronized (values) {
                values.put(key, known);
            }
        }
        return known;
    }
}
