package elsom.core.read;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.Powers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** One dose, a label's rate, or a rate on an area: so much in so much. */
final class Doses {
    private static final Powers IN_VOLUME = Dimension.CONCENTRATION.powers();
    private static final Powers ON_AREA = Dimension.MASS_PER_AREA.powers();
    private static final Set<String> NOTHING =
            Set.of("none", "nothing", "nil", "zero", "nought", "untreated", "no", "water", "control", "clean");
    private static final Set<String> OF_A_RATE =
            Set.of("half", "quarter", "double", "full", "twice", "third", "single");
    private static final List<List<String>> CEILINGS = List.of(
            List.of("do", "not", "exceed"),
            List.of("don", "'", "t", "exceed"),
            List.of("never", "exceed"),
            List.of("never", "above"),
            List.of("never", "more", "than"),
            List.of("no", "more", "than"),
            List.of("not", "more", "than"),
            List.of("not", "above"),
            List.of("not", "over"),
            List.of("at", "most"),
            List.of("up", "to"),
            List.of("maximum", "of"),
            List.of("max", "."),
            List.of("maximum"),
            List.of("max"));

    private Doses() {}

    static Read read(Piece typed) {
        Piece piece = typed;
        boolean label = piece.box() == Box.LABEL_RATE;
        boolean plan = piece.box() == Box.DOSE_LEVEL;
        for (List<String> words : CEILINGS) {
            if (!plan && piece.has(0, words.toArray(String[]::new))) {
                piece = piece.without(words.size());
                break;
            }
        }
        if (plan
                && piece.tokens().size() == 1
                && NOTHING.contains(piece.tokens().get(0).word())) {
            return new Read.Value(new Read.Amount(0), Units.NO_UNIT);
        }
        if (piece.has(0, "at", "least") || piece.has(0, "min") || piece.has(0, "minimum")) {
            return new Read.Ask("“" + piece.plain() + "” is a least rate: what is the most?");
        }
        if (ofARate(piece)) {
            return new Read.Ask("“" + piece.plain() + "”: of which rate? Type the amount.");
        }
        if (plan || label) {
            Optional<Read> ratio = Ratios.ratio(piece);
            if (ratio.isPresent()) {
                return ratio.get() instanceof Read.Value value ? checked(piece, value) : ratio.get();
            }
        }
        List<Measured> all = piece.amounts().at(0);
        return all.isEmpty() ? piece.refused("There is no amount in “" + piece.plain() + "”") : meant(piece, all);
    }

    private static boolean ofARate(Piece piece) {
        List<Token> tokens = piece.tokens();
        boolean first = !tokens.isEmpty() && OF_A_RATE.contains(tokens.get(0).word());
        return first
                && tokens.stream()
                        .skip(1)
                        .allMatch(t -> t.is("rate")
                                || t.is("the")
                                || t.is("label")
                                || t.is("strength")
                                || t.is("dose")
                                || t.is("of")
                                || t.is("-")
                                || t.is("'")
                                || t.is("s"));
    }

    private static Read meant(Piece piece, List<Measured> all) {
        Measured first = all.get(0);
        if (first.value() < 0) {
            return piece.refused("“" + piece.plain() + "” is below 0, which no rate can be");
        }
        if (!first.own().isEmpty()) {
            return Physical.own(piece, first.own());
        }
        if (piece.has(first.next(), "±")) {
            return new Read.Ask("“" + piece.plain() + "” has a spread: which amount is meant?");
        }
        if (first.range() && (piece.box() == Box.DOSE_LEVEL || first.either())) {
            return new Read.Ask("“" + piece.plain() + "” is a range: which amount is meant?");
        }
        if (first.bare()) {
            return bare(piece, first);
        }
        if (first.is(Unit.Nature.PPM) && piece.box() != Box.AREA_RATE) {
            return ppm(piece, first);
        }
        return united(piece, all);
    }

    private static Read bare(Piece piece, Measured first) {
        if (first.value() == 0 && piece.box() == Box.DOSE_LEVEL && piece.ends(first.next())) {
            return new Read.Value(new Read.Amount(0), Units.NO_UNIT);
        }
        Piece.Left left = piece.left(first.next(), false);
        if (!left.refuse().isEmpty()) {
            return piece.refused(left.refuse());
        }
        if (first.value() == 0 && piece.box() != Box.DOSE_LEVEL) {
            return piece.refused("A rate of nothing is no rate");
        }
        String text = Read.Amount.figure(first.value());
        return new Read.Ask(
                "“" + piece.plain() + "” has no unit:",
                piece.box() == Box.AREA_RATE
                        ? List.of(text + " g/m2", text + " L/m2")
                        : List.of(text + " mL/L", text + " g/L", text + " %"));
    }

    private static Read ppm(Piece piece, Measured m) {
        Optional<Ion> ion = Ion.at(piece.tokens(), m.next());
        if (ion.isEmpty()) {
            return piece.box() == Box.LABEL_RATE
                    ? new Read.Ask("“" + piece.plain() + "”: ppm of which nutrient? It is mg/L of that.")
                    : Salinity.scaled(piece, m).orElseGet(() -> ofSaltOrNutrient(piece, m));
        }
        return piece.ends(m.next() + 1)
                ? checked(
                        piece,
                        new Read.Value(new Read.Amount(m.value()), "mg/L")
                                .noted(false, ion.get().symbol(), ""))
                : piece.refused("“" + piece.plain() + "” can't be read");
    }

    private static Read ofSaltOrNutrient(Piece piece, Measured m) {
        return new Read.Ask(
                "“" + piece.plain()
                        + "”: ppm of salt, and by which factor of the meter, or of which nutrient (which is mg/L)?",
                Stream.concat(Salinity.scales(m).stream(), Stream.of(Read.Amount.figure(m.value()) + " mg/L"))
                        .toList());
    }

    private static Read united(Piece piece, List<Measured> all) {
        List<Measured> fitting = fitting(piece.box(), all);
        if (fitting.isEmpty()) {
            return unfit(piece, all.get(0));
        }
        List<Read.Value> values = new ArrayList<>();
        List<String> readings = new ArrayList<>();
        for (Measured m : fitting) {
            values.add(value(m).noted(piece.about(), "", m.kitchen() ? kitchen(m) : ""));
            readings.add(Physical.text(m));
        }
        Read read = Reader.oneOf(piece, values, readings);
        if (!(read instanceof Read.Value value)) {
            return read;
        }
        Read bounded = checked(piece, value);
        return bounded instanceof Read.Value within ? Physical.noted(piece, fitting.get(0), within) : bounded;
    }

    private static String kitchen(Measured m) {
        return m.unit() == null ? "" : "US spoons, cups and gallons, and 20 drops to 1 mL";
    }

    private static List<Measured> fitting(Box box, List<Measured> all) {
        List<Measured> fitting =
                all.stream().filter(m -> m.unit() != null && fits(box, m)).toList();
        List<Measured> oneCountry =
                fitting.stream().filter(m -> !mixed(m.unit())).toList();
        fitting = oneCountry.isEmpty() ? fitting : oneCountry;
        boolean weighed = fitting.stream().anyMatch(m -> m.is(ON_AREA));
        return weighed ? fitting.stream().filter(m -> m.is(ON_AREA)).toList() : fitting;
    }

    /** Nobody doses US fluid ounces by the imperial gallon, unless that is what was typed. */
    private static boolean mixed(@Nullable Unit unit) {
        return unit != null && unit.name().contains("US ") && unit.name().contains("imp ");
    }

    private static boolean fits(Box box, Measured m) {
        boolean onArea = m.is(ON_AREA) || m.is(Units.LENGTH);
        return switch (box) {
            case AREA_RATE -> onArea;
            case LABEL_RATE -> m.is(Powers.NONE) || m.is(IN_VOLUME) || onArea || m.is(Unit.Nature.PERCENT);
            default ->
                m.is(Powers.NONE)
                        || m.is(IN_VOLUME)
                        || onArea
                        || m.is(Unit.Nature.PERCENT)
                        || m.is(Unit.Nature.CONDUCTIVITY);
        };
    }

    private static Read unfit(Piece piece, Measured first) {
        if (first.is(Units.MASS) || first.is(Units.VOLUME)) {
            return new Read.Ask("“" + piece.plain() + "”: in how much, or on what area? Type it as "
                    + (piece.box() == Box.AREA_RATE ? "60 g/m²" : "5 mL/L or 2 g in 10 L") + ".");
        }
        return piece.refused("“" + piece.plain() + "” is no rate");
    }

    private static Read.Value value(Measured m) {
        if (m.is(Unit.Nature.PERCENT)) {
            return new Read.Value(new Read.Amount(m.base()), Units.OF_STOCK);
        }
        if (m.is(Unit.Nature.CONDUCTIVITY)) {
            return new Read.Value(new Read.Amount(m.base()), "mS/cm at 25 °C");
        }
        if (m.is(Powers.NONE)) {
            return new Read.Value(new Read.Amount(1000 * m.base()), "mL/L");
        }
        if (m.is(IN_VOLUME)) {
            return new Read.Value(new Read.Amount(1000 * m.base()), "g/L");
        }
        return m.is(ON_AREA)
                ? new Read.Value(new Read.Amount(1e4 * m.base()), "g/m2")
                : new Read.Value(new Read.Amount(10 * m.base()), "L/m2");
    }

    private static Read checked(Piece piece, Read.Value value) {
        double amount = value.meaning() instanceof Read.Amount one ? one.value() : 0;
        boolean whole = (value.unit().equals(Units.OF_STOCK) && amount > 1)
                || (value.unit().equals("mL/L") && amount > 1000);
        if (whole) {
            return piece.refused("“" + piece.plain() + "” is more than the whole");
        }
        if (Physical.tooLarge(amount)) {
            return piece.refused("“" + piece.plain() + "” is beyond any rate");
        }
        if (amount == 0 && piece.box() != Box.DOSE_LEVEL) {
            return piece.refused("A rate of nothing is no rate");
        }
        return value;
    }
}
