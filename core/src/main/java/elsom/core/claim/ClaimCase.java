package elsom.core.claim;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A claim with what it is held against.
 *
 * @param claim in words
 * @param measure what was measured, and which way is better: "fresh mass a tray, more is better"; may be empty
 * @param unit of the figures; may be empty
 * @param sides their names, the first side's first; empty where they have none
 * @param about which side the claim is about
 */
public record ClaimCase(String claim, String measure, String unit, Sides sides, int about) {
    private static final String PLACED = "(?: (?:in|on|from|with|that|those|the|of|at|what|under|plain))* §([0-9]+)";
    private static final Pattern ANY = Pattern.compile("§([0-9]+)");

    private static final Pattern SUBJECT = Pattern.compile("^ ?(?:the |in |on |with |from |under )*§([0-9]+)");

    /** Words before the side that something is held against, wherever they stand. */
    private static final Pattern AGAINST =
            Pattern.compile("\\b(?:than|against|over|as|versus|vs|beside|compared (?:with|to))" + PLACED);

    /** Words that say so only at the end: "short of", "within 5 g of". */
    private static final Pattern BEHIND = Pattern.compile("\\b(?:of|to|with|from)" + PLACED + "(?!.*§)");

    /** A case of named sides. */
    public static ClaimCase of(String claim, String measure, String unit, List<String> names, int about) {
        return new ClaimCase(claim, measure, unit, new Sides(names), about);
    }

    /** What it says. */
    public Meant meant() {
        return ClaimReader.read(this);
    }

    boolean unnamed() {
        return sides.names().isEmpty();
    }

    boolean percent() {
        return unit.equals("%");
    }

    /** +1 where more is better, −1 where fewer or less is, 0 where neither is. */
    int better() {
        String text = measure.toLowerCase(Locale.ROOT);
        return text.contains("neither")
                ? 0
                : text.contains("fewer is better")
                                || text.contains("less is better")
                                || text.contains("lower is better")
                                || text.contains("sooner is better")
                        ? -1
                        : 1;
    }

    Set<String> measureWords() {
        return new HashSet<>(Arrays.asList(
                measure.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L} ]", " ").split(" +")));
    }

    /**
     * Whether the words are about another side than the claim should be about.
     *
     * @param marked all of them, with their sides' marks
     */
    boolean turned(String marked) {
        List<Integer> marks = marks(ANY, marked).distinct().toList();
        List<Integer> against = marks(AGAINST, marked).toList();
        if (marks.size() < 2) {
            return marks(SUBJECT, marked).anyMatch(side -> side != about);
        }
        return against.isEmpty()
                ? marks(BEHIND, marked).anyMatch(side -> side == about) && marks.get(0) != about
                : against.contains(about);
    }

    private static Stream<Integer> marks(Pattern pattern, String text) {
        return pattern.matcher(text).results().map(found -> Integer.parseInt(found.group(1)));
    }

    /** Words that stand for no measure where they stand: "comes up" in time, "stands beside". */
    static boolean idiom(String text, String word) {
        return switch (word) {
            case "up" ->
                !text.matches(".*\\b(?:come|comes|came|is|are) up\\b.*") && !text.matches(".*\\bup (?:and|than)\\b.*");
            case "hold", "holds", "held" -> text.matches(".*\\b(?:hold|holds|held) .*back\\b.*");
            case "water" -> !text.matches(".*\\b(?:more|less|much|held|holds?) water\\b.*");
            case "stand", "stands", "stood" -> !text.matches(".*\\b(?:stands?|stood) .*(?:tall|high).*");
            case "time" -> text.contains("every time");
            default -> false;
        };
    }
}
