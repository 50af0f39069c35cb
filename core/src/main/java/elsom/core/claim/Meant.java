package elsom.core.claim;

import elsom.core.quantity.Decimals;
import java.util.List;

/** What a claim says in figures, of the side it is about (a) less or over the side it is held against (b). */
public sealed interface Meant {
    /** Said back: "ratio >= 1.2". */
    String says();

    /** The claim's opposite. */
    Meant denied();

    /** In words for a page: "at least 20 % more". */
    String words();

    /**
     * A region for a − b, or for a / b.
     *
     * @param ratio whether it is of a / b
     * @param low and {@code high} its ends, which may be infinite; {@code open} whether a finite end is outside
     * @param outside whether it is all but that
     * @param unit of the ends of a difference
     */
    record Region(boolean ratio, double low, double high, boolean open, boolean outside, String unit) implements Meant {
        static Region above(boolean ratio, double low, boolean open, String unit) {
            return new Region(ratio, low, Double.POSITIVE_INFINITY, open, false, unit);
        }

        static Region below(boolean ratio, double high, boolean open, String unit) {
            return new Region(ratio, Double.NEGATIVE_INFINITY, high, open, false, unit);
        }

        static Region within(boolean ratio, double low, double high, String unit) {
            return new Region(ratio, low, high, false, false, unit);
        }

        /** Any difference at all. */
        static Region notNothing() {
            return new Region(false, 0, 0, false, true, "");
        }

        @Override
        public Meant denied() {
            if (outside || (Double.isFinite(low) && Double.isFinite(high))) {
                return new Region(ratio, low, high, open, !outside, unit);
            }
            return Double.isFinite(low) ? below(ratio, low, !open, unit) : above(ratio, high, !open, unit);
        }

        /** The same with the sides changed. */
        Region turned() {
            return ratio
                    ? new Region(true, inverse(high), inverse(low), open, outside, unit)
                    : new Region(false, -high, -low, open, outside, unit);
        }

        private static double inverse(double end) {
            return Double.isInfinite(end) ? end > 0 ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY : 1 / end;
        }

        private boolean nothing() {
            return low == 0 && high == 0;
        }

        @Override
        public String says() {
            String of = ratio ? "ratio" : "difference";
            if (nothing()) {
                return of + (outside ? " != 0" : " = 0");
            }
            if (Double.isFinite(low) && Double.isFinite(high)) {
                String region = !ratio && low == -high
                        ? "|difference| <= " + end(high)
                        : of + " in [" + end(low) + ", " + end(high) + "]";
                return outside ? "not " + region : region;
            }
            return Double.isFinite(low)
                    ? of + (open ? " > " : " >= ") + end(low)
                    : of + (open ? " < " : " <= ") + end(high);
        }

        private String end(double value) {
            return Decimals.significant(value, 7).replace('−', '-')
                    + (ratio || unit.isEmpty() || value == 0 ? "" : " " + unit);
        }

        @Override
        public String words() {
            if (nothing()) {
                return "a difference either way";
            }
            if (Double.isFinite(low) && Double.isFinite(high)) {
                return (outside ? "not between " : "between ") + size(low) + " and " + size(high);
            }
            boolean fromBelow = Double.isFinite(low);
            double end = fromBelow ? low : high;
            if (end == (ratio ? 1 : 0)) {
                return (fromBelow ? open ? "more" : "no less" : open ? "less" : "no more") + " than the other";
            }
            return (fromBelow ? open ? "above " : "at least " : open ? "below " : "at most ") + size(end);
        }

        private String size(double end) {
            if (!ratio) {
                return end < 0
                        ? Decimals.significant(-end, 5) + " " + unit + " less"
                        : Decimals.significant(end, 5) + " " + unit + " more";
            }
            return Decimals.significant(100 * end, 4) + " % of the other";
        }
    }

    /** An order, the greatest first. */
    record Ordered(List<Integer> sides, List<String> names, boolean not) implements Meant {
        public Ordered {
            sides = List.copyOf(sides);
            names = List.copyOf(names);
        }

        @Override
        public String says() {
            return (not ? "not " : "") + "order: " + String.join(" > ", names);
        }

        @Override
        public String words() {
            return (not ? "not " : "") + "each above the next: " + String.join(", ", names);
        }

        @Override
        public Meant denied() {
            return new Ordered(sides, names, !not);
        }
    }

    /** One beside each of the others. */
    record BesideEach(Region region, boolean not) implements Meant {
        @Override
        public String says() {
            return (not ? "not each: " : "each: ") + region.says();
        }

        @Override
        public String words() {
            return (not ? "not " : "") + region.words() + " beside each of the others";
        }

        @Override
        public Meant denied() {
            return new BesideEach(region, !not);
        }
    }

    /** No verdict: what has to be said first. */
    record Asked(String why) implements Meant {
        @Override
        public String says() {
            return "ask: " + why;
        }

        @Override
        public String words() {
            return why;
        }

        @Override
        public Meant denied() {
            return this;
        }
    }
}
