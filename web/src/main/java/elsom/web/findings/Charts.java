package elsom.web.findings;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.money.Pay;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Composition;
import elsom.core.results.Course;
import elsom.core.results.FigureKind;
import elsom.core.results.GroupKey;
import elsom.core.results.JudgedQuestion;
import elsom.core.stats.Interval;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What the chart scripts draw, in the units they are shown in. */
final class Charts {
    /** As fine as a chart can show. */
    private static final double DIGITS = 1000;

    private Charts() {}

    record CourseChart(String label, String unit, String threshold, String crossed, List<Line> lines) {}

    record Line(
            Swatch swatch,
            String points,
            List<Mean> means,
            @Nullable Double threshold,
            @Nullable Crossing crossing) {}

    record Mean(
            String look,
            double hours,
            double value,
            int n,
            @Nullable Double low,
            @Nullable Double high) {}

    record Crossing(
            double hours, @Nullable Double low, @Nullable Double high, boolean extrapolated) {}

    record Bars(List<Bar> bars) {}

    record Bar(Swatch swatch, List<Part> parts, String remark) {}

    record Part(Composition.Kind kind, String label, double percent) {}

    record ContrastChart(String label, String unit, List<Contrast> rows) {}

    record Contrast(
            Swatch swatch,
            String comparator,
            @Nullable Double difference,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double margin,
            Answer answer) {}

    record InteractionChart(String label, String unit, List<String> across, List<CellLine> lines) {}

    record CellLine(String name, List<Cell> means) {}

    record Cell(@Nullable Double value) {}

    private static double factor(FigureKind kind) {
        return kind.unit() == UnitOfMeasure.FRACTION ? 100 : 1;
    }

    static String contrasts(TrialRecord record, JudgedQuestion question) {
        double factor = factor(question.kind());
        return Json.of(new ContrastChart(
                question.kind().label(),
                question.kind().unit() == UnitOfMeasure.FRACTION
                        ? "points"
                        : question.kind().unitSymbol(),
                question.judgement().comparisons().stream()
                        .filter(c -> c.interval().isPresent())
                        .map(c -> contrast(record, question, c, factor))
                        .toList()));
    }

    private static Contrast contrast(TrialRecord record, JudgedQuestion question, Comparison c, double factor) {
        Interval interval = c.interval().orElseThrow();
        return new Contrast(
                Swatch.of(record.treatment(c.treatment() + 1)),
                question.name(c.comparator()),
                finite(c.difference() * factor),
                finite(interval.low() * factor),
                finite(interval.high() * factor),
                c.margin().isPresent() ? c.margin().getAsDouble() * factor : null,
                c.answer());
    }

    /** What treatments gain a unit, beside nothing gained. */
    static String money(TrialRecord record, JudgedQuestion question, List<Pay> pays) {
        return Json.of(new ContrastChart(
                "net of a unit",
                "net of a unit",
                pays.stream()
                        .filter(pay -> pay.net95().isPresent())
                        .map(pay -> new Contrast(
                                Swatch.of(record.treatment(pay.comparison().treatment() + 1)),
                                question.name(pay.comparison().comparator()),
                                pay.net(),
                                pay.net95().orElseThrow().low(),
                                pay.net95().orElseThrow().high(),
                                null,
                                switch (pay.says()) {
                                    case PAYS -> Answer.BETTER;
                                    case COSTS -> Answer.WORSE;
                                    case CANT_TELL -> Answer.CANT_TELL;
                                }))
                        .toList()));
    }

    private static @Nullable Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }

    static CellLine cells(FigureKind kind, String name, List<Optional<Double>> means) {
        return new CellLine(
                name,
                means.stream()
                        .map(mean ->
                                new Cell(mean.map(value -> value * factor(kind)).orElse(null)))
                        .toList());
    }

    static String interaction(FigureKind kind, List<String> across, List<CellLine> lines) {
        return Json.of(new InteractionChart(kind.label(), kind.unitSymbol(), across, lines));
    }

    static String course(TrialRecord record, Course course) {
        FigureKind kind = course.kind();
        return Json.of(new CourseChart(
                Sentence.inside(kind.label()),
                kind.unitSymbol(),
                course.threshold(),
                course.crossed(),
                course.lines().stream()
                        .filter(line -> !line.points().isEmpty())
                        .map(line -> line(record, line, factor(kind)))
                        .toList()));
    }

    private static Line line(TrialRecord record, Course.Line line, double factor) {
        return new Line(
                swatch(record, line.group()),
                points(line.points(), factor),
                line.means().stream()
                        .map(m -> new Mean(
                                record.look(m.look()).orElseThrow().name(),
                                m.hours(),
                                m.value() * factor,
                                m.n(),
                                low(m.interval95(), factor),
                                high(m.interval95(), factor)))
                        .toList(),
                line.threshold().isPresent() ? line.threshold().getAsDouble() * factor : null,
                line.crossing()
                        .map(c -> new Crossing(
                                c.hours(), low(c.interval95(), 1), high(c.interval95(), 1), c.extrapolated()))
                        .orElse(null));
    }

    /** "K34 6 41.2;K35 …", unit, hours and value: thousands of them as objects would be most of the page. */
    private static String points(List<Course.Point> points, double factor) {
        StringBuilder text = new StringBuilder();
        for (Course.Point point : points) {
            text.append(text.isEmpty() ? "" : ";")
                    .append(point.unit().value())
                    .append(' ')
                    .append(Math.round(point.hours() * DIGITS) / DIGITS)
                    .append(' ')
                    .append(Math.round(point.value() * factor * DIGITS) / DIGITS);
        }
        return text.toString();
    }

    private static @Nullable Double low(Optional<Interval> interval, double factor) {
        return interval.map(i -> i.low() * factor).orElse(null);
    }

    private static @Nullable Double high(Optional<Interval> interval, double factor) {
        return interval.map(i -> i.high() * factor).orElse(null);
    }

    private static Swatch swatch(TrialRecord record, GroupKey group) {
        return Swatch.of(record.treatment(group.treatment()));
    }

    static String volumes(TrialRecord record, List<Composition> compositions) {
        return Json.of(new Bars(compositions.stream()
                .map(composition -> new Bar(
                        swatch(record, composition.group()),
                        composition.parts().stream()
                                .map(part -> new Part(part.kind(), part.kind().label(), part.fraction() * 100))
                                .toList(),
                        composition.remark()))
                .toList()));
    }
}
