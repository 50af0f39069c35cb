package elsom.web.plan;

import elsom.core.trial.TrialId;
import elsom.web.trial.Trials;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Shows what was drawn. */
@Controller
class PlanController {
    private final Trials trials;
    private final Clock clock;

    PlanController(Trials trials, Clock clock) {
        this.trials = trials;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/plan")
    String show(@PathVariable long trial, Model model) {
        model.addAttribute("page", PlanPage.of(trials.snapshot(new TrialId(trial)), clock.instant()));
        return "plan/plan";
    }
}
