package elsom.web.plan;

import elsom.core.plan.DetectableTable;
import elsom.core.plan.Measure;
import elsom.core.plan.PastScatter;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** The page on how many units, and what so many can tell. */
final class SizePages {
    private SizePages() {}

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
            DetectableTable outlook =
                    DetectableTable.of(plan, measure, cv, mean > 0 ? OptionalDouble.of(mean) : OptionalDouble.empty());
            var working = DetectableTable.sizing(plan, cv).working(replicates);
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
