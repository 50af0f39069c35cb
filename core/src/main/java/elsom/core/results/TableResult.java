package elsom.core.results;

import elsom.core.trial.Look;
import java.util.List;

/**
 * Numbers that need no picture.
 *
 * @param columns their headings
 * @param rows one for each treatment, with a cell for each column
 * @param remarks how they were worked out, and where their classes come from
 */
public record TableResult(String title, Look look, List<String> columns, List<Row> rows, List<String> remarks) {
    /** A treatment, by its index. */
    public record Row(int arm, List<String> cells) {
        public Row {
            cells = List.copyOf(cells);
        }
    }

    public TableResult {
        columns = List.copyOf(columns);
        rows = List.copyOf(rows);
        remarks = List.copyOf(remarks);
    }
}
