package elsom.web.today;

import elsom.web.trial.Trials;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What is due; or, with no trial yet, what Elsom is and how to begin. */
@Controller
class TodayController {
    private final Trials trials;
    private final Clock clock;

    TodayController(Trials trials, Clock clock) {
        this.trials = trials;
        this.clock = clock;
    }

    @GetMapping("/")
    String today(Model model) {
        TodayPage page = TodayPage.of(trials.all(), clock.instant());
        model.addAttribute("page", page);
        return page.empty() ? "today/welcome" : "today/today";
    }
}
