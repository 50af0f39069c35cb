package elsom.web.series;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.series.Channel;
import elsom.core.series.Measurand;
import elsom.core.series.Watch;
import elsom.core.trial.TrialId;
import elsom.web.platform.Station;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Sets a limit that Today tells of, and ends one. */
@Controller
@RequestMapping("/trials/{trial}/series/watches")
class WatchController {
    private final Watches watches;
    private final SeriesController series;
    private final Clock clock;

    WatchController(Watches watches, SeriesController series, Clock clock) {
        this.watches = watches;
        this.series = series;
        this.clock = clock;
    }

    /**
     * A limit as it was typed, with what of it can't be.
     *
     * @param problems by field
     */
    record Typing(String what, String depth, String beyond, String limit, Map<String, String> problems) {
        static final Typing EMPTY = new Typing("EC", "", "ABOVE", "", Map.of());

        public String problem(String field) {
            return problems.getOrDefault(field, "");
        }
    }

    @PostMapping
    ModelAndView set(
            @PathVariable long trial,
            @RequestParam Measurand what,
            @RequestParam(defaultValue = "") String depth,
            @RequestParam Watch.Beyond beyond,
            @RequestParam(defaultValue = "") String limit,
            Station station) {
        Map<String, String> problems = new LinkedHashMap<>();
        OptionalDouble cm = depth.isBlank()
                ? OptionalDouble.of(0)
                : amount(
                        depth,
                        UnitOfMeasure.CENTIMETRE,
                        0,
                        Channel.DEEPEST_CM,
                        "depth",
                        "A depth below the surface, or nothing for any. Accepted: 10 cm.",
                        problems);
        OptionalDouble value = amount(
                limit,
                what.unit(),
                what.lowest(),
                what.highest(),
                "limit",
                "A limit that " + what.label() + " can pass. Accepted: "
                        + (what == Measurand.EC
                                ? "2.5 mS/cm"
                                : what == Measurand.PH
                                        ? "6.5"
                                        : "20 " + what.unit().symbol())
                        + ".",
                problems);
        if (!problems.isEmpty()) {
            return new ModelAndView(
                    "series/series",
                    Map.of("page", series.page(trial, new Typing(what.name(), depth, beyond.name(), limit, problems))),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        watches.set(
                new TrialId(trial),
                new Watch(what, cm.orElse(0), beyond, value.orElseThrow()),
                clock.instant(),
                station.signature());
        return new ModelAndView("redirect:/trials/" + trial + "/series#watches");
    }

    @PostMapping("/{id}/end")
    String end(@PathVariable long trial, @PathVariable long id) {
        watches.end(new TrialId(trial), id);
        return "redirect:/trials/" + trial + "/series#watches";
    }

    private static OptionalDouble amount(
            String text,
            UnitOfMeasure unit,
            double lowest,
            double highest,
            String field,
            String ask,
            Map<String, String> problems) {
        if (Typed.parse(text, unit) instanceof Typed.Understood understood
                && understood.stored().value() >= lowest
                && understood.stored().value() <= highest) {
            return OptionalDouble.of(understood.stored().value());
        }
        problems.put(field, ask);
        return OptionalDouble.empty();
    }
}
