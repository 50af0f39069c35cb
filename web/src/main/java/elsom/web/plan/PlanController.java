package elsom.web.plan;

import elsom.core.plan.Amendment;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocol;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.lots.Lots;
import elsom.web.measure.Measures;
import elsom.web.platform.Acting;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.Role;
import elsom.web.platform.Station;
import elsom.web.shelf.Containers;
import elsom.web.trial.Plans;
import elsom.web.trial.Seeds;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A trial's plan, part by part. */
@Controller
@RequestMapping("/trials/{trial}")
class PlanController {
    /** Enough earlier trials to know how much units scatter. */
    private static final int MOST_PAST = 20;

    private final Trials trials;
    private final TrialLists lists;
    private final Plans plans;
    private final Containers containers;
    private final Lots lots;
    private final Measures measures;
    private final Clock clock;

    PlanController(
            Trials trials,
            TrialLists lists,
            Plans plans,
            Containers containers,
            Lots lots,
            Measures measures,
            Clock clock) {
        this.lots = lots;
        this.measures = measures;
        this.trials = trials;
        this.lists = lists;
        this.plans = plans;
        this.containers = containers;
        this.clock = clock;
    }

    @GetMapping
    String question(@PathVariable long trial, Model model) {
        return show(trial, PlanPart.QUESTION.path(), model);
    }

    @GetMapping("/plan")
    String overview(@PathVariable long trial, Model model) {
        return show(trial, PlanPart.START.path(), model);
    }

    @GetMapping("/plan/{name}")
    String show(@PathVariable long trial, @PathVariable String name, Model model) {
        PlanPart part = part(trial, name);
        Plans.Kept kept = plans.kept(new TrialId(trial));
        if (part.tellsWhoGetsWhat()) {
            forPlanners(kept.plan(), trials.key(new TrialId(trial)).trial().started());
        }
        model.addAttribute("page", page(trial, part, kept, kept.plan(), form(part, kept.plan()), new Problems()));
        return view(part);
    }

    /** Before a blind trial starts its plan shows who gets what, to those who plan it and to nobody else. */
    private static void forPlanners(Plan plan, boolean started) {
        if (!started && plan.rules().blind() && !Acting.may(Role.PLAN)) {
            throw new Refusal(
                    "This trial is to be read blind: until it starts, only who plans sees where each treatment stands.");
        }
    }

    private static String view(PlanPart part) {
        return "plan/" + part.path();
    }

    private static PlanPart part(long trial, String name) {
        return PlanPart.at(name)
                .orElseThrow(() ->
                        new NotFound("A plan has no part called “" + name + "”.", "/trials/" + trial, "To the plan"));
    }

    private PartOfForm reader(PlanPart part, Plan plan) {
        return switch (part) {
            case QUESTION -> new QuestionPart();
            case TREATMENTS -> new TreatmentsPart(TreatmentsPart.offered(plan, containers.all()), measures.known());
            case SIZE -> new SizePart();
            case BENCH -> new BenchPart();
            case DATES -> new DatesPart();
            default -> throw new Refusal("There is nothing to save on that page.");
        };
    }

    private Form form(PlanPart part, Plan plan) {
        return switch (part) {
            case READY, LABELS, START -> Form.sent(Map.of());
            default -> reader(part, plan).of(plan);
        };
    }

    /** What a part's page shows; of a blind trial that has started, only what may be seen. */
    private Object page(long trial, PlanPart part, Plans.Kept kept, Plan plan, Form form, Problems problems) {
        TrialId id = new TrialId(trial);
        TrialRecord record = trials.snapshot(id);
        Protocol protocol = Pages.kindOf(plan);
        PlanFrame frame = PlanFrame.of(record, kept, part, clock.instant());
        return switch (part) {
            case QUESTION -> Pages.QuestionPage.of(frame.drawing(Pages.swatchesOf(plan)), plan, form, problems);
            case TREATMENTS ->
                Pages.TreatmentsPage.of(
                        frame.drawing(Pages.swatches()),
                        plan,
                        form,
                        problems,
                        TreatmentsPart.offered(plan, containers.all()),
                        lots.fillings());
            case SIZE ->
                new SizePages.SizePage(
                        frame,
                        form,
                        problems,
                        plan.asked().measures(),
                        plan.arrangement().replicates(),
                        sizePreview(id, plan, form, problems));
            case BENCH -> LayoutPage.of(frame, record, plan, form, problems);
            case DATES -> DatesPages.DatesPage.of(frame, plan, form, problems);
            case READY -> ReadyPage.of(frame, trials.key(id), plan, protocol);
            case LABELS -> LabelsPage.of(frame, record, plan);
            case START ->
                OverviewPage.of(
                        frame, record, plan, protocol, plans.amendments(id), plans.earlier(id), clock.instant());
        };
    }

    /** Scatter comes from earlier trials that grew the same crop; within treatments, so of blind ones by their key. */
    private SizePages.SizePreview sizePreview(TrialId trial, Plan plan, Form form, Problems problems) {
        List<TrialRecord> past = lists.measuredOf(plan.asked().crop(), MOST_PAST).stream()
                .map(trials::key)
                .toList();
        return SizePages.SizePreview.of(trial, plan, form, past, problems);
    }

    @PostMapping("/plan/{name}")
    ModelAndView save(
            @PathVariable long trial,
            @PathVariable String name,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "false") boolean stay,
            HttpServletRequest request,
            Station station) {
        PlanPart part = part(trial, name);
        TrialId id = new TrialId(trial);
        Form form = Form.sent(request.getParameterMap());
        Problems problems = new Problems();
        boolean draft = !trials.snapshot(id).trial().started();
        if (!draft && (reason.isBlank() || reason.strip().length() > Amendment.LONGEST_REASON)) {
            problems.add(
                    "reason",
                    "Say why, in up to " + Amendment.LONGEST_REASON
                            + " characters: it shows in the findings. Accepted: away that week.");
        }
        Function<Plan, Optional<Plan>> change = plan -> {
            Plan changed = read(reader(part, plan), form, plan, problems);
            return problems.none() ? Optional.of(changed) : Optional.empty();
        };
        try {
            Plans.Revised revised = draft
                    ? plans.revise(id, form.revision(), change)
                    : plans.amend(id, form.revision(), change, reason.strip(), station.signature());
            if (revised instanceof Plans.Revised.Saved) {
                return new ModelAndView("redirect:"
                        + (stay || !draft ? part.href(trial) : part.next().href(trial)));
            }
            if (revised instanceof Plans.Revised.Stale stale) {
                Changed.meanwhile(
                        form, reader(part, stale.now().plan()).of(stale.now().plan()), problems);
                return refused(trial, part, stale.now(), form, problems, HttpStatus.CONFLICT);
            }
        } catch (Refusal refused) {
            problems.add("reason", refused.message());
        }
        return refused(trial, part, plans.kept(id), form, problems, HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What a rule of the core refuses is a problem of the form, whichever field it came from. */
    private static Plan read(PartOfForm reader, Form form, Plan plan, Problems problems) {
        return problems.tried("form", () -> {
                    Plan changed = reader.read(form, plan, problems);
                    if (problems.none()) {
                        changed.sketch(new TrialId(0));
                    }
                    return changed;
                })
                .orElse(plan);
    }

    private ModelAndView refused(
            long trial, PlanPart part, Plans.Kept kept, Form form, Problems problems, HttpStatus status) {
        return new ModelAndView(
                view(part), Map.of("page", page(trial, part, kept, kept.plan(), form, problems)), status);
    }

    /** What a form would come to, while it is typed; nothing is kept. */
    @PostMapping("/plan/{name}/preview")
    String preview(@PathVariable long trial, @PathVariable String name, HttpServletRequest request, Model model) {
        PlanPart part = part(trial, name);
        Form form = Form.sent(request.getParameterMap());
        Problems problems = new Problems();
        Plan plan = plans.plan(new TrialId(trial));
        Plan changed = read(reader(part, plan), form, plan, problems);
        Object preview = switch (part) {
            case TREATMENTS -> Pages.TreatmentsPreview.of(changed, form, problems, lots.fillings());
            case SIZE -> sizePreview(new TrialId(trial), changed, form, problems);
            case DATES -> DatesPages.DatesPreview.of(changed, problems);
            default -> throw new Refusal("That page has no preview.");
        };
        model.addAttribute("preview", preview);
        return view(part) + " :: preview";
    }

    /** Draws again: from the same seed, which takes moves by hand back, or from a new one. */
    @PostMapping("/plan/bench/draw")
    String draw(@PathVariable long trial, @RequestParam(defaultValue = "false") boolean anew) {
        plans.revise(new TrialId(trial), null, plan -> {
            long seed = anew
                    ? Seeds.fresh(plan.rules().blind())
                    : plan.arrangement().seed();
            return Optional.of(plan.with(plan.arrangement().drawnFrom(seed)));
        });
        return "redirect:" + PlanPart.BENCH.href(trial);
    }

    /**
     * Puts a unit on another place and answers how even the bench is now.
     *
     * @param seed what the map was drawn from that the move was made on; moves on an older draw are refused
     */
    @PostMapping("/plan/bench/move")
    String move(
            @PathVariable long trial,
            @RequestParam String unit,
            @RequestParam int bench,
            @RequestParam int row,
            @RequestParam int column,
            @RequestParam Optional<Long> seed,
            Model model) {
        TrialId id = new TrialId(trial);
        plans.revise(id, null, plan -> {
            if (seed.isPresent() && seed.get() != plan.arrangement().seed()) {
                throw new Refusal("The layout was drawn anew meanwhile. Reload the page to see it.");
            }
            TrialRecord before = plan.sketch(id);
            BenchPosition to = place(before, bench, row, column);
            UnitCode code = before.called(unit)
                    .orElseThrow(() -> new Refusal("There is no unit “" + unit + "” on the bench."))
                    .code();
            return Optional.of(plan.with(plan.arrangement().moved(new Arrangement.Move(code, to))));
        });
        model.addAttribute("balance", LayoutPage.BalanceView.of(trials.key(id)));
        Plans.Kept kept = plans.kept(id);
        model.addAttribute("moves", kept.plan().arrangement().moves().size());
        model.addAttribute("revision", kept.revision());
        return "plan/bench :: balance";
    }

    private static BenchPosition place(TrialRecord record, int bench, int row, int column) {
        boolean there = bench >= 1
                && bench <= record.benches().size()
                && row >= 1
                && row <= record.bench(bench).rows()
                && column >= 1
                && column <= record.bench(bench).columns();
        if (!there) {
            throw new Refusal("There is no such place on the bench.");
        }
        BenchPosition at = new BenchPosition(bench, row, column);
        if (record.bench(bench).guarded() && record.bench(bench).rim(at)) {
            throw new Refusal("A guard unit stands there.");
        }
        return at;
    }

    /** Starts the trial, with looks at their planned times or from now on. */
    @PostMapping("/start")
    String start(@PathVariable long trial, @RequestParam(defaultValue = "false") boolean now) {
        TrialId id = new TrialId(trial);
        if (now) {
            plans.startNow(id);
        } else {
            plans.start(id);
        }
        return "redirect:/trials/" + trial + "/bench";
    }

    @PostMapping("/discard")
    String discard(@PathVariable long trial) {
        plans.discard(new TrialId(trial));
        return "redirect:/trials";
    }

    @PostMapping("/unblind")
    String unblind(@PathVariable long trial, @RequestParam(defaultValue = "") String reason, Station station) {
        if (reason.isBlank() || reason.strip().length() > Amendment.LONGEST_REASON) {
            throw new Refusal("Say why it is unblinded now; it is kept with the trial. Accepted: all looks are read.");
        }
        plans.unblind(new TrialId(trial), reason.strip(), station.signature());
        return "redirect:/trials/" + trial + "/findings";
    }
}
