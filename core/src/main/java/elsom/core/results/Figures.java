package elsom.core.results;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupFigure;
import elsom.core.figure.GroupResult;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.stats.Summary;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/** Means of every treatment on one bench. */
public record Figures(int number, List<FigureKind> kinds, List<GroupResult> groups) implements Section {
    public Figures {
        kinds = List.copyOf(kinds);
        groups = List.copyOf(groups);
    }

    @Override
    public OptionalInt bench() {
        return OptionalInt.of(number);
    }

    @Override
    public Account account(TrialRecord record) {
        Account.Builder account = Account.of("figures", "Figures").about("mean ± standard deviation between units");
        if (groups.isEmpty()) {
            return account.build();
        }
        List<Column<GroupResult>> columns = new ArrayList<>();
        columns.add(Column.cells(
                "Treatment", group -> Cell.of(record.treatment(group.key().treatment()))));
        columns.add(Column.numbers("n", Figures::count));
        kinds.forEach(kind ->
                columns.add(Column.numbers(kind.label(), kind.term(), kind.unitSymbol(), group -> cell(kind, group))));
        return account.part(Part.of(
                        Table.of("means", "Figures of each treatment, mean and standard deviation", columns, groups)))
                .method("", List.of("Mean and standard deviation of the units' own figures, with n − 1."))
                .build();
    }

    private static Cell count(GroupResult group) {
        int n = group.figures().stream()
                .mapToInt(figure -> figure.summary().n())
                .max()
                .orElse(0);
        return Cell.number(
                n == group.planned() ? Integer.toString(n) : n + " of " + group.planned(),
                Amount.of(n, UnitOfMeasure.COUNT));
    }

    private static Cell cell(FigureKind kind, GroupResult group) {
        return group.figure(kind)
                .map(figure -> cell(figure).worked(kind, group.key()))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static Cell cell(GroupFigure figure) {
        FigureKind finer = figure.kind().finer();
        Summary summary = figure.summary();
        return Cell.number(
                        finer.number(summary.mean()),
                        Amount.of(summary.mean(), finer.unit())
                                .within(summary.interval95())
                                .scattered(summary.sd()))
                .with(
                        summary.sd().isPresent()
                                ? "± " + finer.number(summary.sd().getAsDouble())
                                : "one unit");
    }
}
