package elsom.core.trial;

import elsom.core.quantity.Bounds;

/** Where a unit stands: bench, row and column, each 1-based; row 1 is nearest the top side as drawn. */
public record BenchPosition(int bench, int row, int column) {
    public BenchPosition {
        Bounds.count("bench", bench, 1, Bounds.BENCHES);
        Bounds.count("row", row, 1, Bounds.PLACES_ALONG);
        Bounds.count("column", column, 1, Bounds.PLACES_ALONG);
    }
}
