package elsom.core.series;

import elsom.core.quantity.Bounds;
import java.util.HashSet;
import java.util.Set;

/**
 * The columns of a file that say when and where, each 0-based; −1 for one that the file does not have.
 *
 * @param time of the moment, or of its date where the time of day has its own column
 * @param clock of the time of day
 * @param unit that names the unit of each row
 * @param depth that says the depth of each row
 * @param names that says what was measured in each row: the value's column then holds now one thing, now another
 */
public record Columns(int time, int clock, int unit, int depth, int names) {
    /** For a column that the file does not have. */
    public static final int NONE = -1;

    public Columns {
        Bounds.count("the column of times", time, 0, Mapping.MOST_COLUMNS);
        Bounds.count("the column of times of day", clock, NONE, Mapping.MOST_COLUMNS);
        Bounds.count("the column of units", unit, NONE, Mapping.MOST_COLUMNS);
        Bounds.count("the column of depths", depth, NONE, Mapping.MOST_COLUMNS);
        Bounds.count("the column of what was measured", names, NONE, Mapping.MOST_COLUMNS);
        Set<Integer> used = new HashSet<>();
        for (int column : new int[] {time, clock, unit, depth, names}) {
            if (column != NONE && !used.add(column)) {
                throw new IllegalArgumentException("column " + (column + 1) + " is used twice");
            }
        }
    }

    /** Times in one column, and perhaps units in another. */
    public static Columns of(int time, int unit) {
        return new Columns(time, NONE, unit, NONE, NONE);
    }

    /** Whether each row says itself what was measured. */
    public boolean named() {
        return names != NONE;
    }

    /** Whether a column says when, where or what. */
    boolean takes(int column) {
        return column == time || column == clock || column == unit || column == depth || column == names;
    }
}
