package elsom.core.quantity;

/** What kind of amount a unit measures; two units convert only within one dimension. */
public enum Dimension {
    MASS("a weight", Powers.MASS),
    VOLUME("a volume", Powers.LENGTH.to(3)),
    AREA("an area", Powers.LENGTH.to(2)),
    LENGTH("a length", Powers.LENGTH),
    TIME("a time", Powers.TIME),
    FRACTION("a share", Powers.NONE),
    COUNT("a count", Powers.NONE),
    DENSITY("a density", Powers.MASS.over(Powers.LENGTH.to(3))),
    RATE("a rate", Powers.NONE.over(Powers.TIME), 1 / 24.0),
    CONCENTRATION("a concentration", Powers.MASS.over(Powers.LENGTH.to(3)), 0.001),
    MASS_PER_AREA("a weight on an area", Powers.MASS.over(Powers.LENGTH.to(2))),
    GROWTH("a length in a time", Powers.LENGTH.over(Powers.TIME), 1 / 24.0),
    GAIN("a weight in a time", Powers.MASS.over(Powers.TIME), 1 / 24.0),
    SCORE_OVER_TIME("a score over time", Powers.SCORE.times(Powers.TIME), 24),
    CONDUCTIVITY("a conductivity", Powers.CONDUCTIVITY),
    ACIDITY("a pH", Powers.ACIDITY),
    TEMPERATURE("a temperature", Powers.TEMPERATURE),
    SCORE("a score", Powers.SCORE),
    LIGHT("a light intensity", Powers.LIGHT);

    private final String words;
    private final Powers powers;
    private final double coherent;

    Dimension(String words, Powers powers) {
        this(words, powers, 1);
    }

    Dimension(String words, Powers powers, double coherent) {
        this.words = words;
        this.powers = powers;
        this.coherent = coherent;
    }

    /** What it is made of. */
    public Powers powers() {
        return powers;
    }

    /** Its base unit in g, cm and h: a day has 24 h, so a rate's "per day" is a twenty-fourth. */
    double coherent() {
        return coherent;
    }

    /** The dimension in a sentence: "a weight". */
    public String words() {
        return words;
    }
}
