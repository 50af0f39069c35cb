package elsom.core.results;

import elsom.core.analysis.Observations;
import elsom.core.analysis.Value;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How much of what should have been read at a look an answer stands on.
 *
 * @param missing units that should have been read and were not
 * @param soFar whether a later look is planned for what was asked: until then nothing is settled
 * @param underWay what is told of a later look that is still being made; empty when there is none
 */
public record Coverage(int read, int expected, List<UnitCode> missing, boolean soFar, String underWay) {
    private static final int MOST_NAMED = 4;

    public Coverage {
        missing = List.copyOf(missing);
    }

    static Coverage of(TrialRecord record, Look look, Observations observations, boolean soFar, String underWay) {
        List<UnitCode> missing = observations.units().stream()
                .filter(unit -> unit.value() instanceof Value.Missing)
                .map(unit -> new UnitCode(unit.unit()))
                .filter(unit -> record.expected(unit, look.number()))
                .toList();
        int read = observations.seen().size();
        return new Coverage(read, read + missing.size(), missing, soFar, underWay);
    }

    /** The same; where it is settled before its last look, by a limit that was planned, nothing is “so far”. */
    Coverage settled(boolean early) {
        return early && soFar
                ? new Coverage(
                        read,
                        expected,
                        missing,
                        false,
                        (underWay + " It may end here: clear by the limit that was planned for this look.").strip())
                : this;
    }

    /** What is to be said of it, as sentences; none when all was read. */
    public List<String> sentences() {
        return Stream.of(words().isEmpty() ? "" : words() + ".", underWay)
                .filter(sentence -> !sentence.isEmpty())
                .toList();
    }

    /** "35 of 36 read; V12 is missing"; empty when all were. */
    String words() {
        if (missing.isEmpty()) {
            return "";
        }
        String named = missing.stream().limit(MOST_NAMED).map(UnitCode::value).collect(Collectors.joining(", "));
        int more = missing.size() - MOST_NAMED;
        return read + " of " + expected + " read; " + named + (more > 0 ? " and " + more + " more" : "")
                + (missing.size() == 1 ? " is" : " are") + " missing";
    }
}
