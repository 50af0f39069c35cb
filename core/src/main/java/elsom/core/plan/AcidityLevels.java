package elsom.core.plan;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Levels of a pH that a medium or water is set to: it is never absent, so none of them is a dose or untreated. */
final class AcidityLevels {
    private static final double HIGHEST = 14;
    private static final Pattern NAMED = Pattern.compile("(?:^|.*[^\\p{L}])ph(?:$|[^\\p{L}].*)");
    private static final Pattern LEVEL = Pattern.compile("(ph\\s*)?([0-9]{1,2}(?:[.,][0-9]{1,2})?)(\\s*ph)?");

    private AcidityLevels() {}

    /** Whether levels are of pH: one of them says so, or the factor's name does of bare numbers. */
    static boolean areMeant(String name, List<String> parts) {
        List<Matcher> levels = parts.stream()
                .map(part -> LEVEL.matcher(part.toLowerCase(Locale.ROOT)))
                .filter(Matcher::matches)
                .toList();
        return levels.stream().anyMatch(level -> level.group(1) != null || level.group(3) != null)
                || (levels.size() == parts.size()
                        && NAMED.matcher(name.toLowerCase(Locale.ROOT)).matches());
    }

    /**
     * The pH of each level, in the order typed.
     *
     * @throws IllegalArgumentException with what is no pH, and what would be accepted
     */
    static List<Double> read(String name, List<String> parts) {
        List<Double> levels = new ArrayList<>();
        for (String part : parts) {
            Matcher typed = LEVEL.matcher(part.toLowerCase(Locale.ROOT));
            double ph = typed.matches() ? Double.parseDouble(typed.group(2).replace(',', '.')) : Double.NaN;
            if (!(ph > 0 && ph <= HIGHEST)) {
                throw new IllegalArgumentException("“" + part + "” in “" + name
                        + "” is not a pH between 0 and 14. Accepted: 5; 5.5; 6; 6.5, the control as 6 (control)");
            }
            levels.add(ph);
        }
        return levels;
    }

    /** "pH 5.5". */
    static String name(double ph) {
        return UnitOfMeasure.PH.symbol() + " " + Decimals.upTo(ph, 2);
    }
}
