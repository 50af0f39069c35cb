package elsom.core.quantity;

/** What kind of amount a unit measures; two units convert only within one dimension. */
public enum Dimension {
    MASS("a weight"),
    VOLUME("a volume"),
    LENGTH("a length"),
    TIME("a time"),
    FRACTION("a share"),
    COUNT("a count"),
    DENSITY("a density"),
    RATE("a rate"),
    CONCENTRATION("a concentration"),
    CONDUCTIVITY("a conductivity"),
    ACIDITY("a pH"),
    TEMPERATURE("a temperature"),
    SCORE("a score"),
    LIGHT("a light intensity");

    private final String words;

    Dimension(String words) {
        this.words = words;
    }

    /** The dimension in a sentence: "a weight". */
    public String words() {
        return words;
    }
}
