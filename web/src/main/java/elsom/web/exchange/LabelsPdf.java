package elsom.web.exchange;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import elsom.core.trial.Texture;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.text.Normalizer;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Labels to print: code, texture, a QR link to the unit; black on white, to be read at 25 mm. */
final class LabelsPdf {
    private static final float MM = 72f / 25.4f;
    private static final Charset LATIN = Charset.forName("windows-1252");
    private static final double EDGE = 3;
    private static final double LARGEST_CODE = 8;
    private static final float LONGEST_NAME_SIZE = 7;

    /** White around a square code, in its dots; ISO/IEC 18004 asks for four. */
    private static final int QUIET = 4;

    /**
     * One label.
     *
     * @param texture {@link Texture#PLAIN} while the trial is blind
     * @param name the treatment's; empty to leave it out
     * @param note a line below, such as the refill weight; may be empty
     */
    record Label(String code, Texture texture, Texture.Weave weave, String name, String note, String link) {}

    private final LabelSheet sheet;
    private final BaseFont bold;
    private final BaseFont plain;

    private LabelsPdf(LabelSheet sheet) throws IOException {
        this.sheet = sheet;
        this.bold = BaseFont.createFont(BaseFont.COURIER_BOLD, BaseFont.CP1252, BaseFont.NOT_EMBEDDED);
        this.plain = BaseFont.createFont(BaseFont.HELVETICA, BaseFont.CP1252, BaseFont.NOT_EMBEDDED);
    }

    /** The labels in order, as many pages as they take. */
    static byte[] of(List<Label> labels, LabelSheet sheet) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            new LabelsPdf(sheet).write(labels, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private void write(List<Label> labels, ByteArrayOutputStream to) throws IOException, DocumentException {
        Rectangle page = new Rectangle((float) sheet.pageWidth() * MM, (float) sheet.pageHeight() * MM);
        try (Document document = new Document(page, 0, 0, 0, 0)) {
            PdfWriter writer = PdfWriter.getInstance(document, to);
            document.addTitle("Labels");
            document.open();
            for (int i = 0; i < labels.size(); i++) {
                if (i > 0 && i % sheet.perPage() == 0) {
                    document.newPage();
                }
                draw(writer.getDirectContent(), labels.get(i), i % sheet.perPage());
            }
        }
    }

    /** Code and texture at the left, the square code at the right. */
    private void draw(PdfContentByte page, Label label, int n) {
        double left = sheet.x(n) + EDGE;
        double top = sheet.y(n) + EDGE;
        double inner = sheet.height() - 2 * EDGE;
        double square = Math.min(inner, 22);
        double right = sheet.x(n) + sheet.width() - EDGE;
        double wide = right - square - 1.5 - left;
        qr(page, label.link(), right - square, top + (inner - square) / 2, square);
        boolean small = inner < 20;
        double code = Math.min(LARGEST_CODE, small ? 5.2 : inner * 0.32);
        text(page, bold, label.code(), left, top + code * 0.8, code, wide);
        double lines = (label.name().isEmpty() ? 0 : 3.2) + (label.note().isEmpty() ? 0 : 3.2);
        double swatchTop = top + code * 0.95 + 0.6;
        double swatch = inner - (swatchTop - top) - lines - (lines > 0 ? 0.4 : 0);
        if (label.texture() != Texture.PLAIN && swatch > 2) {
            TexturePainter.fill(
                    page, label.texture(), label.weave(), pt(left), y(swatchTop + swatch), pt(wide), pt(swatch));
        }
        double line = swatchTop + swatch + 3;
        if (!label.name().isEmpty()) {
            text(page, plain, label.name(), left, line, 2.6, wide);
            line += 3.2;
        }
        if (!label.note().isEmpty()) {
            text(page, plain, label.note(), left, line, 2.6, wide);
        }
    }

    private static float pt(double mm) {
        return (float) mm * MM;
    }

    private float y(double mmFromTop) {
        return pt(sheet.pageHeight() - mmFromTop);
    }

    /** With letters that the fonts every printer has can show: without their accents where those are missing. */
    private static String printable(String text) {
        return text.codePoints()
                .mapToObj(Character::toString)
                .map(letter -> LATIN.newEncoder().canEncode(letter)
                        ? letter
                        : Normalizer.normalize(letter, Normalizer.Form.NFD).replaceAll("\\p{M}", ""))
                .map(letter -> LATIN.newEncoder().canEncode(letter) ? letter : "?")
                .collect(Collectors.joining());
    }

    /** One line, made smaller until it fits. */
    private void text(PdfContentByte page, BaseFont font, String line, double x, double base, double mm, double wide) {
        String text = printable(line);
        float size = pt(mm) * 1.15f;
        while (size > LONGEST_NAME_SIZE / 2 && font.getWidthPoint(text, size) > pt(wide)) {
            size *= 0.95f;
        }
        page.beginText();
        page.setFontAndSize(font, size);
        page.setTextMatrix(pt(x), y(base));
        page.showText(text);
        page.endText();
    }

    private void qr(PdfContentByte page, String link, double x, double top, double mm) {
        BitMatrix dots;
        try {
            dots = new QRCodeWriter()
                    .encode(
                            link,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M,
                                    EncodeHintType.MARGIN,
                                    QUIET));
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException("a label's link is too long: " + link, tooLong);
        }
        float dot = pt(mm) / dots.getWidth();
        page.setGrayFill(0);
        for (int row = 0; row < dots.getHeight(); row++) {
            for (int column = 0; column < dots.getWidth(); column++) {
                if (dots.get(column, row)) {
                    page.rectangle(pt(x) + column * dot, y(top) - (row + 1) * dot, dot, dot);
                }
            }
        }
        page.fill();
    }
}
