package elsom.core.section;

import elsom.core.figure.FigureKind;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * A column of a table whose rows are of type {@code R}.
 *
 * @param heading what it is called, in which unit
 * @param getter what stands in it
 */
public record Column<R>(Heading heading, Function<R, Cell> getter) {
    /**
     * What stands above a column.
     *
     * @param note a technical term, or what else a reader needs; may be empty
     * @param unit of all its cells; empty when cells name theirs, or have none
     * @param number whether it is set to the right
     */
    public record Heading(String name, String note, String unit, boolean number) {}

    public static <R> Column<R> words(String name, Function<R, String> getter) {
        return new Column<>(new Heading(name, "", "", false), row -> Cell.words(getter.apply(row)));
    }

    public static <R> Column<R> cells(String name, Function<R, Cell> getter) {
        return new Column<>(new Heading(name, "", "", false), getter);
    }

    /** Of numbers that name their unit, or have none. */
    public static <R> Column<R> numbers(String name, Function<R, Cell> getter) {
        return new Column<>(new Heading(name, "", "", true), getter);
    }

    /** Of numbers of one unit, which stands in the heading. */
    public static <R> Column<R> numbers(String name, String note, String unit, Function<R, Cell> getter) {
        return new Column<>(new Heading(name, note, unit, true), getter);
    }

    /** Of values of a kind, each with its unit and as many digits as that kind has. */
    public static <R> Column<R> values(String name, FigureKind kind, ToDoubleFunction<R> getter) {
        return numbers(name, row -> Cell.shown(kind, getter.applyAsDouble(row)));
    }
}
