package elsom.core.series;

/** How a file writes days with digits only. */
public enum DayOrder {
    DAY_FIRST("day before month: 26.11.2026"),
    MONTH_FIRST("month before day: 11/26/2026");

    private final String label;

    DayOrder(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
