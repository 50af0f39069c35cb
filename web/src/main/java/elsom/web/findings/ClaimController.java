package elsom.web.findings;

import elsom.core.claim.Checked;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Measure;
import elsom.core.results.TrialClaim;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Plans;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What somebody says of a trial, held against its own units. */
@Controller
class ClaimController {
    private static final int LONGEST = 200;

    private final OpenFindings open;
    private final Plans plans;
    private final WorkedOut workedOut;

    ClaimController(OpenFindings open, Plans plans, WorkedOut workedOut) {
        this.open = open;
        this.workedOut = workedOut;
        this.plans = plans;
    }

    /**
     * The page.
     *
     * @param checked null before anything is claimed
     * @param unlikeAreas whether treatments stood in containers of unlike opening
     */
    public record ClaimPage(
            TrialHeader header,
            List<FigureKind> kinds,
            List<Treatment> treatments,
            String claim,
            String kind,
            int treatment,
            int comparator,
            boolean sameArea,
            boolean unlikeAreas,
            @Nullable Checked checked) {}

    @GetMapping("/trials/{trial}/claim")
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") String claim,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "0") int treatment,
            @RequestParam(defaultValue = "0") int comparator,
            @RequestParam(defaultValue = "false") boolean area,
            Model model) {
        OpenFindings.Found found = open.of(trial);
        TrialRecord record = found.record();
        List<FigureKind> kinds = found.findings().kinds();
        Optional<FigureKind> chosen = kinds.stream()
                .filter(one -> one.code().equals(kind))
                .findFirst()
                .or(() -> kinds.stream().reduce((a, b) -> b));
        int against = within(record, comparator)
                .orElseGet(() -> record.treatments().stream()
                        .filter(Treatment::isControl)
                        .map(Treatment::number)
                        .findFirst()
                        .orElse(1));
        int praised = within(record, treatment)
                .orElse(against == 1 ? Math.min(2, record.treatments().size()) : 1);
        String words = claim.strip();
        String read = words.substring(0, Math.min(LONGEST, words.length()));
        model.addAttribute(
                "page",
                new ClaimPage(
                        found.header(),
                        kinds,
                        record.treatments(),
                        read,
                        chosen.map(FigureKind::code).orElse(""),
                        praised,
                        against,
                        area,
                        TrialClaim.area(record, praised) != TrialClaim.area(record, against),
                        read.isEmpty() || chosen.isEmpty()
                                ? null
                                : TrialClaim.eitherWay(
                                        record,
                                        any -> workedOut.of(any, OptionalInt.empty()),
                                        new TrialClaim.Claimed(
                                                new TrialClaim.Of(chosen.get(), better(record, chosen.get())),
                                                read,
                                                praised,
                                                against,
                                                area))));
        return "findings/claim";
    }

    private Direction better(TrialRecord record, FigureKind kind) {
        return plans.plan(record.trial().id()).asked().measures().stream()
                .filter(measure -> measure.endpoint().code().value().equals(kind.code()))
                .map(Measure::better)
                .findFirst()
                .orElse(Direction.HIGHER);
    }

    private static Optional<Integer> within(TrialRecord record, int number) {
        return number >= 1 && number <= record.treatments().size() ? Optional.of(number) : Optional.empty();
    }
}
