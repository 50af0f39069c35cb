package elsom.core.trial;

/** A side of a bench as drawn from above. */
public enum Side {
    TOP,
    RIGHT,
    BOTTOM,
    LEFT
}
