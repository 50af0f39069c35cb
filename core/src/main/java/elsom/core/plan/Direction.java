package elsom.core.plan;

/** Which way an endpoint is hoped to go. */
public enum Direction {
    HIGHER("higher"),
    LOWER("lower"),
    EITHER("different");

    private final String label;

    Direction(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
