package elsom.core.trial;

/** What went wrong on the bench. */
public enum MishapKind {
    LOST("Lost or dead", true),
    SPILLED("Spilled medium", false),
    FLOATED("Floated, would not wet", false),
    DRIED_OUT("Dried out", false),
    KNOCKED("Knocked or moved", false),
    MISSED("Look missed or late", false),
    OTHER("Something else", false);

    private final String label;
    private final boolean endsUnit;

    MishapKind(String label, boolean endsUnit) {
        this.label = label;
        this.endsUnit = endsUnit;
    }

    public String label() {
        return label;
    }

    /** True when the unit gives no more readings from then on. */
    public boolean endsUnit() {
        return endsUnit;
    }
}
