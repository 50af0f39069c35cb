package elsom.core.practice;

/** What may be said at the end of a practice bench. */
public enum Call {
    BETTER,
    WORSE,
    NO_DIFFERENCE,
    SAFE,
    HARMFUL,
    RESIDUE,
    SALTS,
    BOTH,
    NOTHING,
    CANT_TELL
}
