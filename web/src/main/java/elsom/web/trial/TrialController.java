package elsom.web.trial;

import elsom.core.trial.TrialId;
import java.time.Clock;
import java.util.Arrays;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The list of trials, and taking one out of it. */
@Controller
class TrialController {
    private static final int MOST_PUT_AWAY = 200;

    private final Trials trials;
    private final TrialLists lists;
    private final Answers answers;
    private final Clock clock;

    TrialController(Trials trials, TrialLists lists, Answers answers, Clock clock) {
        this.answers = answers;
        this.trials = trials;
        this.lists = lists;
        this.clock = clock;
    }

    @GetMapping("/trials")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String state,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "0") int year,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Wanted.State stands = Arrays.stream(Wanted.State.values())
                .filter(one -> one.name().equals(state))
                .findFirst()
                .orElse(Wanted.State.ANY);
        model.addAttribute("states", Wanted.State.values());
        model.addAttribute(
                "page", TrialsPage.of(lists, answers, new Wanted(q, stands, kind, year), page, clock.instant()));
        return "trial/list";
    }

    @GetMapping("/trials/put-away")
    String putAway(Model model) {
        model.addAttribute("trials", lists.putAway(MOST_PUT_AWAY));
        return "trial/away";
    }

    /** Where a trial is put away or deleted. */
    record RemovePage(long id, String question, String typed, String problem) {}

    @GetMapping("/trials/{trial}/remove")
    String remove(@PathVariable long trial, Model model) {
        model.addAttribute("page", new RemovePage(trial, trials.question(new TrialId(trial)), "", ""));
        return "trial/remove";
    }

    @PostMapping("/trials/{trial}/put-away")
    String putAway(@PathVariable long trial, @RequestParam(defaultValue = "true") boolean away) {
        trials.putAway(new TrialId(trial), away);
        return away ? "redirect:/trials" : "redirect:/trials/put-away";
    }

    @PostMapping("/trials/{trial}/delete")
    ModelAndView delete(@PathVariable long trial, @RequestParam(defaultValue = "") String name) {
        TrialId id = new TrialId(trial);
        String question = trials.question(id);
        if (!plain(name).equals(plain(question))) {
            String problem = "Nothing was deleted: that is not its question. Accepted: " + question;
            return new ModelAndView(
                    "trial/remove",
                    Map.of("page", new RemovePage(trial, question, name, problem)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        trials.delete(id);
        return new ModelAndView("redirect:/trials");
    }

    private static String plain(String text) {
        return String.join(" ", text.strip().split("\\s+"));
    }
}
