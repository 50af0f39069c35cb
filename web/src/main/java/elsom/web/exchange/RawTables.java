package elsom.web.exchange;

import elsom.core.trial.TrialId;
import elsom.web.trial.TrialTables;
import elsom.web.trial.Trials;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
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

    /** Tables that tell what every unit got. */
    private static final Set<String> TELLING_WHO_GOT_WHAT =
            Set.of("treatment", "treatment_property", "experimental_unit", "plan", "digest", "answer_line");

    /** Tables that may hold what a practice bench or a tasting keeps to itself; here nobody asks whether it still does. */
    private static final Set<String> SECRET = Set.of("practice", "tasting");

    static void write(Trials trials, TrialId id, Seal seal, OutputStream out) throws IOException {
        boolean blind = trials.sealed(id);
        Map<String, byte[]> key = new LinkedHashMap<>();
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            for (String table : TrialTables.ALL) {
                byte[] rows = csv(trials.stored(table, id));
                if (SECRET.contains(table) || (blind && TELLING_WHO_GOT_WHAT.contains(table))) {
                    key.put(table + ".csv", rows);
                } else {
                    put(zip, table + ".csv", rows);
                }
            }
            put(zip, SealedKey.PATH, SealedKey.seal(key, seal));
        }
    }

    private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(bytes);
        zip.closeEntry();
    }

    private static byte[] csv(List<Map<String, @Nullable Object>> rows) {
        Set<String> columns = new LinkedHashSet<>();
        rows.forEach(row -> columns.addAll(row.keySet()));
        ByteArrayOutputStream table = new ByteArrayOutputStream();
        CsvText.write(table, List.copyOf(columns), rows.stream().map(row -> cells(row, columns)));
        return table.toByteArray();
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
