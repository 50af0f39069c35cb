package elsom.web.trial;

import elsom.core.trial.LookState;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import elsom.web.kit.TimeBar;
import elsom.web.kit.Times;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/**
 * The trials there are.
 *
 * @param query what was searched for; empty for all
 * @param total how many there are in all
 */
record TrialsPage(List<Line> trials, String query, int total) {
    /** One trial. */
    record Line(
            long id, String question, String started, String state, boolean due, String size, List<Swatch> swatches) {}

    static TrialsPage of(List<TrialRecord> all, String query, Instant now) {
        String wanted = query.strip().toLowerCase(Locale.ROOT);
        return new TrialsPage(
                all.stream()
                        .filter(record -> wanted.isEmpty() || matches(record, wanted))
                        .map(record -> line(record, now))
                        .toList(),
                query.strip(),
                all.size());
    }

    /** A trial is found by its question, its treatments, or the code on one of its units. */
    private static boolean matches(TrialRecord record, String wanted) {
        return record.trial().question().toLowerCase(Locale.ROOT).contains(wanted)
                || record.treatments().stream()
                        .anyMatch(t -> t.name().toLowerCase(Locale.ROOT).contains(wanted))
                || record.units().stream()
                        .anyMatch(u -> u.code().value().toLowerCase(Locale.ROOT).equals(wanted));
    }

    private static Line line(TrialRecord record, Instant now) {
        boolean due = record.nextLook()
                .map(look -> LookState.of(record, look, now))
                .map(state -> state == LookState.DUE || state == LookState.LATE)
                .orElse(false);
        return new Line(
                record.trial().id().value(),
                record.trial().question(),
                Times.day(record.trial().start(), record.trial().zone()),
                TimeBar.of(record, now, 0).summary(),
                due,
                record.units().size() + " units",
                Swatch.of(record));
    }
}
