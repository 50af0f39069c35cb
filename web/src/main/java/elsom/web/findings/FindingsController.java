package elsom.web.findings;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.figure.UnitResult;
import elsom.core.material.Lot;
import elsom.core.plan.Plan;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import elsom.web.audit.Fairness;
import elsom.web.kit.Chapter;
import elsom.web.kit.Chapters;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a trial found, and how each figure was worked out. */
@Controller
@RequestMapping("/trials/{trial}/findings")
class FindingsController {
    private final Trials trials;
    private final Plans plans;
    private final WorkedOut workedOut;
    private final Quarantines quarantines;
    private final AskedFurther further;
    private final ShelfLearning learning;
    private final Fairness fairness;
    private final List<Chapters> features;
    private final BeyondTrial beyond;
    private final Clock clock;

    FindingsController(
            Trials trials,
            Plans plans,
            WorkedOut workedOut,
            Quarantines quarantines,
            AskedFurther further,
            ShelfLearning learning,
            Fairness fairness,
            List<Chapters> features,
            BeyondTrial beyond,
            Clock clock) {
        this.features = features;
        this.beyond = beyond;
        this.fairness = fairness;
        this.trials = trials;
        this.plans = plans;
        this.workedOut = workedOut;
        this.quarantines = quarantines;
        this.further = further;
        this.learning = learning;
        this.clock = clock;
    }

    @GetMapping
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "1") int bench,
            @RequestParam(defaultValue = "0") int at,
            Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Optional<ClosedPage> closed = closed(record);
        if (closed.isPresent()) {
            model.addAttribute("page", closed.get());
            return "kit/closed";
        }
        withBench(trial, bench);
        Findings findings = findings(record, at);
        model.addAttribute(
                "lots",
                LotNotice.of(findings, quarantines.all(), record.trial().zone(), lot -> further.of(record, lot)));
        model.addAttribute(
                "media",
                learning.learned(record, findings).stream().map(Lot::name).toList());
        model.addAttribute("fair", FairMark.of(record, findings, fairness.of(record, findings)));
        Plan plan = plans.plan(record.trial().id());
        model.addAttribute(
                "chapters",
                features.stream()
                        .flatMap(feature -> feature.of(record, plan).stream())
                        .filter(Chapter::tells)
                        .toList());
        model.addAttribute("series", beyond.series(record.trial().id()));
        model.addAttribute("next", beyond.next(record, findings).orElse(null));
        model.addAttribute("money", MoneyPages.href(record, findings).orElse(null));
        model.addAttribute("amendments", plans.amendments(record.trial().id()));
        model.addAttribute(
                "page",
                FindingsPage.of(
                        record,
                        findings,
                        workedOut.drawn(record, findings, bench),
                        bench,
                        TrialHeader.Step.FINDINGS,
                        clock.instant()));
        return "findings/findings";
    }

    private Optional<ClosedPage> closed(TrialRecord record) {
        return ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS);
    }

    private static NotFound missing(long trial, String what) {
        return new NotFound(
                "This trial has no " + what + ".", "/trials/" + trial + "/findings", "Back to the findings");
    }

    @GetMapping("/units")
    String units(
            @PathVariable long trial,
            @RequestParam(defaultValue = "1") int bench,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam(defaultValue = "false") boolean left,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "false") boolean sheet,
            Model model) {
        TrialRecord record = withBench(trial, bench);
        model.addAttribute("page", UnitsPage.of(record, findings(record, at), bench, left, kind, clock.instant()));
        return sheet ? "findings/units :: units" : "findings/units";
    }

    private TrialRecord withBench(long trial, int bench) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (bench < 1 || bench > record.benches().size()) {
            throw missing(trial, "bench " + bench);
        }
        if (closed(record).isPresent()) {
            throw new Refusal("There are no findings to see yet.");
        }
        return record;
    }

    private Findings findings(TrialRecord record, int at) {
        return workedOut.of(record, record.look(at).isPresent() ? OptionalInt.of(at) : OptionalInt.empty());
    }

    @GetMapping("/working")
    String working(
            @PathVariable long trial,
            @RequestParam String kind,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Optional<String> unit,
            @RequestParam(defaultValue = "1") int bench,
            @RequestParam(defaultValue = "0") int treatment,
            @RequestParam(defaultValue = "false") boolean sheet,
            Model model) {
        TrialRecord record = withBench(trial, 1);
        Findings findings = findings(record, at);
        FigureKind known = findings.kind(kind).orElseThrow(() -> missing(trial, "figure “" + kind + "”"));
        WorkingPage page = unit.isPresent()
                ? ofUnit(record, findings, known, unit.get())
                : ofGroup(record, findings, known, new GroupKey(bench, treatment));
        model.addAttribute("page", page);
        return sheet ? "findings/working :: sheet" : "findings/working";
    }

    private WorkingPage ofUnit(TrialRecord record, Findings findings, FigureKind kind, String code) {
        Optional<UnitResult> result = findings.units().stream()
                .filter(unit -> unit.unit().code().value().equals(code))
                .findFirst();
        return result.flatMap(unit -> unit.figure(kind))
                .map(figure -> WorkingPage.of(
                        record,
                        findings,
                        kind,
                        figure,
                        clock.instant(),
                        result.orElseThrow().unit().position().bench()))
                .orElseThrow(() -> missing(record.trial().id().value(), "such figure of " + code));
    }

    private WorkingPage ofGroup(TrialRecord record, Findings findings, FigureKind kind, GroupKey key) {
        return findings.group(key)
                .flatMap(group -> group.figure(kind))
                .map(figure -> WorkingPage.of(record, findings, kind, figure, clock.instant(), key.bench()))
                .orElseThrow(() -> missing(record.trial().id().value(), "such figure of that treatment"));
    }
}
