package elsom.web.brew;

import elsom.core.brew.Drench;
import elsom.core.brew.UseDoubt;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** How a brew is used: a growth trial is begun whose treatments are its brews as a drench, beside plain water. */
@Controller
class UseController {
    private final Trials trials;
    private final Plans plans;
    private final Brews brews;
    private final Clock clock;

    UseController(Trials trials, Plans plans, Brews brews, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.brews = brews;
        this.clock = clock;
    }

    /** What is said to a doubt about a brew. */
    enum Reply {
        AFRESH("Brewed afresh for this trial by the same recipe."),
        AS_IT_IS("Used as they were, though:");

        private final String said;

        Reply(String said) {
            this.said = said;
        }
    }

    /** What is asked before a brew that is over its rule or its hours goes into a trial. */
    public record DoubtPage(
            TrialHeader header, List<String> doubts, List<Integer> treatments, int parts, int rate, UUID token) {}

    @PostMapping("/trials/{trial}/brews/use")
    ModelAndView use(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") List<Integer> treatment,
            @RequestParam(defaultValue = "4") int parts,
            @RequestParam(defaultValue = "50") int rate,
            @RequestParam(required = false) @Nullable Reply reply,
            @RequestParam UUID token) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (!record.trial().protocol().equals(AeratedBrew.CODE)) {
            throw new NotFound("This trial has no brews.", "/trials/" + trial, "To the trial");
        }
        if (treatment.isEmpty()) {
            throw new Refusal("Tick the brews that are to be used. Go back: the rest is still there.");
        }
        if (parts < 0 || parts > 100 || rate < 1 || rate > 5000) {
            throw new Refusal("Diluted with 0 to 100 parts of water, 1 to 5000 mL a pot. Accepted: 4 parts, 50 mL.");
        }
        Instant now = clock.instant();
        List<String> doubts =
                UseDoubt.of(record, treatment, brews.log(record.trial().id()), now);
        if (!doubts.isEmpty() && reply == null) {
            return new ModelAndView(
                    "brew/doubt",
                    Map.of(
                            "page",
                            new DoubtPage(TrialHeader.of(record, now, null), doubts, treatment, parts, rate, token)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return new ModelAndView("redirect:/trials/"
                + plans.begin(Drench.plan(record, treatment, parts, rate, said(doubts, reply), now), token) + "/plan");
    }

    private static String said(List<String> doubts, @Nullable Reply reply) {
        if (doubts.isEmpty() || reply == null) {
            return "";
        }
        return reply == Reply.AFRESH ? reply.said : reply.said + " " + String.join("; ", doubts) + ".";
    }
}
