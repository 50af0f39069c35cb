package elsom.web.brew;

import elsom.core.brew.Drench;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** How a brew is used: a growth trial is begun whose treatments are its brews as a drench, beside plain water. */
@Controller
class UseController {
    private final Trials trials;
    private final Plans plans;
    private final Clock clock;

    UseController(Trials trials, Plans plans, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.clock = clock;
    }

    @PostMapping("/trials/{trial}/brews/use")
    String use(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") List<Integer> treatment,
            @RequestParam(defaultValue = "4") int parts,
            @RequestParam(defaultValue = "50") int rate,
            @RequestParam UUID token) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (!record.trial().protocol().equals(elsom.core.protocol.general.AeratedBrew.CODE)) {
            throw new NotFound("This trial has no brews.", "/trials/" + trial, "To the trial");
        }
        if (treatment.isEmpty()) {
            throw new Refusal("Tick the brews that are to be used. Go back: the rest is still there.");
        }
        if (parts < 0 || parts > 100 || rate < 1 || rate > 5000) {
            throw new Refusal("Diluted with 0 to 100 parts of water, 1 to 5000 mL a pot. Accepted: 4 parts, 50 mL.");
        }
        return "redirect:/trials/" + plans.begin(Drench.plan(record, treatment, parts, rate, clock.instant()), token)
                + "/plan";
    }
}
