package elsom.core.plan;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import elsom.core.read.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The units that doses are kept in, as a factor has them. */
public final class DoseUnits {
    private static final Map<String, UnitOfMeasure> KEPT = Map.of(
            "fraction of stock", UnitOfMeasure.FRACTION,
            "mL/L", UnitOfMeasure.MILLILITRE_PER_LITRE,
            "g/L", UnitOfMeasure.GRAM_PER_LITRE,
            "mg/L", UnitOfMeasure.MILLIGRAM_PER_LITRE,
            "g/m2", UnitOfMeasure.GRAM_PER_SQUARE_METRE,
            "L/m2", UnitOfMeasure.LITRE_PER_SQUARE_METRE,
            "mS/cm at 25 °C", UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE);
    private static final Pattern SPELLED = Pattern.compile("[0-9.,/ ]*(?<unit>\\D.*)?");

    private DoseUnits() {}

    /** The one unit that was typed, where all levels have it; else the one the reader keeps them in. */
    static UnitOfMeasure unit(String kept, List<String> parts) {
        UnitOfMeasure own = KEPT.getOrDefault(kept, UnitOfMeasure.COUNT);
        List<UnitOfMeasure> typed = parts.stream()
                .map(SPELLED::matcher)
                .filter(Matcher::matches)
                .flatMap(part -> Optional.ofNullable(part.group("unit")).stream())
                .flatMap(unit -> UnitOfMeasure.spelled(unit).stream())
                .distinct()
                .toList();
        boolean one = typed.size() == 1 && typed.get(0).dimension() == own.dimension();
        return one ? typed.get(0) : own == UnitOfMeasure.FRACTION ? UnitOfMeasure.PERCENT : own;
    }

    static double in(UnitOfMeasure unit, double dose, String kept) {
        UnitOfMeasure own = KEPT.getOrDefault(kept, unit);
        return own.dimension() == unit.dimension()
                ? Math.round(new Quantity(dose, own).in(unit).value() * 1e9) / 1e9
                : dose;
    }

    /**
     * A label's rate in a factor's unit: of a range the lower end.
     *
     * @throws IllegalArgumentException with what is asked, or what is wrong
     */
    public static double labelRate(String typed, UnitOfMeasure unit) {
        return labelRate(typed, unit, Known.on(LocalDate.EPOCH));
    }

    /** The same, of somebody of whom more is known. */
    public static double labelRate(String typed, UnitOfMeasure unit, Known known) {
        // So much for each unit has no water to be in.
        if (LevelsText.EACH_UNIT.contains(unit.dimension())
                && Typed.parse(typed, unit) instanceof Typed.Understood understood
                && understood.stored().value() > 0) {
            return understood.stored().value();
        }
        boolean bare = typed.strip().matches("[0-9]+(?:[.,][0-9]+)?");
        Read read = Reader.read(Box.LABEL_RATE, bare ? typed.strip() + " " + unit.symbol() : typed, known);
        if (read instanceof Read.Ask ask) {
            throw new IllegalArgumentException(ask.why());
        }
        if (read instanceof Read.Refused refused) {
            throw new IllegalArgumentException(refused.message());
        }
        Read.Value value = (Read.Value) read;
        UnitOfMeasure own = KEPT.getOrDefault(value.unit(), UnitOfMeasure.COUNT);
        if (own.dimension() != unit.dimension()) {
            throw new IllegalArgumentException("the label's rate is in " + value.unit() + ", the levels are in "
                    + unit.symbol() + ": what is the rate in " + unit.symbol() + "?");
        }
        return in(unit, ((Read.Amount) value.meaning()).value(), value.unit());
    }
}
