package elsom.core.read;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A number that begins at a piece: in digits, as a fraction, or in words.
 *
 * @param next the piece behind it
 * @param worded whether words alone say it: "a", "half a"
 */
record NumberAt(double value, int next, boolean worded) {
    private static final Map<String, Integer> CARDINALS = Map.ofEntries(
            Map.entry("zero", 0),
            Map.entry("nought", 0),
            Map.entry("nil", 0),
            Map.entry("one", 1),
            Map.entry("two", 2),
            Map.entry("three", 3),
            Map.entry("four", 4),
            Map.entry("five", 5),
            Map.entry("six", 6),
            Map.entry("seven", 7),
            Map.entry("eight", 8),
            Map.entry("nine", 9),
            Map.entry("ten", 10),
            Map.entry("eleven", 11),
            Map.entry("twelve", 12),
            Map.entry("thirteen", 13),
            Map.entry("fourteen", 14),
            Map.entry("fifteen", 15),
            Map.entry("sixteen", 16),
            Map.entry("seventeen", 17),
            Map.entry("eighteen", 18),
            Map.entry("nineteen", 19),
            Map.entry("twenty", 20),
            Map.entry("thirty", 30),
            Map.entry("forty", 40),
            Map.entry("fifty", 50),
            Map.entry("sixty", 60),
            Map.entry("seventy", 70),
            Map.entry("eighty", 80),
            Map.entry("ninety", 90));
    private static final Map<String, Double> PARTS = Map.ofEntries(
            Map.entry("half", 1 / 2.0),
            Map.entry("halves", 1 / 2.0),
            Map.entry("third", 1 / 3.0),
            Map.entry("thirds", 1 / 3.0),
            Map.entry("quarter", 1 / 4.0),
            Map.entry("quarters", 1 / 4.0),
            Map.entry("fifth", 1 / 5.0),
            Map.entry("fifths", 1 / 5.0),
            Map.entry("sixth", 1 / 6.0),
            Map.entry("sixths", 1 / 6.0),
            Map.entry("eighth", 1 / 8.0),
            Map.entry("eighths", 1 / 8.0),
            Map.entry("tenth", 1 / 10.0),
            Map.entry("tenths", 1 / 10.0));
    private static final int TWENTY = 20;
    private static final int TEN = 10;
    private static final int DOZEN = 12;
    private static final int HUNDRED = 100;

    /** The number at a piece, none where there is no number. */
    static Optional<NumberAt> of(List<Token> tokens, int from) {
        if (from >= tokens.size()) {
            return Optional.empty();
        }
        return tokens.get(from).isNumber() ? digits(tokens, from) : words(tokens, from);
    }

    private static Optional<NumberAt> digits(List<Token> tokens, int from) {
        Token first = tokens.get(from);
        if (fraction(tokens, from)) {
            return ratio(tokens, from, 0);
        }
        if (first.isWhole() && apart(tokens, from) && fraction(tokens, from + 1)) {
            return ratio(tokens, from + 1, first.value());
        }
        NumberAt alone = new NumberAt(first.value(), from + 1, false);
        return Optional.of(multiplied(tokens, andPart(tokens, alone).orElse(alone)));
    }

    private static boolean apart(List<Token> tokens, int at) {
        return at + 1 < tokens.size()
                && tokens.get(at + 1).start() > tokens.get(at).end();
    }

    /** "1/2": whole numbers with a bar between them, and no blanks. */
    private static boolean fraction(List<Token> tokens, int at) {
        return at + 2 < tokens.size()
                && tokens.get(at).isWhole()
                && tokens.get(at + 1).is("/")
                && tokens.get(at + 2).isWhole()
                && tokens.get(at + 2).value() > 0
                && tokens.get(at + 2).start() == tokens.get(at).end() + 1
                && !(at + 3 < tokens.size() && tokens.get(at + 3).is("/"));
    }

    private static Optional<NumberAt> ratio(List<Token> tokens, int at, double whole) {
        return Optional.of(
                new NumberAt(whole + tokens.get(at).value() / tokens.get(at + 2).value(), at + 3, false));
    }

    private static NumberAt multiplied(List<Token> tokens, NumberAt number) {
        int at = number.next();
        if (at < tokens.size() && (tokens.get(at).is("dozen") || tokens.get(at).is("hundred"))) {
            return new NumberAt(
                    number.value() * (tokens.get(at).is("dozen") ? DOZEN : HUNDRED), at + 1, number.worded());
        }
        Optional<NumberAt> part = part(tokens, at);
        return part.isPresent() && number.worded()
                ? new NumberAt(number.value() * part.get().value(), part.get().next(), true)
                : number;
    }

    /** "half", "half a", "quarter of a". */
    private static Optional<NumberAt> part(List<Token> tokens, int at) {
        if (at >= tokens.size() || !PARTS.containsKey(tokens.get(at).word())) {
            return Optional.empty();
        }
        double value = PARTS.getOrDefault(tokens.get(at).word(), 0.0);
        int next = at + 1;
        if (next + 1 < tokens.size() && tokens.get(next).is("of") && article(tokens, next + 1)) {
            next += 2;
        } else if (next < tokens.size() && article(tokens, next)) {
            next++;
        }
        return next < tokens.size() && tokens.get(next).is("dozen")
                ? Optional.of(new NumberAt(value * DOZEN, next + 1, true))
                : Optional.of(new NumberAt(value, next, true));
    }

    private static boolean article(List<Token> tokens, int at) {
        return at < tokens.size() && (tokens.get(at).is("a") || tokens.get(at).is("an"));
    }

    private static Optional<NumberAt> words(List<Token> tokens, int from) {
        Token first = tokens.get(from);
        Optional<NumberAt> part = part(tokens, from);
        if (part.isPresent()) {
            return part;
        }
        if (article(tokens, from)) {
            Optional<NumberAt> ofOne = part(tokens, from + 1);
            NumberAt one = new NumberAt(1, from + 1, true);
            return ofOne.isPresent() ? ofOne : Optional.of(multiplied(tokens, one));
        }
        Integer cardinal = CARDINALS.get(first.word());
        if (cardinal == null) {
            return first.is("dozen") ? Optional.of(new NumberAt(DOZEN, from + 1, true)) : Optional.empty();
        }
        int value = cardinal;
        int next = from + 1;
        int dash = next < tokens.size() && tokens.get(next).is("-") ? next + 1 : next;
        Integer ones = dash < tokens.size() ? CARDINALS.get(tokens.get(dash).word()) : null;
        if (value >= TWENTY && ones != null && ones > 0 && ones < TEN) {
            value += ones;
            next = dash + 1;
        }
        NumberAt number = new NumberAt(value, next, true);
        return Optional.of(multiplied(tokens, andPart(tokens, number).orElse(number)));
    }

    /** "and a half", "and a quarter" behind a number. */
    static Optional<NumberAt> andPart(List<Token> tokens, NumberAt number) {
        int at = number.next();
        if (at + 1 < tokens.size() && tokens.get(at).is("and")) {
            int from = article(tokens, at + 1) ? at + 2 : at + 1;
            if (from < tokens.size() && PARTS.containsKey(tokens.get(from).word())) {
                return Optional.of(new NumberAt(
                        number.value() + PARTS.getOrDefault(tokens.get(from).word(), 0.0), from + 1, true));
            }
        }
        return Optional.empty();
    }
}
