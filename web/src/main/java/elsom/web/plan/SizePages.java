package elsom.web.plan;

import elsom.core.analysis.Answer;
import elsom.core.plan.DetectableTable;
import elsom.core.plan.Measure;
import elsom.core.plan.PastScatter;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Rehearsed;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;

/** The page on how many units, and what so many can tell. */
final class SizePages {
    /** The largest difference that is supposed, in times the control's mean. */
    private static final double MOST_TRUTH = 5;

    private SizePages() {}

    /** The page on how many units. */
    public record SizePage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Measure> measures,
            int replicates,
            SizePreview preview) {}

    /** What a rehearsal of the plan on a practice bench supposes, in fractions; its token lets it begin once. */
    public record Rehearse(TrialId trial, double truth, double cv, UUID token) {}

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
            String formula,
            String rehearsed,
            String rulers,
            Rehearse rehearse,
            List<String> refused) {
        private static final int MOST_RUNS = 400;
        private static final Duration LONGEST = Duration.ofMillis(600);

        static SizePreview of(TrialId trial, Plan plan, Form form, List<TrialRecord> past, Problems problems) {
            Measure measure = chosen(plan, form);
            Optional<PastScatter> scatter =
                    PastScatter.of(past, measure.endpoint().code());
            boolean scored = DetectableTable.scored(measure);
            double usual = DetectableTable.scatter(measure, scatter);
            double typed = problems.amount(
                    "cv",
                    form.text("cv"),
                    UnitOfMeasure.PERCENT,
                    0.1,
                    300,
                    usual * 100,
                    "The scatter between units of one treatment in percent, 0.1 to 300. Accepted: 15.");
            double cv = typed / 100;
            boolean own = !form.text("cv").isEmpty() && problems.of("cv").isEmpty();
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
            DetectableTable outlook =
                    DetectableTable.of(plan, measure, cv, mean > 0 ? OptionalDouble.of(mean) : OptionalDouble.empty());
            var working = DetectableTable.sizing(plan, cv).working(replicates);
            double unit = outlook.drawn(1);
            double usualTruth = outlook.drawn(
                    outlook.matters().orElse(outlook.at(replicates).detectable()));
            double truth = problems.amount(
                    "truth",
                    form.text("truth"),
                    scored ? measure.endpoint().unit() : UnitOfMeasure.PERCENT,
                    0,
                    MOST_TRUTH * unit,
                    Double.isFinite(usualTruth) ? usualTruth : cv * unit,
                    "The difference to suppose, 0 to " + Decimals.upTo(MOST_TRUTH * unit, 0) + ". Accepted: 15.");
            Optional<Rehearsed> rehearsed = replicates < 2
                    ? Optional.empty()
                    : Optional.of(Rehearsed.of(
                            plan,
                            measure,
                            new Rehearsed.Supposed(replicates, cv, outlook.matters(), truth / unit),
                            MOST_RUNS,
                            LONGEST));
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
                    working.formula(),
                    rehearsed.map(runs -> told(runs, outlook)).orElse(""),
                    rehearsed
                            .map(runs -> Json.of(RulersChart.of(runs, outlook)))
                            .orElse(""),
                    new Rehearse(trial, truth / unit, cv, UUID.randomUUID()),
                    Stream.of("cv", "mean", "truth")
                            .map(problems::of)
                            .filter(problem -> !problem.isEmpty())
                            .toList());
        }

        /** What the runs said, as a sentence. */
        private static String told(Rehearsed runs, DetectableTable outlook) {
            String of = ", of " + runs.runs() + " simulated runs of this plan ";
            String rest = percent(runs.none()) + " would say that there is none that matters, and "
                    + percent(runs.cantTell()) + " couldn't tell.";
            return runs.truth() == 0
                    ? "Were there no true difference" + of + percent(runs.better() + runs.worse())
                            + " would claim one, " + rest
                    : "Were one treatment truly apart by " + outlook.shown(runs.truth()) + of + percent(runs.better())
                            + " would tell the difference, " + percent(runs.worse())
                            + " would tell it the wrong way round, "
                            + rest;
        }

        private static String percent(double share) {
            return Decimals.percent(share, 0) + " %";
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
        static SizeLine of(DetectableTable outlook, DetectableTable.Row row, int replicates) {
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

    /**
     * Runs of the plan as rulers, in percent of the control or in points of a score.
     *
     * @param matters 0 when nobody said
     */
    public record RulersChart(List<Ruler> rulers, double truth, double matters, String unit) {
        static RulersChart of(Rehearsed runs, DetectableTable outlook) {
            return new RulersChart(
                    runs.shown().stream()
                            .map(run -> new Ruler(
                                    outlook.drawn(run.seen()),
                                    outlook.drawn(run.interval().low()),
                                    outlook.drawn(run.interval().high()),
                                    run.answer().name().toLowerCase(Locale.ROOT),
                                    words(run.answer(), runs.truth())))
                            .toList(),
                    outlook.drawn(runs.truth()),
                    outlook.drawn(outlook.matters().orElse(0)),
                    DetectableTable.scored(outlook.measure()) ? "points" : "%");
        }

        private static String words(Answer answer, double truth) {
            return switch (answer) {
                case BETTER -> truth == 0 ? "a claim" : "told";
                case WORSE -> truth == 0 ? "a claim" : "wrong way round";
                case NO_DIFFERENCE -> "no difference";
                default -> "can't tell";
            };
        }
    }

    /** One run. */
    public record Ruler(double seen, double low, double high, String answer, String says) {}

    /** The curve of what can be seen. */
    public record SizeChart(List<SizePoint> points, int here, double matters, String unit, String mattersText) {
        static SizeChart of(DetectableTable outlook, int here) {
            OptionalDouble matters = outlook.matters();
            boolean scored = DetectableTable.scored(outlook.measure());
            return new SizeChart(
                    outlook.rows().stream()
                            .filter(row -> !Double.isInfinite(row.detectable()))
                            .map(row -> new SizePoint(
                                    row.replicates(), outlook.drawn(row.detectable()), outlook.shown(row.detectable())))
                            .toList(),
                    here,
                    matters.isPresent() ? outlook.drawn(matters.getAsDouble()) : -1,
                    scored ? "points" : "%",
                    matters.isPresent() ? outlook.shown(matters.getAsDouble()) : "");
        }
    }

    /** A point of the curve, in percent of the control or in points of a score. */
    public record SizePoint(int n, double sees, String text) {}
}
