package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** The findings of a trial for the sheets that work with them: none while they are closed. */
@Component
class OpenFindings {
    private final Trials trials;
    private final WorkedOut workedOut;
    private final Clock clock;

    OpenFindings(Trials trials, WorkedOut workedOut, Clock clock) {
        this.trials = trials;
        this.workedOut = workedOut;
        this.clock = clock;
    }

    /** A trial with what it found. */
    record Found(TrialRecord record, Findings findings, TrialHeader header) {}

    /**
     * What a trial found by all that was read.
     *
     * @throws Refusal before the first reading, and while the trial is blind
     */
    Found of(long trial) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS)
                .isPresent()) {
            throw new Refusal("There are no findings to see yet.");
        }
        Findings findings = workedOut.of(record, OptionalInt.empty());
        return new Found(
                record,
                findings,
                TrialHeader.of(record, clock.instant(), TrialHeader.Step.FINDINGS, findings.comparedAt()));
    }
}
