package elsom.core.protocol.water;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;

/** What volumes are made of, on one bench. */
record Volumes(int number, String look, List<Composition> compositions) implements Section {
    private static final double PERCENT = 100;

    /** A bar for each treatment. */
    record Bars(List<Bar> bars) implements Chart {
        @Override
        public String script() {
            return "volumes";
        }
    }

    /** A treatment's bar. */
    record Bar(Treatment treatment, List<Stretch> parts, String remark) {}

    /** A part of a bar. */
    record Stretch(Composition.Kind kind, String label, double percent) {}

    Volumes {
        compositions = List.copyOf(compositions);
    }

    @Override
    public OptionalInt bench() {
        return OptionalInt.of(number);
    }

    @Override
    public Account account(TrialRecord record) {
        Account.Builder account =
                Account.of("volumes", "What the volume is made of").about(look);
        if (!compositions.isEmpty()) {
            account.part(Part.drawn(bars(record), shares(record).pictured()));
        }
        return account.method("", List.of("Shares of the filled volume; 1 g of water is taken as 1 mL."))
                .build();
    }

    private Bars bars(TrialRecord record) {
        return new Bars(compositions.stream()
                .map(composition -> new Bar(
                        record.treatment(composition.group().treatment()),
                        composition.parts().stream()
                                .map(part ->
                                        new Stretch(part.kind(), part.kind().label(), part.fraction() * PERCENT))
                                .toList(),
                        composition.remark()))
                .toList());
    }

    private Table shares(TrialRecord record) {
        List<Column<Composition>> columns = new ArrayList<>();
        columns.add(Column.cells(
                "Treatment",
                composition -> Cell.of(record.treatment(composition.group().treatment()))));
        Arrays.stream(Composition.Kind.values())
                .filter(kind -> compositions.stream()
                        .anyMatch(one -> one.parts().stream().anyMatch(part -> part.kind() == kind)))
                .forEach(kind ->
                        columns.add(Column.numbers(kind.label(), "", "%", composition -> share(composition, kind))));
        return Table.of("shares", "Shares of volume", columns, compositions, Composition::remark);
    }

    private static Cell share(Composition composition, Composition.Kind kind) {
        return composition.parts().stream()
                .filter(part -> part.kind() == kind)
                .findFirst()
                .map(part -> Cell.number(
                        Decimals.percent(part.fraction(), 1), Amount.of(part.fraction(), UnitOfMeasure.FRACTION)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }
}
