package elsom.web.trial;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Clock;
import java.time.Instant;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of trials, and a trial's question. */
@Controller
class TrialController {
    private final Trials trials;
    private final Clock clock;

    TrialController(Trials trials, Clock clock) {
        this.trials = trials;
        this.clock = clock;
    }

    @GetMapping("/trials")
    String list(@RequestParam(defaultValue = "") String q, Model model) {
        model.addAttribute("page", TrialsPage.of(trials.all(), q, clock.instant()));
        return "trial/list";
    }

    @GetMapping("/trials/{trial}")
    String question(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Instant now = clock.instant();
        model.addAttribute("page", QuestionPage.of(record, now));
        return "trial/question";
    }
}
