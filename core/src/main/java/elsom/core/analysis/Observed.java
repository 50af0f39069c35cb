package elsom.core.analysis;

/**
 * One unit: what it was given, where it stood, what was seen of it.
 *
 * @param unit its code, or its number among the rows
 * @param arm index of its treatment among {@link Observations#arms}
 * @param block 1-based; 0 where there are none
 * @param row 1-based row of a Latin square; 0 otherwise
 * @param column 1-based column of a Latin square; 0 otherwise
 * @param wholePlot which whole plot of a split-plot, across all blocks; 0 otherwise
 */
public record Observed(String unit, int arm, int block, int row, int column, int wholePlot, Value value) {
    public boolean missing() {
        return value instanceof Value.Missing;
    }

    public Observed with(Value other) {
        return new Observed(unit, arm, block, row, column, wholePlot, other);
    }
}
