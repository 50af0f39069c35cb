package elsom.core.series;

import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * What stands above the values of a file: its headings, and below them perhaps a row of units or of how each was
 * measured. A row without a single figure is none of values.
 *
 * @param names of the columns; a unit from the row below stands in brackets behind
 * @param rows how many rows there are above the values, the headings among them
 */
public record Headings(List<String> names, int rows) {
    private static final int MOST = 4;
    private static final Pattern FIGURE = Pattern.compile("[-+−<≤=]?\\s*[.,]?[0-9].*");

    public Headings {
        names = List.copyOf(names);
    }

    /**
     * The headings of a file.
     *
     * @param first its first rows, one at least
     */
    public static Headings of(List<List<String>> first) {
        List<String> names = new ArrayList<>(first.get(0));
        int rows = 1;
        while (rows < Math.min(MOST, first.size()) && words(first.get(rows))) {
            List<String> below = first.get(rows++);
            for (int column = 0; column < Math.min(names.size(), below.size()); column++) {
                String unit = below.get(column).strip();
                String bare = unit.replaceAll("^[\\[(]|[\\])]$", "");
                if (UnitOfMeasure.spelled(bare).isPresent()
                        && !names.get(column).contains(bare)) {
                    names.set(column, names.get(column) + " [" + bare + "]");
                }
            }
        }
        // A file of headings alone has no values that could be told from a row of words.
        return rows == first.size() ? new Headings(first.get(0), 1) : new Headings(names, rows);
    }

    private static boolean words(List<String> cells) {
        return cells.stream().noneMatch(cell -> FIGURE.matcher(cell.strip()).matches());
    }
}
