package elsom.web.findings;

import elsom.core.protocol.liming.TitrationResult;
import elsom.web.platform.NotFound;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** How much lime or sulfur a batch needs for a pH, by the trial's curve. */
@Controller
class LimingController {
    private final OpenFindings open;

    LimingController(OpenFindings open) {
        this.open = open;
    }

    @GetMapping("/trials/{trial}/liming")
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "6.0") String target,
            @RequestParam(defaultValue = "50 L") String batch,
            @RequestParam(defaultValue = "100") String tested,
            @RequestParam(defaultValue = "100") String used,
            Model model) {
        OpenFindings.Found found = open.of(trial);
        TitrationResult result = found.findings().sections(TitrationResult.class).stream()
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        "This trial has no curve of pH.", "/trials/" + trial + "/findings", "Back to the findings"));
        model.addAttribute(
                "page",
                LimingPage.of(found.header(), result, LimingForm.read(result.kind(), target, batch, tested, used)));
        return "findings/liming";
    }
}
