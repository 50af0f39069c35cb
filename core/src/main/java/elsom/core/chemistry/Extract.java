package elsom.core.chemistry;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Ways to make an extract, with the upper edges of very low, low, normal, high and very high in mS/cm (Cavins et al.
 * 2000).
 */
public enum Extract {
    ONE_TO_FIVE("1:5", "1 part medium in 5 of water, by volume", List.of(0.11, 0.35, 0.65, 0.89, 1.10)),
    ONE_TO_TWO("1:2", "1 part medium in 2 of water, by volume", List.of(0.25, 0.75, 1.25, 1.75, 2.25)),
    SATURATED("saturated", "saturated medium", List.of(0.75, 2.0, 3.5, 5.0, 6.0)),
    POUR_THROUGH("pour-through", "pour-through", List.of(1.0, 2.6, 4.6, 6.5, 7.8));

    private static final List<String> CLASSES = List.of("very low", "low", "normal", "high", "very high", "extreme");

    private final String code;
    private final String label;
    private final List<Double> edges;

    Extract(String code, String label, List<Double> edges) {
        this.code = code;
        this.label = label;
        this.edges = edges;
    }

    public static Optional<Extract> called(String code) {
        return Arrays.stream(values())
                .filter(extract -> extract.code.equals(code))
                .findFirst();
    }

    public String code() {
        return code;
    }

    public String label() {
        return label;
    }

    /** Upper edges of the classes from very low to very high, mS/cm. */
    public List<Double> edges() {
        return edges;
    }

    /** The class of an EC in this kind of extract, in a word. */
    public String classOf(double ec) {
        int above = (int) edges.stream().filter(edge -> ec > edge).count();
        return CLASSES.get(above);
    }

    /** By straight lines between the edges; beyond the last by its proportion. */
    public double to(Extract other, double ec) {
        double fromLow = 0;
        double toLow = 0;
        for (int i = 0; i < edges.size(); i++) {
            if (ec <= edges.get(i)) {
                return toLow + (ec - fromLow) / (edges.get(i) - fromLow) * (other.edges.get(i) - toLow);
            }
            fromLow = edges.get(i);
            toLow = other.edges.get(i);
        }
        return ec / fromLow * toLow;
    }
}
