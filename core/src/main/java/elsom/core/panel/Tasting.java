package elsom.core.panel;

import elsom.core.design.RandomDraw;
import elsom.core.quantity.Bounds;
import java.util.ArrayList;
import java.util.List;

/**
 * A tasting as it is planned: what is tasted, how, by how many. Codes and orders are drawn from the seed, so that they can be
 * printed, served and worked out from one plan.
 *
 * @param samples what is on the plates, by name; two for a triangle or a pair
 */
public record Tasting(Kind kind, List<String> samples, int tasters, long seed) {
    public static final int MOST_SAMPLES = 8;
    public static final int MOST_TASTERS = 200;

    private static final int LOWEST_CODE = 100;
    private static final int CODES = 900;
    private static final long CODED = 0x0DD5EEDL;
    private static final long ODD = 0x7419L;

    /** The six orders of a triangle; 0 is the first sample, 1 the second. */
    private static final List<List<Integer>> TRIANGLES = List.of(
            List.of(0, 0, 1), List.of(0, 1, 0), List.of(1, 0, 0), List.of(1, 1, 0), List.of(1, 0, 1), List.of(0, 1, 1));

    /** How it is tasted. */
    public enum Kind {
        TRIANGLE(
                "Which is the odd one?",
                "Three plates, two of them alike. Tells whether there is any difference to taste."),
        PAIR("Which do you like better?", "Two plates. Tells which is preferred, not by how much."),
        RANKING("From best to worst", "All plates put in order. Tells which stand apart; quick, and without a scale."),
        LIKING(
                "How well do you like it?",
                "Each plate by itself on nine points, from dislike very much to like very much.");

        private final String label;
        private final String words;

        Kind(String label, String words) {
            this.label = label;
            this.words = words;
        }

        public String label() {
            return label;
        }

        /** What it tells. */
        public String words() {
            return words;
        }

        /** Whether it is about two samples and no more. */
        public boolean ofTwo() {
            return this == TRIANGLE || this == PAIR;
        }

        /** How many answers a taster gives of so many samples. */
        public int answers(int samples) {
            return ofTwo() ? 1 : samples;
        }
    }

    /** A plate: its three digits, and which sample is on it. */
    public record Plate(int code, int sample) {}

    public Tasting {
        samples = Bounds.list("samples", samples, 2, kind.ofTwo() ? 2 : MOST_SAMPLES);
        samples.forEach(sample -> Bounds.name("a sample's name", sample, Bounds.NAME));
        Bounds.count("tasters", tasters, 1, MOST_TASTERS);
    }

    /**
     * The plates of every taster in the order they are served, a row a taster. Triangles go through their six orders, all others through
     * a Williams square. Every taster has codes of their own, so that nobody can talk a code up.
     */
    public List<List<Plate>> served() {
        List<List<Integer>> orders = kind == Kind.TRIANGLE
                ? triangles()
                : ServingOrder.of(samples.size(), tasters, seed).rows();
        RandomDraw draw = new RandomDraw(seed ^ CODED);
        List<List<Plate>> served = new ArrayList<>();
        for (List<Integer> order : orders) {
            List<Plate> plates = new ArrayList<>();
            List<Integer> codes = new ArrayList<>();
            for (int sample : order) {
                int code = LOWEST_CODE + draw.below(CODES);
                while (codes.contains(code)) {
                    code = LOWEST_CODE + draw.below(CODES);
                }
                codes.add(code);
                plates.add(new Plate(code, sample));
            }
            served.add(plates);
        }
        return served;
    }

    /** How many plates stand on a tray. */
    public int plates() {
        return kind == Kind.TRIANGLE ? TRIANGLES.get(0).size() : samples.size();
    }

    private List<List<Integer>> triangles() {
        RandomDraw draw = new RandomDraw(seed ^ ODD);
        List<List<Integer>> orders = new ArrayList<>();
        while (orders.size() < tasters) {
            List<List<Integer>> set = draw.shuffled(TRIANGLES);
            orders.addAll(set.subList(0, Math.min(set.size(), tasters - orders.size())));
        }
        return orders;
    }

    /** Tasters that make orders come out even: a multiple of this. */
    public int evenSet() {
        return kind == Kind.TRIANGLE ? TRIANGLES.size() : ServingOrder.fullSet(samples.size());
    }

    /** The plate of a triangle that is unlike the other two. */
    public static Plate odd(List<Plate> plates) {
        return plates.stream()
                .filter(plate -> plates.stream()
                                .filter(other -> other.sample() == plate.sample())
                                .count()
                        == 1)
                .findFirst()
                .orElseThrow();
    }
}
