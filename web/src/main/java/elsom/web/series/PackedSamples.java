package elsom.web.series;

import elsom.core.series.Sample;
import java.nio.ByteBuffer;
import java.util.List;

/**
 * Samples as bytes: for each the time since the one before as a number of seven-bit groups (the lowest first, the high
 * bit says that another follows), then the value as an IEEE 754 double. The first time counts from the block's.
 */
final class PackedSamples {
    /** In a block at most. */
    static final int MOST = 4096;

    private static final int LARGEST = 10 + Double.BYTES;
    private static final int GROUP = 7;
    private static final int LOW = 0x7f;
    private static final int MORE = 0x80;

    private PackedSamples() {}

    /** Takes what a block holds. */
    @FunctionalInterface
    interface Sink {
        void sample(long at, double value);
    }

    /**
     * The bytes of a block.
     *
     * @param samples in order of time, at least one
     */
    static byte[] pack(List<Sample> samples) {
        ByteBuffer bytes = ByteBuffer.allocate(samples.size() * LARGEST);
        long before = samples.get(0).at();
        for (Sample sample : samples) {
            long step = sample.at() - before;
            if (step < 0) {
                throw new IllegalArgumentException("samples come in order of time");
            }
            while (step > LOW) {
                bytes.put((byte) ((step & LOW) | MORE));
                step >>>= GROUP;
            }
            bytes.put((byte) step);
            bytes.putDouble(sample.value());
            before = sample.at();
        }
        byte[] packed = new byte[bytes.position()];
        bytes.flip().get(packed);
        return packed;
    }

    /**
     * Hands out the samples of a block in order of time.
     *
     * @param first the time of the first
     */
    static void unpack(long first, byte[] packed, Sink sink) {
        ByteBuffer bytes = ByteBuffer.wrap(packed);
        long at = first;
        while (bytes.hasRemaining()) {
            long step = 0;
            int shift = 0;
            byte group = bytes.get();
            while ((group & MORE) != 0) {
                step |= (long) (group & LOW) << shift;
                shift += GROUP;
                group = bytes.get();
            }
            at += step | ((long) group << shift);
            sink.sample(at, bytes.getDouble());
        }
    }
}
