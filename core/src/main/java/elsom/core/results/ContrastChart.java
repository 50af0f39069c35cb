package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Chart;
import elsom.core.stats.Interval;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Differences with their intervals, beside nought and the band of what does not matter. */
public record ContrastChart(String label, String unit, List<Row> rows) implements Chart {
    private static final double PERCENT = 100;

    /** A comparison; ends that are open are null. */
    public record Row(
            Treatment treatment,
            String comparator,
            @Nullable Double difference,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double margin,
            Answer answer) {}

    public ContrastChart {
        rows = List.copyOf(rows);
    }

    /** The comparisons of a question that have an interval. */
    public static ContrastChart of(TrialRecord record, JudgedQuestion question) {
        double factor = question.kind().unit() == UnitOfMeasure.FRACTION ? PERCENT : 1;
        FigureKind kind = question.kind();
        return new ContrastChart(
                kind.label(),
                kind.unit() == UnitOfMeasure.FRACTION ? "points" : kind.unitSymbol(),
                question.judgement().comparisons().stream()
                        .filter(c -> c.interval().isPresent())
                        .map(c -> row(record, question, c, factor))
                        .toList());
    }

    private static Row row(TrialRecord record, JudgedQuestion question, Comparison c, double factor) {
        Interval interval = c.interval().orElseThrow();
        return new Row(
                record.treatment(c.treatment() + 1),
                question.name(c.comparator()),
                finite(c.difference() * factor),
                finite(interval.low() * factor),
                finite(interval.high() * factor),
                c.margin().isPresent() ? c.margin().getAsDouble() * factor : null,
                c.answer());
    }

    private static @Nullable Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }

    @Override
    public boolean blank() {
        return rows.isEmpty();
    }

    @Override
    public String script() {
        return "contrasts";
    }
}
