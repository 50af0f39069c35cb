package elsom.web.exchange;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A stream that ends with a message when more comes out of it than it may hold; it does not close what it reads. */
final class Limited extends FilterInputStream {
    private final long most;
    private final String message;
    private long read;

    /** More came than the stream may hold. */
    static final class TooLong extends IOException {
        private final String message;

        TooLong(String message) {
            super(message);
            this.message = message;
        }

        String message() {
            return message;
        }
    }

    Limited(InputStream in, long most, String message) {
        super(in);
        this.most = most;
        this.message = message;
    }

    private void count(long bytes) throws IOException {
        read += Math.max(0, bytes);
        if (read > most) {
            throw new TooLong(message);
        }
    }

    @Override
    public int read() throws IOException {
        int next = super.read();
        count(next < 0 ? 0 : 1);
        return next;
    }

    @Override
    public int read(byte[] buffer, int from, int length) throws IOException {
        int bytes = super.read(buffer, from, length);
        count(bytes);
        return bytes;
    }

    @Override
    public void close() {
        // Whoever opened it closes it.
    }
}
