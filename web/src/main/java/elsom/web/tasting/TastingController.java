package elsom.web.tasting;

import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.Station;
import elsom.web.trial.Trials;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Tastings of a trial: begun, handed round, served by printed sheets, told. */
@Controller
@RequestMapping("/trials/{trial}/tasting")
class TastingController {
    /** The codes come from it: the time, which everybody knows, would give them away. */
    private static final SecureRandom SEEDS = new SecureRandom();

    private final Trials trials;
    private final Tastings tastings;
    private final Clock clock;

    TastingController(Trials trials, Tastings tastings, Clock clock) {
        this.trials = trials;
        this.tastings = tastings;
        this.clock = clock;
    }

    @GetMapping
    String list(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        model.addAttribute(
                "page",
                TastingsPage.of(
                        record,
                        tastings.of(record.trial().id()),
                        TastingForm.fresh(record),
                        List.of(),
                        clock.instant()));
        return "tasting/tastings";
    }

    @PostMapping
    ModelAndView begin(@PathVariable long trial, TastingForm form, Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        List<String> problems = form.problems();
        if (!problems.isEmpty()) {
            return new ModelAndView(
                    "tasting/tastings",
                    Map.of(
                            "page",
                            TastingsPage.of(record, tastings.of(record.trial().id()), form, problems, clock.instant())),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        Tasting tasting = form.tasting(SEEDS.nextLong(1L << 52));
        int number = tastings.begin(record.trial().id(), tasting, station.signature(), form.tokenOrNew());
        return new ModelAndView("redirect:/trials/" + trial + "/tasting/" + number);
    }

    @GetMapping("/{number}")
    String session(@PathVariable long trial, @PathVariable int number, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        model.addAttribute(
                "page", SessionPage.of(record, tastings.session(record.trial().id(), number), clock.instant()));
        return "tasting/session";
    }

    /** The page on the phone that is handed round: one taster at a time. */
    @GetMapping("/{number}/taste")
    String taste(
            @PathVariable long trial,
            @PathVariable int number,
            @RequestParam(defaultValue = "0") int taster,
            @RequestParam(defaultValue = "false") boolean ready,
            Model model) {
        Tastings.Session session = tastings.session(new TrialId(trial), number);
        model.addAttribute(
                "page", TastePage.of(session, taster == 0 ? session.round().next() : taster, ready));
        return "tasting/taste";
    }

    @PostMapping("/{number}/taste")
    String answer(
            @PathVariable long trial,
            @PathVariable int number,
            @RequestParam int taster,
            @RequestParam int place,
            @RequestParam(defaultValue = "1") double answer) {
        tastings.answer(new TrialId(trial), number, taster, place, answer);
        return "redirect:/trials/" + trial + "/tasting/" + number + "/taste?ready=true&taster=" + taster;
    }

    /** The phone goes to the next; what was said stands. */
    @PostMapping("/{number}/handed")
    String handOn(@PathVariable long trial, @PathVariable int number, @RequestParam int taster, Station station) {
        tastings.handOn(new TrialId(trial), number, taster, station.signature());
        return "redirect:/trials/" + trial + "/tasting/" + number + "/taste";
    }

    @PostMapping("/{number}/again")
    String again(@PathVariable long trial, @PathVariable int number, @RequestParam int taster, Station station) {
        tastings.again(new TrialId(trial), number, taster, station.signature());
        return "redirect:/trials/" + trial + "/tasting/" + number + "/taste?ready=true&taster=" + taster;
    }

    @PostMapping("/{number}/reveal")
    String reveal(@PathVariable long trial, @PathVariable int number, Station station) {
        tastings.reveal(new TrialId(trial), number, station.signature());
        return "redirect:/trials/" + trial + "/tasting/" + number;
    }

    /** Printed sheets: what the server puts on which tray, and a ballot for each taster. */
    @GetMapping("/{number}/sheets")
    String sheets(@PathVariable long trial, @PathVariable int number, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Tastings.Session session = tastings.session(record.trial().id(), number);
        model.addAttribute("page", SessionPage.of(record, session, clock.instant()));
        return "tasting/sheets";
    }
}
