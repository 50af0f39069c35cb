package elsom.web.trial;

import elsom.core.trial.LookState;
import elsom.web.kit.TimeBar;
import elsom.web.kit.Times;
import java.time.Instant;
import java.util.List;

/**
 * A page of the list of trials.
 *
 * @param query what was searched for; empty for all
 * @param total how many were found in all
 * @param pages how many pages that makes
 */
record TrialsPage(
        List<Line> trials, List<TrialLists.CantBeRead> unreadable, String query, int total, int page, int pages) {
    static final int A_PAGE = 50;

    /** One trial. */
    record Line(long id, String question, String started, String state, boolean due, String size, String media) {}

    static TrialsPage of(TrialLists lists, String query, int page, Instant now) {
        int shown = Math.max(1, Math.min(page, 1_000_000));
        TrialLists.Found found = lists.search(query, (shown - 1) * A_PAGE, A_PAGE);
        return new TrialsPage(
                found.trials().stream().map(digest -> line(digest, now)).toList(),
                lists.unreadable(),
                query.strip(),
                found.inAll(),
                shown,
                (found.inAll() + A_PAGE - 1) / A_PAGE);
    }

    private static Line line(Digest digest, Instant now) {
        LookState state = digest.standing().state(now);
        return new Line(
                digest.id().value(),
                digest.question(),
                Times.day(digest.start(), digest.zone()),
                TimeBar.summary(digest.standing(), digest.start(), digest.zone(), now),
                state == LookState.DUE || state == LookState.LATE,
                digest.units() + " units",
                digest.names());
    }
}
