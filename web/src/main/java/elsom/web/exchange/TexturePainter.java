package elsom.web.exchange;

import com.lowagie.text.pdf.PdfContentByte;
import elsom.core.trial.Texture;

/** Draws a treatment's texture on paper as the screen does: the same tiles of 16 units, black on white. */
final class TexturePainter {
    private static final float TILE = 16;
    private static final float SCALE = 0.42f;

    private TexturePainter() {}

    /** Fills a rectangle, given by its lower left corner in points, and frames it. */
    static void fill(
            PdfContentByte page, Texture texture, Texture.Weave weave, float x, float y, float width, float height) {
        boolean negative = weave == Texture.Weave.LIGHT_ON_DARK;
        float scale = weave == Texture.Weave.LARGE ? 2 * SCALE : SCALE;
        page.saveState();
        page.rectangle(x, y, width, height);
        page.clip();
        page.newPath();
        if (negative) {
            page.setGrayFill(0);
            page.rectangle(x, y, width, height);
            page.fill();
        }
        page.setLineWidth(negative ? 1.1f : 0.7f);
        page.setGrayStroke(negative ? 1 : 0);
        page.setGrayFill(negative ? 1 : 0);
        float step = TILE * scale;
        for (float left = x; left < x + width; left += step) {
            for (float bottom = y; bottom < y + height; bottom += step) {
                tile(new Pen(page, left, bottom, scale), texture);
            }
        }
        page.restoreState();
        page.setLineWidth(0.6f);
        page.rectangle(x, y, width, height);
        page.stroke();
    }

    /** A tile's own coordinates, y downwards as on the screen. */
    private record Pen(PdfContentByte page, float left, float bottom, float scale) {
        private float x(double tile) {
            return left + (float) tile * scale;
        }

        private float y(double tile) {
            return bottom + (TILE - (float) tile) * scale;
        }

        void line(double... points) {
            page.moveTo(x(points[0]), y(points[1]));
            for (int i = 2; i < points.length; i += 2) {
                page.lineTo(x(points[i]), y(points[i + 1]));
            }
            page.stroke();
        }

        void wave(double height, double by) {
            page.moveTo(x(0), y(height));
            page.curveTo(x(2.7), y(height - by), x(5.3), y(height - by), x(8), y(height));
            page.curveTo(x(10.7), y(height + by), x(13.3), y(height + by), x(16), y(height));
            page.stroke();
        }

        void dot(double middleX, double middleY, double radius, boolean filled) {
            page.circle(x(middleX), y(middleY), (float) radius * scale);
            if (filled) {
                page.fill();
            } else {
                page.stroke();
            }
        }

        void grain(double atX, double atY, double width, double height) {
            page.rectangle(x(atX), y(atY + height), (float) width * scale, (float) height * scale);
            page.fill();
        }
    }

    private static void tile(Pen pen, Texture texture) {
        switch (texture) {
            case FIBRES -> {
                pen.wave(4, 3);
                pen.wave(12, 3);
            }
            case BRICKS -> {
                pen.line(0, 0.5, 16, 0.5);
                pen.line(0, 8.5, 16, 8.5);
                pen.line(4.5, 0.5, 4.5, 8.5);
                pen.line(12.5, 8.5, 12.5, 16);
            }
            case DOTS -> {
                pen.dot(4, 4, 1.5, true);
                pen.dot(12, 12, 1.5, true);
            }
            case HATCH -> {
                pen.line(0, 8, 8, 0);
                pen.line(0, 16, 16, 0);
                pen.line(8, 16, 16, 8);
            }
            case WAVES -> {
                pen.wave(2, 5);
                pen.wave(10, 5);
            }
            case GRAINS -> {
                pen.grain(1, 2, 4, 3);
                pen.grain(9, 5, 3, 4);
                pen.grain(4, 11, 4, 3);
                pen.grain(12, 13, 3, 2);
            }
            case CROSSES -> {
                pen.line(4, 1, 4, 7);
                pen.line(1, 4, 7, 4);
                pen.line(12, 9, 12, 15);
                pen.line(9, 12, 15, 12);
            }
            case RINGS -> {
                pen.dot(4, 4, 2.5, false);
                pen.dot(12, 12, 2.5, false);
            }
            case FLECKS -> {
                pen.line(2, 3, 5, 4);
                pen.line(10, 2, 12, 5);
                pen.line(6, 9, 9, 8);
                pen.line(13, 11, 15, 13);
                pen.line(3, 14, 5, 12);
            }
            case CHEVRONS -> {
                pen.line(0, 6, 8, 1, 16, 6);
                pen.line(0, 14, 8, 9, 16, 14);
            }
            case LATTICE -> {
                pen.line(0, 0, 16, 16);
                pen.line(16, 0, 0, 16);
            }
            case BARS -> {
                pen.line(3, 0, 3, 16);
                pen.line(8, 0, 8, 16);
                pen.line(13, 0, 13, 16);
            }
            case PLAIN -> {
                // Blank paper: nothing to tell it by.
            }
        }
    }
}
