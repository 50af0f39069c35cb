package elsom.web.bench;

import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Skip;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Endpoints that are not read at a look, with the reason. */
@Controller
@RequestMapping("/trials/{trial}/bench/skips")
class SkipController {
    private final Trials trials;
    private final Logbook logbook;
    private final Clock clock;

    SkipController(Trials trials, Logbook logbook, Clock clock) {
        this.trials = trials;
        this.logbook = logbook;
        this.clock = clock;
    }

    @PostMapping
    String skip(
            @PathVariable long trial,
            @RequestParam int look,
            @RequestParam EndpointCode endpoint,
            @RequestParam(defaultValue = "") String reason,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Look skipped = record.look(look)
                .orElseThrow(() ->
                        new NotFound("This trial has no look " + look + ".", "/trials/" + trial + "/bench", "Measure"));
        String why = reason.strip();
        Optional<String> problem = why.isEmpty() || why.length() > Skip.LONGEST_REASON
                ? Optional.of("Say why it does not apply, in 1 to " + Skip.LONGEST_REASON
                        + " characters. Accepted: no canopy yet. Go back: what you typed is still there.")
                : Skip.problem(record, skipped, endpoint);
        if (problem.isPresent()) {
            throw new Refusal(problem.get());
        }
        logbook.skip(record.trial().id(), new Skip(look, endpoint, why, clock.instant(), station.signature()));
        return "redirect:/trials/" + trial + "/bench?look=" + look;
    }

    @PostMapping("/back")
    String takeBack(@PathVariable long trial, @RequestParam int look, @RequestParam EndpointCode endpoint) {
        logbook.unskip(new TrialId(trial), look, endpoint);
        return "redirect:/trials/" + trial + "/bench?look=" + look;
    }
}
