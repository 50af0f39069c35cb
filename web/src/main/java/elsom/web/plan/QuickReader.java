package elsom.web.plan;

import elsom.core.flag.Flag;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.plan.check.PlanCheck;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.quick.KindFinder;
import elsom.core.quick.QuickPlan;
import elsom.core.quick.TreatmentLines;
import elsom.core.read.Known;
import elsom.core.read.Typed;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Treatment;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;

/** Reads the one page that begins a trial. */
record QuickReader(Pots pots, long seed, Known known, Instant now, ZoneId zone) {
    private static final ProtocolCode USUAL = new ProtocolCode("growth");

    /**
     * What was understood.
     *
     * @param plan empty while what is typed makes none
     */
    record Understood(Protocol kind, Measure decides, int replicates, Optional<Plan> plan, Problems problems) {}

    /** What the page comes to so far: a blank is no problem yet. */
    Understood sketch(Form form) {
        Problems problems = new Problems();
        Understood understood = read(form, problems, false);
        return new Understood(
                understood.kind(), understood.decides(), understood.replicates(), understood.plan(), problems);
    }

    /** All of it, to begin with; what would spoil the trial is a problem of the field where it is mended. */
    Understood whole(Form form) {
        Problems problems = new Problems();
        Understood understood = read(form, problems, true);
        understood.plan().ifPresent(plan -> {
            if (!QuickPlan.suits(understood.kind())) {
                problems.add("kind", "Its treatments begin on days of their own: open the full plan.");
            }
            PlanCheck.of(plan).stream()
                    .filter(flag -> flag.severity() == Flag.Severity.WRONG)
                    .forEach(flag -> problems.add("treatments", flag.seen() + " " + flag.next()));
            if (plan.arrangement().replicates() < 2) {
                problems.add(
                        "replicates",
                        "One of each tells nothing: two pots of the same treatment differ too. Accepted: 4.");
            }
            plan.layoutProblem().ifPresent(problem -> problems.add("replicates", problem));
        });
        return understood;
    }

    /** As far as it goes, to be gone on with in the full plan: it needs a question, and what is typed has to be read. */
    Understood opened(Form form) {
        Problems problems = new Problems();
        Understood understood = read(form, problems, false);
        question(form, problems, understood.kind());
        Plan plan = understood.plan().orElseGet(() -> quick(form, understood, Treatments.NONE, problems));
        return new Understood(
                understood.kind(), understood.decides(), understood.replicates(), Optional.of(plan), problems);
    }

    private String question(Form form, Problems problems, Protocol kind) {
        return problems.required(
                "question",
                form.text("question"),
                Trial.LONGEST_QUESTION,
                "Write the question first. Accepted: " + kind.exampleQuestion());
    }

    private Understood read(Form form, Problems problems, boolean all) {
        Protocol kind = kind(form);
        Measure decides = decides(form, kind);
        int replicates = problems.whole(
                "replicates",
                form.text("replicates"),
                1,
                Arrangement.MOST_REPLICATES,
                kind.habit().replicates(),
                "How many of each, 1 to " + Arrangement.MOST_REPLICATES + ". Accepted: 6.");
        Understood so = new Understood(kind, decides, replicates, Optional.empty(), problems);
        if (all) {
            question(form, problems, kind);
        }
        Optional<Treatments> treatments = !all && unfinished(form.text("treatments"))
                ? Optional.empty()
                : problems.tried(
                        "treatments", () -> TreatmentLines.read(form.text("treatments"), base(form, problems), known));
        return new Understood(
                kind,
                decides,
                replicates,
                treatments.flatMap(found -> problems.tried("treatments", () -> {
                    Plan plan = quick(form, so, found, problems);
                    plan.sketch(new TrialId(0));
                    return plan;
                })),
                problems);
    }

    /** Nothing, or a first line that others may follow. */
    private static boolean unfinished(String treatments) {
        return !treatments.strip().matches("(?s).*[,;:\\n].*");
    }

    private static String base(Form form, Problems problems) {
        return problems.limited("base", form.text("base"), Treatment.LONGEST_NAME);
    }

    private Plan quick(Form form, Understood so, Treatments treatments, Problems problems) {
        String question = form.text("question").isEmpty() ? so.kind().exampleQuestion() : form.text("question");
        Matters matters = matters(form, so.decides(), problems);
        return new QuickPlan(
                        so.kind(),
                        problems.limited("question", question, Trial.LONGEST_QUESTION),
                        problems.limited("crop", form.text("crop"), Treatment.LONGEST_NAME),
                        treatments,
                        so.decides().endpoint().code(),
                        matters.amount(),
                        matters.inPercent(),
                        so.replicates())
                .plan(zone, QuickPlan.start(now, zone), pots, seed);
    }

    /** A difference that would matter; 0 where nothing is said. */
    private record Matters(double amount, boolean inPercent) {}

    private static Matters matters(Form form, Measure decides, Problems problems) {
        String text = form.text("matters").isEmpty() ? QuickPlan.usualMatters(decides) : form.text("matters");
        boolean percent = text.contains("%") && decides.endpoint().unit() != UnitOfMeasure.PERCENT;
        UnitOfMeasure unit =
                percent ? UnitOfMeasure.PERCENT : decides.endpoint().unit();
        String ask = "What difference would matter. Accepted: "
                + (QuickPlan.scored(decides) ? "1 point" : "20 %, or 3 " + unit.symbol()).strip();
        if (percent && QuickPlan.scored(decides)) {
            problems.add("matters", "A percentage of next to no injury says nothing: say it in points. " + ask);
            return new Matters(0, false);
        }
        Typed typed = Typed.parse(text, unit);
        if (typed instanceof Typed.Understood understood && understood.stored().value() > 0) {
            return new Matters(understood.stored().value(), percent);
        }
        problems.add("matters", typed instanceof Typed.Refused refused ? refused.message(ask) : ask);
        return new Matters(0, false);
    }

    /** The one that was chosen; else what the question's words speak for. */
    private static Protocol kind(Form form) {
        Optional<Protocol> chosen = Protocols.all().stream()
                .filter(kind -> kind.code().value().equals(form.text("kind")))
                .findFirst();
        return form.text("chosen").equals("yes") && chosen.isPresent()
                ? chosen.get()
                : KindFinder.of(form.text("question"))
                        .or(() -> chosen)
                        .orElseGet(() -> Protocols.find(USUAL).orElseThrow());
    }

    private static Measure decides(Form form, Protocol kind) {
        return kind.measures().stream()
                .filter(measure -> measure.endpoint().code().value().equals(form.text("decides")))
                .findFirst()
                .orElseGet(() -> QuickPlan.usual(kind));
    }
}
