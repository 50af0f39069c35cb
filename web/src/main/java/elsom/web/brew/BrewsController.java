package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Recipe;
import elsom.core.brew.Refeeding;
import elsom.core.mix.Quarantine;
import elsom.core.plan.Plan;
import elsom.core.read.Box;
import elsom.core.read.Moments;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.device.OxygenMeter;
import elsom.web.events.Events;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The brews of a trial: their recipe, and their log with its stop rule. */
@Controller
@RequestMapping("/trials/{trial}/brews")
class BrewsController {
    private static final String APART = "lotsApart";

    private final Trials trials;
    private final Plans plans;
    private final Brews brews;
    private final Quarantines quarantines;
    private final OxygenMeter meter;
    private final Clock clock;

    BrewsController(Trials trials, Plans plans, Brews brews, Quarantines quarantines, OxygenMeter meter, Clock clock) {
        this.quarantines = quarantines;
        this.trials = trials;
        this.plans = plans;
        this.brews = brews;
        this.meter = meter;
        this.clock = clock;
    }

    /** Lots in quarantine that a recipe names. */
    private List<String> apart(String recipe) {
        return Quarantine.named(quarantines.all(), recipe).stream()
                .map(Quarantine::lot)
                .toList();
    }

    private TrialRecord record(long trial) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (!record.trial().protocol().equals(elsom.core.protocol.general.AeratedBrew.CODE)) {
            throw new NotFound("This trial has no brews.", "/trials/" + trial, "To the trial");
        }
        return record;
    }

    @GetMapping
    String show(@PathVariable long trial, Model model) {
        TrialRecord record = record(trial);
        TrialId id = record.trial().id();
        model.addAttribute(
                "page", BrewsPage.of(record, plans.plan(id), brews.recipe(id), brews.log(id), clock.instant()));
        model.addAttribute(APART, apart(brews.recipe(id)));
        return "brew/brews";
    }

    @GetMapping("/recipe")
    String recipe(@PathVariable long trial, Model model) {
        TrialRecord record = record(trial);
        TrialId id = record.trial().id();
        model.addAttribute("page", recipePage(record, brews.recipe(id), "", List.of()));
        model.addAttribute(APART, apart(brews.recipe(id)));
        return "brew/recipe";
    }

    private RecipePage recipePage(TrialRecord record, String text, String reason, List<String> problems) {
        TrialId id = record.trial().id();
        Plan plan = plans.plan(id);
        Instant now = clock.instant();
        boolean begun = BrewsPage.anyBegun(record, plan, brews.log(id), now);
        return RecipePage.of(
                record, plan, new RecipePage.Typed(text, begun, reason, problems), brews.corrections(id), now);
    }

    @PostMapping("/recipe")
    ModelAndView keepRecipe(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") String recipe,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(required = false) @Nullable UUID token,
            Station station) {
        TrialRecord record = record(trial);
        TrialId id = record.trial().id();
        boolean begun = BrewsPage.anyBegun(record, plans.plan(id), brews.log(id), clock.instant());
        List<String> problems = begun
                ? brews.correctRecipe(
                        id, recipe, reason, station.signature(), token == null ? UUID.randomUUID() : token)
                : brews.keepRecipe(id, recipe);
        if (problems.isEmpty() && !record.trial().started()) {
            plans.revise(id, null, plan -> Optional.of(Refeeding.in(plan, Recipe.kept(recipe))));
        }
        return problems.isEmpty()
                ? new ModelAndView("redirect:/trials/" + trial + "/brews")
                : new ModelAndView(
                        "brew/recipe",
                        Map.of("page", recipePage(record, recipe, reason, problems), APART, apart(recipe)),
                        HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** One visit to one brew. */
    @GetMapping("/log")
    String log(@PathVariable long trial, @RequestParam(required = false) String unit, Model model) {
        TrialRecord record = record(trial);
        if (!record.trial().started()) {
            throw new Refusal("The brews have not been started: start the trial first.");
        }
        UnitCode code = Optional.ofNullable(unit)
                .flatMap(record::called)
                .map(one -> one.code())
                .orElse(record.units().get(0).code());
        model.addAttribute(
                "page",
                VisitPage.of(
                        record, brews.log(record.trial().id()), code, VisitForm.EMPTY, List.of(), clock.instant()));
        return "brew/visit";
    }

    @PostMapping("/log")
    ModelAndView note(@PathVariable long trial, @RequestParam String unit, VisitForm form, Station station) {
        TrialRecord record = record(trial);
        UnitCode code = record.called(unit)
                .orElseThrow(() -> new Refusal("This trial has no brew “" + unit + "”."))
                .code();
        VisitForm.Read read = form.read(code, station.signature(), clock.instant());
        if (!read.problems().isEmpty()) {
            return new ModelAndView(
                    "brew/visit",
                    Map.of(
                            "page",
                            VisitPage.of(
                                    record,
                                    brews.log(record.trial().id()),
                                    code,
                                    form,
                                    read.problems(),
                                    clock.instant())),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        BrewReading noted = brews.note(record.trial().id(), read.visit().orElseThrow(), form.tokenOrNew());
        String next = noted.asks() ? code.value() : VisitPage.after(record, code);
        return new ModelAndView("redirect:/trials/" + trial + "/brews/log?unit=" + next);
    }

    /** What becomes of a brew that met the stop rule. */
    @PostMapping("/log/{number}/decide")
    String decide(
            @PathVariable long trial,
            @PathVariable int number,
            @RequestParam BrewReading.Decision decision,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam String unit) {
        brews.decide(record(trial).trial().id(), number, decision, reason);
        return "redirect:/trials/" + trial + "/brews/log?unit=" + unit;
    }

    /** Air off: the brew is done and its clock runs. */
    @PostMapping("/done")
    String done(@PathVariable long trial, @RequestParam List<String> unit, @RequestParam UUID token, Station station) {
        TrialRecord record = record(trial);
        Instant now = clock.instant();
        endable(record, unit, token, now);
        for (String typed : unit) {
            UnitCode code = record.called(typed)
                    .orElseThrow(() -> new Refusal("This trial has no brew “" + typed + "”."))
                    .code();
            BrewReading done = new BrewReading(
                    1,
                    code,
                    now,
                    station.signature(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    BrewReading.Decision.DONE,
                    "");
            brews.note(record.trial().id(), done, tokenOf(token, code));
        }
        return "redirect:/trials/" + trial + "/brews";
    }

    /** A brew ended by mistake goes on, or ended at another time; what was said first stays, with the reason. */
    @PostMapping("/not-ended")
    String takeEndBack(
            @PathVariable long trial,
            @RequestParam int number,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String truly,
            @RequestParam UUID token,
            Station station) {
        TrialRecord record = record(trial);
        TrialId id = record.trial().id();
        String why = Events.reason(reason, "pressed on the wrong brew");
        brews.takeEndBack(id, number, why, truly(record, number, truly), station.signature(), token);
        return "redirect:/trials/" + trial + "/brews";
    }

    private Optional<Instant> truly(TrialRecord record, int number, String typed) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        Instant at;
        try {
            ZoneId zone = record.trial().zone();
            at = Moments.at(typed, Box.DATE, LocalDate.ofInstant(clock.instant(), zone))
                    .atZone(zone)
                    .toInstant();
        } catch (IllegalArgumentException unreadable) {
            throw new Refusal(unreadable.getMessage() + ", or nothing.");
        }
        TrialId id = record.trial().id();
        List<BrewReading> log = brews.log(id);
        UnitCode unit = log.stream()
                .filter(visit -> visit.number() == number)
                .findFirst()
                .map(BrewReading::unit)
                .orElseThrow(() -> new Refusal("There is no such visit. Reload the page."));
        boolean early =
                log.stream().filter(visit -> visit.unit().equals(unit)).allMatch(visit -> at.isBefore(visit.at()))
                        && at.isBefore(BrewsPage.begun(record, plans.plan(id), unit));
        if (early || at.isAfter(clock.instant())) {
            throw new Refusal("Brew " + unit + " can't have ended then: that is "
                    + (early ? "before it was begun" : "in the future") + ".");
        }
        return Optional.of(at);
    }

    /** All of them or none: one that was never begun, or ended before, ends nothing. */
    private void endable(TrialRecord record, List<String> units, UUID token, Instant now) {
        for (String typed : units) {
            UnitCode code = record.called(typed)
                    .orElseThrow(() -> new Refusal("This trial has no brew “" + typed + "”."))
                    .code();
            // Somebody who wrote a visit down has begun it, whatever was planned.
            boolean visited = brews.log(record.trial().id()).stream()
                    .anyMatch(visit -> visit.unit().equals(code));
            if (!record.trial().started()
                    || (!visited
                            && BrewsPage.begun(record, plans.plan(record.trial().id()), code)
                                    .isAfter(now))) {
                throw new Refusal("Brew " + code + " has not been begun yet, so it can't be done.");
            }
            if (!brews.noted(tokenOf(token, code))) {
                brews.ended(record.trial().id(), code).ifPresent(first -> {
                    throw Brews.endedAlready(first);
                });
            }
        }
    }

    private static UUID tokenOf(UUID token, UnitCode code) {
        return UUID.nameUUIDFromBytes((token + code.value()).getBytes(StandardCharsets.UTF_8));
    }

    /** What the oxygen meter shows in a brew, as JSON. */
    @GetMapping("/meter")
    ResponseEntity<OxygenMeter.Shown> meter(@PathVariable long trial, @RequestParam String unit) {
        TrialRecord record = record(trial);
        UnitCode code = record.called(unit)
                .orElseThrow(() -> new Refusal("This trial has no brew “" + unit + "”."))
                .code();
        Instant begun = BrewsPage.begun(record, plans.plan(record.trial().id()), code);
        return meter.read(record, code, begun)
                .map(ResponseEntity::ok)
                .orElseThrow(() ->
                        new Refusal("This brew has not been begun yet; there is nothing to hang the meter into."));
    }
}
