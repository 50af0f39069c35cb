package elsom.core.practice;

import elsom.core.quantity.Bounds;
import java.util.List;

/**
 * A plan, as far as it decides what a trial can tell.
 *
 * @param treatments as the level names them; the comparator first
 * @param units of each
 * @param lastDay of the last look
 * @param best how many of the best units of each treatment but the first are measured; 0 for all
 */
public record Trialled(List<String> treatments, int units, Placing placing, double lastDay, int best) {
    /** How units come by their places. */
    public enum Placing {
        SIDE_BY_SIDE("a side each", "Each treatment stands together, one beside the other."),
        BY_LOT("at random", "Any unit anywhere, drawn at random."),
        BLOCKS("blocks", "Every treatment once at each distance from the light.");

        private final String label;
        private final String words;

        Placing(String label, String words) {
            this.label = label;
            this.words = words;
        }

        public String label() {
            return label;
        }

        public String words() {
            return words;
        }
    }

    public static final int MOST_UNITS = 30;

    public Trialled {
        treatments = Bounds.list("treatments", treatments, 1, 12);
        Bounds.count("units of each", units, 1, MOST_UNITS);
        Bounds.number("the last day", lastDay, 0, 400);
        Bounds.count("the best that are measured", best, 0, units);
    }

    static Trialled of(int units, Placing placing, double lastDay, String... treatments) {
        return new Trialled(List.of(treatments), units, placing, lastDay, 0);
    }

    public Trialled units(int other) {
        return new Trialled(treatments, other, placing, lastDay, Math.min(best, other));
    }

    public Trialled placed(Placing other) {
        return new Trialled(treatments, units, other, lastDay, best);
    }

    Trialled best(int other) {
        return new Trialled(treatments, units, placing, lastDay, other);
    }
}
