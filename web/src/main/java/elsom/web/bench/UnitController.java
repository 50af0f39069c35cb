package elsom.web.bench;

import elsom.core.design.Rotation;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.TrialHeader;
import elsom.web.photo.Photos;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
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
    private final Photos photos;
    private final Clock clock;

    UnitController(Trials trials, Plans plans, Photos photos, Clock clock) {
        this.photos = photos;
        this.trials = trials;
        this.plans = plans;
        this.clock = clock;
    }

    @GetMapping("/trials/{trial}/units/{code}")
    String show(@PathVariable long trial, @PathVariable String code, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        UnitCode unit = BenchController.unit(record, code);
        Instant now = clock.instant();
        model.addAttribute(
                "page",
                UnitPage.of(
                        TrialHeader.of(record, now, TrialHeader.Step.BENCH),
                        Rotation.at(record, now),
                        unit,
                        earlier(record, unit),
                        photos.of(record.trial().id(), unit)));
        return "bench/unit";
    }

    /** The trials the unit was in before, the latest first. */
    private List<TrialRecord> earlier(TrialRecord record, UnitCode unit) {
        List<TrialRecord> stages = new ArrayList<>();
        for (Optional<TrialRecord> before = before(record, unit); before.isPresent(); ) {
            stages.add(before.get());
            before = before(before.get(), unit);
        }
        return stages;
    }

    /** The trial a unit was kept from; empty when it was new. */
    private Optional<TrialRecord> before(TrialRecord record, UnitCode unit) {
        TrialId id = record.trial().id();
        boolean kept = plans.plan(id).kept().stream().anyMatch(one -> one.unit().equals(unit));
        return kept ? plans.earlier(id).filter(stage -> stage.unit(unit).isPresent()) : Optional.empty();
    }
}
