package elsom.core.series;

import java.util.ArrayList;
import java.util.List;

/**
 * A series made small enough to draw without losing a peak: of each column of the drawing the first, the lowest, the
 * highest and the last sample are kept, which is all that a line through every sample would show of it.
 */
public final class Thinning {
    private final long from;
    private final double millisAColumn;
    private final int columns;
    private final List<Sample> kept = new ArrayList<>();
    private final Sample[] column = new Sample[4];
    private int current = -1;
    private long samples;

    /**
     * A drawing of a time.
     *
     * @param columns how many it has, as many as it is pixels wide
     */
    public Thinning(long from, long to, int columns) {
        if (to <= from || columns < 1) {
            throw new IllegalArgumentException("a drawing needs a time and a width");
        }
        this.from = from;
        this.columns = columns;
        this.millisAColumn = (to - from) / (double) columns;
    }

    /** Adds the next sample in order of time. */
    public void add(long at, double value) {
        samples++;
        int of = (int) Math.max(0, Math.min(columns - 1, (at - from) / millisAColumn));
        Sample sample = new Sample(at, value);
        if (of != current) {
            flush();
            current = of;
            column[0] = sample;
            column[1] = sample;
            column[2] = sample;
        }
        if (value < column[1].value()) {
            column[1] = sample;
        }
        if (value > column[2].value()) {
            column[2] = sample;
        }
        column[3] = sample;
    }

    private void flush() {
        if (current < 0) {
            return;
        }
        boolean lowFirst = column[1].at() <= column[2].at();
        keep(column[0]);
        keep(column[lowFirst ? 1 : 2]);
        keep(column[lowFirst ? 2 : 1]);
        keep(column[3]);
    }

    private void keep(Sample sample) {
        if (kept.isEmpty() || kept.get(kept.size() - 1).at() < sample.at()) {
            kept.add(sample);
        }
    }

    /** How many were added. */
    public long samples() {
        return samples;
    }

    /** What is left, in order of time; called once, at the end. */
    public List<Sample> points() {
        flush();
        current = -1;
        return List.copyOf(kept);
    }
}
