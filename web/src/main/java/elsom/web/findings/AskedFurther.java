package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Digest;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Later trials that asked on about a lot that a trial found injurious, so that no test is offered twice. */
@Component
class AskedFurther {
    private static final int MOST = 40;

    private final TrialLists lists;
    private final Plans plans;
    private final Trials trials;
    private final WorkedOut workedOut;
    private final Clock clock;

    AskedFurther(TrialLists lists, Plans plans, Trials trials, WorkedOut workedOut, Clock clock) {
        this.lists = lists;
        this.plans = plans;
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
        return lists.search(lot, 0, MOST).trials().stream()
                .filter(other -> other.protocol().equals(record.trial().protocol())
                        && other.id().value() != record.trial().id().value()
                        && (other.start().isAfter(record.trial().start()) || madeFrom(other.id(), record)))
                .map(this::further)
                .toList();
    }

    private boolean madeFrom(TrialId id, TrialRecord record) {
        return plans.earlier(id)
                .map(earlier -> earlier.trial().id().equals(record.trial().id()))
                .orElse(false);
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
