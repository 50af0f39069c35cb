package elsom.web.next;

import elsom.core.audit.Grade;
import elsom.core.chain.Chain;
import elsom.core.chain.Stage;
import elsom.core.next.Ended;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.Fairness;
import elsom.web.findings.WorkedOut;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** The chains that trials stand in, and what a trial's follow-up is made from. */
@Component
public class Chains {
    private static final int SEEDS = 1_000_000;

    private final Trials trials;
    private final Plans plans;
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    Chains(Trials trials, Plans plans, WorkedOut workedOut, Fairness fairness, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.workedOut = workedOut;
        this.fairness = fairness;
        this.clock = clock;
    }

    /** The chain a trial stands in; of it alone where it came from none and none came from it. */
    public Chain of(TrialId id) {
        return new Chain(plans.chain(id).stream().map(this::stage).toList());
    }

    private Stage stage(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        boolean closed = ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS)
                .isPresent();
        if (closed || record.readings().isEmpty()) {
            return new Stage(plans.plan(id), record, Optional.empty(), Grade.SOUND);
        }
        Findings findings = workedOut.of(record, OptionalInt.empty());
        return new Stage(
                plans.plan(id),
                record,
                Optional.of(findings),
                fairness.of(record, findings).grade());
    }

    /** A trial as its follow-up is made from it, begun on the hour of tomorrow. */
    public Ended ended(TrialRecord record, Findings findings) {
        Instant start = clock.instant().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.DAYS);
        return new Ended(
                plans.plan(record.trial().id()),
                record,
                findings,
                fairness.of(record, findings),
                start,
                seeds.nextInt(SEEDS));
    }
}
