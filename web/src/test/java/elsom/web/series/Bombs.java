package elsom.web.series;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Files that are small and unpack to what no machine holds, and files that are no tables at all. */
public final class Bombs {
    private static final String TYPES = "<?xml version=\"1.0\"?><Types"
            + " xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Override PartName=\"/xl/workbook.xml\""
            + " ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/><Override"
            + " PartName=\"/xl/worksheets/sheet1.xml\""
            + " ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml\"/></Types>";
    private static final String RELS = "<?xml version=\"1.0\"?><Relationships"
            + " xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"rId1\""
            + " Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument\""
            + " Target=\"xl/workbook.xml\"/></Relationships>";
    private static final String BOOK_RELS = "<?xml version=\"1.0\"?><Relationships"
            + " xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"rId1\""
            + " Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet\""
            + " Target=\"worksheets/sheet1.xml\"/></Relationships>";
    private static final String BOOK = "<?xml version=\"1.0\"?><workbook"
            + " xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\""
            + " xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\"><sheets>";
    private static final String ONE_SHEET =
            BOOK + "<sheet name=\"a\" sheetId=\"1\" r:id=\"rId1\"/></sheets></workbook>";
    private static final String SHEET =
            "<?xml version=\"1.0\"?><worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>";
    private static final String SHEET_ENDS = "</sheetData></worksheet>";

    private Bombs() {}

    /**
     * A file.
     *
     * @param says what its refusal has in it
     */
    public record Bomb(String name, byte[] file, String says) {}

    /** A part of a spreadsheet: a beginning, something again and again, and an end. */
    private record Part(String name, String begin, String again, int times, String end) {
        static Part of(String name, String text) {
            return new Part(name, text, "", 0, "");
        }

        void write(ZipOutputStream zip) throws IOException {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(begin.getBytes(StandardCharsets.UTF_8));
            byte[] piece = again.getBytes(StandardCharsets.UTF_8);
            for (int i = 0; i < times; i++) {
                zip.write(piece);
            }
            zip.write(end.getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
    }

    private static byte[] zip(Part... parts) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Part part : parts) {
                part.write(zip);
            }
        }
        return bytes.toByteArray();
    }

    private static byte[] book(Part... own) throws IOException {
        List<String> named = Arrays.stream(own).map(Part::name).toList();
        Stream<Part> usual = Stream.of(
                        Part.of("[Content_Types].xml", TYPES),
                        Part.of("_rels/.rels", RELS),
                        Part.of("xl/_rels/workbook.xml.rels", BOOK_RELS),
                        Part.of("xl/workbook.xml", ONE_SHEET),
                        Part.of("xl/worksheets/sheet1.xml", SHEET + SHEET_ENDS))
                .filter(part -> !named.contains(part.name()));
        return zip(Stream.concat(usual, Arrays.stream(own)).toArray(Part[]::new));
    }

    private static Part sheet(String begin, String again, int times, String end) {
        return new Part("xl/worksheets/sheet1.xml", SHEET + begin, again, times, end + SHEET_ENDS);
    }

    /** One that is read. */
    static byte[] small() throws IOException {
        return book(sheet("<row><c><v>1</v></c><c><v>2</v></c></row>", "", 0, ""));
    }

    /** A trial's zip with a cell that unpacks to 120 MB. */
    public static byte[] trial() throws IOException {
        return zip(
                Part.of("datapackage.json", "{\"resources\":[]}"),
                new Part(
                        "readings.csv",
                        "id,unit,look,endpoint,sub_reading,value,typed,typed_unit,taken_at,recorded_at,station,instrument,supersedes,reason\n1,\"",
                        "x".repeat(1000),
                        120_000,
                        "\""));
    }

    /** All of them that are no trial's zip. */
    public static List<Bomb> all() throws IOException {
        String cell = "<c t=\"n\"><v>1</v></c>";
        byte[] quote = new byte[60_000_000];
        Arrays.fill(quote, (byte) 'x');
        System.arraycopy("Time,EC\n2026-11-24,\"".getBytes(StandardCharsets.UTF_8), 0, quote, 0, 20);
        byte[] line = quote.clone();
        Arrays.fill(line, 0, 40, (byte) 'x');
        byte[] blank = new byte[60_000_000];
        Arrays.fill(blank, (byte) '\n');
        return List.of(
                new Bomb("a wide row", book(sheet("<row>", cell, 4_000_000, "</row>")), "more than 500 columns"),
                new Bomb(
                        "many sheets",
                        book(new Part(
                                "xl/workbook.xml",
                                BOOK,
                                "<sheet name=\"a\" sheetId=\"1\" r:id=\"rId1\"/>",
                                1_500_000,
                                "</sheets></workbook>")),
                        "too large once unpacked"),
                new Bomb(
                        "a long text",
                        book(new Part(
                                "xl/sharedStrings.xml", "<sst><si><t>", "x".repeat(1000), 120_000, "</t></si></sst>")),
                        "too many texts"),
                new Bomb(
                        "many texts",
                        book(new Part("xl/sharedStrings.xml", "<sst>", "<si/>", 3_000_000, "</sst>")),
                        "more than 400000 texts"),
                new Bomb(
                        "a long cell",
                        book(sheet(
                                "<row><c t=\"inlineStr\"><is><t>", "x".repeat(1000), 200_000, "</t></is></c></row>")),
                        "too long for a table"),
                new Bomb(
                        "a cell far out",
                        book(sheet("<row r=\"1\"><c r=\"ZZZZZZ1\"><v>1</v></c></row>", "", 0, "")),
                        "it has a cell at “ZZZZZZ1”"),
                new Bomb("one line", line, "longer than 1 million characters"),
                new Bomb("an open quotation mark", quote, "longer than 1 million characters"),
                new Bomb("blank lines", blank, "empty lines one after another"),
                new Bomb("no workbook", zip(Part.of("xl/workbook.xml", "<nothing"), Part.of("a", "b")), "is damaged"),
                new Bomb(
                        "a document type",
                        book(Part.of(
                                "xl/workbook.xml",
                                "<!DOCTYPE a [<!ENTITY b \"" + "c".repeat(1000) + "\">]><workbook>&b;</workbook>")),
                        "is damaged"));
    }
}
