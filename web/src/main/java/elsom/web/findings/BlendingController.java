package elsom.web.findings;

import elsom.core.protocol.salt.ThresholdResult;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** How two waters are blended so that they stay under the salinity a trial found. */
@Controller
class BlendingController {
    private final OpenFindings open;

    BlendingController(OpenFindings open) {
        this.open = open;
    }

    @GetMapping("/trials/{trial}/blending")
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "0.4 mS/cm") String a,
            @RequestParam(defaultValue = "4 mS/cm") String b,
            @RequestParam(defaultValue = "30") String drain,
            Model model) {
        OpenFindings.Found found = open.of(trial);
        ThresholdResult result = found.findings().sections(ThresholdResult.class).stream()
                .filter(ThresholdResult::byEc)
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        "This trial has no threshold of EC.",
                        "/trials/" + trial + "/findings",
                        "Back to the findings"));
        TrialHeader header = found.header();
        model.addAttribute("page", BlendingPage.of(header, result, BlendingForm.read(a, b, drain)));
        return "findings/blending";
    }
}
