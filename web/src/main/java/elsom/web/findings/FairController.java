package elsom.web.findings;

import elsom.core.audit.Audit;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import elsom.web.audit.FairPage;
import elsom.web.audit.Fairness;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Was it fair? */
@Controller
class FairController {
    private final Trials trials;
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final Clock clock;

    FairController(Trials trials, WorkedOut workedOut, Fairness fairness, Clock clock) {
        this.trials = trials;
        this.workedOut = workedOut;
        this.fairness = fairness;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/fair")
    String show(@PathVariable long trial, @RequestParam(defaultValue = "0") int show, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Optional<ClosedPage> closed = ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS);
        if (closed.isPresent()) {
            model.addAttribute("page", closed.get());
            return "kit/closed";
        }
        Findings findings = workedOut.of(record, OptionalInt.empty());
        Audit audit = fairness.of(record, findings);
        model.addAttribute(
                "page", FairPage.of(record, FairMark.of(record, findings, audit), audit, show, clock.instant()));
        return "audit/fair";
    }
}
