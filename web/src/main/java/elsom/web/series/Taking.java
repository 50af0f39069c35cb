package elsom.web.series;

import elsom.core.series.Mapping;
import elsom.core.series.RowReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;

/** A file being taken: rows go to the store one after another, all of them or none. Asked from other threads how far it is. */
final class Taking {
    static final int MOST_PROBLEMS = 200;

    /** How a file stands. */
    enum State {
        RUNNING,
        DONE,
        REFUSED,
        CANCELLED
    }

    /**
     * How far it is.
     *
     * @param share of the file, 0 to 1; 0 where nobody knows
     */
    record Progress(State state, long rows, double share, List<String> problems, String outcome) {}

    private final Mapping mapping;
    private final Set<String> units;
    private final Instant now;
    private final AtomicBoolean cancelled = new AtomicBoolean();
    private final List<String> problems = new ArrayList<>();
    private volatile Progress progress = new Progress(State.RUNNING, 0, 0, List.of(), "");

    Taking(Mapping mapping, Set<String> units, Instant now) {
        this.mapping = mapping;
        this.units = Set.copyOf(units);
        this.now = now;
    }

    Progress progress() {
        return progress;
    }

    void cancel() {
        cancelled.set(true);
    }

    void end(State state, String outcome) {
        progress = new Progress(state, progress.rows(), 1, List.copyOf(problems), outcome);
    }

    /** Ends it with what went wrong outside the file. */
    void failed(String message) {
        problems.add(message);
        end(State.REFUSED, "");
    }

    /** Rows that were read without a problem, when all were. */
    boolean good() {
        return problems.isEmpty() && !cancelled.get();
    }

    boolean wasCancelled() {
        return cancelled.get();
    }

    /** Reads the rows below the headings; a row that can't be read is noted with its number. */
    void run(Uploads.Upload upload, SeriesWriter writer) {
        RowReader reader = new RowReader(mapping, units, now);
        boolean[] headed = {false};
        long[] rows = {0};
        try {
            TableRows.read(upload.file(), (number, cells, share) -> {
                if (!headed[0]) {
                    headed[0] = true;
                    return true;
                }
                rows[0]++;
                try {
                    reader.read(cells).forEach(writer::add);
                } catch (IllegalArgumentException odd) {
                    problem("Row " + number + ": " + odd.getMessage() + ".");
                }
                if (rows[0] % 1000 == 0) {
                    progress = new Progress(State.RUNNING, rows[0], share, List.of(), "");
                }
                return problems.size() < MOST_PROBLEMS && !cancelled.get();
            });
        } catch (TableRows.NoTable none) {
            problem(none.message());
        }
        if (rows[0] == 0 && problems.isEmpty()) {
            problem("The file has no rows below its headings.");
        }
        progress = new Progress(State.RUNNING, rows[0], 1, List.of(), "");
    }

    private void problem(String text) {
        problems.add(text.replace("..", "."));
    }
}
