package elsom.core.section;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Numbers and words in rows.
 *
 * @param key what it is called in files; tables of one key have columns of one meaning
 * @param title for those who can't see what stands around it, and for files
 * @param headings one for each cell of a row; the first names the row
 * @param chart drawn above it; empty for most
 */
public record Table(
        String key,
        String title,
        Placing placing,
        List<Column.Heading> headings,
        List<Row> rows,
        Optional<Chart> chart) {
    /** Where a page shows it. */
    public enum Placing {
        OPEN,
        /** Behind its title, to be opened. */
        FOLDED,
        /** As the numbers of the picture, in the picture's place when asked for. */
        PICTURED
    }

    /**
     * A row.
     *
     * @param said a sentence below it; may be empty
     */
    public record Row(List<Cell> cells, String said) {
        public Row {
            cells = List.copyOf(cells);
        }
    }

    public Table {
        headings = List.copyOf(headings);
        rows = List.copyOf(rows);
        for (Row row : rows) {
            if (row.cells().size() != headings.size()) {
                throw new IllegalArgumentException(
                        title + ": " + row.cells().size() + " cells under " + headings.size() + " headings");
            }
        }
    }

    public static <R> Table of(String key, String title, List<Column<R>> columns, List<R> rows) {
        return of(key, title, columns, rows, row -> "");
    }

    /** The same with a sentence below each row. */
    public static <R> Table of(
            String key, String title, List<Column<R>> columns, List<R> rows, Function<R, String> said) {
        return new Table(
                key,
                title,
                Placing.OPEN,
                columns.stream().map(Column::heading).toList(),
                rows.stream()
                        .map(row -> new Row(
                                columns.stream()
                                        .map(column -> column.getter().apply(row))
                                        .toList(),
                                said.apply(row)))
                        .toList(),
                Optional.empty());
    }

    public Table folded() {
        return placed(Placing.FOLDED);
    }

    public Table pictured() {
        return placed(Placing.PICTURED);
    }

    private Table placed(Placing where) {
        return new Table(key, title, where, headings, rows, chart);
    }

    public Table under(Chart drawn) {
        return new Table(key, title, placing, headings, rows, Optional.of(drawn));
    }

    public boolean isPlaced(Placing where) {
        return placing == where;
    }

    /** Whether any row has a sentence below it. */
    public boolean talks() {
        return rows.stream().anyMatch(row -> !row.said().isEmpty());
    }

    /** Whether its numbers lead to their working. */
    public boolean works() {
        return rows.stream()
                .flatMap(row -> row.cells().stream())
                .anyMatch(cell -> cell.worked().isPresent());
    }
}
