package elsom.core.design;

/** How treatments are given their places by lot. */
public enum LayoutKind {
    COMPLETELY_RANDOM(
            "Completely random", "Any unit anywhere. Right where light, warmth and draught are even all over."),
    BLOCKS(
            "Blocks",
            "Each block holds every treatment once and lies level across the light, so a bright end helps or harms all"
                    + " alike. Right for most benches."),
    LATIN_SQUARE(
            "Latin square",
            "Every treatment once in each row and once in each column: for two gradients that cross, such as window and"
                    + " heater. As many units of each as there are treatments."),
    SPLIT_PLOT(
            "Split-plot",
            "One factor is given to whole groups that stand together, the others within each group: for what can't be"
                    + " given pot by pot, such as a heat mat. The grouped factor is judged less sharply.");

    private final String label;
    private final String purpose;

    LayoutKind(String label, String purpose) {
        this.label = label;
        this.purpose = purpose;
    }

    public String label() {
        return label;
    }

    /** What it does and when it is right. */
    public String purpose() {
        return purpose;
    }
}
