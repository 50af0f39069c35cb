package elsom.web.findings;

import elsom.core.protocol.Cautions;
import elsom.core.results.Findings;
import elsom.core.results.Section;
import elsom.core.results.TitrationResult;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** How much lime a batch needs for a pH, by the trial's curve. */
@Controller
class LimingController {
    private final Trials trials;
    private final WorkedOut workedOut;
    private final Clock clock;

    LimingController(Trials trials, WorkedOut workedOut, Clock clock) {
        this.trials = trials;
        this.workedOut = workedOut;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/liming")
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "6.0") String target,
            @RequestParam(defaultValue = "50 L") String batch,
            @RequestParam(defaultValue = "100") String tested,
            @RequestParam(defaultValue = "100") String used,
            Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS)
                .isPresent()) {
            throw new Refusal("There are no findings to see yet.");
        }
        Findings findings = workedOut.of(record, OptionalInt.empty());
        TitrationResult result = findings.sections(Section.LimeCurve.class).stream()
                .findFirst()
                .map(Section.LimeCurve::result)
                .orElseThrow(() -> new NotFound(
                        "This trial has no curve of pH.", "/trials/" + trial + "/findings", "Back to the findings"));
        model.addAttribute(
                "page",
                LimingPage.of(
                        TrialHeader.of(record, clock.instant(), TrialHeader.Step.FINDINGS, findings.comparedAt()),
                        result,
                        LimingForm.read(target, batch, tested, used),
                        List.of(Cautions.LIME)));
        return "findings/liming";
    }
}
