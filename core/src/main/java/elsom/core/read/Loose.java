package elsom.core.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Boxes whose unit is anybody's: seed, limits, and whatever no list has. */
final class Loose {
    private static final Set<String> SEEDS = Set.of("seeds", "seed", "grains", "kernels", "pellets", "corms", "bulbs");
    private static final Set<String> VAGUE =
            Set.of("few", "several", "some", "many", "couple", "lots", "plenty", "handful", "bit", "little", "dozens");
    private static final Pattern SIGN = Pattern.compile(
            "(<|less than|below|under|bdl|b\\.d\\.l\\.?|lod|nd|n\\.d\\.|not detected)\\s*=?\\s*\\(?\\s*<?\\s*|(>|more than|above|over)\\s*=?\\s*");
    private static final Pattern UNSAID =
            Pattern.compile("(?:below (?:the )?detection(?: limit)?|not detected|n\\.?d\\.?|bdl|trace|traces|<? ?lod)");
    private static final Pattern UNIT = Pattern.compile("[\\p{L}\\p{Sc}°%][\\p{L}\\p{M}0-9°%/·. ^-]{0,40}");
    private static final Pattern SUMMARY = Pattern.compile(
            "(-?[0-9]*[.,]?[0-9]+) ?± ?([0-9]*[.,]?[0-9]+) ?([\\p{L}°%/0-9]*?)(?:[,;(]? ?\\(?n ?=? ?([0-9]{1,4})\\)?)?");
    private static final Pattern PRICE = Pattern.compile(
            "([£$€¥])? ?([0-9]+(?:[.,][0-9]{1,2})?) ?([£$€¥])? for (?:a |an |one )?(.+?)(?: pack| packet| bag| tub| box| sachet)?");
    private static final Pattern PACK_AT = Pattern.compile(
            "(.+?) (?:pack|packet|bag|tub|box|sachet) (?:at|for) ([£$€¥])? ?([0-9]+(?:[.,][0-9]{1,2})?)");
    private static final double MOST = 1e9;

    private Loose() {}

    static Read seed(Piece piece) {
        List<Measured> all = piece.amounts().at(0);
        if (all.isEmpty()) {
            return new Read.Ask("How many, or how much, is “" + piece.plain() + "”?");
        }
        Measured first = all.get(0);
        if (first.value() < 0) {
            return piece.refused("An amount of seed can't be below 0, and “" + piece.plain() + "” is");
        }
        if (first.range()) {
            return new Read.Ask("“" + piece.plain() + "” is a range: which is meant?");
        }
        if (piece.has(first.next(), "±")) {
            return new Read.Ask("“" + piece.plain() + "” has a spread: which is meant?");
        }
        if (first.unit() == null && !first.own().isEmpty()) {
            return Physical.own(piece, first.own());
        }
        return first.bare() ? counted(piece, first) : united(piece, all);
    }

    private static Read counted(Piece piece, Measured m) {
        int at = m.next();
        boolean named = at < piece.tokens().size()
                && SEEDS.contains(piece.tokens().get(at).word());
        boolean each = piece.has(at, "per") || piece.has(at, "a") || piece.has(at, "to", "a") || piece.has(at, "each");
        boolean dozen = piece.anywhere("dozen");
        if (!named && !each && !dozen) {
            String text = Read.Amount.figure(m.value());
            Piece.Left left = piece.left(at, false);
            return left.refuse().isEmpty()
                    ? new Read.Ask("“" + piece.plain() + "” has no unit:", List.of(text + " seeds", text + " g"))
                    : piece.refused(left.refuse());
        }
        if (m.value() != Math.rint(m.value())) {
            return piece.refused("Seeds are whole, and “" + piece.plain() + "” is not");
        }
        if (m.value() > MOST) {
            return piece.refused("“" + piece.plain() + "” is more than can be sown");
        }
        String note = named
                ? piece.words(at + 1, piece.tokens().size())
                : piece.words(at, piece.tokens().size());
        boolean more =
                piece.tokens().subList(at, piece.tokens().size()).stream().anyMatch(Token::isNumber);
        return more
                ? new Read.Ask("“" + piece.plain() + "” holds two numbers: which is meant?")
                : new Read.Value(new Read.Amount(m.value()), "seeds").noted(piece.about(), note, "");
    }

    private static Read united(Piece piece, List<Measured> all) {
        List<Measured> weighed = all.stream().filter(m -> m.is(Units.MASS)).toList();
        List<Measured> fitting = weighed.isEmpty()
                ? all.stream()
                        .filter(m -> m.is(Units.VOLUME) || m.is(Unit.Nature.COUNT))
                        .toList()
                : weighed;
        if (fitting.isEmpty()) {
            return piece.refused("“" + piece.plain() + "” is no amount of seed");
        }
        List<Read.Value> values = new ArrayList<>();
        List<String> readings = new ArrayList<>();
        for (Measured m : fitting) {
            boolean count = m.is(Unit.Nature.COUNT);
            if (count && m.value() != Math.rint(m.value())) {
                return piece.refused("Seeds are whole, and “" + piece.plain() + "” is not");
            }
            if (Physical.tooLarge(m.base())) {
                return piece.refused("“" + piece.plain() + "” is more than can be sown");
            }
            String unit = count ? "seeds" : m.is(Units.MASS) ? "g" : "mL";
            values.add(new Read.Value(new Read.Amount(m.base()), unit)
                    .noted(
                            piece.about(),
                            m.own().isEmpty() ? "" : "per " + m.own(),
                            m.kitchen() ? Physical.measure(m) : ""));
            readings.add(Physical.text(m));
        }
        return Physical.noted(piece, fitting.get(0), Reader.oneOf(piece, values, readings));
    }

    static Read limit(Piece piece) {
        String text = piece.plain();
        String lower = text.toLowerCase(Locale.ROOT);
        if (UNSAID.matcher(lower).matches()) {
            return new Read.Ask("“" + text + "”: below which limit, or was it not done? Type the limit as <1 mg/L.");
        }
        Matcher sign = SIGN.matcher(lower);
        boolean signed = sign.lookingAt();
        boolean below = signed && sign.group(1) != null;
        String rest = signed ? text.substring(sign.end()).strip() : text;
        rest = rest.endsWith(")") && !rest.contains("(")
                ? rest.substring(0, rest.length() - 1).strip()
                : rest;
        if (rest.contains(">") || rest.contains("<")) {
            return piece.refused("“" + text + "”: below or above?");
        }
        List<Token> tokens = Token.of(rest, true);
        boolean negative = !tokens.isEmpty() && tokens.get(0).is("-");
        if (negative && tokens.size() > 1 && tokens.get(1).isNumber()) {
            return piece.refused("A limit can't be below 0, and “" + text + "” is");
        }
        if (tokens.isEmpty() || !tokens.get(0).isNumber()) {
            return piece.refused("There is no number in “" + text + "”");
        }
        return limited(piece, tokens, rest, signed, below);
    }

    private static Read limited(Piece piece, List<Token> tokens, String rest, boolean signed, boolean below) {
        Token number = tokens.get(0);
        double value = Double.isNaN(number.other())
                ? number.value()
                : piece.tokens().stream()
                        .filter(Token::isNumber)
                        .findFirst()
                        .orElse(number)
                        .value();
        String unit = rest.substring(number.end()).strip();
        if (unit.isEmpty()) {
            String text = (signed ? below ? "<" : ">" : "") + Read.Amount.figure(value);
            return new Read.Ask("“" + piece.plain() + "” has no unit:", List.of(text + " mg/L"));
        }
        if (!UNIT.matcher(unit).matches() || value > MOST) {
            return piece.refused("“" + piece.plain() + "” can't be read");
        }
        String known = Units.at(Token.of(unit, true), 0).meanings().stream()
                .findFirst()
                .map(Unit::name)
                .orElse(unit);
        String said = Units.at(Token.of(unit, true), 0).length()
                        == Token.of(unit, true).size()
                ? known
                : unit;
        return new Read.Value(signed ? new Read.Limit(below, value) : new Read.Amount(value), said)
                .noted(piece.about(), "", "");
    }

    static Read free(Piece piece) {
        String text = piece.plain();
        Optional<Read> price = price(piece);
        if (price.isPresent()) {
            return price.get();
        }
        Matcher summary = SUMMARY.matcher(text);
        if (text.contains("±")) {
            return summary.matches() && summary.group(4) != null && plain(summary.group(1)) && plain(summary.group(2))
                    ? new Read.Value(
                            new Read.Summarised(
                                    number(summary.group(1)),
                                    number(summary.group(2)),
                                    Integer.parseInt(summary.group(4))),
                            summary.group(3))
                    : new Read.Ask(
                            "“" + text + "”: of how many is it the mean, and is the spread a standard deviation?");
        }
        if (piece.tokens().stream().anyMatch(t -> VAGUE.contains(t.word()))
                && piece.tokens().stream().noneMatch(Token::isNumber)) {
            return new Read.Ask("How many is “" + text + "”?");
        }
        return numbers(piece);
    }

    private static boolean plain(String number) {
        return number.matches("-?[0-9]*[.,]?[0-9]+");
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    /** What a gram, a seed or a piece costs. */
    private static Optional<Read> price(Piece piece) {
        Matcher sold = PRICE.matcher(piece.plain());
        Matcher pack = PACK_AT.matcher(piece.plain());
        String money;
        String pay;
        String what;
        if (sold.matches()) {
            money = Optional.ofNullable(sold.group(1))
                    .or(() -> Optional.ofNullable(sold.group(3)))
                    .orElse("");
            pay = sold.group(2);
            what = sold.group(4);
        } else if (pack.matches()) {
            money = Optional.ofNullable(pack.group(2)).orElse("");
            pay = pack.group(3);
            what = pack.group(1);
        } else {
            return Optional.empty();
        }
        List<Token> tokens = Token.of(what, true);
        List<Measured> all = new AmountAt(tokens, piece.known()).at(0);
        if (all.size() != 1
                || !(all.get(0).value() > 0)
                || all.get(0).range()
                || named(tokens, all.get(0)).isEmpty()) {
            return Optional.empty();
        }
        String of = named(tokens, all.get(0)).orElse("piece");
        double each = number(pay) / all.get(0).value();
        return Optional.of(new Read.Value(new Read.Amount(each), money.isEmpty() ? "per " + of : money + "/" + of));
    }

    /** What so many are of: a unit, or whatever is named; empty where something else stands there. */
    private static Optional<String> named(List<Token> tokens, Measured many) {
        List<Token> rest = tokens.subList(many.next(), tokens.size());
        Unit unit = many.unit();
        if (unit != null) {
            return rest.isEmpty() ? Optional.of(unit.name()) : Optional.empty();
        }
        return rest.size() > 2 || !rest.stream().allMatch(Token::isWord)
                ? Optional.empty()
                : Optional.of(
                        rest.isEmpty()
                                ? many.own().isEmpty() ? "piece" : many.own()
                                : rest.get(rest.size() - 1).word().replaceAll("(?<=..)s$", ""));
    }

    private static Read numbers(Piece piece) {
        List<Token> tokens = piece.tokens();
        String text = piece.plain();
        List<Token> all = tokens.stream().filter(Token::isNumber).toList();
        Optional<NumberAt> worded = all.isEmpty() ? NumberAt.of(tokens, 0) : Optional.empty();
        if (worded.isPresent() && !piece.has(0, "a") && !piece.has(0, "an")) {
            return one(piece, worded.get().value(), worded.get().next());
        }
        if (all.isEmpty()) {
            return piece.refused("There is no number in “" + text + "”");
        }
        if (tokens.stream().anyMatch(t -> t.kind() == Token.Kind.BROKEN)) {
            return piece.refused("Two decimal marks in “" + text + "”");
        }
        int from = piece.has(0, "-") || piece.has(0, "+") ? 1 : 0;
        Optional<NumberAt> first = NumberAt.of(tokens, from);
        if (first.isEmpty()) {
            return piece.refused("“" + text + "” does not begin with a number");
        }
        int at = first.get().next();
        boolean more = tokens.subList(at, tokens.size()).stream().anyMatch(Token::isNumber);
        boolean joint = piece.has(at, "or") || piece.has(at, "-") || piece.has(at, "to");
        if (more && joint && NumberAt.of(tokens, at + 1).isPresent()) {
            return new Read.Ask("“" + text + "”: which of the two?");
        }
        double sign = piece.has(0, "-") ? -1 : 1;
        boolean unitDigits = UNIT.matcher(piece.words(at, tokens.size())).matches();
        return more && !unitDigits
                ? several(piece)
                : one(piece, sign * first.get().value(), at);
    }

    private static Read one(Piece piece, double value, int at) {
        String unit = piece.words(at, piece.tokens().size());
        if (Math.abs(value) > MOST) {
            return piece.refused("“" + piece.plain() + "” is beyond anything measured here");
        }
        return unit.isEmpty() || (UNIT.matcher(unit).matches() && !unit.equals(Units.NO_UNIT))
                ? new Read.Value(new Read.Amount(value), unit).noted(piece.about(), "", "")
                : piece.refused("“" + piece.plain() + "” can't be read");
    }

    private static Read several(Piece piece) {
        String text = piece.plain();
        if (text.matches(".*[0-9],[0-9].*") && text.matches(".*[0-9], .*")) {
            return new Read.Ask("In “" + text + "”, which commas part figures? Part them by blanks or ;");
        }
        List<Double> values = new ArrayList<>();
        for (String part : text.split("\\s*;\\s*|,\\s+|\\s+")) {
            if (!plain(part)) {
                return piece.refused("There are two numbers in “" + text + "”, and something between them");
            }
            values.add(number(part));
        }
        return values.stream().allMatch(v -> Math.abs(v) <= MOST)
                ? new Read.Value(new Read.Amounts(values), "")
                : piece.refused("“" + text + "” is beyond anything measured here");
    }
}
