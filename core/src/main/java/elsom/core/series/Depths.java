package elsom.core.series;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Depths as headings and cells write them: "10 cm", "50mm", "6 in", and in a column of depths "10". */
final class Depths {
    private static final Pattern HEADED =
            Pattern.compile("([0-9]{1,4}(?:[.,][0-9]{1,2})?) ?(cm|mm|in|inch|inches|\")(?![\\p{L}/])");
    private static final Pattern ALONE = Pattern.compile("-?([0-9]{1,4}(?:[.,][0-9]{1,2})?)");

    private Depths() {}

    /** The depth in cm that stands in a heading; 0 for none. */
    static double in(String heading) {
        Matcher depth = HEADED.matcher(heading);
        return depth.find() ? Math.min(Channel.DEEPEST_CM, cm(depth.group(1), depth.group(2))) : 0;
    }

    /** The depth in cm that a cell says; empty for what is none. */
    static OptionalDouble of(String cell) {
        String text = cell.strip();
        if (text.isEmpty()) {
            return OptionalDouble.of(0);
        }
        Matcher alone = ALONE.matcher(text);
        Matcher headed = HEADED.matcher(text.startsWith("-") ? text.substring(1) : text);
        double cm = alone.matches()
                ? cm(alone.group(1), "cm")
                : headed.matches() ? cm(headed.group(1), headed.group(2)) : Double.NaN;
        return cm >= 0 && cm <= Channel.DEEPEST_CM ? OptionalDouble.of(cm) : OptionalDouble.empty();
    }

    private static double cm(String number, String unit) {
        UnitOfMeasure of = UnitOfMeasure.spelled(unit).orElse(UnitOfMeasure.CENTIMETRE);
        return new Quantity(Double.parseDouble(number.replace(',', '.')), of)
                .in(UnitOfMeasure.CENTIMETRE)
                .value();
    }
}
