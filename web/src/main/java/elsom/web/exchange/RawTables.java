package elsom.web.exchange;

import elsom.core.trial.TrialId;
import elsom.web.trial.TrialTables;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;

/** A trial's tables as CSV, column by column as they are stored, without asking whether they make sense. */
final class RawTables {
    private RawTables() {}

    static void write(Trials trials, TrialId id, OutputStream out) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            for (String table : TrialTables.ALL) {
                List<Map<String, @Nullable Object>> rows = trials.stored(table, id);
                Set<String> columns = new LinkedHashSet<>();
                rows.forEach(row -> columns.addAll(row.keySet()));
                zip.putNextEntry(new ZipEntry(table + ".csv"));
                CsvText.write(zip, List.copyOf(columns), rows.stream().map(row -> cells(row, columns)));
                zip.closeEntry();
            }
        }
    }

    private static List<?> cells(Map<String, @Nullable Object> row, Set<String> columns) {
        List<Object> cells = new ArrayList<>();
        for (String column : columns) {
            Object value = row.get(column);
            cells.add(value == null ? "" : value instanceof Number ? value : value.toString());
        }
        return cells;
    }
}
