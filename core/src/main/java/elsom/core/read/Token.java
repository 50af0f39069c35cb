package elsom.core.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A piece of what was typed: a number, a word, or a sign.
 *
 * @param text as typed; of words in small letters too, as {@code word}
 * @param value of a number
 * @param other the second reading of a number that has two ("1,250"), else NaN
 * @param start where it begins and {@code end} where it ends in the plain text
 */
record Token(Kind kind, String text, String word, double value, double other, int start, int end) {
    enum Kind {
        NUMBER,
        WORD,
        SIGN,
        /** Digits and separators that are no number. */
        BROKEN
    }

    private static final Pattern PIECE = Pattern.compile(
            "(?<space> )"
                    + "|(?<group>(?<![0-9.,])[1-9][0-9]{0,2}(?: [0-9]{3})+(?![0-9.,])(?![ ]?/))"
                    + "|(?<number>[0-9]+(?:[.,][0-9]+)*\\.?(?:[eE][+-]?[0-9]{1,4}(?![a-zA-Z0-9]))?|[.,][0-9]+)"
                    + "|(?<word>°?[\\p{L}][\\p{L}\\p{M}0-9]*|°)"
                    + "|(?<sign>.)",
            Pattern.DOTALL);
    private static final Pattern THOUSANDS = Pattern.compile("[1-9][0-9]{0,2}(?:,[0-9]{3}){2,}(?:\\.[0-9]+)?");
    private static final Pattern ENGLISH = Pattern.compile("[1-9][0-9]{0,2}(?:,[0-9]{3})+\\.[0-9]+");
    private static final Pattern CONTINENTAL = Pattern.compile("[1-9][0-9]{0,2}(?:\\.[0-9]{3})+,[0-9]+");
    private static final Pattern POINTED = Pattern.compile("[1-9][0-9]{0,2}(?:\\.[0-9]{3}){2,}");
    private static final Pattern EITHER = Pattern.compile("[1-9][0-9]{0,2},[0-9]{3}");
    private static final Pattern PLAIN = Pattern.compile("[0-9]*[.,]?[0-9]+(?:\\.|[eE][+-]?[0-9]+)?|[0-9]+\\.?");

    /** The pieces of a plain text; blanks that part thousands are joined unless several numbers are wanted. */
    static List<Token> of(String plain, boolean joined) {
        List<Token> tokens = new ArrayList<>();
        Matcher piece = PIECE.matcher(plain);
        int at = 0;
        while (at < plain.length() && piece.find(at)) {
            int end = piece.end();
            if (piece.group("group") != null && !joined) {
                end = plain.indexOf(' ', at);
                tokens.add(number(plain.substring(at, end), at, end));
            } else if (piece.group("group") != null) {
                tokens.add(number(piece.group().replace(" ", ""), at, end));
            } else if (piece.group("number") != null) {
                tokens.add(number(piece.group(), at, end));
            } else if (piece.group("word") != null) {
                end = word(tokens, piece.group(), at);
            } else if (piece.group("sign") != null) {
                int point = plain.codePointAt(at);
                end = at + Character.charCount(point);
                String sign = plain.substring(at, end);
                tokens.add(new Token(Kind.SIGN, sign, sign, 0, Double.NaN, at, end));
            }
            at = end;
        }
        return tokens;
    }

    /** A word; "x30" behind a number is a sign of its own. */
    private static int word(List<Token> tokens, String text, int at) {
        boolean times = text.matches("[xX][0-9]+")
                && !tokens.isEmpty()
                && tokens.get(tokens.size() - 1).isNumber();
        String kept = times ? "×" : text;
        int end = at + (times ? 1 : text.length());
        boolean sign = times || text.equals("×");
        tokens.add(
                new Token(sign ? Kind.SIGN : Kind.WORD, kept, kept.toLowerCase(Locale.ROOT), 0, Double.NaN, at, end));
        return end;
    }

    private static Token number(String text, int start, int end) {
        double value;
        double other = Double.NaN;
        if (THOUSANDS.matcher(text).matches() || ENGLISH.matcher(text).matches()) {
            value = Double.parseDouble(text.replace(",", ""));
        } else if (CONTINENTAL.matcher(text).matches() || POINTED.matcher(text).matches()) {
            value = Double.parseDouble(text.replace(".", "").replace(',', '.'));
        } else if (EITHER.matcher(text).matches()) {
            value = Double.parseDouble(text.replace(",", ""));
            other = Double.parseDouble(text.replace(',', '.'));
        } else if (PLAIN.matcher(text).matches()) {
            value = Double.parseDouble(text.replace(',', '.').replaceAll("\\.$", ""));
        } else {
            return new Token(Kind.BROKEN, text, text, 0, Double.NaN, start, end);
        }
        return new Token(Kind.NUMBER, text, text, value, other, start, end);
    }

    boolean isNumber() {
        return kind == Kind.NUMBER;
    }

    boolean isWord() {
        return kind == Kind.WORD;
    }

    boolean is(String what) {
        return kind != Kind.NUMBER && word.equals(what);
    }

    boolean isWhole() {
        return isNumber() && value == Math.rint(value);
    }

    Token read(double reading) {
        return new Token(kind, text, word, reading, Double.NaN, start, end);
    }
}
