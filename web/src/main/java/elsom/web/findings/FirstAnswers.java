package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.results.Headline;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import elsom.web.audit.Fairness;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.AnswerLines;
import java.time.Clock;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** The answer that stands first on a trial's findings, with the same word. */
@Component
class FirstAnswers implements AnswerLines {
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final LikelihoodTable causes;
    private final Clock clock;

    FirstAnswers(WorkedOut workedOut, Fairness fairness, LikelihoodTable causes, Clock clock) {
        this.workedOut = workedOut;
        this.fairness = fairness;
        this.causes = causes;
        this.clock = clock;
    }

    @Override
    public Optional<Line> of(TrialRecord record) {
        if (ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS)
                .isPresent()) {
            return Optional.empty();
        }
        Findings findings = workedOut.of(record, OptionalInt.empty());
        FairMark mark = FairMark.of(record, findings, fairness.of(record, findings));
        Findings.Answered first = findings.answers().get(0);
        return Optional.of(
                new Line(mark.word(first), Headline.of(first.verdict()).words()));
    }

    @Override
    public String basis() {
        return causes.version();
    }
}
