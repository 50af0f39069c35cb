package elsom.web.series;

import java.util.Arrays;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Samples of one series in order of time, in plain arrays: a million of them are sixteen megabytes. */
final class SampledCourse {
    private static final int FIRST = 1024;

    private long[] at = new long[FIRST];
    private double[] values = new double[FIRST];
    private int size;
    private boolean ordered = true;

    void add(long when, double value) {
        if (size == at.length) {
            at = Arrays.copyOf(at, size * 2);
            values = Arrays.copyOf(values, size * 2);
        }
        ordered &= size == 0 || when > at[size - 1];
        at[size] = when;
        values[size++] = value;
    }

    /** Brings samples of several files into one order of time. */
    SampledCourse sorted() {
        if (!ordered) {
            int[] order = IntStream.range(0, size)
                    .boxed()
                    .sorted((a, b) -> Long.compare(at[a], at[b]))
                    .mapToInt(Integer::intValue)
                    .toArray();
            at = Arrays.stream(order).mapToLong(i -> at[i]).toArray();
            values = Arrays.stream(order).mapToDouble(i -> values[i]).toArray();
            ordered = true;
        }
        return this;
    }

    int size() {
        return size;
    }

    /** Where a time stands; negative when it is not there. */
    int find(long when) {
        return Arrays.binarySearch(at, 0, size, when);
    }

    double value(int place) {
        return values[place];
    }

    void each(PackedSamples.Sink sink) {
        for (int i = 0; i < size; i++) {
            sink.sample(at[i], values[i]);
        }
    }

    /** Makes something of a sample. */
    @FunctionalInterface
    interface Maker<T> {
        T of(long at, double value);
    }

    <T> Stream<T> stream(Maker<T> maker) {
        return IntStream.range(0, size).mapToObj(i -> maker.of(at[i], values[i]));
    }
}
