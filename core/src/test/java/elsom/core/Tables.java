package elsom.core;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Tables of what people write, with what it is. */
public final class Tables {
    private Tables() {}

    /** The rows of a table below its header. */
    public static List<CSVRecord> rows(String file) {
        try (InputStreamReader reader = new InputStreamReader(
                Objects.requireNonNull(Tables.class.getResourceAsStream("/typed/" + file)), StandardCharsets.UTF_8)) {
            return CSVFormat.RFC4180
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(reader)
                    .getRecords();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
