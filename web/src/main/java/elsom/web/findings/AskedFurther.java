package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Digest;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Later trials that asked on about a lot that a trial found injurious, so that no test is offered twice. */
@Component
class AskedFurther {
    private final LaterTrials later;
    private final Trials trials;
    private final WorkedOut workedOut;
    private final Clock clock;

    AskedFurther(LaterTrials later, Trials trials, WorkedOut workedOut, Clock clock) {
        this.later = later;
        this.trials = trials;
        this.workedOut = workedOut;
        this.clock = clock;
    }

    /**
     * A later trial.
     *
     * @param says its first answer as a sentence; while there is none, that there is none
     */
    public record Further(String href, String question, String says) {}

    /** Trials made from this one, or of the same kind and begun later, that have the lot under test; the latest first. */
    List<Further> of(TrialRecord record, String lot) {
        return later.of(record, lot).stream().map(this::further).toList();
    }

    private Further further(Digest other) {
        String href = "/trials/" + other.id().value();
        TrialRecord record = trials.snapshot(other.id());
        if (ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS)
                .isPresent()) {
            return new Further(href, other.question(), "It has not told yet.");
        }
        List<Findings.Answered> answers =
                workedOut.of(record, OptionalInt.empty()).answers();
        return new Further(
                href + "/findings",
                other.question(),
                answers.isEmpty()
                        ? "It has not told yet."
                        : answers.get(0).verdict().sentence());
    }
}
