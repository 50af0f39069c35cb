package elsom.web.people;

import elsom.core.trial.TrialId;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.platform.SharedPage;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A trial's report for somebody without an account: the report and its figures, and nothing else. */
@Controller
class ShareController {
    private static final int LONGEST_DAYS = 365;

    private final SharedLinks links;
    private final Trials trials;
    private final Clock clock;

    ShareController(SharedLinks links, Trials trials, Clock clock) {
        this.links = links;
        this.trials = trials;
        this.clock = clock;
    }

    /** A link on the page. */
    record LinkLine(long id, String by, String made, String ends) {}

    /**
     * The page of a trial's links.
     *
     * @param link one just made; empty for none
     */
    record SharePage(TrialHeader header, String link, List<LinkLine> links) {}

    @GetMapping("/trials/{trial}/share")
    String show(@PathVariable long trial, Model model) {
        model.addAttribute("page", page(new TrialId(trial), ""));
        return "people/share";
    }

    private SharePage page(TrialId trial, String link) {
        return new SharePage(
                TrialHeader.of(trials.snapshot(trial), clock.instant(), TrialHeader.Step.REPORT),
                link,
                links.standing(trial).stream()
                        .map(one -> new LinkLine(
                                one.id(),
                                one.madeBy(),
                                Times.dayAndTime(one.madeAt(), ZoneId.systemDefault()),
                                Times.dayAndTime(one.endsAt(), ZoneId.systemDefault())))
                        .toList());
    }

    /** Makes a link; this answer is the only one that shows it. */
    @PostMapping("/trials/{trial}/share")
    String make(
            @PathVariable long trial,
            @RequestParam(defaultValue = "30") int days,
            HttpServletRequest request,
            Model model) {
        if (days < 1 || days > LONGEST_DAYS) {
            throw new Refusal("A link lasts 1 to " + LONGEST_DAYS + " days. Accepted: 30.");
        }
        TrialId id = new TrialId(trial);
        trials.question(id);
        String root = request.getRequestURL().toString().replace(request.getRequestURI(), "");
        model.addAttribute("page", page(id, root + "/shared/" + links.make(id, Duration.ofDays(days))));
        return "people/share";
    }

    @PostMapping("/trials/{trial}/share/{link}/withdraw")
    String withdraw(@PathVariable long trial, @PathVariable long link) {
        links.withdraw(new TrialId(trial), link);
        return "redirect:/trials/" + trial + "/share";
    }

    @GetMapping("/shared/{token}")
    String report(@PathVariable String token, HttpServletRequest request) {
        return forward(token, "/report", request);
    }

    @GetMapping("/shared/{token}/report.md")
    String markdown(@PathVariable String token, HttpServletRequest request) {
        return forward(token, "/report.md", request);
    }

    @GetMapping("/shared/{token}/findings.json")
    String figures(@PathVariable String token, HttpServletRequest request) {
        return forward(token, "/findings.json", request);
    }

    private String forward(String token, String to, HttpServletRequest request) {
        SharedPage.mark(request, "/shared/" + token);
        return "forward:/trials/" + links.trial(token) + to;
    }
}
