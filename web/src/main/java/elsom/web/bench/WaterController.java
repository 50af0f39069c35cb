package elsom.web.bench;

import elsom.core.care.AsLastTime;
import elsom.core.quantity.Decimals;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.RefillNeed;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.platform.ShownMeasures;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** Water and feed between looks: as much for all, or each unit back to its own weight. */
@Controller
@RequestMapping("/trials/{trial}/water")
class WaterController {
    private final Trials trials;
    private final Logbook logbook;
    private final Clock clock;

    WaterController(Trials trials, Logbook logbook, Clock clock) {
        this.trials = trials;
        this.logbook = logbook;
        this.clock = clock;
    }

    @GetMapping
    String show(@PathVariable long trial, Station station, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Instant now = clock.instant();
        if (!record.trial().started()) {
            model.addAttribute("page", ClosedPage.beforeStart(TrialHeader.of(record, now, TrialHeader.Step.BENCH)));
            return "kit/closed";
        }
        model.addAttribute("page", WaterPage.of(record, now, station, WaterForm.Checked.NOTHING));
        return "bench/water";
    }

    /** As much for each unit of a treatment, of all, or of those that are named. */
    @PostMapping
    ModelAndView give(
            @PathVariable long trial,
            @RequestParam GivenKind kind,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "0") int treatment,
            @RequestParam(defaultValue = "") String units,
            @RequestParam UUID token,
            Station station) {
        WaterForm form = new WaterForm(kind, what, amount, treatment, units, token);
        TrialRecord record = trials.snapshot(new TrialId(trial));
        WaterForm.Checked read = form.checked(record);
        if (!read.problems().isEmpty()) {
            return new ModelAndView(
                    "bench/water",
                    Map.of("page", WaterPage.of(record, clock.instant(), station, read)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        Map<UnitCode, Double> amounts = new LinkedHashMap<>();
        read.units().forEach(unit -> amounts.put(unit.code(), read.millilitres()));
        if (amounts.isEmpty()) {
            throw new Refusal("No unit of that treatment stands any more.");
        }
        logbook.give(
                record.trial().id(),
                form.kind(),
                form.what(),
                amounts,
                clock.instant(),
                station.signature(),
                form.token());
        return new ModelAndView("redirect:/trials/" + trial + "/water");
    }

    /** The same again for all that stand, ticked on Today. */
    @PostMapping("/again")
    String again(@PathVariable long trial, @RequestParam GivenKind kind, @RequestParam UUID token, Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        AsLastTime same = AsLastTime.of(record, kind)
                .orElseThrow(() -> new Refusal("Last time they did not all get as much: write it down unit by unit."));
        logbook.give(
                record.trial().id(), kind, same.what(), same.amounts(), clock.instant(), station.signature(), token);
        return "redirect:/";
    }

    /** What a unit of a weight is to be given to be as heavy as it shall be. */
    @GetMapping("/need")
    @ResponseBody
    RefillNeed need(
            @PathVariable long trial,
            @RequestParam String unit,
            @RequestParam String weight,
            @RequestParam(defaultValue = "") String target,
            ShownMeasures measures) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        RefillNeed need = RefillNeed.of(record, BenchController.unit(record, unit), weight, target);
        return new RefillNeed(need.millilitres(), measures.told(need.text()));
    }

    /** One unit, from the walk by weight. */
    @PostMapping("/unit")
    @ResponseBody
    ResponseEntity<Map<String, String>> giveOne(
            @PathVariable long trial,
            @RequestParam String unit,
            @RequestParam double millilitres,
            @RequestParam UUID token,
            Station station,
            ShownMeasures measures) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        ExperimentalUnit one = record.unit(BenchController.unit(record, unit)).orElseThrow();
        if (!(millilitres >= 0.5 && millilitres <= Given.MOST_ML)) {
            throw new Refusal("From 0.5 mL to 50 L. Accepted: 36");
        }
        logbook.give(
                record.trial().id(),
                GivenKind.WATER,
                "",
                Map.of(one.code(), millilitres),
                clock.instant(),
                station.signature(),
                token);
        return ResponseEntity.ok(
                Map.of("message", measures.told(one.code() + " " + Decimals.upTo(millilitres, 0) + " mL")));
    }

    @PostMapping("/{given}/withdraw")
    String withdraw(@PathVariable long trial, @PathVariable int given) {
        logbook.withdrawGiven(new TrialId(trial), given);
        return "redirect:/trials/" + trial + "/water";
    }
}
