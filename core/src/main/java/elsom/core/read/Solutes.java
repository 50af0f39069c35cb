package elsom.core.read;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Strengths of what is dissolved: ppm, equivalents and moles need to know of what. */
final class Solutes {
    private static final Set<String> SALT = Set.of("salt", "salts", "tds", "ec");

    private Solutes() {}

    /** Reads what is no plain weight in a volume; empty for what is. */
    static Optional<Read> read(Piece typed) {
        boolean nutrient = typed.box() == Box.NUTRIENT_PPM;
        Optional<Ion> before = Ion.at(typed.tokens(), 0);
        Piece piece = before.isPresent() ? typed.without(1) : typed;
        List<Measured> all = piece.amounts().at(0);
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Measured m = all.get(0);
        if (nutrient && m.bare() && m.range() && piece.has(m.next(), "-")) {
            return Optional.of(new Read.Ask(
                    "“" + piece.plain() + "” is a label's N-P-K, and no strength: how much of it to" + " the litre?"));
        }
        if (m.bare() && !m.range() && m.value() >= 0 && piece.ends(m.next())) {
            return nutrient
                    ? Optional.of(new Read.Ask("“" + piece.plain() + "” has no unit, and of which nutrient is it?"))
                    : Optional.empty();
        }
        Optional<Read> strange = strange(piece, m, before.or(() -> Ion.at(piece.tokens(), m.next())));
        if (strange.isPresent()) {
            return strange;
        }
        return nutrient && !m.bare() ? Optional.of(plain(piece, m, before)) : Optional.empty();
    }

    private static Optional<Read> strange(Piece piece, Measured m, Optional<Ion> ion) {
        Unit unit = m.unit();
        if (unit == null || unit.nature() == Unit.Nature.PLAIN) {
            return Optional.empty();
        }
        if (m.value() < 0) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is below 0, which a strength can't be"));
        }
        return switch (unit.nature()) {
            case PERCENT -> Optional.of(new Read.Ask("“" + piece.plain() + "”: by weight or by volume?"));
            case PPM -> Optional.of(ppm(piece, m, ion));
            case MEQ, MMOL -> Optional.of(moles(piece, m, unit, ion));
            default -> Optional.empty();
        };
    }

    private static Read ppm(Piece piece, Measured m, Optional<Ion> ion) {
        if (piece.tokens().stream().anyMatch(token -> SALT.contains(token.word()))) {
            return new Read.Ask(
                    "ppm of salt depends on the meter's factor: 500, 640 or 700? Type the conductivity, such as "
                            + Read.Amount.figure(m.value() / 500) + " mS/cm by 500.");
        }
        if (ion.isEmpty()) {
            return new Read.Ask("“" + piece.plain()
                    + "”: ppm of what? Of a nutrient it is mg/L; of salt the meter's factor" + " is needed.");
        }
        return checked(piece, m, m.value(), piece.has(m.next()) ? m.next() + 1 : m.next(), ion);
    }

    private static Read moles(Piece piece, Measured m, Unit unit, Optional<Ion> ion) {
        if (!unit.powers().equals(Units.NUMBER.over(Units.VOLUME))) {
            return piece.refused("“" + unit.name() + "” is no strength: in how much water?");
        }
        if (ion.isEmpty()) {
            return new Read.Ask("“" + piece.plain() + "”: of which ion?");
        }
        double milli = m.value() * unit.factor() * 1000;
        double mass = unit.nature() == Unit.Nature.MEQ
                ? milli * ion.get().molar() / ion.get().charge()
                : milli * ion.get().molar();
        return checked(piece, m, mass, m.next() + 1, ion);
    }

    private static Read checked(Piece piece, Measured m, double value, int from, Optional<Ion> ion) {
        if (m.range()) {
            return piece.box() == Box.NUTRIENT_PPM
                    ? new Read.Ask("“" + piece.plain() + "” is a range: which is meant?")
                    : piece.refused("“" + piece.plain() + "” is a range, and no reading");
        }
        if (value < 0) {
            return piece.refused("“" + piece.plain() + "” is below 0, which a strength can't be");
        }
        if (Physical.tooLarge(value)) {
            return piece.refused("“" + piece.plain() + "” is beyond anything measured here");
        }
        int behind = Ion.at(piece.tokens(), m.next()).isPresent() ? m.next() + 1 : Math.min(from, m.next());
        Piece.Left left = piece.left(behind, true);
        if (!left.refuse().isEmpty()) {
            return piece.refused(left.refuse());
        }
        return left.ask().isEmpty()
                ? new Read.Value(new Read.Amount(value), "mg/L")
                        .noted(piece.about(), (ion.map(Ion::symbol).orElse("") + " " + left.note()).strip(), "")
                : new Read.Ask(left.ask());
    }

    /** A nutrient's weight in a volume. */
    private static Read plain(Piece piece, Measured m, Optional<Ion> before) {
        if (!m.is(elsom.core.quantity.Dimension.CONCENTRATION.powers())) {
            return piece.refused("“" + piece.plain() + "” is no strength");
        }
        Optional<Ion> ion = before.or(() -> Ion.at(piece.tokens(), m.next()));
        return ion.isEmpty()
                ? new Read.Ask("“" + piece.plain() + "”: of which nutrient?")
                : checked(piece, m, m.base() * 1e6, m.next(), ion);
    }
}
