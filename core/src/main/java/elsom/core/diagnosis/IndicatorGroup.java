package elsom.core.diagnosis;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/** Plants that show the same things: broad-leaved residues spare grasses, nitrogen shortage spares legumes. */
public enum IndicatorGroup {
    LEGUME(
            "legume",
            Set.of("pea", "peas", "bean", "beans", "clover", "vetch", "lentil", "lupin", "soybean", "alfalfa")),
    BROADLEAF(
            "other broadleaf",
            Set.of(
                    "tomato",
                    "cress",
                    "lettuce",
                    "radish",
                    "marigold",
                    "mustard",
                    "sunflower",
                    "phacelia",
                    "cucumber",
                    "beet",
                    "coriander",
                    "foxglove",
                    "cabbage",
                    "spinach",
                    "buckwheat")),
    GRASS(
            "grass",
            Set.of(
                    "barley",
                    "wheat",
                    "oat",
                    "oats",
                    "rye",
                    "grass",
                    "ryegrass",
                    "maize",
                    "millet",
                    "sorghum",
                    "fescue"));

    private final String label;
    private final Set<String> plants;

    IndicatorGroup(String label, Set<String> plants) {
        this.label = label;
        this.plants = plants;
    }

    public String label() {
        return label;
    }

    /** The plant that a name speaks of, as in "pea in leaf mould"; empty when none is known here. */
    public static Optional<String> plantIn(String name) {
        return NameWords.of(name).stream()
                .filter(word -> Arrays.stream(values()).anyMatch(group -> group.plants.contains(word)))
                .findFirst();
    }

    /** The group of a plant by the words of its name, such as "field pea"; empty when none is known here. */
    public static Optional<IndicatorGroup> of(String plant) {
        Set<String> words = NameWords.of(plant);
        return Arrays.stream(values())
                .filter(group -> group.plants.stream().anyMatch(words::contains))
                .findFirst();
    }
}
