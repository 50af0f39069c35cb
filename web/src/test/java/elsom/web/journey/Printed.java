package elsom.web.journey;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;

/** A page as it comes out of the printer. */
final class Printed {
    private Printed() {}

    static int pages(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** What is written in letters of each height in points, smallest first. */
    static TreeMap<Double, String> letters(byte[] pdf) {
        TreeMap<Double, StringBuilder> written = new TreeMap<>();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            new PDFTextStripper() {
                @Override
                protected void writeString(String text, List<TextPosition> positions) {
                    double points = positions.get(0).getTextMatrix().getScalingFactorY();
                    written.computeIfAbsent(Math.round(points * 10) / 10.0, size -> new StringBuilder())
                            .append(text)
                            .append(" | ");
                }
            }.getText(document);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        TreeMap<Double, String> letters = new TreeMap<>();
        for (Map.Entry<Double, StringBuilder> size : written.entrySet()) {
            letters.put(size.getKey(), size.getValue().toString());
        }
        return letters;
    }
}
