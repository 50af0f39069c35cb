package elsom.core.claim;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a sentence claims of one group beside another.
 *
 * @param percent by how much it differs, in percent of the other; 0 where it says no number
 * @param doubtful what its words leave open, as a sentence; empty when nothing
 */
public record Claim(Kind kind, double percent, String doubtful) {
    /** What kind of claim it is. */
    public enum Kind {
        /** "30 % more", "twice", "half". */
        DIFFERS_BY,
        /** "better than", "beats". */
        MORE,
        /** "less than", "worse than". */
        LESS,
        /** "as good as", "no difference". */
        SAME,
        /** Of the best of many: no figure of all. */
        BEST_OF_MANY,
        /** Nothing that numbers could tell. */
        UNCLEAR
    }

    private static final String NUMBER = "(\\d+(?:[.,]\\d+)?)";
    private static final String UP = "(more|higher|better|larger|bigger|longer|heavier|greater|taller|extra|increase)";
    private static final String DOWN = "(less|lower|fewer|shorter|lighter|worse|smaller|reduction|drop)";
    private static final Pattern MORE_PERCENT = Pattern.compile(NUMBER + " ?(?:%|per ?cent) " + UP);
    private static final Pattern LESS_PERCENT = Pattern.compile(NUMBER + " ?(?:%|per ?cent) " + DOWN);
    private static final Pattern RAISED_BY = Pattern.compile(
            "(raise[sd]?|increase[sd]?|lift(?:s|ed)?|boost(?:s|ed)?|grew|up)\\b.* by " + NUMBER + " ?(?:%|per ?cent)");
    private static final Pattern CUT_BY =
            Pattern.compile("(cuts?|reduce[sd]?|lower(?:s|ed)?|fell|drop(?:s|ped)?|halve[sd]?)\\b.* by " + NUMBER
                    + " ?(?:%|per ?cent)");
    private static final Pattern TIMES = Pattern.compile(NUMBER + "(?: ?x\\b| ?times| ?-?fold)( " + UP + ")?");
    private static final Pattern TWICE = Pattern.compile("\\b(twice|double[sd]?|two times)\\b");
    private static final Pattern THRICE = Pattern.compile("\\b(threefold|triple[sd]?|three times)\\b");
    private static final Pattern HALF = Pattern.compile("\\b(half|halve[sd]?)\\b");
    private static final Pattern BEST =
            Pattern.compile("\\b(?:best|top|finest|pick of)\\b.*\\b(?:of|from|plants?|pots?)\\b");
    private static final Pattern SAME = Pattern.compile(
            "as (?:good|much|tall|heavy|long|safe) as|no (?:real )?(?:difference|effect|harm)|the same as|equal|\\bsafe\\b|harmless");
    private static final Pattern MORE =
            Pattern.compile("\\b(?:beats?|outperforms?|wins?)\\b|\\b" + UP + "\\b.*\\bthan\\b|" + UP + "$");
    private static final Pattern LESS = Pattern.compile("\\b" + DOWN + "\\b.*\\bthan\\b|" + DOWN + "$");
    private static final double FOLD = 100;

    /** Reads a claim. */
    public static Claim read(String words) {
        String text = words.toLowerCase(Locale.ROOT).replaceAll("\\s+", " ").strip();
        if (BEST.matcher(text).find()) {
            return new Claim(Kind.BEST_OF_MANY, 0, "");
        }
        for (Sized sized : SIZED) {
            Matcher matcher = sized.pattern().matcher(text);
            if (matcher.find()) {
                double number = Double.parseDouble(matcher.group(sized.group()).replace(',', '.'));
                return new Claim(Kind.DIFFERS_BY, sized.sign() * number, "");
            }
        }
        Matcher times = TIMES.matcher(text);
        if (times.find()) {
            double fold = Double.parseDouble(times.group(1).replace(',', '.'));
            return new Claim(
                    Kind.DIFFERS_BY,
                    FOLD * (fold - 1),
                    times.group(2) == null
                            ? ""
                            : "“" + times.group() + "” is read as " + times.group(1)
                                    + " times as much; some mean one time more than that.");
        }
        return named(text);
    }

    /** A pattern with its number. */
    private record Sized(Pattern pattern, int group, int sign) {}

    private static final List<Sized> SIZED = List.of(
            new Sized(MORE_PERCENT, 1, 1),
            new Sized(LESS_PERCENT, 1, -1),
            new Sized(RAISED_BY, 2, 1),
            new Sized(CUT_BY, 2, -1));

    private static Claim named(String text) {
        if (TWICE.matcher(text).find()) {
            return new Claim(Kind.DIFFERS_BY, FOLD, "");
        }
        if (THRICE.matcher(text).find()) {
            return new Claim(Kind.DIFFERS_BY, 2 * FOLD, "");
        }
        if (HALF.matcher(text).find()) {
            return new Claim(Kind.DIFFERS_BY, -FOLD / 2, "");
        }
        Kind kind = SAME.matcher(text).find()
                ? Kind.SAME
                : LESS.matcher(text).find() ? Kind.LESS : MORE.matcher(text).find() ? Kind.MORE : Kind.UNCLEAR;
        return new Claim(kind, 0, "");
    }
}
