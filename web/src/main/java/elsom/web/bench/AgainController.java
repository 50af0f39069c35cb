package elsom.web.bench;

import elsom.core.plan.Measure;
import elsom.core.read.Typed;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.SecondWalk;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Places;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Acting;
import elsom.web.platform.NotFound;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Scoring units again at another station, one after another, without a sight of the first scores. */
@Controller
@RequestMapping("/trials/{trial}/again")
class AgainController {
    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final Clock clock;

    AgainController(Trials trials, Plans plans, Logbook logbook, Clock clock) {
        this.plans = plans;
        this.trials = trials;
        this.logbook = logbook;
        this.clock = clock;
    }

    /**
     * The page of one unit.
     *
     * @param unit empty when all that can be scored here is scored, or nothing can
     * @param first whether this station made all first scores, so that it can't be the second
     */
    public record AgainPage(
            TrialHeader header,
            int look,
            String lookName,
            String endpoint,
            String endpointName,
            String range,
            String rule,
            String unit,
            String place,
            int done,
            int all,
            boolean first,
            String station,
            boolean named,
            String typed,
            String problem) {}

    @GetMapping
    ModelAndView show(
            @PathVariable long trial, @RequestParam int look, @RequestParam String endpoint, Station station) {
        return new ModelAndView("bench/again", "page", page(trial, look, endpoint, station, "", ""));
    }

    /** Two stations are two pairs of eyes only where nobody has an account: one person may walk from one to the other. */
    private static String eyes(Station station) {
        return Acting.person().isEmpty() ? station.signature() : Acting.person();
    }

    private AgainPage page(long trial, int number, String code, Station station, String typed, String problem) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Look look = record.look(number).orElseThrow(() -> missing(trial));
        Endpoint endpoint = endpoint(record, look, code);
        SecondWalk walk = SecondWalk.of(record, look, endpoint.code(), eyes(station));
        Optional<ExperimentalUnit> next = walk.next();
        return new AgainPage(
                TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH, number),
                number,
                look.name(),
                endpoint.code().value(),
                endpoint.name(),
                endpoint.allowed(),
                rule(record, endpoint),
                next.map(unit -> unit.code().value()).orElse(""),
                next.map(unit -> Places.words(record, unit)).orElse(""),
                walk.done(),
                walk.units().size(),
                walk.ownFirst(),
                station.signature(),
                station.name().isPresent(),
                typed,
                problem);
    }

    /** How it is scored, in the plan's words. */
    private String rule(TrialRecord record, Endpoint endpoint) {
        return plans.plan(record.trial().id())
                .asked()
                .measure(endpoint.code())
                .map(Measure::rule)
                .orElse("");
    }

    private static Endpoint endpoint(TrialRecord record, Look look, String code) {
        return look.endpoints().stream()
                .filter(known -> known.value().equals(code))
                .map(record::endpoint)
                .filter(SecondWalk::scored)
                .findFirst()
                .orElseThrow(() -> missing(record.trial().id().value()));
    }

    private static NotFound missing(long trial) {
        return new NotFound(
                "This trial scores nothing of that name at that look.",
                "/trials/" + trial + "/bench",
                "Back to measuring");
    }

    @PostMapping
    ModelAndView score(
            @PathVariable long trial,
            @RequestParam int look,
            @RequestParam String endpoint,
            @RequestParam String unit,
            @RequestParam(defaultValue = "") String score,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Look shown = record.look(look).orElseThrow(() -> missing(trial));
        Endpoint scored = endpoint(record, shown, endpoint);
        UnitCode code = BenchController.unit(record, unit);
        if (!(scored.typed(score) instanceof Typed.Understood understood)) {
            String message = ((Typed.Refused) scored.typed(score)).message();
            return new ModelAndView(
                    "bench/again",
                    Map.of("page", page(trial, look, endpoint, station, score, message)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        List<UnitCode> open = SecondWalk.of(record, shown, scored.code(), eyes(station)).units().stream()
                .map(ExperimentalUnit::code)
                .toList();
        if (!open.contains(code) || !record.has(new ReadingRef(code, look, scored.code()))) {
            throw missing(trial);
        }
        logbook.scoreAgain(
                record.trial().id(),
                new SecondScore(
                        code,
                        look,
                        scored.code(),
                        eyes(station),
                        understood.stored().value(),
                        clock.instant()));
        return new ModelAndView("redirect:/trials/" + trial + "/again?look=" + look + "&endpoint=" + endpoint);
    }
}
