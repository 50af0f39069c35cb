package elsom.core.trial;

/** What a container looks like from above. */
public enum Outline {
    ROUND("round"),
    RECTANGULAR("square or rectangular");

    private final String label;

    Outline(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
