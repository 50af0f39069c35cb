package elsom.core.claim;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The sides a claim may speak of, found in its words by their names, or by what tells them apart: "the aged one".
 *
 * @param names of the sides; the first is the one that was named first
 */
record Sides(List<String> names) {
    static final char MARK = '§';

    /** A number or a sign alone is what is claimed, and no name. */
    private static final Pattern LETTER = Pattern.compile("\\p{L}");

    private static final Set<String> WEAK = Set.of(
            "the", "a", "an", "of", "in", "on", "and", "or", "no", "not", "more", "less", "better", "than", "is", "to",
            "at", "one", "water", "compost", "mix", "feed", "trays", "tray", "pots", "pot", "plants", "rate");

    public Sides {
        names = List.copyOf(names);
    }

    private static List<String> words(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[\\s-]+"))
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** The text with each side's name as "§0", "§1"; hyphens of names may be blanks. */
    String marked(String text) {
        List<String> left = new ArrayList<>(Arrays.asList(spaced(text).split(" ")));
        List<Integer> byLength = IntStream.range(0, names.size())
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> -words(names.get(i)).size()))
                .toList();
        boolean[] found = new boolean[names.size()];
        for (int side : byLength) {
            found[side] = replace(left, words(names.get(side)), side);
        }
        for (int side = 0; side < found.length; side++) {
            if (!found[side]) {
                partly(left, side);
            }
        }
        return left.stream().filter(word -> !word.isEmpty()).collect(Collectors.joining(" "));
    }

    private static String spaced(String text) {
        return text.replaceAll("(?<=\\p{L})-(?=\\p{L})", " ")
                .replaceAll("([,;:>=()])", " $1 ")
                .replaceAll("\\s+", " ")
                .strip();
    }

    private static boolean replace(List<String> text, List<String> name, int side) {
        boolean any = false;
        for (int at = 0; at + name.size() <= text.size(); at++) {
            boolean here = true;
            for (int i = 0; i < name.size() && here; i++) {
                here = same(text.get(at + i), name.get(i));
            }
            if (here && !name.isEmpty()) {
                text.subList(at, at + name.size()).clear();
                text.add(at, MARK + Integer.toString(side));
                any = true;
            }
        }
        return any;
    }

    private static boolean same(String typed, String word) {
        String bare = typed.endsWith("'s") ? typed.substring(0, typed.length() - 2) : typed;
        return bare.equals(word) || stem(bare).equals(stem(word));
    }

    /** "sieved" and "sieving", "tray" and "trays". */
    private static String stem(String word) {
        return word.length() > 5
                ? word.replaceAll("(?:ing|ed|es|s)$", "")
                : word.length() > 3 ? word.replaceAll("s$", "") : word;
    }

    /** By the longest run of its words that no other name has. */
    private void partly(List<String> text, int side) {
        List<String> name = words(names.get(side));
        for (int length = name.size() - 1; length > 0; length--) {
            for (int from = 0; from + length <= name.size(); from++) {
                List<String> run = name.subList(from, from + length);
                boolean own = run.stream()
                        .anyMatch(word ->
                                !WEAK.contains(word) && LETTER.matcher(word).find());
                if (own && unlike(run, side, text) && replace(text, run, side)) {
                    return;
                }
            }
        }
    }

    /** No other side that is still sought has these words. */
    private boolean unlike(List<String> run, int side, List<String> text) {
        for (int other = 0; other < names.size(); other++) {
            boolean marked = text.contains(MARK + Integer.toString(other));
            if (other != side && !marked && words(names.get(other)).containsAll(run)) {
                return false;
            }
        }
        return true;
    }
}
