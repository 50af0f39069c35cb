package elsom.core.trial;

/** Where a unit stands: bench, row and column, each 1-based; row 1 is nearest the top side as drawn. */
public record BenchPosition(int bench, int row, int column) {
    public BenchPosition {
        if (bench < 1 || row < 1 || column < 1) {
            throw new IllegalArgumentException(
                    "bench, row and column start at 1, got " + bench + ", " + row + ", " + column);
        }
    }
}
