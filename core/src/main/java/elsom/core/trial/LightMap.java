package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Light measured over a bench: photosynthetic photon flux density (PPFD) in µmol/m²/s on a regular grid, row by row
 * from the top side as drawn. The grid is the meter's, not the places'.
 */
public record LightMap(int rows, int columns, List<Double> ppfd) {
    public static final int MOST_ROWS = 40;
    public static final double BRIGHTEST = 3000;

    /** No light was measured. */
    public static final LightMap NONE = new LightMap(0, 0, List.of());

    public LightMap {
        ppfd = Bounds.list("light readings", ppfd, 0, MOST_ROWS * MOST_ROWS);
        if (rows < 0 || rows > MOST_ROWS || columns < 0 || columns > MOST_ROWS || rows * columns != ppfd.size()) {
            throw new IllegalArgumentException("a light map of " + rows + " rows and " + columns + " columns holds "
                    + rows * columns + " values, got " + ppfd.size());
        }
        ppfd.forEach(value -> {
            if (!(value >= 0 && value <= BRIGHTEST)) {
                throw new IllegalArgumentException("light is 0 to 3000 µmol/m²/s, got " + value);
            }
        });
    }

    public boolean known() {
        return !ppfd.isEmpty();
    }

    /**
     * Reads what people type: a line for each row of readings, values parted by spaces; decimal commas are understood.
     *
     * @throws IllegalArgumentException with what is wrong, when a row is shorter than the first or a value is no number
     */
    public static LightMap parse(String text) {
        List<String> lines = Arrays.stream(text.split("[\\r\\n;]+"))
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .toList();
        List<Double> values = new ArrayList<>();
        int columns = 0;
        for (int row = 0; row < lines.size(); row++) {
            String[] cells = lines.get(row).split("\\s+");
            if (row > 0 && cells.length != columns) {
                throw new IllegalArgumentException(
                        "row " + (row + 1) + " has " + cells.length + " values, the first row has " + columns);
            }
            columns = cells.length;
            for (String cell : cells) {
                values.add(number(cell, row + 1));
            }
        }
        return new LightMap(lines.size(), columns, values);
    }

    private static double number(String cell, int row) {
        try {
            return Double.parseDouble(cell.replace(',', '.'));
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException("“" + cell + "” in row " + row + " is not a number", notANumber);
        }
    }

    /** As {@link #parse} reads it, rows parted by semicolons. */
    public String text() {
        List<String> lines = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            lines.add(ppfd.subList(row * columns, (row + 1) * columns).stream()
                    .map(value -> value == Math.rint(value) ? Long.toString(Math.round(value)) : value.toString())
                    .collect(Collectors.joining(" ")));
        }
        return String.join("; ", lines);
    }

    /**
     * The light at a point, between the nearest four readings in proportion, and level beyond the outer ones.
     *
     * @param across 0 at the left to 1 at the right end
     * @param down 0 at the top to 1 at the bottom
     */
    public double at(double across, double down) {
        if (!known()) {
            throw new IllegalStateException("no light was measured");
        }
        double x = Math.max(0, Math.min(columns - 1, across * columns - 0.5));
        double y = Math.max(0, Math.min(rows - 1, down * rows - 0.5));
        int left = Math.min((int) x, Math.max(0, columns - 2));
        int top = Math.min((int) y, Math.max(0, rows - 2));
        double upper = between(value(top, left), value(top, Math.min(left + 1, columns - 1)), x - left);
        int below = Math.min(top + 1, rows - 1);
        double lower = between(value(below, left), value(below, Math.min(left + 1, columns - 1)), x - left);
        return between(upper, lower, y - top);
    }

    private double value(int row, int column) {
        return ppfd.get(row * columns + column);
    }

    private static double between(double from, double to, double share) {
        return from + (to - from) * share;
    }
}
