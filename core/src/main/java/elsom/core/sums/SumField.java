package elsom.core.sums;

import elsom.core.quantity.UnitOfMeasure;
import java.util.List;

/**
 * A blank in a sum.
 *
 * @param code in addresses and files
 * @param kind what may be written in it
 * @param unit of a quantity; what a bare number means
 * @param lowest and {@code highest}: what a quantity can be, in its unit
 * @param example something that would be accepted, and what the blank holds at first
 * @param options of a choice
 * @param optional whether it may stay empty
 */
public record SumField(
        String code,
        String label,
        Kind kind,
        UnitOfMeasure unit,
        double lowest,
        double highest,
        String example,
        List<Option> options,
        boolean optional) {
    /** What a blank takes. */
    public enum Kind {
        QUANTITY,
        CHOICE,
        TEXT
    }

    /** One of several to choose from. */
    public record Option(String code, String label) {}

    public SumField {
        options = List.copyOf(options);
    }

    public static SumField quantity(
            String code, String label, UnitOfMeasure unit, double lowest, double highest, String example) {
        return new SumField(code, label, Kind.QUANTITY, unit, lowest, highest, example, List.of(), false);
    }

    public static SumField choice(String code, String label, String first, List<Option> options) {
        return new SumField(code, label, Kind.CHOICE, UnitOfMeasure.COUNT, 0, 0, first, options, false);
    }

    public static SumField text(String code, String label, String example) {
        return new SumField(code, label, Kind.TEXT, UnitOfMeasure.COUNT, 0, 0, example, List.of(), false);
    }

    /** The same, which may stay empty and is empty at first. */
    public SumField orNone() {
        return new SumField(code, label, kind, unit, lowest, highest, example, options, true);
    }
}
