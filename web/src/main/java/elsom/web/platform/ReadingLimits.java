package elsom.web.platform;

import java.io.FilterInputStream;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.time.Duration;
import org.jspecify.annotations.Nullable;

/**
 * What a file that somebody sends may hold, in one place for all that read files: known before anything is parsed, so that no
 * file takes the memory or the time of those who work. A reader that passes one is stopped and says which.
 */
public final class ReadingLimits {
    /** Columns of a table. */
    public static final int COLUMNS = 500;

    /** Characters of a cell of a table that sensors, laboratories or spreadsheets wrote. */
    public static final int CELL = 2000;

    /** Characters of a row, line breaks in quotation marks included. */
    public static final int RECORD = 1_000_000;

    /** Empty lines one after another. */
    public static final int EMPTY_LINES = 100_000;

    /** Rows of a table. */
    public static final int ROWS = 3_000_000;

    /** Parts of a spreadsheet: sheets, pictures, styles. */
    public static final int PARTS = 2000;

    /** Bytes of a part that says how a spreadsheet is made up. */
    public static final long PART = 4L << 20;

    /** Texts that cells share, and their bytes. */
    public static final int TEXTS = 400_000;

    public static final long ALL_TEXTS = 16L << 20;

    /** Bytes of a sheet, unpacked. */
    public static final long SHEET = 512L << 20;

    /** Bytes of a table that is read whole, such as a lab sheet. */
    public static final long SMALL_TABLE = 2L << 20;

    /** Bytes of a file of readings, and of readings in a trial's zip, unpacked. */
    public static final long READINGS = 64L << 20;

    public static final long PACKED_READINGS = 128L << 20;

    /** Bytes of another table of a trial's zip, or of the shelf's. */
    public static final int PACKED = 4 << 20;

    public static final int PACKED_SHELF = 32 << 20;

    /** Bytes of a table of likelihoods, which has some forty rows. */
    public static final long LIKELIHOODS = 200_000;

    /** Rows of a laboratory's answer, and of its counts. */
    public static final int ANSWERS = 5000;

    public static final int COUNTS = 2000;

    /** Bytes of a photo as a camera writes it. */
    public static final long PHOTO = 40L << 20;

    /** How long a file may take until its first rows are known. */
    public static final Duration LOOK = Duration.ofSeconds(20);

    private ReadingLimits() {}

    /**
     * All of a small file.
     *
     * @throws Passed where there is more of it
     */
    public static byte[] whole(InputStream in, int most, String passed) throws IOException {
        byte[] bytes = in.readNBytes(most + 1);
        if (bytes.length > most) {
            throw new Passed(passed);
        }
        return bytes;
    }

    /** A limit that a file passes, in words. */
    public static final class Passed extends IOException {
        private static final long serialVersionUID = 1;
        private final String message;

        public Passed(String message) {
            super(message);
            this.message = message;
        }

        public String message() {
            return message;
        }

        /** The limit behind what a parser threw; null when it was another fault. */
        public static @Nullable Passed in(Throwable thrown) {
            for (Throwable cause = thrown; cause != null; cause = cause.getCause()) {
                if (cause instanceof Passed passed) {
                    return passed;
                }
            }
            return null;
        }
    }

    /** Text whose rows end: more than a row's characters without one being told is refused. */
    public static final class Rows extends FilterReader {
        private long since;

        public Rows(Reader in) {
            super(in);
        }

        /** A row was read. */
        public void row() {
            since = 0;
        }

        private void count(int characters) throws IOException {
            since += Math.max(0, characters);
            if (since > RECORD) {
                throw new Passed("A row of it is longer than " + RECORD / 1_000_000
                        + " million characters, which no table's is. Is a quotation mark left open?");
            }
        }

        @Override
        public int read() throws IOException {
            int next = super.read();
            count(next < 0 ? 0 : 1);
            return next;
        }

        @Override
        public int read(char[] buffer, int from, int length) throws IOException {
            int read = super.read(buffer, from, length);
            count(read);
            return read;
        }
    }

    /** Bytes that may not be more than a limit, whatever a file says of itself. */
    public static final class Bytes extends FilterInputStream {
        private static final long A_PIECE = 8L << 20;

        private final long most;
        private final String what;
        private final boolean looked;
        private final long until = System.nanoTime() + LOOK.toNanos();
        private long read;
        private long since;

        private Bytes(InputStream in, long most, String what, boolean looked) {
            super(in);
            this.most = most;
            this.what = what;
            this.looked = looked;
        }

        /** What is read row by row for as long as it takes. */
        public static Bytes of(InputStream in, long most, String passed) {
            return new Bytes(in, most, passed, false);
        }

        /** What is walked through before it is read: it may take no longer than a look, and its pieces end. */
        public static Bytes looked(InputStream in, long most, String passed) {
            return new Bytes(in, most, passed, true);
        }

        /** A piece was understood. */
        public void piece() {
            since = 0;
        }

        private void count(long bytes) throws IOException {
            read += Math.max(0, bytes);
            since += Math.max(0, bytes);
            if (read > most || (looked && since > A_PIECE)) {
                throw new Passed(what);
            }
            if (looked && System.nanoTime() > until) {
                throw new Passed("Reading it takes longer than " + LOOK.toSeconds() + " seconds.");
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
    }
}
