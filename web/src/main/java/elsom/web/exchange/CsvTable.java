package elsom.web.exchange;

import elsom.web.platform.ReadingLimits;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A CSV file being read: rows by column name, every problem collected with its row. Rows are read one after another, so
 * that a file of any length takes little memory.
 */
public final class CsvTable {
    private static final int MOST_PROBLEMS = 200;
    private static final Pattern WHOLE = Pattern.compile("-?[0-9]{1,9}");
    private static final int LONGEST_CELL = 500_000;
    private static final int LONGEST_HEADER = 8192;

    private final String file;
    private final List<BadRow> problems;
    private final InputStream bytes;
    private final List<String> required;
    private List<String> columns = List.of();

    private CsvTable(String file, InputStream bytes, List<String> required, List<BadRow> problems) {
        this.file = file;
        this.bytes = bytes;
        this.required = required;
        this.problems = problems;
    }

    /** A value that could not be read; the row is skipped and the problem noted. */
    private static final class Unreadable extends RuntimeException {
        private final String reason;

        Unreadable(String reason) {
            super(reason);
            this.reason = reason;
        }
    }

    /**
     * A file that is read when its rows are mapped.
     *
     * @param file its name in messages; empty for a single file
     * @param bytes not closed
     * @param problems where problems are added
     */
    static CsvTable of(String file, InputStream bytes, List<String> required, List<BadRow> problems) {
        return new CsvTable(file, bytes, required, problems);
    }

    /** A small file that is there whole. */
    static CsvTable of(String file, byte[] bytes, List<String> required, List<BadRow> problems) {
        return of(file, new ByteArrayInputStream(bytes), required, problems);
    }

    private void problem(long row, String reason) {
        if (problems.size() < MOST_PROBLEMS) {
            problems.add(new BadRow(file, row, reason));
        }
    }

    /** Refuses what no text holds. */
    private static final class TextOnly extends FilterReader {
        TextOnly(Reader in) {
            super(in);
        }

        @Override
        public int read(char[] buffer, int from, int length) throws IOException {
            int read = super.read(buffer, from, length);
            for (int i = from; i < from + read; i++) {
                if (buffer[i] == '\0') {
                    throw new CharacterCodingException();
                }
            }
            return read;
        }
    }

    /**
     * Makes something of every row; rows that can't be read are noted and left out.
     *
     * @return what was made, in order
     */
    <T> List<T> map(Function<Row, T> make) {
        List<T> made = new ArrayList<>();
        try {
            BufferedReader text = new BufferedReader(new TextOnly(new InputStreamReader(
                    bytes,
                    StandardCharsets.UTF_8
                            .newDecoder()
                            .onMalformedInput(CodingErrorAction.REPORT)
                            .onUnmappableCharacter(CodingErrorAction.REPORT))));
            // Closing the parser would close the zip that the file may be part of.
            char separator = separator(text);
            ReadingLimits.Rows rows = new ReadingLimits.Rows(text);
            CSVParser parser = CSVParser.builder()
                    .setReader(rows)
                    .setFormat(format(separator))
                    .get();
            columns = parser.getHeaderNames();
            if (named()) {
                for (CSVRecord record : parser) {
                    rows.row();
                    row(record, make, made);
                    if (problems.size() >= MOST_PROBLEMS) {
                        break;
                    }
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException malformed) {
            made.clear();
            problem(0, why(malformed));
        }
        return made;
    }

    private static String why(Exception malformed) {
        for (Throwable cause = malformed; cause != null; cause = cause.getCause()) {
            if (cause instanceof CharacterCodingException) {
                return "This is not a text file in UTF-8. Save the table as CSV in UTF-8 and send that.";
            }
            if (cause instanceof ReadingLimits.Passed passed) {
                return passed.message();
            }
        }
        String message = String.valueOf(malformed.getMessage());
        int named = message.indexOf("Exception: ");
        return "This is not a CSV file: " + clipped(named < 0 ? message : message.substring(named + 11));
    }

    private static CSVFormat format(char separator) {
        return CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
    }

    private boolean named() {
        List<String> missing =
                required.stream().filter(name -> !columns.contains(name)).toList();
        if (!missing.isEmpty()) {
            problem(
                    1,
                    "The first row must name the columns; missing: " + String.join(", ", missing) + ". Found: "
                            + (columns.isEmpty() ? "nothing" : clipped(String.join(", ", columns))) + ".");
        }
        return missing.isEmpty();
    }

    /** Spreadsheets in countries with a decimal comma write semicolons; some begin with a byte order mark. */
    private static char separator(BufferedReader text) throws IOException {
        text.mark(1);
        if (text.read() != '\uFEFF') {
            text.reset();
        }
        text.mark(LONGEST_HEADER + 1);
        int commas = 0;
        int semicolons = 0;
        int next = text.read();
        for (int i = 0; i < LONGEST_HEADER && next != -1 && next != '\n' && next != '\r'; i++) {
            commas += next == ',' ? 1 : 0;
            semicolons += next == ';' ? 1 : 0;
            next = text.read();
        }
        text.reset();
        return semicolons > commas ? ';' : ',';
    }

    private static String clipped(String text) {
        return text.length() > 120 ? text.substring(0, 120) + "…" : text;
    }

    private <T> void row(CSVRecord record, Function<Row, T> make, List<T> made) {
        long number = record.getRecordNumber() + 1;
        if (record.size() != columns.size()) {
            problem(number, "It has " + record.size() + " values for " + columns.size() + " columns.");
            return;
        }
        try {
            made.add(make.apply(new Row(record)));
        } catch (Unreadable unreadable) {
            problem(number, unreadable.reason);
        } catch (IllegalArgumentException | DateTimeException | ArithmeticException impossible) {
            problem(number, clipped(String.valueOf(impossible.getMessage())));
        }
    }

    /** One row; what can't be read of it is refused in words, with its number. */
    public final class Row {
        private final CSVRecord record;

        private Row(CSVRecord record) {
            this.record = record;
        }

        /** As a spreadsheet numbers it. */
        long number() {
            return record.getRecordNumber() + 1;
        }

        public Optional<String> optional(String column) {
            if (!columns.contains(column) || record.get(column).isBlank()) {
                return Optional.empty();
            }
            String cell = record.get(column);
            if (cell.length() > LONGEST_CELL) {
                throw new Unreadable(column + " is longer than any cell of a trial");
            }
            return Optional.of(CsvText.plain(cell));
        }

        public String text(String column) {
            return optional(column).orElseThrow(() -> new Unreadable(column + " is empty"));
        }

        public double number(String column) {
            return number(column, text(column));
        }

        private double number(String column, String text) {
            try {
                double number = Double.parseDouble(text.replace(',', '.'));
                if (Double.isFinite(number)) {
                    return number;
                }
            } catch (NumberFormatException notANumber) {
                throw new Unreadable(column + ": “" + clipped(text) + "” is not a number; accepted: 412.3");
            }
            throw new Unreadable(column + ": “" + clipped(text) + "” is not a finite number");
        }

        public int whole(String column) {
            String text = text(column);
            if (!WHOLE.matcher(text).matches()) {
                throw new Unreadable(column + ": “" + clipped(text) + "” is not a whole number");
            }
            return Integer.parseInt(text);
        }

        public long large(String column) {
            String text = text(column);
            try {
                return Long.parseLong(text);
            } catch (NumberFormatException notWhole) {
                throw new Unreadable(column + ": “" + clipped(text) + "” is not a whole number");
            }
        }

        public Instant instant(String column) {
            String text = text(column);
            try {
                return text.endsWith("Z")
                        ? Instant.parse(text)
                        : OffsetDateTime.parse(text).toInstant();
            } catch (DateTimeException unreadable) {
                throw new Unreadable(column + ": “" + clipped(text)
                        + "” is not a time with its offset; accepted: 2026-11-25T14:00:00Z");
            }
        }

        public <E extends Enum<E>> E choice(String column, Class<E> choices) {
            String text = text(column);
            return Arrays.stream(choices.getEnumConstants())
                    .filter(choice -> choice.name().equalsIgnoreCase(text))
                    .findFirst()
                    .orElseThrow(() -> new Unreadable(column + ": “" + clipped(text) + "” is not one of "
                            + Arrays.stream(choices.getEnumConstants())
                                    .map(Enum::name)
                                    .collect(Collectors.joining(", "))));
        }

        public RuntimeException refuse(String reason) {
            return new Unreadable(reason);
        }

        /** A key for this row's entry that stays the same when the same file is sent again. */
        UUID token(String salt) {
            return UUID.nameUUIDFromBytes((salt + number()).getBytes(StandardCharsets.UTF_8));
        }
    }
}
