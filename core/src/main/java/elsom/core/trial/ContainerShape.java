package elsom.core.trial;

/** How a container's side runs from base to top. */
public enum ContainerShape {
    STRAIGHT("straight sides"),
    TAPERED("tapered"),
    BOWL("bowl");

    private final String label;

    ContainerShape(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
