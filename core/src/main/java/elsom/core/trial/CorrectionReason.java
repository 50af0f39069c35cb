package elsom.core.trial;

/** Why a reading supersedes another. */
public enum CorrectionReason {
    MISTYPED("Typed wrong", false),
    WRONG_UNIT("Another pot's value", false),
    WEIGHED_AGAIN("Measured again", true),
    UNDONE("Undone", false),
    FILE("Corrected in a file", false);

    private final String label;
    private final boolean measuredAnew;

    CorrectionReason(String label, boolean measuredAnew) {
        this.label = label;
        this.measuredAnew = measuredAnew;
    }

    public String label() {
        return label;
    }

    /** True when the corrected value belongs to now; false when it still belongs to the first reading's time. */
    public boolean measuredAnew() {
        return measuredAnew;
    }
}
