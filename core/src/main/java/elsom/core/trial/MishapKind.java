package elsom.core.trial;

/** What went wrong on the bench. */
public enum MishapKind {
    LOST("Lost or dead", true),
    SPILLED("Spilled medium", false),
    FLOATED("Floated, would not wet", false),
    DRIED_OUT("Dried out", false),
    WATERLOGGED("Waterlogged", false),
    KNOCKED("Knocked or moved", false),
    PEST("Pest", false),
    MOULD("Mould", false),
    HEAT("Too hot", false),
    WEATHER("Frost, hail, rain or wind", false),
    REPLACED("Replaced by another", false),
    MISSED("Look missed or late", false),
    FED("Fed by mistake", false),
    SWAPPED("Swapped", false),
    LABEL_LOST("Label lost", false),
    ENDED("Ended early", true),
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
