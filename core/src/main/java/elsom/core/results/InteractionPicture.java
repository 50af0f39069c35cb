package elsom.core.results;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Observations;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Means of a factorial's cells, a line for each level of a factor over the levels of the second; a third makes its own lines. */
public record InteractionPicture(JudgedQuestion question, Verdict verdict) implements Section {
    private static final double PERCENT = 100;

    /** The lines. */
    public record Lines(String label, String unit, String factor, List<String> across, List<Line> lines)
            implements Chart {
        @Override
        public String script() {
            return "interaction";
        }
    }

    /** A line over the levels of the second factor. */
    public record Line(String name, List<Mean> means) {}

    /** A mean; null where there is none. */
    public record Mean(@Nullable Double value) {}

    @Override
    public Account account(TrialRecord record) {
        Observations observations = question.observations();
        FigureKind kind = question.kind();
        Set<String> across = new LinkedHashSet<>();
        Set<String> lines = new LinkedHashSet<>();
        observations.arms().forEach(arm -> {
            lines.add(lineOf(arm.levels()));
            across.add(arm.levels().get(1));
        });
        List<Column<String>> columns = new ArrayList<>(List.of(Column.words("", line -> line)));
        across.forEach(level -> columns.add(Column.numbers(level, line -> cell(line, level))));
        String title = kind.label() + ": do "
                + String.join(" and ", observations.factors()).toLowerCase(java.util.Locale.ROOT) + " act together?";
        return Account.of("interaction", title)
                .says(verdict.sentence())
                .part(Part.drawn(
                        new Lines(
                                kind.label(),
                                kind.unitSymbol(),
                                observations.factors().get(1),
                                List.copyOf(across),
                                lines.stream()
                                        .map(line -> new Line(
                                                line,
                                                across.stream()
                                                        .map(level -> new Mean(drawn(mean(line, level))))
                                                        .toList()))
                                        .toList()),
                        Table.of("means", title, columns, List.copyOf(lines))))
                .method(
                        "",
                        List.of("Means of each combination: "
                                + question.judgement().method().label() + "."))
                .build();
    }

    private Cell cell(String line, String level) {
        return Cell.shown(question.kind().finer(), mean(line, level));
    }

    private @Nullable Double drawn(double mean) {
        return Double.isNaN(mean) ? null : mean * (question.kind().unit() == UnitOfMeasure.FRACTION ? PERCENT : 1);
    }

    private static String lineOf(List<String> levels) {
        return levels.get(0) + (levels.size() > 2 ? ", " + levels.get(2) : "");
    }

    private double mean(String line, String level) {
        List<Arm> arms = question.observations().arms();
        return IntStream.range(0, arms.size())
                .filter(arm -> lineOf(arms.get(arm).levels()).equals(line)
                        && arms.get(arm).levels().get(1).equals(level))
                .mapToDouble(arm -> question.judgement().means().get(arm))
                .filter(Double::isFinite)
                .findFirst()
                .orElse(Double.NaN);
    }
}
