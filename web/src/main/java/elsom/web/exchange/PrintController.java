package elsom.web.exchange;

import elsom.core.figure.Figure;
import elsom.core.mix.Quarantine;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.protocol.water.WaterKinds;
import elsom.core.quantity.Decimals;
import elsom.core.results.Findings;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Texture;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.findings.WorkedOut;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Labels to print, and dates for a calendar. */
@Controller
@RequestMapping("/trials/{trial}")
class PrintController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final Trials trials;
    private final Plans plans;
    private final WorkedOut workedOut;
    private final Quarantines quarantines;
    private final Clock clock;

    PrintController(Trials trials, Plans plans, WorkedOut workedOut, Quarantines quarantines, Clock clock) {
        this.quarantines = quarantines;
        this.trials = trials;
        this.plans = plans;
        this.workedOut = workedOut;
        this.clock = clock;
    }

    private static String address(String path) {
        return ServletUriComponentsBuilder.fromCurrentContextPath().path(path).toUriString();
    }

    @GetMapping("/calendar.ics")
    ResponseEntity<byte[]> calendar(@PathVariable long trial) {
        String text =
                CalendarFile.of(plans.plan(new TrialId(trial)), trial, address("/trials/" + trial), clock.instant());
        return Downloads.of(CALENDAR, "trial-" + trial + ".ics", text.getBytes(StandardCharsets.UTF_8));
    }

    /** Labels in bench order; of a blind trial without texture and name, before the start too. */
    @GetMapping("/labels.pdf")
    ResponseEntity<byte[]> labels(
            @PathVariable long trial,
            @RequestParam(defaultValue = "A4") LabelSheet sheet,
            @RequestParam(defaultValue = "false") boolean names) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (record.units().isEmpty()) {
            throw new Refusal("There is no unit to label yet: choose treatments and draw the bench first.");
        }
        Plan plan = plans.plan(new TrialId(trial));
        boolean blind = plan.rules().blind()
                && (!record.trial().started() || record.trial().blind());
        TrialRecord shown = blind ? record.codesOnly() : record;
        Optional<Findings> findings = record.readings().isEmpty()
                ? Optional.empty()
                : Optional.of(workedOut.of(trials.key(new TrialId(trial)), OptionalInt.empty()));
        List<String> kept = plan.treatments().all().stream().map(this::apart).toList();
        List<LabelsPdf.Label> labels = shown.benchOrder().stream()
                .map(unit -> new LabelsPdf.Label(
                        unit.code().value(),
                        shown.treatment(unit).texture(),
                        Texture.Weave.forTreatment(unit.treatment()),
                        names && !blind ? shown.treatment(unit).name() : "",
                        Stream.of(blind ? "" : kept.get(unit.treatment() - 1), refill(findings, unit))
                                .filter(note -> !note.isEmpty())
                                .collect(Collectors.joining(" · ")),
                        address(UnitLinkController.path(trial, unit.code()))))
                .toList();
        return Downloads.of(MediaType.APPLICATION_PDF, "trial-" + trial + "-labels.pdf", LabelsPdf.of(labels, sheet));
    }

    /** "quarantine: GW-32" where a treatment holds a lot that is kept apart. */
    private String apart(PlannedTreatment treatment) {
        return quarantines.in(List.of(treatment.mix())).stream()
                .map(Quarantine::lot)
                .findFirst()
                .map(lot -> "quarantine: " + lot)
                .orElse("");
    }

    /** "water below 312 g" where the refill weight is known. */
    private static String refill(Optional<Findings> findings, ExperimentalUnit unit) {
        return findings.flatMap(found -> found.unit(unit.code()))
                .flatMap(result -> result.figure(WaterKinds.REFILL_WEIGHT))
                .map(Figure::value)
                .map(grams -> "water below " + Decimals.upTo(grams, 0) + " g")
                .orElse("");
    }
}
