package elsom.core.protocol.water;

import elsom.core.figure.GroupKey;
import java.util.List;

/**
 * What a group's volume is made of; fractions of the filled volume that sum to 1 when air is known.
 *
 * @param remark what was assumed or could not be told; empty when nothing
 */
public record Composition(GroupKey group, List<Part> parts, String remark) {
    public Composition {
        parts = List.copyOf(parts);
    }

    /** A part of the volume. */
    public record Part(Kind kind, double fraction) {}

    /** What fills a part. */
    public enum Kind {
        HELD("water still held"),
        LOST("water lost since draining"),
        AIR("air after draining"),
        SOLID("solids"),
        UNKNOWN("air and solids");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
