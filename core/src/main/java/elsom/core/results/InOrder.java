package elsom.core.results;

import elsom.core.analysis.Comparison;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.stats.Summary;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Treatments of one unit each, in the order in which they came out. It describes these units and judges nothing: how much
 * units treated alike differ was not seen.
 *
 * @param look the look's name
 * @param beside the name of what they are held against; empty where there is no one such
 * @param rows in order, the one that came out best first; of places that are shared each has the same
 */
public record InOrder(FigureKind kind, String look, String beside, List<Row> rows) implements Section {
    private static final double PERCENT = 100;

    public InOrder {
        rows = List.copyOf(rows);
    }

    /**
     * A treatment's unit.
     *
     * @param arm index of the treatment
     * @param place 1 the best; {@code shared}: whether others have it too
     * @param change beside what they are held against, in words; empty where there is none
     */
    public record Row(int arm, int place, boolean shared, double value, String change) {}

    /** Bars, as long as what came out. */
    public record Bars(String label, String unit, int decimals, List<Bar> bars) implements Chart {
        /** One treatment's; the change may be empty. */
        public record Bar(Treatment treatment, double value, String change) {}

        public Bars {
            bars = List.copyOf(bars);
        }

        @Override
        public String script() {
            return "bars";
        }
    }

    /** Whether a question compares single units alone. */
    static boolean fits(JudgedQuestion question) {
        return Ranking.among(question).stream()
                .map(arm -> question.observations().summary(arm))
                .flatMap(Optional::stream)
                .allMatch(summary -> summary.n() == 1);
    }

    /** The order of a question's treatments; empty when fewer than two were read. */
    static Optional<InOrder> of(JudgedQuestion question) {
        boolean higher = question.observations().better() == Observations.Better.HIGHER;
        List<Integer> arms = Ranking.among(question).stream()
                .filter(arm -> question.observations().summary(arm).isPresent())
                .sorted(Comparator.comparingDouble(arm -> (higher ? -1 : 1) * value(question, arm)))
                .toList();
        if (arms.size() < 2) {
            return Optional.empty();
        }
        OptionalInt beside = beside(question);
        List<Row> rows = new ArrayList<>();
        for (int arm : arms) {
            String shown = question.kind().finer().show(value(question, arm));
            List<Integer> alike = arms.stream()
                    .filter(other ->
                            question.kind().finer().show(value(question, other)).equals(shown))
                    .toList();
            rows.add(new Row(
                    arm,
                    1 + arms.indexOf(alike.get(0)),
                    alike.size() > 1,
                    value(question, arm),
                    change(question, arm, beside)));
        }
        return Optional.of(new InOrder(
                question.kind(),
                question.look().name(),
                beside.isPresent() ? question.name(beside.getAsInt()) : "",
                rows));
    }

    private static double value(JudgedQuestion question, int arm) {
        return question.observations().summary(arm).map(Summary::mean).orElseThrow();
    }

    /** What all comparisons of a question are held against, if it is one and was read. */
    private static OptionalInt beside(JudgedQuestion question) {
        List<Integer> all = question.judgement().comparisons().stream()
                .map(Comparison::comparator)
                .distinct()
                .toList();
        return all.size() == 1 && question.observations().summary(all.get(0)).isPresent()
                ? OptionalInt.of(all.get(0))
                : OptionalInt.empty();
    }

    private static String change(JudgedQuestion question, int arm, OptionalInt beside) {
        if (beside.isEmpty() || beside.getAsInt() == arm) {
            return "";
        }
        FigureKind kind = question.kind();
        double from = value(question, beside.getAsInt());
        double difference = value(question, arm) - from;
        String sign = difference < 0 ? "−" : "+";
        if (kind.unit() == UnitOfMeasure.FRACTION) {
            return sign + Decimals.percent(Math.abs(difference), 0) + " points";
        }
        boolean amount = question.observations().kind() == EndpointKind.MEASURED
                && kind.unit() != UnitOfMeasure.PH
                && kind.unit() != UnitOfMeasure.CELSIUS
                && from > 0;
        return sign
                + (amount
                        ? Decimals.fixed(Math.abs(difference) / from * PERCENT, 0) + " %"
                        : kind.finer().show(Math.abs(difference)));
    }

    @Override
    public Account account(TrialRecord record) {
        double factor = kind.unit() == UnitOfMeasure.FRACTION ? PERCENT : 1;
        Bars bars = new Bars(
                kind.label(),
                kind.unitSymbol(),
                kind.decimals(),
                rows.stream()
                        .map(row -> new Bars.Bar(record.treatment(row.arm() + 1), row.value() * factor, row.change()))
                        .toList());
        Account.Builder account = Account.of("order", "As they came out by " + Sentence.inside(kind.label()))
                .about(look)
                .says("Not judged: one unit of each, so chance is unknown.")
                .part(Part.drawn(bars, table(record)))
                .note(
                        "Two units treated alike differ too, by how much was not seen here: another season may turn the order"
                                + " round.");
        return account.build();
    }

    private Table table(TrialRecord record) {
        List<Column<Row>> columns = new ArrayList<>(List.of(
                Column.<Row>numbers("Place", row -> Cell.none(row.place() + (row.shared() ? " =" : ""))),
                Column.cells("Treatment", row -> Cell.of(record.treatment(row.arm() + 1))),
                Column.values("Came to", kind.finer(), Row::value)));
        if (!beside.isEmpty()) {
            columns.add(Column.words(
                    "Beside " + beside, row -> row.change().isEmpty() ? Cell.NONE : row.change() + ", chance unknown"));
        }
        return Table.of("order", "As they came out by " + Sentence.inside(kind.label()), columns, rows);
    }
}
