package elsom.web.plan;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Factor;
import elsom.core.plan.Measure;
import elsom.core.plan.Outlook;
import elsom.core.plan.PastScatter;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCheck;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Flag;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** What the pages of a plan's parts show besides their forms. */
final class Pages {
    private static final int BLANK_LINES = 2;

    private Pages() {}

    static Protocol kindOf(Plan plan) {
        return Protocols.find(plan.protocol()).orElseThrow();
    }

    /** A container to choose, with what it holds. */
    public record Offered(String name, String label) {
        static Offered of(Container container) {
            return new Offered(
                    container.name(), container.name() + " · " + Decimals.upTo(container.volumeMl(), 0) + " mL");
        }
    }

    /** A treatment as it is drawn before the trial is. */
    static Swatch swatch(int number, String name) {
        return new Swatch(
                number, Treatment.codeFor(number), name, Texture.forTreatment(number), Tint.forTreatment(number));
    }

    /** Textures for as many treatments as there can be. */
    static List<Swatch> swatches() {
        return IntStream.rangeClosed(1, Treatment.MOST)
                .mapToObj(number -> swatch(number, ""))
                .toList();
    }

    /**
     * The question page.
     *
     * @param sentences what is asked so far, as sentences, with a mark on later ones
     */
    public record QuestionPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            String protocol,
            String purpose,
            List<Sentence> sentences,
            List<Measure> measures,
            int askedLines,
            int ownLines,
            List<Swatch> treatments,
            List<String> validity) {
        static QuestionPage of(PlanFrame frame, Plan plan, Form form, Problems problems) {
            Protocol protocol = kindOf(plan);
            List<Sentence> sentences = plan.asked().questions().stream()
                    .map(question -> Sentence.of(plan, question))
                    .toList();
            return new QuestionPage(
                    frame,
                    form,
                    problems,
                    protocol.name(),
                    protocol.purpose(),
                    sentences,
                    plan.asked().measures(),
                    Math.min(Question.MOST, Math.max(form.lines(QuestionPart.ASKED), sentences.size()) + 1),
                    Math.max(BLANK_LINES, form.lines(QuestionPart.OWN)),
                    swatchesOf(plan),
                    protocol.validity());
        }
    }

    /** A comparison in words. */
    public record Sentence(String text, String later) {
        static Sentence of(Plan plan, Question question) {
            return new Sentence(
                    question.sentence(plan),
                    question.stated() == Stated.BEFORE_START
                            ? ""
                            : question.stated().label());
        }
    }

    static List<Swatch> swatchesOf(Plan plan) {
        List<Swatch> swatches = new ArrayList<>();
        plan.treatments().all().stream()
                .limit(Treatment.MOST)
                .forEach(treatment -> swatches.add(swatch(swatches.size() + 1, treatment.name())));
        return swatches;
    }

    /** The treatments page. */
    public record TreatmentsPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Offered> containers,
            List<String> kinds,
            boolean asksOrganic,
            boolean asksFeed,
            boolean grows,
            int listLines,
            TreatmentsPreview preview) {
        static TreatmentsPage of(PlanFrame frame, Plan plan, Form form, Problems problems, List<Container> shelf) {
            Protocol protocol = kindOf(plan);
            return new TreatmentsPage(
                    frame,
                    form,
                    problems,
                    shelf.stream().map(Offered::of).toList(),
                    protocol.kinds(),
                    protocol.properties().contains(TreatmentProperty.ORGANIC_MATTER),
                    protocol.properties().contains(TreatmentProperty.NITROGEN),
                    protocol.habit().plants() > 0,
                    Math.min(Treatment.MOST, Math.max(4, form.lines(TreatmentsPart.LIST) + BLANK_LINES)),
                    TreatmentsPreview.of(plan, form, problems));
        }
    }

    /** What the treatments come to, while they are typed. */
    public record TreatmentsPreview(
            List<Swatch> treatments, List<String> columns, List<GridRow> rows, List<Flag> flags, Problems problems) {
        static TreatmentsPreview of(Plan plan, Form form, Problems problems) {
            List<Factor> factors = plan.treatments().factors();
            List<String> columns = factors.isEmpty()
                    ? List.of()
                    : factors.get(factors.size() - 1).levels().stream()
                            .map(Factor.Level::name)
                            .toList();
            return new TreatmentsPreview(swatchesOf(plan), columns, rows(plan), PlanCheck.ofTreatments(plan), problems);
        }

        private static List<GridRow> rows(Plan plan) {
            List<Factor> factors = plan.treatments().factors();
            if (factors.isEmpty()) {
                return List.of();
            }
            List<GridRow> rows = new ArrayList<>();
            List<List<Integer>> struck = plan.treatments().struck();
            int number = 0;
            for (List<Integer> cell : plan.treatments().cells()) {
                if (cell.get(cell.size() - 1) == 0) {
                    rows.add(new GridRow(name(factors, cell), new ArrayList<>()));
                }
                boolean out = struck.contains(cell);
                number += out ? 0 : 1;
                boolean shown = !out && number <= Treatment.MOST;
                rows.get(rows.size() - 1)
                        .cells()
                        .add(new GridCell(
                                TreatmentsPart.cell(cell),
                                out,
                                shown ? swatch(number, "") : swatch(1, ""),
                                shown ? Treatment.codeFor(number) : ""));
            }
            return rows;
        }

        private static String name(List<Factor> factors, List<Integer> cell) {
            List<String> names = new ArrayList<>();
            for (int i = 0; i < factors.size() - 1; i++) {
                names.add(factors.get(i).levels().get(cell.get(i)).name());
            }
            return names.isEmpty() ? factors.get(0).name() : String.join(" · ", names);
        }
    }

    /** A row of the grid of factors. */
    public record GridRow(String name, List<GridCell> cells) {}

    /** A cell of the grid. */
    public record GridCell(String key, boolean struck, Swatch swatch, String code) {}

    /** The page on how many units. */
    public record SizePage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Measure> measures,
            int replicates,
            SizePreview preview) {}

    /**
     * What so many units can tell.
     *
     * @param source where the scatter comes from
     */
    public record SizePreview(
            String endpoint,
            String cv,
            boolean own,
            String source,
            int replicates,
            String sentence,
            List<SizeLine> lines,
            String chart,
            List<String> working,
            String formula) {
        static SizePreview of(Plan plan, Form form, List<TrialRecord> past, Problems problems) {
            Measure measure = chosen(plan, form);
            Optional<PastScatter> scatter =
                    PastScatter.of(past, measure.endpoint().code());
            boolean scored = Outlook.scored(measure);
            double usual = scatter.map(found -> scored ? found.sd() / Outlook.scale(measure) : found.cv())
                    .orElse(measure.typicalCv());
            double typed = problems.amount(
                    "cv",
                    form.text("cv"),
                    UnitOfMeasure.PERCENT,
                    0.1,
                    300,
                    usual * 100,
                    "The scatter between units of one treatment in percent, 0.1 to 300. Accepted: 15.");
            double cv = typed / 100;
            boolean own = !form.text("cv").isEmpty();
            double mean = problems.amount(
                    "mean",
                    form.text("mean"),
                    measure.endpoint().unit(),
                    1e-9,
                    1e9,
                    scatter.map(PastScatter::mean).orElse(0.0),
                    "What the control usually reads, above 0. Accepted: 12 "
                            + measure.endpoint().unit().symbol() + ".");
            int replicates = plan.arrangement().replicates();
            Outlook outlook =
                    Outlook.of(plan, measure, cv, mean > 0 ? OptionalDouble.of(mean) : OptionalDouble.empty());
            var working = Outlook.sizing(plan, cv).working(replicates);
            return new SizePreview(
                    measure.endpoint().code().value(),
                    scored ? outlook.shown(cv) + " between units" : Decimals.upTo(cv * 100, 1) + " % between units",
                    own,
                    own ? "your own figure" : source(scatter, plan),
                    replicates,
                    outlook.sentence(replicates),
                    outlook.rows().stream()
                            .filter(row -> shown(row.replicates(), replicates))
                            .map(row -> SizeLine.of(outlook, row, replicates))
                            .toList(),
                    Json.of(SizeChart.of(outlook, replicates)),
                    working.steps(),
                    working.formula());
        }

        /** The endpoint asked for, else that of the first comparison, else the last one measured. */
        private static Measure chosen(Plan plan, Form form) {
            List<Measure> all = plan.asked().measures();
            String first = plan.asked().questions().stream()
                    .findFirst()
                    .map(question -> question.endpoint().value())
                    .orElse("");
            String wanted = form.text("endpoint").isEmpty() ? first : form.text("endpoint");
            return all.stream()
                    .filter(measure -> measure.endpoint().code().value().equals(wanted))
                    .findFirst()
                    .orElseGet(() -> all.get(all.size() - 1));
        }

        private static String source(Optional<PastScatter> scatter, Plan plan) {
            return scatter.map(past -> "from " + past.trials() + " earlier "
                            + (past.trials() == 1 ? "trial" : "trials")
                            + (plan.asked().crop().isEmpty()
                                    ? ""
                                    : " of " + plan.asked().crop()) + ", "
                            + past.degreesOfFreedom() + " degrees of freedom")
                    .orElse("a typical value, not yours: no earlier trial here measured it");
        }

        private static boolean shown(int n, int replicates) {
            return n <= 8 || n == replicates || n % 4 == 0;
        }
    }

    /** One number of units. */
    public record SizeLine(
            int n,
            boolean here,
            String detectable,
            String power,
            String units,
            String area,
            String medium,
            String seeds,
            String minutes) {
        static SizeLine of(Outlook outlook, Outlook.Row row, int replicates) {
            return new SizeLine(
                    row.replicates(),
                    row.replicates() == replicates,
                    Double.isInfinite(row.detectable()) ? "nothing" : outlook.shown(row.detectable()),
                    row.power().isPresent() ? Decimals.percent(row.power().getAsDouble(), 0) + " %" : "–",
                    Integer.toString(row.units()),
                    Decimals.fixed(row.areaM2(), 2) + " m²",
                    Decimals.upTo(row.mediumL(), 1) + " L",
                    row.seeds() == 0 ? "–" : Integer.toString(row.seeds()),
                    Spans.words(row.minutes() / 60.0));
        }
    }

    /** The curve of what can be seen. */
    public record SizeChart(List<SizePoint> points, int here, double matters, String unit, String mattersText) {
        static SizeChart of(Outlook outlook, int here) {
            OptionalDouble matters = outlook.matters();
            boolean scored = Outlook.scored(outlook.measure());
            double factor = scored ? Outlook.scale(outlook.measure()) : 100;
            return new SizeChart(
                    outlook.rows().stream()
                            .filter(row -> !Double.isInfinite(row.detectable()))
                            .map(row -> new SizePoint(
                                    row.replicates(), row.detectable() * factor, outlook.shown(row.detectable())))
                            .toList(),
                    here,
                    matters.isPresent() ? matters.getAsDouble() * factor : -1,
                    scored ? "points" : "%",
                    matters.isPresent() ? outlook.shown(matters.getAsDouble()) : "");
        }
    }

    /** A point of the curve, in percent of the control or in points of a score. */
    public record SizePoint(int n, double sees, String text) {}

    /** The page of dates. */
    public record DatesPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Measure> measures,
            int lookLines,
            int stepLines,
            int awayLines,
            DatesPreview preview) {
        static DatesPage of(PlanFrame frame, Plan plan, Form form, Problems problems) {
            return new DatesPage(
                    frame,
                    form,
                    problems,
                    plan.asked().measures(),
                    form.lines(DatesPart.LOOKS) + BLANK_LINES,
                    form.lines(DatesPart.STEPS) + 1,
                    form.lines(DatesPart.AWAY) + 1,
                    DatesPreview.of(plan, problems));
        }
    }

    /**
     * When everything is due.
     *
     * @param clashes how many fall on a time when nobody is there
     */
    public record DatesPreview(List<EventLine> events, int clashes, String length, Problems problems) {
        private static final int MOST_EVENTS = 60;

        static DatesPreview of(Plan plan, Problems problems) {
            List<PlanEvent> events = PlanEvents.of(plan);
            ZoneId zone = plan.schedule().zone();
            Instant start = plan.schedule().start();
            List<PlanEvent> first = events.stream()
                    .filter(event ->
                            event.kind() != PlanEvent.Kind.STEP || event.clashes() || events.size() <= MOST_EVENTS)
                    .limit(MOST_EVENTS)
                    .toList();
            return new DatesPreview(
                    first.stream()
                            .map(event -> EventLine.of(event, zone, start))
                            .toList(),
                    (int) events.stream().filter(PlanEvent::clashes).count(),
                    Spans.words(plan.schedule().length().toMinutes() / 60.0),
                    problems);
        }
    }

    /** One thing that is due. */
    public record EventLine(
            String when, String day, String title, String takes, String detail, String clash, String css) {
        static EventLine of(PlanEvent event, ZoneId zone, Instant start) {
            double days = Duration.between(start, event.at()).toMinutes() / 1440.0;
            return new EventLine(
                    Times.dayAndTime(event.at(), zone),
                    "day " + Decimals.upTo(Math.floor(days), 0),
                    event.title(),
                    Spans.words(event.takes().toMinutes() / 60.0),
                    event.detail(),
                    event.clash(),
                    event.kind().name().toLowerCase(Locale.ROOT));
        }
    }

    /** Ways to lay out, for the form. */
    static List<LayoutKind> layouts() {
        return List.of(LayoutKind.values());
    }
}
