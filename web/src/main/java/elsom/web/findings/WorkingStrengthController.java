package elsom.web.findings;

import elsom.core.dose.Stock;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import elsom.web.trial.Plans;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** How the strength to work with is mixed, to be printed. */
@Controller
class WorkingStrengthController {
    private final OpenFindings open;
    private final Plans plans;

    WorkingStrengthController(OpenFindings open, Plans plans) {
        this.open = open;
        this.plans = plans;
    }

    /** What the plan says the doses are shares of. */
    private String planned(TrialRecord record, DoseResult result) {
        return plans.plan(record.trial().id()).treatments().factors().stream()
                .filter(factor -> factor.name().equals(result.factor()))
                .flatMap(factor -> Optional.ofNullable(factor.stock()).stream())
                .map(Stock::label)
                .findFirst()
                .orElse("");
    }

    @GetMapping("/trials/{trial}/mixing")
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") String endpoint,
            @RequestParam(defaultValue = "0") int series,
            @RequestParam(defaultValue = "1 L") String volume,
            @RequestParam(defaultValue = "2") String factor,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam Optional<String> stock,
            @RequestParam(defaultValue = "") String bottle,
            Model model) {
        OpenFindings.Found found = open.of(trial);
        DoseResult result = found.findings().sections(DoseResult.class).stream()
                .filter(one -> one.kind().code().equals(endpoint)
                        && series >= 0
                        && series < one.lines().size())
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        "This trial has no such series of strengths.",
                        "/trials/" + trial + "/findings",
                        "Back to the findings"));
        WorkingStrengthForm form = WorkingStrengthForm.read(
                volume, factor, reason, stock.orElseGet(() -> planned(found.record(), result)), bottle, series);
        model.addAttribute("endpoint", endpoint);
        model.addAttribute(
                "page",
                WorkingStrengthPage.of(
                        found.header(),
                        result,
                        result.lines().get(series).rate(form.safety()),
                        form,
                        List.of(Cautions.ACID)));
        return "findings/mixing";
    }
}
