package elsom.web.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A table of a data package: a CSV file and what its columns hold. */
public record PackageTable(String name, List<Column> columns) {
    /**
     * A column.
     *
     * @param type by the Table Schema standard
     * @param optional whether a file without it can be read
     */
    public record Column(String name, String type, boolean optional) {}

    public PackageTable {
        columns = List.copyOf(columns);
    }

    /**
     * A table by its columns in words.
     *
     * @param columns such as "unit:string look:integer note:string?", with a mark behind those that came later
     */
    public static PackageTable of(String name, String columns) {
        return new PackageTable(
                name,
                Arrays.stream(columns.split(" "))
                        .map(column -> column.split(":"))
                        .map(parts -> new Column(parts[0], parts[1].replace("?", ""), parts[1].endsWith("?")))
                        .toList());
    }

    public String path() {
        return name + ".csv";
    }

    List<String> columnNames() {
        return columns.stream().map(Column::name).toList();
    }

    /** Columns without which a file can't be read; the others came later. */
    List<String> requiredNames() {
        return columns.stream()
                .filter(column -> !column.optional())
                .map(Column::name)
                .toList();
    }

    /** A row in which some cells stay empty. */
    public static List<?> cells(@Nullable Object... values) {
        List<Object> cells = new ArrayList<>();
        for (@Nullable Object value : values) {
            cells.add(value == null ? "" : value);
        }
        return cells;
    }
}
