package elsom.core.read;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads the amount that begins at a piece, in every meaning that its units have. */
final class AmountAt {
    private static final Set<String> PER = Set.of("/", "per", "in", "to", "into", "on", "for", "each", "every");
    private static final Set<String> BETWEEN = Set.of("-", "to", "or");

    private final List<Token> tokens;
    private final Known known;

    AmountAt(List<Token> tokens, Known known) {
        this.tokens = tokens;
        this.known = known;
    }

    /** All meanings of the amount at a piece; none where no number begins. */
    List<Measured> at(int from) {
        return at(from, true);
    }

    private List<Measured> at(int from, boolean summed) {
        int start = from;
        int sign = 1;
        if (is(start, "-") || is(start, "+") || is(start, "minus")) {
            sign = is(start, "+") ? 1 : -1;
            start++;
        }
        Units.Found before = is(start, "in") ? new Units.Found(List.of(), 0) : Units.at(tokens, start);
        if (before.length() > 0 && !NumberAt.of(tokens, start).isPresent()) {
            return unitFirst(start, sign, before);
        }
        Optional<NumberAt> first = NumberAt.of(tokens, start);
        if (first.isEmpty()) {
            return List.of();
        }
        Measured number = new Measured(
                sign * first.get().value(),
                Double.NaN,
                false,
                null,
                "",
                first.get().worded(),
                first.get().next());
        List<Measured> all = new ArrayList<>();
        for (Measured ranged : ranged(number)) {
            for (Measured measured : united(ranged)) {
                for (Measured per : per(measured)) {
                    all.addAll(summed ? summed(per) : List.of(per));
                }
            }
        }
        return all;
    }

    private boolean is(int at, String what) {
        return at < tokens.size() && tokens.get(at).is(what);
    }

    private boolean number(int at) {
        return at < tokens.size() && tokens.get(at).isNumber();
    }

    /** "g 31.4". */
    private List<Measured> unitFirst(int start, int sign, Units.Found before) {
        int at = start + before.length();
        if (is(at, "=") || is(at, ":")) {
            at++;
        }
        int signed = is(at, "-") ? -sign : sign;
        at = is(at, "-") ? at + 1 : at;
        if (!number(at)) {
            return List.of();
        }
        NumberAt number = NumberAt.of(tokens, at).orElseThrow();
        Measured bare = new Measured(signed * number.value(), Double.NaN, false, null, "", false, number.next());
        List<Measured> all = new ArrayList<>();
        for (Measured ranged : ranged(bare)) {
            boolean behind = united(ranged).stream().anyMatch(m -> m.unit() != null);
            if (behind) {
                all.addAll(united(ranged));
            } else {
                before.meanings().forEach(unit -> all.add(ranged.in(unit, ranged.next())));
            }
        }
        return all;
    }

    /** "a-b", "a to b", with or without the unit behind the first. */
    private List<Measured> ranged(Measured number) {
        int at = number.next();
        int behindUnit = at + (is(at, "in") ? 0 : Units.at(tokens, at).length());
        for (int joint : behindUnit == at ? List.of(at) : List.of(behindUnit, at)) {
            if (joint < tokens.size() && BETWEEN.contains(tokens.get(joint).word()) && number(joint + 1)) {
                NumberAt second = NumberAt.of(tokens, joint + 1).orElseThrow();
                boolean unitBehind = second.next() < tokens.size()
                        && Units.at(tokens, second.next()).length() > 0;
                if (joint == at || (unitBehind && !is(joint, "to")) || sameUnit(at, behindUnit, second.next())) {
                    return List.of(new Measured(
                            number.value(), second.value(), is(joint, "or"), null, "", false, second.next()));
                }
            }
        }
        return List.of(number);
    }

    private boolean sameUnit(int from, int to, int other) {
        return other + (to - from) <= tokens.size()
                && tokens.subList(from, to).stream()
                        .map(Token::word)
                        .toList()
                        .equals(tokens.subList(other, other + (to - from)).stream()
                                .map(Token::word)
                                .toList());
    }

    /** With the unit behind it, or its household measure. */
    private List<Measured> united(Measured number) {
        int at = number.next();
        boolean joins = is(at, "in") && (number(at + 1) || is(at + 1, "a") || is(at + 1, "an") || is(at + 1, "the"));
        Units.Found found = joins ? new Units.Found(List.of(), 0) : Units.at(tokens, at);
        if (found.length() == 0) {
            int own = Units.ownMeasure(tokens, at);
            return own == 0 ? List.of(number) : own(number, at, own);
        }
        List<Unit> meanings = chosen(found.meanings());
        int behind = at + found.length();
        List<Measured> all = new ArrayList<>();
        for (Unit unit : meanings) {
            Measured measured = number.in(unit, behind);
            Optional<NumberAt> more = number.worded() && !number.range()
                    ? NumberAt.andPart(tokens, new NumberAt(number.value(), behind, true))
                    : Optional.empty();
            all.add(more.map(half -> measured.of(half.value()).in(unit, half.next()))
                    .orElse(measured));
        }
        return all;
    }

    /** Of liquid measures those that the person uses. */
    private List<Unit> chosen(List<Unit> meanings) {
        if (known.gallons().isEmpty()) {
            return meanings;
        }
        String other = known.gallons().get() == Known.Gallons.US ? "imp " : "US ";
        List<Unit> kept =
                meanings.stream().filter(unit -> !unit.name().startsWith(other)).toList();
        return kept.isEmpty() ? meanings : kept;
    }

    /** "2 scoops of 40 mL", "1 capful (12 mL)"; one that is known; else one to ask about. */
    private List<Measured> own(Measured number, int at, int length) {
        int behind = at + length;
        String name =
                length == 2 ? "watering can" : Units.singular(tokens.get(at).word());
        int from = is(behind, "of") || is(behind, "(") || is(behind, "=") ? behind + 1 : behind;
        boolean closed = is(behind, "(");
        List<Measured> sizes = from > behind && number(from)
                ? new AmountAt(closed ? inside(from) : tokens, known).at(from, false)
                : List.of();
        List<Measured> all = new ArrayList<>();
        for (Measured size : sizes) {
            if (size.unit() != null && !size.range()) {
                Unit one = size.unit();
                all.add(number.of(number.value() * size.value()).in(one, closed ? size.next() + 1 : size.next()));
            }
        }
        if (!all.isEmpty()) {
            return all;
        }
        Quantity size = known.measures().get(name);
        if (size != null) {
            Dimension dimension = size.unit().dimension();
            Unit unit = new Unit(
                    name, dimension.powers(), size.value() * size.unit().coherent(), Unit.Nature.PLAIN, true);
            return List.of(number.in(unit, behind));
        }
        return List.of(
                new Measured(number.value(), number.upper(), number.either(), null, name, number.worded(), behind));
    }

    /** The pieces up to the bracket that closes. */
    private List<Token> inside(int from) {
        int close = from;
        while (close < tokens.size() && !is(close, ")")) {
            close++;
        }
        return tokens.subList(0, close);
    }

    /** "per litre", "in 10 L", "/ha", " L-1". */
    private List<Measured> per(Measured measured) {
        if (measured.unit() == null) {
            return ownPer(measured);
        }
        int at = measured.next();
        Unit unit = measured.unit();
        Units.Found inverse = Units.at(tokens, at);
        int power = at + inverse.length();
        if (inverse.length() > 0 && is(power, "-") && power + 1 < tokens.size() && glued(power)) {
            return inverse(measured, inverse, power);
        }
        boolean article =
                (is(at, "a") || is(at, "an")) && Units.at(tokens, at + 1).length() > 0;
        boolean joined = at < tokens.size() && (PER.contains(tokens.get(at).word()) || article);
        if (!joined) {
            return List.of(measured);
        }
        int from = article ? at : at + 1;
        Optional<NumberAt> many = NumberAt.of(tokens, from);
        int behind = many.map(NumberAt::next).orElse(from);
        double each = many.map(NumberAt::value).orElse(1.0);
        Units.Found below = Units.at(tokens, behind);
        if (below.length() == 0 || !(each > 0)) {
            int own = Units.ownMeasure(tokens, behind);
            return own == 0 ? List.of(measured) : measuredPerOwn(measured, behind, own, each);
        }
        List<Measured> all = new ArrayList<>();
        for (Unit other : chosen(below.meanings())) {
            all.add(measured.in(over(unit, other, each), behind + below.length()));
        }
        return all;
    }

    private static Unit over(Unit unit, Unit other, double each) {
        Unit many = each == 1
                ? other
                : new Unit(
                        Read.Amount.figure(each) + " " + other.name(),
                        other.powers(),
                        each * other.factor(),
                        other.nature(),
                        other.kitchen());
        return unit.per(many);
    }

    private boolean glued(int power) {
        String digit = tokens.get(power + 1).text();
        return tokens.get(power).start() == tokens.get(power - 1).end()
                && tokens.get(power + 1).start() == tokens.get(power).end()
                && (digit.equals("1") || digit.equals("2") || digit.equals("3"));
    }

    private List<Measured> inverse(Measured measured, Units.Found inverse, int power) {
        Unit unit = measured.unit();
        String digit = tokens.get(power + 1).text();
        List<Measured> all = new ArrayList<>();
        List<Unit> below = digit.equals("1")
                ? inverse.meanings()
                : Units.at(Token.of(tokens.get(power - 1).text() + digit, true), 0)
                        .meanings();
        for (Unit other : below) {
            if (unit != null) {
                all.add(measured.in(unit.per(other), power + 2));
            }
        }
        return all;
    }

    /** "per can": of the household's own size, if that is known. */
    private List<Measured> measuredPerOwn(Measured measured, int at, int length, double each) {
        Unit unit = measured.unit();
        List<Measured> sized = own(new Measured(each, Double.NaN, false, null, "", false, at), at, length);
        List<Measured> all = new ArrayList<>();
        for (Measured one : sized) {
            Unit other = one.unit();
            if (unit != null && other != null) {
                all.add(measured.in(over(unit, other, one.value()), one.next()));
            } else {
                all.add(new Measured(
                        measured.value(), measured.upper(), false, measured.unit(), one.own(), false, one.next()));
            }
        }
        return all;
    }

    /** "a scoop per L": read on, so that nothing of it is left over. */
    private List<Measured> ownPer(Measured measured) {
        if (measured.own().isEmpty()) {
            return List.of(measured);
        }
        int at = measured.next();
        if (at < tokens.size() && PER.contains(tokens.get(at).word())) {
            Optional<NumberAt> many = NumberAt.of(tokens, at + 1);
            int behind = many.map(NumberAt::next).orElse(at + 1);
            int length = Math.max(Units.at(tokens, behind).length(), Units.ownMeasure(tokens, behind));
            if (length > 0) {
                return List.of(measured.in(null, behind + length));
            }
        }
        return List.of(measured);
    }

    /** "5 lb 3 oz": one amount in two units of one kind. */
    private List<Measured> summed(Measured first) {
        Unit unit = first.unit();
        int from = is(first.next(), "and") ? first.next() + 1 : first.next();
        if (unit == null || unit.nature() != Unit.Nature.PLAIN || first.range() || !number(from)) {
            return List.of(first);
        }
        List<Measured> all = new ArrayList<>();
        for (Measured second : at(from, false)) {
            Unit smaller = second.unit();
            if (smaller != null
                    && second.is(unit.powers())
                    && smaller.factor() < unit.factor()
                    && !second.range()
                    && first.value() >= 0) {
                all.add(first.of(first.value() + second.base() / unit.factor()).in(unit, second.next()));
            }
        }
        return all.isEmpty() ? List.of(first) : all;
    }
}
