package elsom.core.series;

import elsom.core.quantity.UnitOfMeasure;

/** What is made of a stretch of a series: one figure; or what is read at the same place by hand. */
public enum SeriesSummary {
    MEAN("Mean", "mean over time"),
    LOWEST("Lowest", "lowest value"),
    HIGHEST("Highest", "highest value"),
    AREA("Area", "area under the course, value × days"),
    HOURS_ABOVE("Hours above", "hours above a limit"),
    BY_HAND("By hand", "one reading typed at the look");

    private final String label;
    private final String meaning;

    SeriesSummary(String label, String meaning) {
        this.label = label;
        this.meaning = meaning;
    }

    public String label() {
        return label;
    }

    public String meaning() {
        return meaning;
    }

    /** The unit of the figure; an area is a bare number, value × days. */
    public UnitOfMeasure unit(Measurand what) {
        return switch (this) {
            case MEAN, LOWEST, HIGHEST, BY_HAND -> what.unit();
            case AREA -> UnitOfMeasure.COUNT;
            case HOURS_ABOVE -> UnitOfMeasure.HOUR;
        };
    }
}
