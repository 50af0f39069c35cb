package elsom.web.report;

import elsom.core.quantity.UnitOfMeasure;
import org.jspecify.annotations.Nullable;

/**
 * A number of a spreadsheet: whole in its cell, with as many digits to be seen as it is worth. All shares are kept one way:
 * 0.337 that is shown as 33.7 %.
 *
 * @param format of the cell
 */
record SheetNumber(double value, String format) {
    private static final double PERCENT = 100;

    /** A number of a unit; null where there is none to write. */
    static @Nullable SheetNumber of(double value, UnitOfMeasure unit) {
        if (!Double.isFinite(value)) {
            return null;
        }
        return switch (unit) {
            case FRACTION -> share(value);
            case PERCENT -> share(value / PERCENT);
            default -> plain(value);
        };
    }

    private static SheetNumber share(double value) {
        return new SheetNumber(value, Math.abs(value) < 0.1 && value != 0 ? "0.00%" : "0.0%");
    }

    /** With four digits or so, as bench figures are. */
    static SheetNumber plain(double value) {
        double size = Math.abs(value);
        String format = value == Math.rint(value) && size < 1e9
                ? "0"
                : size >= 1000
                        ? "0.0"
                        : size >= 10 ? "0.00" : size >= 1 ? "0.000" : size >= 0.001 ? "0.0000" : "0.00E+00";
        return new SheetNumber(value, format);
    }

    /** With the digits of an instrument. */
    static SheetNumber fixed(double value, int decimals) {
        return new SheetNumber(value, decimals == 0 ? "0" : "0." + "0".repeat(decimals));
    }
}
