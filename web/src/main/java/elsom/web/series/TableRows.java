package elsom.web.series;

import elsom.web.platform.ReadingLimits;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;

/**
 * The rows of a table in a file, one after another: CSV with commas, semicolons or tabs, or the first sheet of an .xlsx.
 * Lines above the headings, as loggers write them, are passed over: the headings are the first row of two cells or more.
 */
final class TableRows {
    private static final int SNIFFED = 65_536;
    private static final int LONGEST_CELL = ReadingLimits.CELL;
    private static final int MOST_COLUMNS = ReadingLimits.COLUMNS;
    private static final String DAMAGED = "The spreadsheet is damaged. Open it, save it anew and send that.";
    private static final Charset WESTERN = Charset.forName("windows-1252");

    private TableRows() {}

    /** Takes the rows of a file. */
    @FunctionalInterface
    interface Sink {
        /**
         * Takes a row.
         *
         * @param number as a spreadsheet numbers it
         * @param read the share of the file that is read, 0 to 1; 0 where nobody knows
         * @return false to end
         */
        boolean row(long number, List<String> cells, double read);
    }

    /** A file that holds no table, with what it is instead. */
    static final class NoTable extends Exception {
        private final String message;

        NoTable(String message) {
            super(message);
            this.message = message;
        }

        String message() {
            return message;
        }
    }

    /**
     * Hands out the rows, the headings first.
     *
     * @throws NoTable if it is no table that can be read
     */
    static void read(Path file, Sink sink) throws NoTable {
        try {
            byte[] begin = beginning(file);
            if (begin.length == 0) {
                throw new NoTable("The file is empty.");
            }
            if (starts(begin, 'P', 'K')) {
                spreadsheet(file, sink);
            } else if (starts(begin, 0xD0, 0xCF, 0x11, 0xE0)) {
                throw new NoTable(
                        "This is a spreadsheet of the old kind (.xls). Save it as .xlsx or CSV and send that.");
            } else if (starts(begin, '%', 'P', 'D', 'F')) {
                throw new NoTable(
                        "This is a PDF. Ask for the table as .xlsx or CSV; figures can't be read from a picture.");
            } else {
                text(file, begin, sink);
            }
        } catch (IOException | UncheckedIOException broken) {
            ReadingLimits.Passed passed = ReadingLimits.Passed.in(broken);
            if (passed != null) {
                throw new NoTable(passed.message());
            }
            throw new NoTable("The file breaks off or is damaged. Send it again as it came from the logger.");
        }
    }

    private static byte[] beginning(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(SNIFFED);
        }
    }

    private static boolean starts(byte[] begin, int... with) {
        return begin.length >= with.length
                && IntStream.range(0, with.length).allMatch(i -> (begin[i] & 0xff) == with[i]);
    }

    /** Counts what went through. */
    private static final class Counted extends FilterInputStream {
        private long read;

        Counted(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int next = super.read();
            read += next < 0 ? 0 : 1;
            return next;
        }

        @Override
        public int read(byte[] buffer, int from, int length) throws IOException {
            int bytes = super.read(buffer, from, length);
            read += Math.max(0, bytes);
            return bytes;
        }
    }

    private static void text(Path file, byte[] begin, Sink sink) throws IOException, NoTable {
        for (byte one : begin) {
            if (one == 0) {
                throw new NoTable(
                        "This is no table: neither CSV nor .xlsx. Save the readings as one of them and send that.");
            }
        }
        long size = Math.max(1, Files.size(file));
        try (Counted counted = new Counted(Files.newInputStream(file));
                BufferedReader plain =
                        new BufferedReader(new InputStreamReader(new BufferedInputStream(counted), charset(begin)));
                ReadingLimits.Rows reader = new ReadingLimits.Rows(plain)) {
            reader.mark(1);
            if (reader.read() != '\uFEFF') {
                reader.reset();
            }
            CSVParser parser = CSVParser.builder()
                    .setReader(reader)
                    .setFormat(CSVFormat.RFC4180
                            .builder()
                            .setDelimiter(separator(new String(begin, charset(begin))))
                            .setIgnoreSurroundingSpaces(true)
                            .setIgnoreEmptyLines(false)
                            .get())
                    .get();
            boolean headed = false;
            int empty = 0;
            for (CSVRecord record : parser) {
                reader.row();
                List<String> cells = record.toList();
                headed |= several(cells);
                empty = blank(cells) ? empty + 1 : 0;
                if (empty > ReadingLimits.EMPTY_LINES || record.getRecordNumber() > ReadingLimits.ROWS) {
                    throw new NoTable(
                            empty > ReadingLimits.EMPTY_LINES
                                    ? "It has more than " + ReadingLimits.EMPTY_LINES
                                            + " empty lines one after another."
                                    : "It has more than " + ReadingLimits.ROWS + " rows. Send it in parts.");
                }
                if (headed
                        && !blank(cells)
                        && !given(sink, record.getRecordNumber(), cells, counted.read / (double) size)) {
                    return;
                }
            }
        } catch (IllegalArgumentException | IllegalStateException malformed) {
            throw new NoTable("This is not a CSV file: a quotation mark is open or stands in the middle of a cell.");
        }
    }

    private static boolean several(List<String> cells) {
        return cells.stream().filter(cell -> !cell.isBlank()).count() > 1;
    }

    private static boolean blank(List<String> cells) {
        return cells.stream().allMatch(String::isBlank);
    }

    private static boolean given(Sink sink, long number, List<String> cells, double read) throws NoTable {
        if (cells.size() > MOST_COLUMNS || cells.stream().anyMatch(cell -> cell.length() > LONGEST_CELL)) {
            throw new NoTable("Row " + number + " is far too long for a table: "
                    + (cells.size() > MOST_COLUMNS
                            ? cells.size() + " columns."
                            : "a cell of more than " + LONGEST_CELL + " characters.")
                    + " Is it CSV?");
        }
        return sink.row(number, cells, read);
    }

    /** UTF-8, or what spreadsheets and loggers of the West wrote before it. */
    private static Charset charset(byte[] begin) {
        // A character may be cut in two at the end of what is looked at.
        int whole = begin.length < SNIFFED ? begin.length : SNIFFED - 4;
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(begin, 0, whole));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException western) {
            int end = whole;
            while (end > whole - 4 && end > 0 && (begin[end - 1] & 0x80) != 0) {
                end--;
            }
            try {
                StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(begin, 0, end));
                return StandardCharsets.UTF_8;
            } catch (CharacterCodingException surely) {
                return WESTERN;
            }
        }
    }

    /** The one that most lines have equally often. */
    private static char separator(String begin) {
        List<String> lines =
                begin.lines().filter(line -> !line.isBlank()).limit(20).toList();
        char best = ',';
        long most = 0;
        for (char candidate : new char[] {'\t', ';', ','}) {
            String last = lines.isEmpty() ? "" : lines.get(Math.max(0, lines.size() - 2));
            long usual = last.chars().filter(c -> c == candidate).count();
            long lining = usual == 0
                    ? 0
                    : lines.stream()
                            .filter(line ->
                                    line.chars().filter(c -> c == candidate).count() == usual)
                            .count();
            if (lining > most) {
                best = candidate;
                most = lining;
            }
        }
        return best;
    }

    private static void spreadsheet(Path file, Sink sink) throws IOException, NoTable {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            if (zip.getEntry("xl/workbook.xml") == null) {
                throw new NoTable("This is a zip, but no spreadsheet. Unpack it and send the table in it.");
            }
            SheetScan.check(zip);
        } catch (XMLStreamException damaged) {
            Throwable nested = damaged.getNestedException();
            ReadingLimits.Passed passed = nested == null ? null : ReadingLimits.Passed.in(nested);
            throw new NoTable(passed == null ? DAMAGED : passed.message());
        }
        try (ReadableWorkbook workbook = new ReadableWorkbook(file.toFile());
                Stream<Row> rows = workbook.getFirstSheet().openStream()) {
            boolean headed = false;
            for (Row row : (Iterable<Row>) rows::iterator) {
                List<String> cells = cells(row);
                headed |= several(cells);
                if (headed && !blank(cells) && !given(sink, row.getRowNum(), cells, 0)) {
                    return;
                }
            }
        } catch (RuntimeException damaged) {
            // Its parser answers what is malformed with any kind of fault of its own; those of the sink are not its.
            if (fromParser(damaged)) {
                throw new NoTable(DAMAGED);
            }
            throw damaged;
        }
    }

    private static boolean fromParser(RuntimeException thrown) {
        return Stream.of(thrown.getStackTrace())
                .takeWhile(frame -> !frame.getClassName().startsWith("elsom."))
                .anyMatch(frame -> frame.getClassName().startsWith("org.dhatim")
                        || frame.getClassName().startsWith("com.fasterxml"));
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        for (int column = 0; column < row.getCellCount(); column++) {
            Cell cell = row.getCell(column);
            cells.add(cell == null ? "" : text(cell));
        }
        return cells;
    }

    /** What a cell holds; a formula's value as it was when the sheet was saved, or the formula where there is none. */
    private static String text(Cell cell) {
        String raw = cell.getRawValue();
        if (cell.getType() == CellType.FORMULA && (raw == null || raw.isEmpty())) {
            return "=" + cell.getFormula();
        }
        if (cell.getType() == CellType.STRING) {
            return cell.asString();
        }
        return raw == null ? "" : raw;
    }
}
