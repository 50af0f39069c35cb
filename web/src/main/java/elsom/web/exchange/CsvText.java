package elsom.web.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Writes a table as CSV by RFC 4180: commas, quotes where needed, a header row. Numbers keep every digit. Text that a
 * spreadsheet would run as a formula is written with an apostrophe before it, which reading takes off again.
 */
public final class CsvText {
    private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\t\r].*", Pattern.DOTALL);

    private CsvText() {}

    /** Writes a table; the stream is flushed and stays open. */
    public static void write(OutputStream out, List<String> columns, Stream<List<?>> rows) {
        try {
            Writer text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            CSVPrinter printer = new CSVPrinter(
                    text,
                    CSVFormat.RFC4180
                            .builder()
                            .setHeader(columns.toArray(String[]::new))
                            .get());
            rows.forEach(row -> print(printer, row));
            printer.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void print(CSVPrinter printer, List<?> row) {
        try {
            for (Object cell : row) {
                printer.print(cell instanceof String text ? guarded(text) : cell);
            }
            printer.println();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Text that no spreadsheet takes for a formula. */
    public static String guarded(String text) {
        return FORMULA.matcher(text).matches() ? "'" + text : text;
    }

    /** What {@link #guarded} was given. */
    public static String plain(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
