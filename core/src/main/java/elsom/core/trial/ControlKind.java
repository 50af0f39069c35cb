package elsom.core.trial;

/** Whether a treatment is one under test or the one the others are compared with. */
public enum ControlKind {
    NONE("under test"),
    CONTROL("control");

    private final String label;

    ControlKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
