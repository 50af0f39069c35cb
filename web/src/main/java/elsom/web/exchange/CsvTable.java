package elsom.web.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
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
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A CSV file being read: rows by column name, every problem collected with its row. */
final class CsvTable {
    static final int LARGEST_BYTES = 4 * 1024 * 1024;
    private static final int MOST_PROBLEMS = 200;

    private final String file;
    private final List<BadRow> problems;
    private final List<CSVRecord> rows = new ArrayList<>();
    private List<String> columns = List.of();

    private CsvTable(String file, List<BadRow> problems) {
        this.file = file;
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
     * Reads a file.
     *
     * @param file its name in messages; empty for a single file
     * @param problems where problems are added
     */
    static CsvTable read(String file, byte[] bytes, List<String> required, List<BadRow> problems) {
        CsvTable table = new CsvTable(file, problems);
        Optional<String> text = table.text(bytes);
        if (text.isPresent()) {
            table.parse(text.get(), required);
        }
        return table;
    }

    private void problem(long row, String reason) {
        if (problems.size() < MOST_PROBLEMS) {
            problems.add(new BadRow(file, row, reason));
        }
    }

    private Optional<String> text(byte[] bytes) {
        if (bytes.length > LARGEST_BYTES) {
            problem(0, "The file is larger than 4 MB, which no table of readings is. Is it the right file?");
            return Optional.empty();
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            if (text.indexOf('\0') >= 0) {
                problem(0, "This is not a text file. Save the table as CSV in UTF-8 and send that.");
                return Optional.empty();
            }
            return Optional.of(text.startsWith("\uFEFF") ? text.substring(1) : text);
        } catch (CharacterCodingException notText) {
            problem(0, "This is not a text file in UTF-8. Save the table as CSV in UTF-8 and send that.");
            return Optional.empty();
        }
    }

    private void parse(String text, List<String> required) {
        char separator = separator(text);
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            columns = parser.getHeaderNames();
            List<String> missing =
                    required.stream().filter(name -> !columns.contains(name)).toList();
            if (!missing.isEmpty()) {
                problem(
                        1,
                        "The first row must name the columns; missing: " + String.join(", ", missing) + ". Found: "
                                + (columns.isEmpty() ? "nothing" : clipped(String.join(", ", columns))) + ".");
                return;
            }
            parser.forEach(rows::add);
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException malformed) {
            rows.clear();
            problem(
                    0,
                    "This is not a CSV file: "
                            + clipped(String.valueOf(malformed.getMessage()).replaceFirst("^[\\w.]+Exception: ", "")));
        }
    }

    /** Spreadsheets in countries with a decimal comma write semicolons. */
    private static char separator(String text) {
        String header = text.lines().findFirst().orElse("");
        return header.chars().filter(c -> c == ';').count()
                        > header.chars().filter(c -> c == ',').count()
                ? ';'
                : ',';
    }

    private static String clipped(String text) {
        return text.length() > 120 ? text.substring(0, 120) + "…" : text;
    }

    int size() {
        return rows.size();
    }

    /** Makes something of every row; rows that can't be read are noted and left out. */
    <T> List<T> map(Function<Row, T> make) {
        List<T> made = new ArrayList<>();
        for (CSVRecord record : rows) {
            long number = record.getRecordNumber() + 1;
            if (record.size() != columns.size()) {
                problem(number, "It has " + record.size() + " values for " + columns.size() + " columns.");
                continue;
            }
            try {
                made.add(make.apply(new Row(record)));
            } catch (Unreadable unreadable) {
                problem(number, unreadable.reason);
            } catch (IllegalArgumentException impossible) {
                problem(number, String.valueOf(impossible.getMessage()));
            }
        }
        return made;
    }

    /** One row. */
    final class Row {
        private final CSVRecord record;

        private Row(CSVRecord record) {
            this.record = record;
        }

        /** As a spreadsheet numbers it. */
        long number() {
            return record.getRecordNumber() + 1;
        }

        Optional<String> optional(String column) {
            return columns.contains(column) && !record.get(column).isBlank()
                    ? Optional.of(record.get(column))
                    : Optional.empty();
        }

        String text(String column) {
            return optional(column).orElseThrow(() -> new Unreadable(column + " is empty"));
        }

        double number(String column) {
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

        int whole(String column) {
            String text = text(column);
            if (!text.matches("-?[0-9]{1,9}")) {
                throw new Unreadable(column + ": “" + clipped(text) + "” is not a whole number");
            }
            return Integer.parseInt(text);
        }

        long large(String column) {
            String text = text(column);
            try {
                return Long.parseLong(text);
            } catch (NumberFormatException notWhole) {
                throw new Unreadable(column + ": “" + clipped(text) + "” is not a whole number");
            }
        }

        Instant instant(String column) {
            String text = text(column);
            try {
                return OffsetDateTime.parse(text).toInstant();
            } catch (DateTimeException unreadable) {
                throw new Unreadable(column + ": “" + clipped(text)
                        + "” is not a time with its offset; accepted: 2026-11-25T14:00:00Z");
            }
        }

        <E extends Enum<E>> E choice(String column, Class<E> choices) {
            String text = text(column);
            return Arrays.stream(choices.getEnumConstants())
                    .filter(choice -> choice.name().equalsIgnoreCase(text))
                    .findFirst()
                    .orElseThrow(() -> new Unreadable(column + ": “" + clipped(text) + "” is not one of "
                            + Arrays.stream(choices.getEnumConstants())
                                    .map(Enum::name)
                                    .collect(Collectors.joining(", "))));
        }

        RuntimeException refuse(String reason) {
            return new Unreadable(reason);
        }

        /** A key for this row's entry that stays the same when the same file is sent again. */
        UUID token(String salt) {
            return UUID.nameUUIDFromBytes((salt + number()).getBytes(StandardCharsets.UTF_8));
        }
    }
}
