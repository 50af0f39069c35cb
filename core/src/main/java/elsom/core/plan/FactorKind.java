package elsom.core.plan;

/** What a factor is about. */
public enum FactorKind {
    MATERIAL("what it is made of"),
    DOSE("how much"),
    SHARE("what share of the mix"),
    TIME("how long"),
    HANDLING("how it is treated");

    private final String label;

    FactorKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
