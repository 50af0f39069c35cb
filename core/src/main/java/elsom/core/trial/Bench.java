package elsom.core.trial;

/**
 * A place where units stand: a shelf, a sill, a table, drawn from above in rows and columns.
 *
 * @param number 1-based within the trial
 * @param light the side the light comes from
 * @param door the side people come from
 */
public record Bench(int number, String name, int rows, int columns, Side light, Side door) {
    public Bench {
        if (number < 1 || rows < 1 || columns < 1) {
            throw new IllegalArgumentException("a bench needs a number, rows and columns of at least 1, got " + number
                    + ", " + rows + ", " + columns);
        }
    }
}
