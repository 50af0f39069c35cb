package elsom.core.audit;

/** How far a verdict can be relied on, the best first. */
public enum Grade {
    SOUND("fair", "worth knowing"),
    SHAKY("shaky", "makes it shaky"),
    UNFAIR("unfair", "makes it unfair");

    private final String label;
    private final String does;

    Grade(String label, String does) {
        this.label = label;
        this.does = does;
    }

    public String label() {
        return label;
    }

    /** What a fault of this grade does to the verdicts it touches. */
    public String does() {
        return does;
    }

    public Grade worse(Grade other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
