package elsom.web.findings;

import elsom.core.protocol.seedling.PlantBackResult;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The sowings after a treatment beside what is left of a substance, for half-lives of one's own. */
@Controller
class ResidueController {
    private final OpenFindings open;

    ResidueController(OpenFindings open) {
        this.open = open;
    }

    /** What the page shows. */
    public record ResiduePage(TrialHeader header, ResidueForm form, SectionView section) {}

    @GetMapping("/trials/{trial}/residue")
    String show(
            @PathVariable long trial,
            @RequestParam(required = false) String shortest,
            @RequestParam(required = false) String longest,
            Model model) {
        OpenFindings.Found found = open.of(trial);
        ResidueForm form =
                shortest == null || longest == null ? ResidueForm.usual() : ResidueForm.read(shortest, longest);
        PlantBackResult sown = found.findings().sections(PlantBackResult.class).stream()
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        "This trial has no sowings after a treatment.",
                        "/trials/" + trial + "/findings",
                        "Back to the findings"));
        model.addAttribute(
                "page",
                new ResiduePage(
                        found.header(),
                        form,
                        new SectionView(
                                sown,
                                sown.account(found.record(), form.halfLives()),
                                new Links(found.record(), found.findings().comparedAt(), 1))));
        return "findings/residue";
    }
}
