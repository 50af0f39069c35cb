package elsom.core.results;

import elsom.core.figure.FigureKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.stats.Interval;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * How figures run over time on one bench.
 *
 * @param since what its hours are counted from: "Time since draining"
 */
public record Courses(int number, String title, String since, List<Course> courses) implements Section {
    private static final double PERCENT = 100;
    private static final double HOURS = 24;

    /** As fine as a chart can show. */
    private static final double DIGITS = 1000;

    /** A figure over time, a panel for each treatment. */
    public record Panels(String label, String unit, String since, String threshold, String crossed, List<Line> lines)
            implements Chart {
        @Override
        public String script() {
            return "course";
        }
    }

    /**
     * A treatment's panel.
     *
     * @param points "K34 6 41.2;K35 …", unit, hours and value: thousands of them as objects would be most of the page
     */
    public record Line(
            Treatment treatment,
            String points,
            List<Mean> means,
            @Nullable Double threshold,
            @Nullable Crossing crossing) {}

    /** A mean at a look. */
    public record Mean(
            String look,
            double hours,
            double value,
            int n,
            @Nullable Double low,
            @Nullable Double high) {}

    /** When a line falls below its level. */
    public record Crossing(
            double hours, @Nullable Double low, @Nullable Double high, boolean extrapolated) {}

    public Courses {
        courses = List.copyOf(courses);
    }

    @Override
    public OptionalInt bench() {
        return OptionalInt.of(number);
    }

    @Override
    public Account account(TrialRecord record) {
        return Account.of("course", title)
                .choice(courses.stream()
                        .filter(course -> course.lines().stream()
                                .anyMatch(line -> !line.points().isEmpty()))
                        .map(course -> part(record, course))
                        .toList())
                .method("", List.of("Means of units at each look, with 95 % intervals by Student's t."))
                .build();
    }

    private Part part(TrialRecord record, Course course) {
        return Part.drawn(panels(record, course), table(record, course).pictured())
                .named(course.kind().label().split(",")[0]);
    }

    private static double factor(FigureKind kind) {
        return kind.unit() == UnitOfMeasure.FRACTION ? PERCENT : 1;
    }

    private static List<Course.Line> told(Course course) {
        return course.lines().stream().filter(line -> !line.points().isEmpty()).toList();
    }

    private Panels panels(TrialRecord record, Course course) {
        return new Panels(
                Sentence.inside(course.kind().label()),
                course.kind().unitSymbol(),
                since,
                course.threshold(),
                course.crossed(),
                told(course).stream()
                        .map(line -> line(record, line, factor(course.kind())))
                        .toList());
    }

    private static Line line(TrialRecord record, Course.Line line, double factor) {
        return new Line(
                record.treatment(line.group().treatment()),
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

    private static Table table(TrialRecord record, Course course) {
        List<Course.Line> lines = told(course);
        List<Column<Course.Line>> columns = new ArrayList<>();
        columns.add(Column.cells(
                "Treatment", line -> Cell.of(record.treatment(line.group().treatment()))));
        for (Look look : record.looks()) {
            if (lines.stream().anyMatch(line -> line.means().stream().anyMatch(mean -> mean.look() == look.number()))) {
                columns.add(
                        Column.numbers(look.name(), "", course.kind().unitSymbol(), line -> mean(course, line, look)));
            }
        }
        if (lines.stream().anyMatch(line -> line.threshold().isPresent())) {
            columns.add(Column.numbers(
                    course.threshold(),
                    "",
                    course.kind().unitSymbol(),
                    line -> level(course.kind(), line.threshold())));
            columns.add(Column.numbers(course.crossed() + " after", "", "days", Courses::crossing));
        }
        return Table.of("means-over-time", course.kind().label() + ": mean (n)", columns, lines);
    }

    private static Cell mean(Course course, Course.Line line, Look look) {
        FigureKind finer = course.kind().finer();
        return line.means().stream()
                .filter(mean -> mean.look() == look.number())
                .findFirst()
                .map(mean -> Cell.number(
                        finer.number(mean.value()) + " (" + mean.n() + ")",
                        Amount.of(mean.value(), course.kind().unit()).within(mean.interval95())))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static Cell level(FigureKind kind, OptionalDouble threshold) {
        return threshold.isPresent()
                ? Cell.number(
                        kind.finer().number(threshold.getAsDouble()), Amount.of(threshold.getAsDouble(), kind.unit()))
                : Cell.none(Cell.NONE);
    }

    private static Cell crossing(Course.Line line) {
        return line.crossing()
                .map(crossing -> Cell.number(
                        Decimals.fixed(crossing.hours() / HOURS, 1)
                                + crossing.interval95()
                                        .map(i -> " (" + Decimals.fixed(i.low() / HOURS, 1) + " to "
                                                + Decimals.fixed(i.high() / HOURS, 1) + ")")
                                        .orElse(""),
                        Amount.of(crossing.hours() / HOURS, UnitOfMeasure.DAY)
                                .within(crossing.interval95()
                                        .map(i -> new Interval(i.low() / HOURS, i.high() / HOURS)))))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }
}
