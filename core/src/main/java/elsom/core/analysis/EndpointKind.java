package elsom.core.analysis;

/** What sort of thing was read of a unit. */
public enum EndpointKind {
    /** A number on a scale, such as grams. */
    MEASURED,
    /** How many of how many. */
    COUNT_OF,
    /** A judgement on a short scale, such as 0 to 10. */
    SCORE,
    /** When something was first seen; some units may not have come to it yet. */
    TIME
}
