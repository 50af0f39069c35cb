package elsom.core.quantity;

/** Lengths of time in words. */
public final class Spans {
    private Spans() {}

    /** Hours below two days, else days: "45 min", "6 h", "5 days", "2.1 days". */
    public static String words(double hours) {
        if (hours < 1) {
            return Decimals.upTo(hours * 60, 0) + " min";
        }
        return hours < 48 ? Decimals.upTo(hours, 1) + " h" : days(hours) + " days";
    }

    /** The same, short enough for an axis or the time bar: "6 h", "day 5". */
    public static String tick(double hours) {
        if (hours != 0 && Math.abs(hours) < 1) {
            return Decimals.upTo(hours * 60, 0) + " min";
        }
        boolean wholeDays = hours >= 48 && hours % 24 == 0;
        return wholeDays ? "day " + days(hours) : Decimals.upTo(hours, 1) + " h";
    }

    /** Hours as days with one decimal at most. */
    public static String days(double hours) {
        return Decimals.upTo(hours / 24, 1);
    }
}
