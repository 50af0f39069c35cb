package elsom.web.today;

import elsom.web.trial.TrialLists;
import java.time.Clock;
import java.time.Instant;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What is due; or, with no trial yet, what Elsom is and how to begin. */
@Controller
class TodayController {
    private static final int MOST_DUE = 30;
    private static final int MOST_OTHERS = 10;

    private final TrialLists lists;
    private final Clock clock;

    TodayController(TrialLists lists, Clock clock) {
        this.lists = lists;
        this.clock = clock;
    }

    @GetMapping("/")
    String today(Model model) {
        Instant now = clock.instant();
        TodayPage page = TodayPage.of(lists.day(now, MOST_DUE, MOST_OTHERS), now);
        model.addAttribute("page", page);
        return page.empty() ? "today/welcome" : "today/today";
    }
}
