package elsom.web.plan;

import elsom.core.plan.Arrangement;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCopy;
import elsom.core.plan.PlanOrigin;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Seeds;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** From this trial to the next: the same with a change, or a second stage of chosen units. */
@Controller
@RequestMapping("/trials/{trial}/copy")
class CopyController {
    private final Trials trials;
    private final Plans plans;
    private final Clock clock;

    CopyController(Trials trials, Plans plans, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.clock = clock;
    }

    /**
     * What the form offers.
     *
     * @param units still standing, to keep for a second stage; none in a plan that has not started
     */
    record CopyPage(
            TrialHeader header,
            Form form,
            Problems problems,
            List<Swatch> treatments,
            int replicates,
            List<Kept> units,
            UUID token) {}

    /** A unit that may go on. */
    record Kept(String code, Swatch swatch) {}

    @GetMapping
    String ask(@PathVariable long trial, Model model) {
        model.addAttribute("page", page(trial, Form.sent(Map.of()), new Problems()));
        return "plan/copy";
    }

    private CopyPage page(long trial, Form form, Problems problems) {
        TrialId id = new TrialId(trial);
        TrialRecord record = open(id);
        return new CopyPage(
                TrialHeader.of(record, clock.instant(), TrialHeader.Step.PLAN),
                form,
                problems,
                Swatch.of(record),
                plans.plan(id).arrangement().replicates(),
                record.trial().started()
                        ? record.units().stream()
                                .filter(unit -> record.ended(unit.code()).isEmpty())
                                .sorted(Comparator.comparing(ExperimentalUnit::treatment)
                                        .thenComparing(ExperimentalUnit::code))
                                .map(unit -> new Kept(unit.code().value(), Swatch.of(record.treatment(unit))))
                                .toList()
                        : List.of(),
                UUID.randomUUID());
    }

    /** A copy lists the treatments, so a blind trial can't be copied before it is unblinded. */
    private TrialRecord open(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        if (record.trial().blind() && record.trial().started()) {
            throw new Refusal("This trial is blind. Unblind it before you plan the next one from it.");
        }
        return record;
    }

    @PostMapping
    ModelAndView copy(@PathVariable long trial, HttpServletRequest request, @RequestParam UUID token) {
        TrialId id = new TrialId(trial);
        TrialRecord record = open(id);
        Plan plan = plans.plan(id);
        Form form = Form.sent(request.getParameterMap());
        Problems problems = new Problems();
        Instant start = clock.instant().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.DAYS);
        long seed = Seeds.fresh(plan.rules().blind());
        boolean stage = form.text("how").equals("stage");
        Plan next = stage
                ? PlanCopy.secondStage(plan, record, kept(form, record, problems), start, seed)
                : anew(form, plan, record, start, seed, problems);
        if (!problems.none()) {
            return new ModelAndView(
                    "plan/copy", Map.of("page", page(trial, form, problems)), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return new ModelAndView(
                "redirect:" + PlanPart.START.href(plans.begin(next, token).value()));
    }

    private static Set<UnitCode> kept(Form form, TrialRecord record, Problems problems) {
        Set<UnitCode> kept = record.units().stream()
                .map(ExperimentalUnit::code)
                .filter(code -> form.values("keep").contains(code.value()))
                .collect(Collectors.toCollection(TreeSet::new));
        if (kept.isEmpty()) {
            problems.add("keep", "Tick the units that go on.");
        }
        return kept;
    }

    private static Plan anew(Form form, Plan plan, TrialRecord record, Instant start, long seed, Problems problems) {
        Set<Integer> left = form.values("treatments").stream()
                .filter(number -> number.matches("[0-9]{1,2}"))
                .map(Integer::valueOf)
                .collect(Collectors.toSet());
        Set<Integer> dropped = new TreeSet<>();
        record.treatments().stream()
                .map(treatment -> treatment.number())
                .filter(number -> !left.contains(number))
                .forEach(dropped::add);
        int replicates = problems.whole(
                "replicates",
                form.text("replicates"),
                1,
                Arrangement.MOST_REPLICATES,
                plan.arrangement().replicates(),
                "A whole number from 1 to " + Arrangement.MOST_REPLICATES + ". Accepted: 6.");
        if (dropped.size() == record.treatments().size()) {
            problems.add("treatments", "Leave at least one treatment ticked.");
            return plan;
        }
        Plan next = PlanCopy.anew(plan, record, dropped, replicates, start, seed);
        PlanOrigin origin = next.origin();
        return form.text("lot").isEmpty() || origin == null
                ? next
                : next.from(origin.told(FollowUp.OTHER_LOT.label() + "; " + origin.change(), FollowUp.OTHER_LOT));
    }
}
