package elsom.web.bench;

import elsom.core.design.Rotation;
import elsom.core.plan.Origin;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** One unit with all that was read of it, in the stages before too. */
@Controller
class UnitController {
    private final Trials trials;
    private final Plans plans;
    private final Clock clock;

    UnitController(Trials trials, Plans plans, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/units/{code}")
    String show(@PathVariable long trial, @PathVariable String code, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        UnitCode unit = UnitPage.unit(record, code)
                .orElseThrow(() -> new NotFound(
                        "This trial has no unit " + code + ".", "/trials/" + trial + "/bench", "Back to the bench"))
                .code();
        model.addAttribute(
                "page",
                UnitPage.of(
                        TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH),
                        Rotation.at(record, clock.instant()),
                        unit,
                        earlier(record, unit)));
        return "bench/unit";
    }

    /** The trials the unit was in before, the latest first. */
    private List<TrialRecord> earlier(TrialRecord record, UnitCode unit) {
        List<TrialRecord> stages = new ArrayList<>();
        Optional<TrialRecord> before = before(record.trial().id(), unit);
        while (before.isPresent() && !stages.contains(before.get())) {
            stages.add(before.get());
            before = before(before.get().trial().id(), unit);
        }
        return stages;
    }

    /** The trial a unit was kept from; empty when it was new, or when that trial is not in this store. */
    private Optional<TrialRecord> before(TrialId id, UnitCode unit) {
        Plan plan = plans.plan(id);
        Origin origin = plan.origin();
        if (origin == null || plan.kept().stream().noneMatch(kept -> kept.unit().equals(unit))) {
            return Optional.empty();
        }
        return trials.find(new TrialId(origin.trial()))
                .filter(record -> record.trial().question().equals(origin.question()))
                .filter(record -> record.unit(unit).isPresent());
    }
}
