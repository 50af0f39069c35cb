package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.NotFoundException;
import com.google.zxing.ReaderException;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import elsom.core.trial.Texture;
import elsom.core.trial.Treatment;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LabelsPdfTest {
    /** What a simple office printer resolves. */
    private static final float DOTS_PER_INCH = 300;

    private static final String ADDRESS = "http://192.168.100.100:8080/u/12/";

    private static List<LabelsPdf.Label> labels(int count, String name, String note) {
        Texture[] textures = Texture.values();
        return IntStream.range(0, count)
                .mapToObj(i -> "K" + (100 + i))
                .map(code -> new LabelsPdf.Label(
                        code,
                        textures[Integer.parseInt(code.substring(1)) % textures.length],
                        Texture.Weave.DARK_ON_LIGHT,
                        name,
                        note,
                        ADDRESS + code))
                .toList();
    }

    /** What a phone reads off every label of the printed pages, in order. */
    private static List<String> read(byte[] pdf, LabelSheet sheet, int count) throws IOException, ReaderException {
        List<String> links = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDFRenderer renderer = new PDFRenderer(document);
            for (int page = 0; page < document.getNumberOfPages(); page++) {
                BufferedImage image = renderer.renderImageWithDPI(page, DOTS_PER_INCH);
                for (int n = 0; n < Math.min(sheet.perPage(), count - page * sheet.perPage()); n++) {
                    links.add(link(image, sheet, n));
                }
            }
        }
        return links;
    }

    private static String link(BufferedImage page, LabelSheet sheet, int n) throws ReaderException {
        double dot = DOTS_PER_INCH / 25.4;
        int x = (int) (sheet.x(n) * dot);
        int y = (int) (sheet.y(n) * dot);
        int width = Math.min((int) (sheet.width() * dot), page.getWidth() - x);
        int height = Math.min((int) (sheet.height() * dot), page.getHeight() - y);
        BufferedImage label = page.getSubimage(x, y, width, height);
        try {
            return new QRCodeReader()
                    .decode(new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(label))))
                    .getText();
        } catch (NotFoundException unread) {
            throw new AssertionError("label " + n + " of " + sheet + " can't be read", unread);
        }
    }

    @ParameterizedTest
    @EnumSource(LabelSheet.class)
    void everySquareCodeLeadsToItsUnit(LabelSheet sheet) throws Exception {
        int count = sheet == LabelSheet.ROLL ? 5 : sheet.perPage() + 3;
        byte[] pdf = LabelsPdf.of(labels(count, "seaweed · 2 %", "water below 312 g"), sheet);
        assertThat(read(pdf, sheet, count))
                .containsExactlyElementsOf(IntStream.range(0, count)
                        .mapToObj(i -> ADDRESS + "K" + (100 + i))
                        .toList());
    }

    @ParameterizedTest
    @EnumSource(LabelSheet.class)
    void codesAndNotesAreTextAndStayOnTheirPage(LabelSheet sheet) throws Exception {
        int count = 7;
        String name = "leaf mould 3 + wood fibre 1, steamed twice · dip of seaweed 2 %";
        try (PDDocument document = Loader.loadPDF(LabelsPdf.of(labels(count, name, "water below 312 g"), sheet))) {
            assertThat(document.getNumberOfPages()).isEqualTo((count + sheet.perPage() - 1) / sheet.perPage());
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains("K100", "K106", "water below 312 g", "leaf mould");
            assertThat(document.getPage(0).getMediaBox().getWidth() * 25.4 / 72)
                    .isCloseTo(sheet.pageWidth(), org.assertj.core.data.Offset.offset(0.1));
        }
    }

    @Test
    void lettersThatPrintersLackLoseTheirAccentsOnly() throws Exception {
        byte[] pdf = LabelsPdf.of(labels(1, "tőzeg · 25 µm × 2 → „kelp“", ""), LabelSheet.A4);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains("tozeg · 25 µm × 2 ? „kelp“");
        }
    }

    @Test
    void blackAndWhiteIsEnough() throws Exception {
        byte[] pdf = LabelsPdf.of(labels(10, "", ""), LabelSheet.A4);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, 100);
            for (int y = 0; y < image.getHeight(); y += 3) {
                for (int x = 0; x < image.getWidth(); x += 3) {
                    int rgb = image.getRGB(x, y);
                    assertThat((rgb >> 16) & 255).isEqualTo((rgb >> 8) & 255).isEqualTo(rgb & 255);
                }
            }
        }
    }

    /** Two treatments' labels must differ as printed, also where a pattern comes back, or units can't be told apart. */
    @Test
    void everyTreatmentPrintsUnlikeTheOthers() throws Exception {
        List<LabelsPdf.Label> labels = IntStream.rangeClosed(1, Treatment.MOST)
                .mapToObj(n -> new LabelsPdf.Label(
                        "K22", Texture.forTreatment(n), Texture.Weave.forTreatment(n), "", "", ADDRESS + "K22"))
                .toList();
        List<String> printed = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(LabelsPdf.of(labels, LabelSheet.ROLL))) {
            PDFRenderer renderer = new PDFRenderer(document);
            for (int page = 0; page < document.getNumberOfPages(); page++) {
                printed.add(dots(renderer.renderImageWithDPI(page, 200)));
            }
        }
        assertThat(printed).hasSameSizeAs(labels).doesNotHaveDuplicates();
    }

    private static String dots(BufferedImage image) {
        StringBuilder dots = new StringBuilder();
        for (int y = 0; y < image.getHeight(); y += 2) {
            for (int x = 0; x < image.getWidth() / 2; x += 2) {
                dots.append((image.getRGB(x, y) & 255) < 128 ? '#' : ' ');
            }
        }
        return dots.toString();
    }
}
