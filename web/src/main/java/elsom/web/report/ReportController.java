package elsom.web.report;

import elsom.core.audit.Audit;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.fair.FairMark;
import elsom.web.fair.FairPage;
import elsom.web.fair.Fairness;
import elsom.web.findings.FindingsPage;
import elsom.web.findings.WorkedOut;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The trial on paper. */
@Controller
class ReportController {
    private final Trials trials;
    private final Plans plans;
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final Clock clock;

    ReportController(Trials trials, Plans plans, WorkedOut workedOut, Fairness fairness, Clock clock) {
        this.fairness = fairness;
        this.trials = trials;
        this.plans = plans;
        this.workedOut = workedOut;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/report")
    String show(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Optional<ClosedPage> closed = ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.REPORT);
        if (closed.isPresent()) {
            model.addAttribute("page", closed.get());
            return "kit/closed";
        }
        TrialId id = record.trial().id();
        Findings findings = workedOut.of(record, OptionalInt.empty());
        Audit audit = fairness.of(record, findings);
        FairMark mark = FairMark.of(record, findings, audit);
        model.addAttribute("fair", mark);
        model.addAttribute("told", FairPage.of(record, mark, audit, 0, clock.instant()));
        model.addAttribute(
                "page",
                ReportPage.of(record, plans.plan(id), plans.amendments(id), places(record, findings), clock.instant()));
        return "report/report";
    }

    private List<FindingsPage> places(TrialRecord record, Findings findings) {
        return record.benches().stream()
                .map(bench -> FindingsPage.of(
                        record,
                        findings,
                        workedOut.drawn(record, findings, bench.number()),
                        bench.number(),
                        TrialHeader.Step.REPORT,
                        clock.instant()))
                .toList();
    }
}
