package elsom.web.series;

import elsom.core.series.Mapping;
import elsom.core.series.RowReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;

/** A file being taken: rows go to the store one after another, all of them or none. Asked from other threads how far it is. */
final class Taking {
    static final int MOST_PROBLEMS = 200;

    /** So many rows tell whether the newest comes first, an hour that autumn repeats among them or not. */
    private static final int BEGINNING = 2000;

    private static final int MOST_NAMED = 8;

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
    private final int above;
    private final Set<String> units;
    private final Instant now;
    private final AtomicBoolean cancelled = new AtomicBoolean();
    private final List<String> problems = new ArrayList<>();
    private volatile long below;
    private volatile Map<String, Long> leftOut = Map.of();
    private volatile Progress progress = new Progress(State.RUNNING, 0, 0, List.of(), "");

    /**
     * A file to be taken.
     *
     * @param above how many rows there are above the values, the headings among them
     */
    Taking(Mapping mapping, int above, Set<String> units, Instant now) {
        this.mapping = mapping;
        this.above = above;
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
        long[] rows = {0};
        try {
            RowReader reader = new RowReader(mapping, units, now, RowReader.newestFirst(mapping, beginning(upload)));
            int[] passed = {0};
            TableRows.read(upload.file(), (number, cells, share) -> {
                if (passed[0] < above) {
                    passed[0]++;
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
            below = reader.below();
            leftOut = reader.leftOut();
        } catch (TableRows.NoTable none) {
            problem(none.message());
        }
        if (rows[0] == 0 && problems.isEmpty()) {
            problem("The file has no rows below its headings.");
        }
        progress = new Progress(State.RUNNING, rows[0], 1, List.of(), "");
    }

    private List<List<String>> beginning(Uploads.Upload upload) throws TableRows.NoTable {
        List<List<String>> first = new ArrayList<>();
        TableRows.read(upload.file(), (number, cells, share) -> {
            first.add(cells);
            return first.size() < BEGINNING + above;
        });
        return first.subList(Math.min(above, first.size()), first.size());
    }

    /** What rows name that nothing is known of; empty where there was none. */
    String leftOut() {
        return leftOut.isEmpty()
                ? ""
                : " Left out, as nothing is known of it here: "
                        + leftOut.entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .limit(MOST_NAMED)
                                .map(one -> "“" + one.getKey() + "” in " + one.getValue()
                                        + (one.getValue() == 1 ? " row" : " rows"))
                                .collect(Collectors.joining(", "))
                        + ".";
    }

    /** What was made of values that only lie below a limit; empty where there were none. */
    String belowLimit() {
        return below == 0
                ? ""
                : " " + below + (below == 1 ? " value was" : " values were") + " below a limit of detection: taken as "
                        + mapping.below().label() + ".";
    }

    private void problem(String text) {
        problems.add(text.replace("..", "."));
    }
}
