package elsom.web.practice;

import elsom.core.practice.Rehearsal;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Rehearses a plan on a practice bench before a pot is filled. */
@Controller
class RehearsalController {
    private final Rehearsals rehearsals;
    private final Trials trials;
    private final Clock clock;

    RehearsalController(Rehearsals rehearsals, Trials trials, Clock clock) {
        this.rehearsals = rehearsals;
        this.trials = trials;
        this.clock = clock;
    }

    /**
     * A rehearsal.
     *
     * @param done looks that were read
     * @param next the look to run to; empty when all were read
     */
    record RehearsalPage(TrialHeader header, long planned, String truth, List<String> done, String next) {}

    /** Draws the plan as it stands, and starts it on a practice bench. */
    @PostMapping("/practice/rehearse/{trial}")
    String begin(
            @PathVariable long trial,
            @RequestParam("rehearse.endpoint") String endpoint,
            @RequestParam("rehearse.truth") double truth,
            @RequestParam("rehearse.cv") double cv,
            @RequestParam(defaultValue = "") String replicates,
            @RequestParam("rehearse.token") UUID token) {
        Rehearsal.Supposed supposed;
        try {
            supposed = new Rehearsal.Supposed(new EndpointCode(endpoint), truth, cv);
        } catch (IllegalArgumentException wrong) {
            throw new Refusal(String.valueOf(wrong.getMessage()));
        }
        return "redirect:/practice/rehearsal/"
                + rehearsals.begin(new TrialId(trial), units(replicates), supposed, token);
    }

    /** Units of each treatment as they are typed beside it; what can't be read is as the plan has it. */
    private static OptionalInt units(String typed) {
        return typed.matches("[1-9][0-9]?") ? OptionalInt.of(Integer.parseInt(typed)) : OptionalInt.empty();
    }

    private Rehearsals.Row row(long trial) {
        return rehearsals
                .find(new TrialId(trial))
                .orElseThrow(() -> new NotFound("Trial " + trial + " is no rehearsal.", "/practice", "Practice"));
    }

    @GetMapping("/practice/rehearsal/{trial}")
    String show(@PathVariable long trial, Model model) {
        Rehearsals.Row row = row(trial);
        TrialRecord record = trials.snapshot(row.trialId());
        model.addAttribute(
                "page",
                new RehearsalPage(
                        TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH),
                        row.planned().value(),
                        rehearsals.bench(row, record).told(),
                        record.looks().stream()
                                .filter(look -> record.progress(look).done() > 0)
                                .map(Look::name)
                                .toList(),
                        BenchRun.next(record).map(Look::name).orElse("")));
        return "practice/rehearsal";
    }

    /** Reads the next look, or all that are left. */
    @PostMapping("/practice/rehearsal/{trial}/run")
    String run(@PathVariable long trial, @RequestParam(defaultValue = "false") boolean all) {
        Rehearsals.Row row = row(trial);
        rehearsals.runToNext(row);
        while (all && BenchRun.next(trials.snapshot(row.trialId())).isPresent()) {
            rehearsals.runToNext(row);
        }
        return "redirect:/practice/rehearsal/" + trial;
    }
}
