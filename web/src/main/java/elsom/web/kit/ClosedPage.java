package elsom.web.kit;

import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.Optional;

/**
 * A step of a trial that has nothing to show yet, and why.
 *
 * @param unblinds whether the trial can be unblinded here
 */
public record ClosedPage(TrialHeader header, String title, String text, String href, String label, boolean unblinds) {
    /** A step that opens when the trial starts. */
    public static ClosedPage beforeStart(TrialHeader header) {
        return new ClosedPage(
                header,
                "The trial has not started",
                "Its plan can still change. Units are measured once it is started.",
                "/trials/" + header.id() + "/plan",
                "Go to the plan",
                false);
    }

    private static ClosedPage whileBlind(TrialHeader header) {
        return new ClosedPage(
                header,
                "This trial is blind",
                "Findings tell which treatment did what, so they open when the trial is unblinded. That is a step of its"
                        + " own, kept with its reason: best after the last look.",
                "/trials/" + header.id() + "/bench",
                "Back to the bench",
                true);
    }

    /** Why findings can't be shown; empty when they can. */
    public static Optional<ClosedPage> ofFindings(TrialRecord record, Instant now, TrialHeader.Step step) {
        TrialHeader header = TrialHeader.of(record, now, step);
        if (!record.trial().started()) {
            return Optional.of(beforeStart(header));
        }
        return record.trial().blind() ? Optional.of(whileBlind(header)) : Optional.empty();
    }
}
