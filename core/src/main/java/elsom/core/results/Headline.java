package elsom.core.results;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * An answer as it stands first: at most {@value #MOST_WORDS} words, its intervals left to the picture beside it and to the
 * whole answer. Whole sentences are kept, then whole clauses; that something was left out is shown by three dots.
 *
 * @param words what is said
 * @param whole whether nothing but intervals was left out
 */
public record Headline(String words, boolean whole) {
    /** More than this and a headline is read twice. */
    public static final int MOST_WORDS = 30;

    /** An interval as the wordings write it; a treatment's own brackets are none. */
    private static final Pattern INTERVAL =
            Pattern.compile(" \\((?:(?:[^()]*, )?95 %(?: interval [^()]*|: [^()]*)|[−+]\\d[^()]* to [−+]\\d[^()]*)\\)");

    private static final Pattern SENTENCE = Pattern.compile("(?<=[.:;])\\s+");

    /** The headline of an answer. */
    public static Headline of(Verdict verdict) {
        return verdict.brief().isEmpty() ? of(verdict.sentence()) : of(verdict.brief());
    }

    static Headline of(String sentence) {
        String bare = withoutIntervals(sentence);
        if (words(bare) <= MOST_WORDS) {
            return new Headline(bare, true);
        }
        List<String> kept = new ArrayList<>();
        for (String clause : clauses(bare)) {
            if (!kept.isEmpty() && words(String.join(" ", kept)) + words(clause) > MOST_WORDS) {
                break;
            }
            kept.add(clause);
        }
        String first = String.join(" ", kept);
        if (words(first) > MOST_WORDS) {
            first = String.join(" ", List.of(first.split(" ")).subList(0, MOST_WORDS));
            first = first.contains(", ") ? first.substring(0, first.lastIndexOf(", ")) : first;
        }
        return new Headline(first.replaceAll("[.;:,]$", "") + " …", false);
    }

    /** A sentence without the intervals in it. */
    static String withoutIntervals(String sentence) {
        return INTERVAL.matcher(sentence).replaceAll("");
    }

    /** Sentences and clauses, each with the mark that ends it; what a colon opens stays with it. */
    private static List<String> clauses(String text) {
        List<String> clauses = new ArrayList<>();
        String begun = "";
        for (String part : SENTENCE.split(text)) {
            String so = begun.isEmpty() ? part : begun + " " + part;
            if (part.endsWith(":")) {
                begun = so;
            } else {
                clauses.add(so);
                begun = "";
            }
        }
        if (!begun.isEmpty()) {
            clauses.add(begun);
        }
        return clauses;
    }

    private static int words(String text) {
        return text.isBlank() ? 0 : text.strip().split("\\s+").length;
    }
}
