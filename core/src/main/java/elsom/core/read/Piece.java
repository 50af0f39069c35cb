package elsom.core.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A text in pieces, without its hedges.
 *
 * @param about whether it was hedged
 */
record Piece(Box box, String plain, List<Token> tokens, boolean about, Known known) {
    private static final Set<String> HEDGES = Set.of(
            "about",
            "approx",
            "approximately",
            "around",
            "roughly",
            "circa",
            "ca",
            "~",
            "nearly",
            "almost",
            "maybe",
            "perhaps",
            "say",
            "probably",
            "guess",
            "guessed",
            "estimated",
            "est",
            "c");
    private static final Set<String> HEDGED_BEHIND =
            Set.of("ish", "approx", "approximately", "roughly", "about", "estimated");

    /** Words that make another number of the one before. */
    private static final Set<String> CHANGING = Set.of(
            "minus",
            "less",
            "plus",
            "maybe",
            "not",
            "without",
            "or",
            "except",
            "dead",
            "died",
            "lost",
            "missing",
            "gone",
            "each",
            "per",
            "times",
            "half",
            "double",
            "more",
            "than",
            "unless",
            "if",
            "twice",
            "both",
            "excluding",
            "including",
            "incl",
            "excl",
            "minimum",
            "min",
            "max",
            "maximum",
            "least",
            "most",
            "wrong",
            "error",
            "tare",
            "gross",
            "net",
            "x",
            "by",
            "and",
            "to",
            "no",
            "never",
            "between",
            "sd",
            "se",
            "n",
            "mean",
            "average");

    private static final Set<String> PLAIN_SIGNS = Set.of(",", ";", ".", "(", ")", "'", "\"", "-", ":", "!", "&", "/");

    /** How often, for how long. */
    private static final Pattern HOW_OFTEN = Pattern.compile(
            "(?:once |applied )?(?:every|for) [0-9]{1,3} (?:days?|weeks?|months?|hours?)|[0-9]{1,2} times (?:a|per) (?:day|week|month|season)");

    /** The same, or in which extract a pH or a conductivity was read, or at which temperature a pH was. */
    private static final Pattern BESIDE = Pattern.compile(HOW_OFTEN.pattern()
            + "|1 ?: ?[0-9](?:[.,][0-9])?(?: [\\p{L} 0-9]{1,30})?|at [0-9]{1,2}(?:[.,][0-9])? ?°?[Cc]");

    static Piece of(Box box, String plain, List<Token> tokens, Known known) {
        List<Token> left = new ArrayList<>(tokens);
        boolean about = false;
        while (!left.isEmpty() && HEDGES.contains(left.get(0).word())) {
            left.remove(0);
            about = true;
            if (!left.isEmpty() && left.get(0).is(".")) {
                left.remove(0);
            }
        }
        for (int i = 1; i < left.size(); i++) {
            if (left.get(i).is("or") && i + 1 < left.size() && left.get(i + 1).is("so")) {
                left.subList(i, i + 2).clear();
                about = true;
            } else if (HEDGED_BEHIND.contains(left.get(i).word())) {
                boolean dashed = left.get(i - 1).is("-");
                left.subList(dashed ? i - 1 : i, i + 1).clear();
                about = true;
                i -= dashed ? 2 : 1;
            }
        }
        return new Piece(box, plain, left, about, known);
    }

    AmountAt amounts() {
        return new AmountAt(tokens, known);
    }

    boolean has(int at, String... words) {
        for (int i = 0; i < words.length; i++) {
            if (at + i >= tokens.size() || !tokens.get(at + i).is(words[i])) {
                return false;
            }
        }
        return true;
    }

    boolean anywhere(String word) {
        return tokens.stream().anyMatch(token -> token.is(word));
    }

    boolean ends(int at) {
        return at >= tokens.size();
    }

    Piece without(int first) {
        return new Piece(box, plain, tokens.subList(Math.min(first, tokens.size()), tokens.size()), about, known);
    }

    Piece inside(List<Token> part) {
        return new Piece(box, plain, part, about, known);
    }

    /** The words of pieces, as they were typed. */
    String words(int from, int to) {
        return from >= to
                ? ""
                : plain.substring(tokens.get(from).start(), tokens.get(to - 1).end());
    }

    boolean noNumber() {
        return tokens.stream().noneMatch(Token::isNumber)
                && tokens.stream()
                        .noneMatch(t -> NumberAt.of(List.of(t), 0)
                                .filter(n -> !t.is("a") && !t.is("an"))
                                .isPresent());
    }

    /** What is behind the amount: a note, a question, or a reason to take nothing. */
    Left left(int from, boolean unitTyped) {
        int at = from;
        while (at < tokens.size() && (has(at, ",") || has(at, ";") || has(at, ":") || has(at, "(") || has(at, "."))) {
            at++;
        }
        if (at >= tokens.size()) {
            return new Left("", "", "");
        }
        List<Token> rest = tokens.subList(at, tokens.size());
        String words = words(at, tokens.size()).replaceAll("[\\s).,;]+$", "");
        if (rest.stream().anyMatch(token -> token.is("?"))) {
            return new Left("", "“" + plain + "” is in doubt: measure it again, or leave out the question mark?", "");
        }
        if (BESIDE.matcher(words).matches()
                && (ofWater() || HOW_OFTEN.matcher(words).matches())) {
            return new Left(words, "", "");
        }
        if (rest.stream().anyMatch(token -> token.isNumber() || token.kind() == Token.Kind.BROKEN)) {
            return new Left("", "", "There are two numbers in “" + plain + "”");
        }
        if (rest.stream().anyMatch(token -> token.kind() == Token.Kind.SIGN && !PLAIN_SIGNS.contains(token.word()))) {
            return new Left("", "", "“" + words + "” can't be read");
        }
        String changing =
                rest.stream().map(Token::word).filter(CHANGING::contains).collect(Collectors.joining(" "));
        if (!changing.isEmpty()) {
            return new Left("", "What does “" + words + "” change of the number?", "");
        }
        if (at == from && !unitTyped) {
            return new Left("", "", "“" + words + "” is not a unit known here");
        }
        return new Left(words, "", "");
    }

    private boolean ofWater() {
        return box == Box.PH || box == Box.EC;
    }

    /**
     * What is left over.
     *
     * @param ask a question it raises; {@code refuse} why nothing is taken; both empty of a note
     */
    record Left(String note, String ask, String refuse) {}

    Read.Refused refused(String problem) {
        return new Read.Refused(problem, box.example());
    }
}
