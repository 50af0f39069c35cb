package elsom.web.series;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.series.BelowLimit;
import elsom.core.series.DayOrder;
import elsom.core.series.DecimalSign;
import elsom.core.series.Headings;
import elsom.core.series.Mapping;
import elsom.core.series.Measurand;
import elsom.web.kit.TrialHeader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A file before it is taken: how its columns are read, with its first rows.
 *
 * @param progress null until it is being taken
 */
record MappingPage(
        TrialHeader header,
        UUID id,
        String name,
        String source,
        String recognised,
        List<Column> columns,
        List<List<String>> rows,
        MappingForm form,
        Taking.@Nullable Progress progress) {
    private static final int SHOWN = 6;

    /** A column with its heading. */
    public record Column(int number, String heading) {}

    /** A unit that a column may be written in. */
    public record Unit(String code, String label, String dimension) {}

    /** The headings and the first rows of a file. */
    record Preview(Headings head, List<List<String>> rows) {
        static Preview of(Uploads.Upload upload) throws TableRows.NoTable {
            List<List<String>> first = new ArrayList<>();
            TableRows.read(upload.file(), (number, cells, read) -> {
                first.add(cells);
                return first.size() <= SHOWN + 3;
            });
            if (first.isEmpty()) {
                throw new TableRows.NoTable(
                        "There is no table in it: a row of headings is needed, and two columns at least. Is it CSV?");
            }
            Headings head = Headings.of(first);
            return new Preview(head, first.subList(head.rows(), first.size()));
        }

        List<String> headings() {
            return head.names();
        }

        List<Column> columns() {
            List<String> headings = headings();
            List<Column> columns = new ArrayList<>();
            for (int i = 0; i < Math.min(headings.size(), Mapping.MOST_COLUMNS); i++) {
                columns.add(new Column(i, headings.get(i).isBlank() ? "column " + (i + 1) : headings.get(i)));
            }
            return columns;
        }
    }

    public List<Measurand> measurands() {
        return List.of(Measurand.values());
    }

    public List<DayOrder> orders() {
        return List.of(DayOrder.values());
    }

    public List<BelowLimit> belows() {
        return List.of(BelowLimit.values());
    }

    public List<DecimalSign> signs() {
        return List.of(DecimalSign.values());
    }

    /** Units that loggers write what can be measured in. */
    public List<Unit> units() {
        List<UnitOfMeasure> unusual = List.of(UnitOfMeasure.MILLILITRE_PER_LITRE);
        return Arrays.stream(UnitOfMeasure.values())
                .filter(unit -> !unusual.contains(unit))
                .filter(unit -> Arrays.stream(Measurand.values())
                        .anyMatch(what -> what.unit().dimension() == unit.dimension()))
                .map(unit -> new Unit(
                        unit.name(),
                        unit == UnitOfMeasure.FRACTION
                                ? "m³/m³"
                                : unit == UnitOfMeasure.COUNT ? "a number" : unit.symbol(),
                        unit.dimension().name()))
                .toList();
    }

    /** The unit a column is most likely written in when nothing is chosen. */
    public String usual(String what) {
        return Arrays.stream(Measurand.values())
                .filter(one -> one.name().equals(what))
                .map(one -> one.unit().name())
                .findFirst()
                .orElse("");
    }

    public boolean running() {
        return progress != null && progress.state() == Taking.State.RUNNING;
    }
}
