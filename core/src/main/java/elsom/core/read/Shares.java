package elsom.core.read;

import elsom.core.quantity.Powers;
import java.util.List;
import java.util.Optional;

/** A part of a whole: in percent, as a fraction, or as so many in so many. */
final class Shares {
    private Shares() {}

    static Read read(Piece piece) {
        Optional<Read> counted = outOf(piece);
        if (counted.isPresent()) {
            return counted.get();
        }
        List<Measured> all = piece.amounts().at(0);
        if (all.isEmpty()) {
            return piece.refused("There is no number in “" + piece.plain() + "”");
        }
        Measured m = all.get(0);
        if (!m.own().isEmpty()) {
            return Physical.own(piece, m.own());
        }
        if (m.value() < 0) {
            return piece.refused("A share can't be below 0, and “" + piece.plain() + "” is");
        }
        if (m.range()) {
            return new Read.Ask("“" + piece.plain() + "” is a range: which share is meant?");
        }
        if (piece.has(m.next(), "±")) {
            return new Read.Ask("“" + piece.plain() + "” has a spread: which share is meant?");
        }
        if (m.unit() != null && !m.is(Unit.Nature.PERCENT) && !m.is(Powers.NONE)) {
            return piece.refused("“" + piece.plain() + "” is no share");
        }
        boolean fraction = m.unit() == null && (m.worded() || (m.next() > 1 && !piece.has(0, "+")));
        double share = m.base();
        if (m.unit() == null && m.own().isEmpty() && (piece.has(m.next(), ":") || piece.has(m.next(), "to"))) {
            return Ratios.ratio(piece).orElseGet(() -> piece.refused("“" + piece.plain() + "” is no share"));
        }
        if (m.unit() == null && !fraction) {
            return bare(piece, m);
        }
        return checked(piece, m, share);
    }

    private static Read bare(Piece piece, Measured m) {
        if (m.value() == 0) {
            return checked(piece, m, 0);
        }
        Piece.Left left = piece.left(m.next(), false);
        if (!left.refuse().isEmpty()) {
            return piece.refused(left.refuse());
        }
        if (m.value() > 100) {
            return piece.refused("“" + piece.plain() + "” is more than the whole, in parts or in %");
        }
        String text = Read.Amount.figure(m.value());
        return new Read.Ask(
                "“" + piece.plain() + "” has no unit:",
                m.value() <= 1
                        ? List.of(text + " %", Read.Amount.figure(100 * m.value()) + " %")
                        : List.of(text + " %"));
    }

    private static Read checked(Piece piece, Measured m, double share) {
        if (!(share <= 1 + 1e-12)) {
            return piece.refused("“" + piece.plain() + "” is more than the whole");
        }
        return Physical.noted(piece, m, new Read.Value(new Read.Amount(share), Units.FRACTION));
    }

    /** "3 in 4", "3 out of 4". */
    private static Optional<Read> outOf(Piece piece) {
        Optional<NumberAt> first = NumberAt.of(piece.tokens(), 0);
        if (first.isEmpty()) {
            return Optional.empty();
        }
        int at = first.get().next();
        int joint = piece.has(at, "out", "of") ? 2 : piece.has(at, "in") || piece.has(at, "of") ? 1 : 0;
        Optional<NumberAt> second = joint == 0 ? Optional.empty() : NumberAt.of(piece.tokens(), at + joint);
        if (second.isEmpty() || second.get().next() < piece.tokens().size()) {
            return Optional.empty();
        }
        double share = first.get().value() / second.get().value();
        return Optional.of(
                second.get().value() > 0 && share <= 1
                        ? new Read.Value(new Read.Amount(share), Units.FRACTION).noted(piece.about(), "", "")
                        : piece.refused("“" + piece.plain() + "” is more than the whole"));
    }
}
