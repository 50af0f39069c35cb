package elsom.web.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Files that are small and unpack to what no machine holds, and files that are broken: each costs one sentence. */
@AppTest
class BombsIT {
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
    private static final Duration SOON = Duration.ofSeconds(25);

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    private TrialId trial = new TrialId(1);

    @BeforeEach
    void aTrial() {
        WholeTrial whole = ExchangeFixture.whole();
        trial = trials.create(new WholeTrial(whole.record(), whole.plan(), List.of()), UUID.randomUUID());
    }

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

    static Stream<Arguments> bombs() throws IOException {
        String cell = "<c t=\"n\"><v>1</v></c>";
        byte[] quote = new byte[60_000_000];
        Arrays.fill(quote, (byte) 'x');
        System.arraycopy("Time,EC\n2026-11-24,\"".getBytes(StandardCharsets.UTF_8), 0, quote, 0, 20);
        byte[] line = quote.clone();
        Arrays.fill(line, 0, 40, (byte) 'x');
        byte[] blank = new byte[60_000_000];
        Arrays.fill(blank, (byte) '\n');
        return Stream.of(
                Arguments.of("a wide row", book(sheet("<row>", cell, 4_000_000, "</row>")), "more than 500 columns"),
                Arguments.of(
                        "many sheets",
                        book(new Part(
                                "xl/workbook.xml",
                                BOOK,
                                "<sheet name=\"a\" sheetId=\"1\" r:id=\"rId1\"/>",
                                1_500_000,
                                "</sheets></workbook>")),
                        "too large once unpacked"),
                Arguments.of(
                        "a long text",
                        book(new Part(
                                "xl/sharedStrings.xml", "<sst><si><t>", "x".repeat(1000), 120_000, "</t></si></sst>")),
                        "too many texts"),
                Arguments.of(
                        "many texts",
                        book(new Part("xl/sharedStrings.xml", "<sst>", "<si/>", 3_000_000, "</sst>")),
                        "more than 400000 texts"),
                Arguments.of(
                        "a long cell",
                        book(sheet(
                                "<row><c t=\"inlineStr\"><is><t>", "x".repeat(1000), 200_000, "</t></is></c></row>")),
                        "too long for a table"),
                Arguments.of(
                        "a cell far out",
                        book(sheet("<row r=\"1\"><c r=\"ZZZZZZ1\"><v>1</v></c></row>", "", 0, "")),
                        "it has a cell at “ZZZZZZ1”"),
                Arguments.of("one line", line, "longer than 1 million characters"),
                Arguments.of("an open quotation mark", quote, "longer than 1 million characters"),
                Arguments.of("blank lines", blank, "empty lines one after another"),
                Arguments.of(
                        "no workbook", zip(Part.of("xl/workbook.xml", "<nothing"), Part.of("a", "b")), "is damaged"),
                Arguments.of(
                        "a document type",
                        book(Part.of(
                                "xl/workbook.xml",
                                "<!DOCTYPE a [<!ENTITY b \"" + "c".repeat(1000) + "\">]><workbook>&b;</workbook>")),
                        "is damaged"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bombs")
    void aFileThatNoMachineHoldsCostsASentence(String name, byte[] file, String says) throws Exception {
        Instant begun = Instant.now();
        HttpResponse<String> sent =
                new Web(port).upload("/trials/" + trial + "/series/files", "file", file, Map.of("source", name));
        assertThat(sent.statusCode()).isEqualTo(422);
        assertThat(sent.body().replace("&#39;", "'")).contains(says);
        assertThat(Duration.between(begun, Instant.now())).isLessThan(SOON);
    }

    @Test
    void aCellOfATrialsZipMayNotHoldWhatNoMachineDoes() throws Exception {
        byte[] bomb = zip(
                Part.of("datapackage.json", "{\"resources\":[]}"),
                new Part(
                        "readings.csv",
                        "id,unit,look,endpoint,sub_reading,value,typed,typed_unit,taken_at,recorded_at,station,instrument,supersedes,reason\n1,\"",
                        "x".repeat(1000),
                        120_000,
                        "\""));
        HttpResponse<String> sent = new Web(port)
                .upload(
                        "/trials/import",
                        "trial.zip",
                        bomb,
                        Map.of("token", UUID.randomUUID().toString()));
        assertThat(sent.statusCode()).isEqualTo(422);
        assertThat(sent.body()).contains("longer than 1 million characters");
    }

    /** A spreadsheet with bytes changed at random, and pictures likewise: a sentence or a table, never a fault of ours. */
    @Test
    void brokenFilesAreNeverAFaultOfOurs() throws Exception {
        byte[] good = book(sheet("<row><c><v>1</v></c><c><v>2</v></c></row>", "", 0, ""));
        byte[] png = picture("png");
        byte[] jpeg = picture("jpeg");
        byte[] tiff = picture("tiff");
        Random chance = new Random(31);
        Web web = new Web(port).keepingItsKey();
        Map<String, String> of =
                Map.of("unit", trials.snapshot(trial).units().get(0).code().value(), "look", "1");
        for (int i = 0; i < 60; i++) {
            assertThat(web.upload(
                                    "/trials/" + trial + "/series/files",
                                    "a.xlsx",
                                    mutated(good, chance),
                                    Map.of("source", "x"))
                            .statusCode())
                    .isIn(302, 422);
            byte[] picture = mutated(i % 3 == 0 ? png : i % 3 == 1 ? jpeg : tiff, chance);
            assertThat(web.upload("/trials/" + trial + "/photos", "a.png", picture, of)
                            .statusCode())
                    .isLessThan(500);
        }
        assertThat(web.upload("/trials/" + trial + "/photos", "a.png", tiff, of).body())
                .contains("Accepted: a JPEG or PNG");
    }

    private static byte[] mutated(byte[] file, Random chance) {
        byte[] other = file.clone();
        for (int i = 0; i < 1 + chance.nextInt(12); i++) {
            other[chance.nextInt(other.length)] = (byte) chance.nextInt(256);
        }
        return chance.nextInt(5) == 0 ? Arrays.copyOf(other, chance.nextInt(other.length)) : other;
    }

    private static byte[] picture(String kind) throws IOException {
        java.awt.image.BufferedImage image =
                new java.awt.image.BufferedImage(40, 30, java.awt.image.BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        javax.imageio.ImageIO.write(image, kind, (OutputStream) bytes);
        return bytes.toByteArray();
    }
}
