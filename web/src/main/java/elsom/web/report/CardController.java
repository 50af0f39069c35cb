package elsom.web.report;

import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Spans;
import elsom.core.trial.Endpoint;
import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A card to pin up beside the bench: what stands where, what is read when and how, how it is watered. */
@Controller
class CardController {
    private final Trials trials;
    private final Plans plans;
    private final Clock clock;

    CardController(Trials trials, Plans plans, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.clock = clock;
    }

    /**
     * The card.
     *
     * @param swatches what textures mean; empty while the trial is blind
     * @param rules how each endpoint is read
     */
    record CardPage(
            TrialHeader header,
            BenchMap map,
            List<Swatch> swatches,
            List<LookLine> looks,
            List<RuleLine> rules,
            List<String> care,
            List<String> cautions) {}

    /** A look still to come, or done. */
    record LookLine(String name, String when, String what, boolean done) {}

    /** How something is read. */
    record RuleLine(String name, String rule) {}

    @GetMapping("/trials/{trial}/card")
    String show(@PathVariable long trial, Model model) {
        TrialId id = new TrialId(trial);
        TrialRecord record = trials.snapshot(id);
        if (!record.trial().started()) {
            throw new Refusal("The card is printed once the trial has started: places and dates can still change.");
        }
        model.addAttribute("page", page(record, plans.plan(id)));
        return "report/card";
    }

    private CardPage page(TrialRecord record, Plan plan) {
        return new CardPage(
                TrialHeader.of(record, clock.instant(), TrialHeader.Step.REPORT),
                plan.copied()
                        ? new BenchMap(List.of())
                        : BenchMap.of(record, unit -> new BenchMap.Face("", BenchMap.State.TODO, "/u/" + unit.code())),
                record.trial().blind() ? List.of() : Swatch.of(record),
                record.looks().stream().map(look -> line(record, look)).toList(),
                rules(record, plan),
                care(plan),
                Protocols.find(record.trial().protocol()).orElseThrow().preparation().stream()
                        .flatMap(step -> step.cautions().stream())
                        .distinct()
                        .map(caution ->
                                caution.text() + (caution.deferTo().isEmpty() ? "" : " (" + caution.deferTo() + ")"))
                        .toList());
    }

    private static LookLine line(TrialRecord record, Look look) {
        return new LookLine(
                look.name(),
                Times.dated(
                        look.plannedAt(record.trial().start()), record.trial().zone()),
                look.endpoints().stream()
                        .map(code -> record.endpoint(code).name())
                        .collect(Collectors.joining(", ")),
                record.progress(look).complete());
    }

    private static List<RuleLine> rules(TrialRecord record, Plan plan) {
        return record.looks().stream()
                .flatMap(look -> look.endpoints().stream())
                .distinct()
                .map(record::endpoint)
                .map(endpoint -> new RuleLine(
                        endpoint.name(),
                        plan.asked().measure(endpoint.code()).map(Measure::rule).orElse("") + unit(endpoint)))
                .toList();
    }

    private static String unit(Endpoint endpoint) {
        String symbol = endpoint.unit().symbol();
        return (symbol.isEmpty() ? "" : " (" + symbol + ")")
                + (endpoint.readingsEach() > 1 ? " × " + endpoint.readingsEach() : "");
    }

    private static List<String> care(Plan plan) {
        List<String> lines =
                plan.schedule().steps().stream().map(CardController::step).collect(Collectors.toList());
        lines.add(0, "Water: " + plan.rules().watering().label() + ".");
        Optional.of(plan.arrangement().rotateEveryDays())
                .filter(days -> days > 0)
                .ifPresent(days -> lines.add("Move every unit on by one place every " + days + " days."));
        return lines;
    }

    private static String step(Recurring step) {
        Duration every = step.every();
        return step.kind().label() + ", "
                + (every.isZero() ? "once" : "every " + Spans.words(every.toSeconds() / 3600.0))
                + (step.note().isEmpty() ? "" : ": " + step.note());
    }
}
