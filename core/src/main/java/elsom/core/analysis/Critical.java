package elsom.core.analysis;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.DoubleSupplier;

/** Quantiles that were worked out before: alike trials, looks and endpoints ask for the same ones. */
final class Critical {
    private static final int MOST = 500;

    private static final Map<Object, Double> KNOWN = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, Double> eldest) {
            return size() > MOST;
        }
    };

    private Critical() {}

    static double of(Object key, DoubleSupplier work) {
        Double known;
        synchronized (KNOWN) {
            known = KNOWN.get(key);
        }
        if (known == null) {
            known = work.getAsDouble();
            synchronized (KNOWN) {
                KNOWN.put(key, known);
            }
        }
        return known;
    }
}
