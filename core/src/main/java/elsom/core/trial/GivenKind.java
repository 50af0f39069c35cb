package elsom.core.trial;

/** What units were given between looks. */
public enum GivenKind {
    WATER("Water"),
    FEED("Feed"),
    SOLUTION("Change the solution");

    private final String label;

    GivenKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
