package elsom.core.results;

import elsom.core.section.Cell;
import elsom.core.section.Column;
import java.util.List;

/** What a table shows beside the names of its rows. */
public final class Tables {
    private Tables() {}

    public static List<String> headings(TableResult table) {
        return table.table().headings().stream()
                .skip(1)
                .map(Column.Heading::name)
                .toList();
    }

    public static List<String> cells(TableResult table, int row) {
        return table.table().rows().get(row).cells().stream()
                .skip(1)
                .map(Cell::shown)
                .toList();
    }
}
