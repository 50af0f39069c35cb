package elsom.core.trial;

import java.util.Arrays;
import java.util.List;

/** What went wrong on the bench. */
public enum MishapKind {
    DIED("Died", true),
    TAKEN("Lost or taken away", true),
    /** From before it was asked which. */
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
    OTHER("Something else", false),
    /** Words beside a unit that tell of no mishap. */
    NOTE("A note only", false),
    /** A reading that nobody knows any more: not 0, and not due again. */
    UNKNOWN("Not known", false);

    private final String label;
    private final boolean endsUnit;

    MishapKind(String label, boolean endsUnit) {
        this.label = label;
        this.endsUnit = endsUnit;
    }

    /** What may be written down; those that are no longer asked for are kept where they stand. */
    public static List<MishapKind> offered() {
        return Arrays.stream(values())
                .filter(kind -> kind != LOST && kind != UNKNOWN)
                .toList();
    }

    public String label() {
        return label;
    }

    /** True when the unit gives no more readings from then on. */
    public boolean endsUnit() {
        return endsUnit;
    }
}
