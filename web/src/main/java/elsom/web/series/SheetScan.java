package elsom.web.series;

import elsom.web.platform.ReadingLimits;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Collections;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Walks through a spreadsheet's parts before it is parsed, holding nothing: what would take a parser's memory is found by the
 * bytes that really come out of the zip, not by what it says of itself.
 */
final class SheetScan {
    private static final String WORKBOOK = "xl/workbook.xml";
    private static final String TEXTS = "xl/sharedStrings.xml";
    private static final int MOST_SHEETS = 500;
    private static final XMLInputFactory PARSERS = parsers();

    private final ZipFile zip;

    private SheetScan(ZipFile zip) {
        this.zip = zip;
    }

    private static XMLInputFactory parsers() {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, false);
        return factory;
    }

    /**
     * Goes through a spreadsheet.
     *
     * @throws ReadingLimits.Passed with the limit it passes
     * @throws XMLStreamException when a part is no XML
     */
    static void check(ZipFile zip) throws IOException, XMLStreamException {
        if (zip.size() > ReadingLimits.PARTS) {
            throw new ReadingLimits.Passed("The spreadsheet has more than " + ReadingLimits.PARTS + " parts.");
        }
        SheetScan scan = new SheetScan(zip);
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if ((name.endsWith(".xml") || name.endsWith(".rels"))
                    && !name.contains("/worksheets/")
                    && !name.equals(TEXTS)) {
                scan.small(entry);
            }
        }
        scan.elements(WORKBOOK, "sheet", MOST_SHEETS, ReadingLimits.PART, "sheets");
        scan.elements(TEXTS, "si", ReadingLimits.TEXTS, ReadingLimits.ALL_TEXTS, "texts");
        Optional<ZipEntry> sheet = scan.firstSheet();
        if (sheet.isPresent()) {
            scan.rows(sheet.get());
        }
    }

    private void small(ZipEntry entry) throws IOException {
        try (InputStream in = ReadingLimits.Bytes.looked(
                zip.getInputStream(entry),
                ReadingLimits.PART,
                "The spreadsheet is too large once unpacked: “" + shortened(entry.getName()) + "”.")) {
            in.transferTo(OutputStream.nullOutputStream());
        }
    }

    private static String shortened(String name) {
        return name.length() > 60 ? name.substring(0, 60) + "…" : name;
    }

    private void elements(String part, String element, int most, long bytes, String what)
            throws IOException, XMLStreamException {
        ZipEntry entry = zip.getEntry(part);
        if (entry == null) {
            return;
        }
        int found = 0;
        try (ReadingLimits.Bytes in = ReadingLimits.Bytes.looked(
                zip.getInputStream(entry), bytes, "The spreadsheet holds too many " + what + " once unpacked.")) {
            XMLStreamReader reader = PARSERS.createXMLStreamReader(in);
            while (reader.hasNext()) {
                if (reader.next() == XMLStreamConstants.START_ELEMENT
                        && reader.getLocalName().equals(element)
                        && ++found > most) {
                    throw new ReadingLimits.Passed("The spreadsheet has more than " + most + " " + what
                            + ". Save the sheet that is needed as CSV and send that.");
                }
                in.piece();
            }
        }
    }

    /** The sheet that comes first, by the workbook's own order; the first file of a sheet where that can't be told. */
    private Optional<ZipEntry> firstSheet() throws IOException, XMLStreamException {
        Optional<String> id = attribute(WORKBOOK, "sheet", "", "", "id");
        Optional<String> target = id.isEmpty()
                ? Optional.empty()
                : attribute("xl/_rels/workbook.xml.rels", "Relationship", "Id", id.get(), "Target");
        return target.map(path -> path.startsWith("/") ? path.substring(1) : "xl/" + path)
                .flatMap(path -> Optional.<ZipEntry>ofNullable(zip.getEntry(path)))
                .or(() -> zip.stream()
                        .<ZipEntry>map(entry -> entry)
                        .filter(entry -> entry.getName().contains("/worksheets/"))
                        .findFirst());
    }

    private Optional<String> attribute(String part, String element, String key, String value, String wanted)
            throws IOException, XMLStreamException {
        ZipEntry entry = zip.getEntry(part);
        if (entry == null) {
            return Optional.empty();
        }
        try (InputStream in = zip.getInputStream(entry)) {
            XMLStreamReader reader = PARSERS.createXMLStreamReader(in);
            while (reader.hasNext()) {
                if (reader.next() == XMLStreamConstants.START_ELEMENT
                        && reader.getLocalName().equals(element)
                        && (key.isEmpty() || value.equals(named(reader, key).orElse("")))) {
                    return named(reader, wanted);
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<String> named(XMLStreamReader reader, String name) {
        for (int i = 0; i < reader.getAttributeCount(); i++) {
            if (reader.getAttributeLocalName(i).equals(name)) {
                return Optional.of(reader.getAttributeValue(i));
            }
        }
        return Optional.empty();
    }

    private void rows(ZipEntry sheet) throws IOException, XMLStreamException {
        long rows = 0;
        int cells = 0;
        int text = 0;
        try (ReadingLimits.Bytes in = ReadingLimits.Bytes.looked(
                zip.getInputStream(sheet),
                ReadingLimits.SHEET,
                "The spreadsheet is too large once unpacked. Save the sheet as CSV and send that.")) {
            XMLStreamReader reader = PARSERS.createXMLStreamReader(in);
            while (reader.hasNext()) {
                int event = reader.next();
                in.piece();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    String name = reader.getLocalName();
                    text = 0;
                    if (name.equals("row")) {
                        cells = 0;
                        rows++;
                    } else if (name.equals("c")) {
                        cells++;
                        placed(reader);
                    }
                } else if (event == XMLStreamConstants.CHARACTERS) {
                    text += reader.getTextLength();
                }
                if (cells > ReadingLimits.COLUMNS || rows > ReadingLimits.ROWS || text > ReadingLimits.RECORD) {
                    throw new ReadingLimits.Passed("Row " + rows + " is far too long for a table: "
                            + (cells > ReadingLimits.COLUMNS
                                    ? "more than " + ReadingLimits.COLUMNS + " columns."
                                    : "more than a spreadsheet can show."));
                }
            }
        }
    }

    /** A cell's own address may lie further out than any spreadsheet goes, and would be made room for. */
    private static void placed(XMLStreamReader reader) throws ReadingLimits.Passed {
        String at = named(reader, "r").orElse("");
        long letters = at.chars().takeWhile(Character::isLetter).count();
        if (letters > 3 || at.length() > 10) {
            throw new ReadingLimits.Passed("The spreadsheet is damaged: it has a cell at “" + shortened(at) + "”.");
        }
    }
}
