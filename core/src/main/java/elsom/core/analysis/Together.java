package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How two figures of the same units go together, among units of one treatment: over all units two figures that a treatment
 * both moves always seem to.
 *
 * @param n units that have both
 * @param r pooled correlation within treatments, −1 to 1
 * @param interval95 by Fisher's transformation, with n − treatments − 2 in its root; empty with too few units
 */
public record Together(int n, double r, Optional<Interval> interval95) {
    private static final int FEWEST = 4;
    private static final double TAIL = 0.975;
    private static final double MIDDLING = 0.3;

    /** Whether the two are shown to go together, weaker ties than that left aside as of no use. */
    public Way way() {
        boolean clear = interval95
                .map(interval -> interval.low() > 0 || interval.high() < 0)
                .orElse(false);
        return !clear || Math.abs(r) < MIDDLING ? Way.NOT_SHOWN : r > 0 ? Way.TOGETHER : Way.AGAINST;
    }

    /** How two figures go. */
    public enum Way {
        TOGETHER("rise together"),
        AGAINST("go against each other"),
        NOT_SHOWN("are not shown to go together");

        private final String words;

        Way(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** A unit's two figures. */
    public record Pair(int treatment, double x, double y) {}

    /** The correlation; empty where units of one treatment do not differ in one of the two. */
    public static Optional<Together> of(List<Pair> pairs) {
        Map<Integer, List<Pair>> byTreatment = pairs.stream().collect(Collectors.groupingBy(Pair::treatment));
        double xx = 0;
        double yy = 0;
        double xy = 0;
        for (List<Pair> arm : byTreatment.values()) {
            double meanX = arm.stream().mapToDouble(Pair::x).average().orElseThrow();
            double meanY = arm.stream().mapToDouble(Pair::y).average().orElseThrow();
            for (Pair pair : arm) {
                xx += (pair.x() - meanX) * (pair.x() - meanX);
                yy += (pair.y() - meanY) * (pair.y() - meanY);
                xy += (pair.x() - meanX) * (pair.y() - meanY);
            }
        }
        if (!(xx > 0) || !(yy > 0)) {
            return Optional.empty();
        }
        double r = Math.max(-1, Math.min(1, xy / Math.sqrt(xx * yy)));
        int free = pairs.size() - byTreatment.size() - 2;
        return Optional.of(new Together(pairs.size(), r, interval(r, free)));
    }

    private static Optional<Interval> interval(double r, int free) {
        if (free < FEWEST || Math.abs(r) >= 1) {
            return Optional.empty();
        }
        double z = 0.5 * Math.log((1 + r) / (1 - r));
        double half = NormalDistribution.of(0, 1).inverseCumulativeProbability(TAIL) / Math.sqrt(free);
        return Optional.of(new Interval(Math.tanh(z - half), Math.tanh(z + half)));
    }
}
