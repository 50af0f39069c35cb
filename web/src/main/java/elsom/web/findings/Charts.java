package elsom.web.findings;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Interval;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Course;
import elsom.core.verdict.FigureKind;
import elsom.core.verdict.Findings;
import elsom.core.verdict.GroupKey;
import elsom.core.verdict.Portions;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What the chart scripts draw, in the units they are shown in. */
final class Charts {
    private Charts() {}

    record CourseChart(String label, String unit, List<Line> lines) {}

    record Line(
            Swatch swatch,
            List<Point> points,
            List<Mean> means,
            @Nullable Double threshold,
            @Nullable Crossing crossing) {}

    record Point(String unit, double hours, double value) {}

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

    record Part(Portions.Kind kind, String label, double percent) {}

    static String course(TrialRecord record, Course course) {
        FigureKind kind = course.kind();
        double factor = kind.unit() == UnitOfMeasure.FRACTION ? 100 : 1;
        List<Line> lines = course.lines().stream()
                .filter(line -> !line.points().isEmpty())
                .map(line -> line(record, line, factor))
                .toList();
        String label = kind.unit() == UnitOfMeasure.FRACTION ? "water by volume" : "weight with container";
        return Json.of(new CourseChart(label, kind.unitSymbol(), lines));
    }

    private static Line line(TrialRecord record, Course.Line line, double factor) {
        return new Line(
                swatch(record, line.group()),
                line.points().stream()
                        .map(p -> new Point(p.unit().value(), p.hours(), p.value() * factor))
                        .toList(),
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

    private static @Nullable Double low(Optional<Interval> interval, double factor) {
        return interval.map(i -> i.low() * factor).orElse(null);
    }

    private static @Nullable Double high(Optional<Interval> interval, double factor) {
        return interval.map(i -> i.high() * factor).orElse(null);
    }

    private static Swatch swatch(TrialRecord record, GroupKey group) {
        return Swatch.of(record.treatment(group.treatment()));
    }

    static String portions(TrialRecord record, Findings.BenchFindings bench) {
        return Json.of(new Bars(bench.portions().stream()
                .map(portions -> new Bar(
                        swatch(record, portions.group()),
                        portions.parts().stream()
                                .map(part -> new Part(part.kind(), part.kind().label(), part.fraction() * 100))
                                .toList(),
                        portions.remark()))
                .toList()));
    }
}
