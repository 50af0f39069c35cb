package elsom.web.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes a table as CSV by RFC 4180: commas, quotes where needed, a header row. Numbers keep every digit. */
final class CsvText {
    private CsvText() {}

    static String of(List<String> columns, Stream<List<?>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                text,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(columns.toArray(String[]::new))
                        .get())) {
            rows.forEach(row -> print(printer, row));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static void print(CSVPrinter printer, List<?> row) {
        try {
            printer.printRecord(row);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
