package elsom.core.trial;

/** A side of a bench as drawn from above. */
public enum Side {
    TOP("top"),
    RIGHT("right"),
    BOTTOM("bottom"),
    LEFT("left");

    private final String label;

    Side(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
