package elsom.core.brew;

/** How a brew smells, in words that everybody has smelled. */
public enum Smell {
    EARTHY("earthy, like a wood", false),
    SWEET("sweet or yeasty", false),
    FLAT("of nothing", false),
    SOUR("sour, like vinegar", true),
    ROTTEN("rotten, like eggs or drains", true);

    private final String label;
    private final boolean stops;

    Smell(String label, boolean stops) {
        this.label = label;
        this.stops = stops;
    }

    public String label() {
        return label;
    }

    /** Whether a brew that smells so has gone wrong. */
    public boolean stops() {
        return stops;
    }
}
