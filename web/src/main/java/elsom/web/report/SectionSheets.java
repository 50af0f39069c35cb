package elsom.web.report;

import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Fact;
import elsom.core.section.Part;
import elsom.core.section.Table;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Accounts as sheets of a workbook: one of sentences, one of facts, and one for all tables of a key, with the columns that any
 * of them has. A number has columns for the ends of its interval, its standard deviation and its unit where any row has them.
 */
final class SectionSheets {
    private static final List<String> WHERE = List.of("Section", "Of", "Bench", "Part");

    /** An account with the name of its bench; empty when it is about all. */
    record Told(Account account, String bench) {}

    /** A sheet before it is written. */
    record Sheet(String name, List<String> heads, List<List<@Nullable Object>> rows) {}

    private record Placed(List<String> where, Table table) {}

    private SectionSheets() {}

    static List<Sheet> of(List<Told> told) {
        List<Sheet> sheets = new ArrayList<>();
        sheets.add(sentences(told));
        sheets.add(facts(told));
        Map<String, List<Placed>> byKey = new LinkedHashMap<>();
        for (Told one : told) {
            for (Part part : one.account().parts()) {
                for (Table table : part.tables()) {
                    byKey.computeIfAbsent(table.key(), key -> new ArrayList<>())
                            .add(new Placed(where(one, part.name()), table));
                }
            }
        }
        byKey.forEach((key, tables) -> sheets.add(tables(key, tables)));
        return sheets;
    }

    private static List<String> where(Told told, String part) {
        return List.of(told.account().title(), told.account().about(), told.bench(), part);
    }

    private static Sheet sentences(List<Told> told) {
        List<List<@Nullable Object>> rows = new ArrayList<>();
        for (Told one : told) {
            Account account = one.account();
            add(rows, one, "says", account.sentences());
            add(rows, one, "note", account.notes());
            add(rows, one, "caution", account.cautions());
            add(
                    rows,
                    one,
                    "method",
                    account.method().name().isEmpty()
                            ? List.of()
                            : List.of(account.method().name()));
            add(rows, one, "method", account.method().lines());
        }
        return new Sheet("Sentences", List.of("Section", "Of", "Bench", "Kind", "Sentence"), rows);
    }

    private static void add(List<List<@Nullable Object>> rows, Told told, String kind, List<String> sentences) {
        sentences.forEach(sentence ->
                rows.add(List.of(told.account().title(), told.account().about(), told.bench(), kind, sentence)));
    }

    private static Sheet facts(List<Told> told) {
        List<String> heads = new ArrayList<>(WHERE);
        heads.addAll(
                List.of("At", "Fact", "Term", "Value", "Low 95 %", "High 95 %", "Unit", "As shown", "Remark", "How"));
        List<List<@Nullable Object>> rows = new ArrayList<>();
        for (Told one : told) {
            for (Part part : one.account().parts()) {
                for (Part.Standing standing : part.standings()) {
                    standing.facts().forEach(fact -> rows.add(fact(where(one, part.name()), standing, fact)));
                }
            }
        }
        return new Sheet("Facts", heads, rows);
    }

    private static List<@Nullable Object> fact(List<String> where, Part.Standing standing, Fact fact) {
        List<@Nullable Object> row = new ArrayList<>(where);
        Amount amount = fact.value().amount().orElse(null);
        row.add(standing.at());
        row.add(fact.label());
        row.add(fact.term());
        row.add(amount == null ? null : SheetNumber.of(amount.value(), amount.unit()));
        row.add(amount == null ? null : number(amount.low(), amount.unit()));
        row.add(amount == null ? null : number(amount.high(), amount.unit()));
        row.add(amount == null ? null : unit(amount));
        row.add(fact.value().shown());
        row.add(fact.remark());
        row.add(standing.note());
        return row;
    }

    /** A column of a sheet that several tables may fill: by its heading's name and note. */
    private static final class Stacked {
        private final String name;
        private final Set<String> units = new LinkedHashSet<>();
        private boolean between;
        private boolean scattered;

        Stacked(String name) {
            this.name = name;
        }

        void look(Cell cell) {
            cell.amount().ifPresent(amount -> {
                units.add(unit(amount));
                between |= amount.low().isPresent() || amount.high().isPresent();
                scattered |= amount.sd().isPresent();
            });
        }

        private boolean one() {
            return units.size() == 1;
        }

        List<String> heads() {
            String unit = one() ? units.iterator().next() : "";
            List<String> heads = new ArrayList<>(List.of(unit.isEmpty() ? name : name + ", " + unit));
            if (between) {
                heads.addAll(List.of(name + ", low 95 %", name + ", high 95 %"));
            }
            if (scattered) {
                heads.add(name + ", SD");
            }
            if (units.size() > 1) {
                heads.add(name + ", unit");
            }
            return heads;
        }

        void fill(List<@Nullable Object> row, @Nullable Cell cell) {
            Amount amount = cell == null ? null : cell.amount().orElse(null);
            row.add(amount != null ? SheetNumber.of(amount.value(), amount.unit()) : cell == null ? null : words(cell));
            if (between) {
                row.add(amount == null ? null : number(amount.low(), amount.unit()));
                row.add(amount == null ? null : number(amount.high(), amount.unit()));
            }
            if (scattered) {
                row.add(amount == null ? null : number(amount.sd(), amount.unit()));
            }
            if (units.size() > 1) {
                row.add(amount == null ? null : unit(amount));
            }
        }

        private static @Nullable String words(Cell cell) {
            return cell.shown().equals(Cell.NONE)
                    ? null
                    : cell.shown()
                            + (cell.kind() == Cell.Kind.VERDICT && !cell.small().isEmpty()
                                    ? " (" + cell.small() + ")"
                                    : "");
        }
    }

    private static Sheet tables(String key, List<Placed> tables) {
        Map<String, Stacked> columns = new LinkedHashMap<>();
        tables.forEach(placed -> each(placed.table(), heading -> columns.computeIfAbsent(heading, Stacked::new)));
        List<String> heads = new ArrayList<>(WHERE);
        columns.values().forEach(column -> heads.addAll(column.heads()));
        boolean talks = tables.stream().anyMatch(placed -> placed.table().talks());
        if (talks) {
            heads.add("Said");
        }
        List<List<@Nullable Object>> rows = new ArrayList<>();
        for (Placed placed : tables) {
            List<String> names = names(placed.table());
            for (Table.Row row : placed.table().rows()) {
                List<@Nullable Object> cells = new ArrayList<>(placed.where());
                columns.forEach((name, column) ->
                        column.fill(cells, names.contains(name) ? row.cells().get(names.indexOf(name)) : null));
                if (talks) {
                    cells.add(row.said());
                }
                rows.add(cells);
            }
        }
        return new Sheet(Sentence.capital(key.replace('-', ' ')), heads, rows);
    }

    private static void each(Table table, Function<String, Stacked> column) {
        List<String> names = names(table);
        for (int i = 0; i < names.size(); i++) {
            Stacked stacked = column.apply(names.get(i));
            for (Table.Row row : table.rows()) {
                stacked.look(row.cells().get(i));
            }
        }
    }

    private static List<String> names(Table table) {
        return table.headings().stream().map(SectionSheets::name).toList();
    }

    private static String name(Column.Heading heading) {
        return heading.note().isEmpty() ? heading.name() : heading.name() + ", " + heading.note();
    }

    private static @Nullable SheetNumber number(OptionalDouble value, UnitOfMeasure unit) {
        return value.isPresent() ? SheetNumber.of(value.getAsDouble(), unit) : null;
    }

    /** What a column is in; shares say it in their cells. */
    private static String unit(Amount amount) {
        return amount.unit() == UnitOfMeasure.PERCENT ? "" : amount.unit().symbol();
    }
}
