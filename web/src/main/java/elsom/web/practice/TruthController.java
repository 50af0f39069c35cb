package elsom.web.practice;

import elsom.core.audit.Audit;
import elsom.core.practice.Decisions;
import elsom.core.practice.Planned;
import elsom.core.practice.Rerun;
import elsom.core.practice.Trialled;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.Fairness;
import elsom.web.findings.WorkedOut;
import elsom.web.platform.NotFound;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The truth of a practice bench, once something was called. */
@Controller
class TruthController {
    private final Practices practices;
    private final Trials trials;
    private final Plans plans;
    private final BenchRun run;
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final Clock clock;

    TruthController(
            Practices practices,
            Trials trials,
            Plans plans,
            BenchRun run,
            WorkedOut workedOut,
            Fairness fairness,
            Clock clock) {
        this.practices = practices;
        this.trials = trials;
        this.plans = plans;
        this.run = run;
        this.workedOut = workedOut;
        this.fairness = fairness;
        this.clock = clock;
    }

    @GetMapping("/practice/bench/{trial}/truth")
    String show(@PathVariable long trial, Model model) {
        Practice practice = practices
                .find(new TrialId(trial))
                .orElseThrow(
                        () -> new NotFound("Trial " + trial + " is not a practice bench.", "/practice", "All levels"));
        if (practice.called().isEmpty()) {
            return "redirect:/practice/bench/" + trial;
        }
        TrialRecord record = trials.snapshot(practice.trial());
        Trialled own = run.plan(practice).orElse(practice.level().trap());
        Rerun.Tally told = BenchRun.reruns(practice, own);
        Rerun.Tally fair = BenchRun.reruns(practice, practice.level().fair());
        List<Decisions.Decision> decisions =
                Decisions.of(practice.level(), practice.truth(), practice.setting(), own, practice.seed());
        Audit audit = fairness.of(record, workedOut.of(record, OptionalInt.empty()));
        model.addAttribute(
                "page",
                TruthPage.of(
                        practice,
                        record,
                        own,
                        told,
                        fair,
                        decisions,
                        audit,
                        Planned.costs(plans.plan(practice.trial())),
                        clock.instant()));
        return "practice/truth";
    }
}
