package elsom.core.chain;

import elsom.core.audit.Grade;
import elsom.core.plan.Plan;
import elsom.core.results.Findings;
import elsom.core.trial.TrialRecord;
import java.util.Optional;

/**
 * A trial of a chain.
 *
 * @param findings empty while it has told nothing, or is blind
 * @param grade how far its verdicts can be relied on
 */
public record Stage(Plan plan, TrialRecord record, Optional<Findings> findings, Grade grade) {
    public long id() {
        return record.trial().id().value();
    }

    /** What was learned: the first answer to what was asked; empty while there is none. */
    public Optional<Findings.Answered> learned() {
        return findings.flatMap(found -> found.answers().stream().findFirst());
    }
}
