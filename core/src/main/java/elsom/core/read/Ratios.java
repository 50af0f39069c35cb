package elsom.core.read;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How much stock there is in what is poured out. */
final class Ratios {
    private static final Set<String> NEAT = Set.of("neat", "undiluted", "pure", "straight", "unmixed");
    private static final Pattern FOLD =
            Pattern.compile("(?:diluted )?([0-9]+(?:[.,][0-9]+)?)(?: ?-? ?fold|x| times)(?: dilut(?:ion|ed))?");
    private static final Pattern STRENGTH =
            Pattern.compile("(?:half|quarter|third|full|double|[0-9/]+)[ -]?(?:strength|rate)");
    private static final Pattern TWO =
            Pattern.compile("(.+?)(?: to | and | with |, ?| ?\\+ ?|: ?)(?=[0-9]|a |an |one |two |three |half )(.+)");
    private static final Pattern SIDE = Pattern.compile("(.+?)(?: parts?)?(?: of)? (\\p{L}[\\p{L} '-]*)");
    private static final Pattern WATER = Pattern.compile(".*\\b(?:water|rainwater|diluent|tap)\\b.*");

    private Ratios() {}

    static Read read(Piece piece) {
        String text = piece.plain().toLowerCase(Locale.ROOT);
        if (STRENGTH.matcher(text).matches()) {
            return new Read.Ask("“" + piece.plain() + "”: of the stock, or of the label's rate? Type it as a share.");
        }
        Matcher fold = FOLD.matcher(text);
        if (fold.matches()) {
            double times = Double.parseDouble(fold.group(1).replace(',', '.'));
            return times >= 1
                    ? share(piece, 1 / times)
                    : piece.refused("“" + piece.plain() + "” is more than the whole");
        }
        Optional<Read> ratio = ratio(piece);
        if (ratio.isPresent()) {
            return ratio.get();
        }
        List<Measured> all = piece.amounts().at(0);
        if (all.isEmpty()) {
            return piece.refused("There are no parts in “" + piece.plain() + "”");
        }
        return amount(piece, all);
    }

    private static Read share(Piece piece, double share) {
        return new Read.Value(new Read.Amount(share), Units.OF_STOCK).noted(piece.about(), "", "");
    }

    /** What is a ratio in any box: "1 in 50", "1:50", "1 part stock to 9 parts water". */
    static Optional<Read> ratio(Piece piece) {
        if (NEAT.contains(piece.plain().toLowerCase(Locale.ROOT))) {
            return Optional.of(share(piece, 1));
        }
        Optional<Read> poured = poured(piece);
        if (poured.isPresent()) {
            return poured;
        }
        Optional<Read> named = named(piece);
        return named.isPresent() ? named : bare(piece);
    }

    /** Two numbers with a sign between them, and nothing else. */
    private static Optional<Read> bare(Piece piece) {
        List<Token> tokens = piece.tokens();
        boolean below = piece.has(0, "-");
        int start = below ? 1 : 0;
        if (start >= tokens.size()) {
            return Optional.empty();
        }
        boolean slashed = tokens.size() == start + 3
                && tokens.get(start).isNumber()
                && piece.has(start + 1, "/")
                && tokens.get(start + 2).isNumber();
        Optional<NumberAt> first = slashed
                ? Optional.of(new NumberAt(tokens.get(start).value(), start + 1, false))
                : NumberAt.of(tokens, start);
        if (first.isEmpty() || first.get().next() >= tokens.size()) {
            return Optional.empty();
        }
        int at = first.get().next();
        String sign = tokens.get(at).word();
        Optional<NumberAt> second =
                Set.of(":", "to", "in", "/", "+").contains(sign) ? NumberAt.of(tokens, at + 1) : Optional.empty();
        if (second.isEmpty() || second.get().next() < tokens.size()) {
            return Optional.empty();
        }
        return Optional.of(parts(
                piece,
                below ? -first.get().value() : first.get().value(),
                sign,
                second.get().value()));
    }

    private static Read parts(Piece piece, double first, String sign, double second) {
        if (first < 0) {
            return piece.refused("Parts can't be below 0");
        }
        if (second == 0 && (first == 0 || sign.equals("in"))) {
            return piece.refused("There are no parts in “" + piece.plain() + "”");
        }
        if (sign.equals("in")) {
            return first <= second
                    ? share(piece, first / second)
                    : piece.refused("“" + piece.plain() + "” is more than the whole");
        }
        if (first == second) {
            return share(piece, 0.5);
        }
        String a = Read.Amount.figure(first);
        String b = Read.Amount.figure(second);
        String small = Read.Amount.figure(Math.min(first, second));
        String large = Read.Amount.figure(Math.max(first, second));
        return new Read.Ask(
                "“" + piece.plain() + "”: which part is the stock, and is it in the other or beside it?",
                List.of(
                        parts(a) + " stock to " + parts(b) + " water",
                        small + " in " + large,
                        parts(b) + " stock to " + parts(a) + " water"));
    }

    private static String parts(String number) {
        return number + (number.equals("1") ? " part" : " parts");
    }

    /** "100 mL made up to 1 L", "100 mL added to 1 L of water". */
    private static Optional<Read> poured(Piece piece) {
        for (Measured first : piece.amounts().at(0)) {
            int at = first.next();
            boolean madeUp = piece.has(at, "made", "up", "to") || piece.has(at, "topped", "up", "to");
            boolean added = piece.has(at, "added", "to");
            if (!first.is(Units.VOLUME) || !(madeUp || added)) {
                continue;
            }
            for (Measured second : piece.amounts().at(at + (madeUp ? 3 : 2))) {
                if (!second.is(Units.VOLUME)) {
                    continue;
                }
                double whole = madeUp ? second.base() : first.base() + second.base();
                return Optional.of(
                        first.base() >= 0 && whole > 0 && first.base() <= whole
                                ? share(piece, first.base() / whole)
                                : piece.refused("“" + piece.plain() + "” is more than the whole"));
            }
        }
        return Optional.empty();
    }

    private record Side(double amount, boolean water, boolean parts) {}

    /** Two sides, each with what it is of. */
    private static Optional<Read> named(Piece piece) {
        Matcher two = TWO.matcher(piece.plain().toLowerCase(Locale.ROOT));
        if (!two.matches()) {
            return Optional.empty();
        }
        Optional<Side> one = side(piece, two.group(1));
        Optional<Side> other = side(piece, two.group(2));
        if (one.isEmpty()
                || other.isEmpty()
                || one.get().water() == other.get().water()
                || one.get().parts() != other.get().parts()) {
            return Optional.empty();
        }
        double stock = one.get().water() ? other.get().amount() : one.get().amount();
        double whole = one.get().amount() + other.get().amount();
        return Optional.of(
                stock >= 0 && whole > 0 && stock <= whole
                        ? share(piece, stock / whole)
                        : piece.refused("Parts can't be below 0, nor all nothing"));
    }

    private static Optional<Side> side(Piece piece, String text) {
        Matcher side = SIDE.matcher(text.strip());
        if (!side.matches()) {
            return Optional.empty();
        }
        String name = side.group(2);
        List<Token> tokens = Token.of(side.group(1), true);
        List<Measured> all = new AmountAt(tokens, piece.known())
                .at(0).stream()
                        .filter(m -> m.next() == tokens.size() && !m.range() && (m.bare() || m.is(Units.VOLUME)))
                        .toList();
        boolean two = all.stream().mapToDouble(Measured::base).distinct().count() > 1;
        return all.isEmpty() || two
                ? Optional.empty()
                : Optional.of(new Side(
                        all.get(0).base(),
                        WATER.matcher(name).matches(),
                        all.get(0).bare()));
    }

    private static Read amount(Piece piece, List<Measured> all) {
        Measured m = all.get(0);
        if (!m.own().isEmpty()) {
            return new Read.Ask("How much is “" + piece.plain() + "”?");
        }
        if (m.value() < 0) {
            return piece.refused("Parts can't be below 0");
        }
        if (m.is(Unit.Nature.PERCENT) && !m.range()) {
            return m.base() <= 1
                    ? Physical.noted(piece, m, share(piece, m.base()))
                    : piece.refused("“" + piece.plain() + "” is more than the whole");
        }
        if (m.unit() != null && !m.is(Unit.Nature.PERCENT)) {
            return new Read.Ask(
                    "“" + piece.plain() + "”: of the stock, or of what it holds; made up to that much, or added to"
                            + " it? Type it as “5 mL made up to 1 L”.");
        }
        return new Read.Ask("“" + piece.plain() + "”: which share is stock? Type it as "
                + piece.box().example() + ".");
    }
}
