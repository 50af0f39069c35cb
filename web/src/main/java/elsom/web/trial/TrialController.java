package elsom.web.trial;

import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of trials. */
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
}
