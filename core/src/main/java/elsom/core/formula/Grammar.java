package elsom.core.formula;

import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a formula by recursive descent: sums of products of what can stand alone, a number with or without a unit, a name, a
 * word with brackets, or a formula in brackets.
 */
final class Grammar {
    private static final Pattern TOKEN =
            Pattern.compile("\\s*(?:(\\d+(?:[.,]\\d+)?|[.,]\\d+)|([A-Za-zµ°][\\w°²-]*)|(\\S))");
    private static final int DEEPEST = 30;
    private static final Expression.Amount MINUS_ONE = new Expression.Amount(-1, UnitOfMeasure.COUNT);
    private static final Expression.Amount NOTHING = new Expression.Amount(0, UnitOfMeasure.COUNT);

    private final List<String> tokens = new ArrayList<>();
    private int at;
    private int depth;

    Grammar(String text) {
        Matcher matcher = TOKEN.matcher(text);
        int from = 0;
        while (from < text.length() && matcher.find(from) && matcher.start() == from) {
            tokens.add(matcher.group().strip());
            from = matcher.end();
        }
    }

    Expression expression() {
        Expression read = sum();
        if (at < tokens.size()) {
            throw wrong("“" + tokens.get(at) + "” can't stand there");
        }
        return read;
    }

    private Expression sum() {
        Expression left = product();
        while (next("+") || next("-") || next("−")) {
            char sign = tokens.get(at++).equals("+") ? '+' : '-';
            left = new Expression.Joined(sign, left, product());
        }
        return left;
    }

    private Expression product() {
        Expression left = alone();
        while (next("*") || next("×") || next("/") || next("÷")) {
            String sign = tokens.get(at++);
            left = new Expression.Joined(sign.equals("*") || sign.equals("×") ? '*' : '/', left, alone());
        }
        return left;
    }

    private Expression alone() {
        if (++depth > DEEPEST) {
            throw wrong("it has too many brackets");
        }
        Expression read = one();
        depth--;
        return read;
    }

    private Expression one() {
        if (at >= tokens.size()) {
            throw wrong("something is missing at its end");
        }
        String token = tokens.get(at++);
        if (token.equals("(")) {
            Expression inner = sum();
            close();
            return inner;
        }
        if (token.equals("-") || token.equals("−")) {
            return new Expression.Joined('*', MINUS_ONE, alone());
        }
        if (Character.isDigit(token.charAt(token.length() - 1)) && !Character.isLetter(token.charAt(0))) {
            return amount(token);
        }
        if (!Character.isLetter(token.charAt(0))) {
            throw wrong("“" + token + "” can't stand there");
        }
        String word = token.toLowerCase(Locale.ROOT);
        return next("(") ? called(word) : new Expression.Named(word);
    }

    private Expression.Amount amount(String digits) {
        double value = Double.parseDouble(digits.replace(',', '.'));
        for (int length : new int[] {3, 1}) {
            Optional<UnitOfMeasure> unit = at + length <= tokens.size()
                    ? UnitOfMeasure.spelled(String.join("", tokens.subList(at, at + length)))
                    : Optional.empty();
            if (unit.isPresent()) {
                at += length;
                return new Expression.Amount(value, unit.get());
            }
        }
        return new Expression.Amount(value, UnitOfMeasure.COUNT);
    }

    private Expression called(String word) {
        at++;
        Optional<OverTime> overTime = OverTime.named(word);
        if (overTime.isPresent()) {
            return course(overTime.get());
        }
        for (Expression.Applied.Operation operation : Expression.Applied.Operation.values()) {
            if (operation.name().toLowerCase(Locale.ROOT).equals(word)) {
                Expression inner = sum();
                close();
                return new Expression.Applied(operation, inner);
            }
        }
        throw wrong(
                "“" + word + "(…)” is not known; there is first, before, last, growth-rate, area-under, days-to, ln,"
                        + " log10 and sqrt");
    }

    private Expression course(OverTime what) {
        String name = at < tokens.size() ? tokens.get(at++).toLowerCase(Locale.ROOT) : "";
        if (name.isEmpty() || !Character.isLetter(name.charAt(0))) {
            throw wrong("an endpoint's name goes into " + what.word() + "(…)");
        }
        Expression.Amount limit = NOTHING;
        if (what == OverTime.DAYS_TO) {
            if (!(next(",") || next(";")) || at + 1 >= tokens.size()) {
                throw wrong("days-to needs what is to be reached, as in days-to(height, 5 cm)");
            }
            at++;
            String digits = tokens.get(at++);
            if (!Character.isDigit(digits.charAt(digits.length() - 1))) {
                throw wrong("days-to needs a number, as in days-to(height, 5 cm)");
            }
            limit = amount(digits);
        }
        close();
        return new Expression.Course(what, name, limit);
    }

    private void close() {
        if (!next(")")) {
            throw wrong("a bracket is not closed");
        }
        at++;
    }

    private boolean next(String token) {
        return at < tokens.size() && tokens.get(at).equals(token);
    }

    private static IllegalArgumentException wrong(String what) {
        return new IllegalArgumentException(
                "The formula can't be read: " + what + ". Accepted: height / stem-diameter.");
    }
}
