package elsom.core.plan;

/** When a question was asked; one asked after looking at readings proves less. */
public enum Stated {
    BEFORE_START(""),
    AFTER_START("added after the start"),
    AFTER_READINGS("added later, after readings");

    private final String label;

    Stated(String label) {
        this.label = label;
    }

    /** How a later question is marked; empty for one asked in time. */
    public String label() {
        return label;
    }
}
