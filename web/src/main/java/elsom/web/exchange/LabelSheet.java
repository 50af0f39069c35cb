package elsom.web.exchange;

/** A way to print labels. Lengths are millimetres. */
enum LabelSheet {
    A4(210, 297, 3, 8, 70, 37, 0, 0.5, 0, 0),
    A4_SMALL(210, 297, 5, 13, 38.1, 21.2, 4.75, 10.7, 2.5, 0),
    LETTER(215.9, 279.4, 3, 10, 66.675, 25.4, 4.7625, 12.7, 3.175, 0),
    ROLL(50, 25, 1, 1, 50, 25, 0, 0, 0, 0);

    private final double pageWidth;
    private final double pageHeight;
    private final int columns;
    private final int rows;
    private final double width;
    private final double height;
    private final double left;
    private final double top;
    private final double gapX;
    private final double gapY;

    LabelSheet(
            double pageWidth,
            double pageHeight,
            int columns,
            int rows,
            double width,
            double height,
            double left,
            double top,
            double gapX,
            double gapY) {
        this.pageWidth = pageWidth;
        this.pageHeight = pageHeight;
        this.columns = columns;
        this.rows = rows;
        this.width = width;
        this.height = height;
        this.left = left;
        this.top = top;
        this.gapX = gapX;
        this.gapY = gapY;
    }

    double pageWidth() {
        return pageWidth;
    }

    double pageHeight() {
        return pageHeight;
    }

    double width() {
        return width;
    }

    double height() {
        return height;
    }

    int perPage() {
        return columns * rows;
    }

    /** Left edge of the n-th label of a page, from 0, along the rows. */
    double x(int n) {
        int column = n % columns;
        return left + column * (width + gapX);
    }

    /** Upper edge of the n-th label of a page, measured from the page's upper edge. */
    double y(int n) {
        int row = n / columns;
        return top + row * (height + gapY);
    }
}
