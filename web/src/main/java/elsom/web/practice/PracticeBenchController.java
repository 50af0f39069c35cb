package elsom.web.practice;

import elsom.core.practice.Call;
import elsom.core.practice.Rerun;
import elsom.core.practice.Trialled;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One practice bench, from its plan to the call. */
@Controller("practiceBenchController")
@RequestMapping("/practice/bench/{trial}")
class PracticeBenchController {
    private static final double PERCENT = 100;

    private final Practices practices;
    private final Trials trials;
    private final Plans plans;
    private final BenchRun run;
    private final Clock clock;

    PracticeBenchController(Practices practices, Trials trials, Plans plans, BenchRun run, Clock clock) {
        this.practices = practices;
        this.trials = trials;
        this.plans = plans;
        this.run = run;
        this.clock = clock;
    }

    private Practice practice(long trial) {
        return practices
                .find(new TrialId(trial))
                .orElseThrow(
                        () -> new NotFound("Trial " + trial + " is not a practice bench.", "/practice", "All levels"));
    }

    @GetMapping
    String show(@PathVariable long trial, Model model) {
        Practice practice = practice(trial);
        TrialRecord record = trials.snapshot(practice.trial());
        model.addAttribute(
                "page", PracticeBenchPage.of(practice, record, plans.plan(practice.trial()), clock.instant()));
        return "practice/bench";
    }

    /** Starts the trial, when the shelf has what its plan names and the budget covers it. */
    @PostMapping("/start")
    String start(@PathVariable long trial) {
        Practice practice = practice(trial);
        PracticeBenchPage.refusal(practice, plans.plan(practice.trial())).ifPresent(why -> {
            throw new Refusal(why);
        });
        plans.start(practice.trial());
        return back(trial);
    }

    @PostMapping("/run")
    String run(
            @PathVariable long trial,
            @RequestParam(defaultValue = "false") boolean unwatered,
            @RequestParam(defaultValue = "false") boolean best) {
        Practice practice = practice(trial);
        if (best) {
            practices.pick(practice.trial(), practice.level().trap().best());
        }
        run.runToNext(practice(trial), unwatered);
        return back(trial);
    }

    private static String back(long trial) {
        return "redirect:/practice/bench/" + trial;
    }

    @PostMapping("/call")
    String call(@PathVariable long trial, @RequestParam Call call, @RequestParam(defaultValue = "50") int sure) {
        Practice practice = practice(trial);
        TrialRecord record = trials.snapshot(practice.trial());
        if (BenchRun.next(record).isPresent() || record.readings().isEmpty()) {
            throw new Refusal("The bench has not run to its end yet.");
        }
        Optional<Trialled> plan = run.plan(practice);
        double told = plan.map(one -> BenchRun.reruns(practice, one))
                .map(tally -> tally.share(tally.right()))
                .orElse(0.0);
        practices.call(practice.trial(), call, Math.max(50, Math.min(100, sure)) / PERCENT, told);
        return "redirect:/practice/bench/" + trial + "/truth";
    }

    /** What another plan would have told on the same bench, as JSON. */
    @GetMapping("/again")
    ResponseEntity<AgainAnswer> again(
            @PathVariable long trial, @RequestParam int units, @RequestParam Trialled.Placing placing) {
        Practice practice = practice(trial);
        if (practice.called().isEmpty()) {
            throw new Refusal("Make the call first: what another plan would have told gives the truth away.");
        }
        Trialled base = run.plan(practice).orElse(practice.level().fair());
        Trialled other =
                base.units(Math.max(1, Math.min(Trialled.MOST_UNITS, units))).placed(placing);
        return ResponseEntity.ok(AgainAnswer.of(BenchRun.reruns(practice, other)));
    }

    /** How many of the reruns said what. */
    record AgainAnswer(int right, int wrong, int cantTell) {
        static AgainAnswer of(Rerun.Tally tally) {
            return new AgainAnswer(tally.right(), tally.wrong(), tally.cantTell());
        }
    }
}
