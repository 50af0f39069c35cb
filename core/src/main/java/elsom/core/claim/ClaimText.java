package elsom.core.claim;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A claim's text made even: small letters, figures for numbers in words, marks for sides without a name. */
final class ClaimText {
    private static final Map<String, String> NUMBERS = Map.ofEntries(
            Map.entry("two", "2"),
            Map.entry("three", "3"),
            Map.entry("four", "4"),
            Map.entry("five", "5"),
            Map.entry("six", "6"),
            Map.entry("seven", "7"),
            Map.entry("eight", "8"),
            Map.entry("nine", "9"),
            Map.entry("ten", "10"),
            Map.entry("eleven", "11"),
            Map.entry("twelve", "12"),
            Map.entry("fifteen", "15"),
            Map.entry("twenty", "20"),
            Map.entry("thirty", "30"),
            Map.entry("forty", "40"),
            Map.entry("fifty", "50"),
            Map.entry("sixty", "60"),
            Map.entry("seventy", "70"),
            Map.entry("eighty", "80"),
            Map.entry("ninety", "90"),
            Map.entry("hundred", "100"));
    private static final Map<String, String> PARTS =
            Map.of("half", "2", "third", "3", "quarter", "4", "fifth", "5", "sixth", "6", "eighth", "8", "tenth", "10");

    private ClaimText() {}

    static String plain(String claim) {
        return claim.toLowerCase(Locale.ROOT)
                .replace('’', '\'')
                .replace('−', '-')
                .replaceAll("per ?cent\\b|\\bpct\\b", "%")
                .replaceAll("[“”\"]", "")
                .replaceAll("[\\s\u00a0]+", " ")
                .replaceAll("[.!\\s]+$", "")
                .strip();
    }

    /** Without names: what is behind the last "than" is the other side, what is before the verb is the first. */
    static String unnamed(String text) {
        String sided = text.replaceFirst(
                "\\b(than|against|beside|compared with|compared to|versus|vs|over|(?<=(?:good|much|many|well|tall|heavy|long|safe) )as) "
                        + "(?!that\\b)((?:(?!\\b(?:than|and|but|or|which)\\b)[\\p{L}0-9 '-])+)$",
                "$1 §1");
        sided = sided.replaceFirst("\\b(beats?|outperforms?|outgrows?|outdoes) ([\\p{L}0-9 '-]+)$", "$1 §1");
        Matcher subject = Pattern.compile(
                        "^((?!it\\b|you\\b|there\\b|twice\\b|half\\b|at\\b|no\\b|not\\b|a\\b|more\\b|less\\b)[\\p{L}][\\p{L}0-9 -]*?) "
                                + "(?=(?:is|are|gives?|gave|does|do|makes?|has|have|grows?|raises|raised|yields?|beats?|outperforms?|"
                                + "outgrows?|outdoes|cuts?|doubles|halves|reduces|lowers|puts|brings|adds|saves|holds?)\\b)")
                .matcher(sided);
        return subject.find() ? "§0" + sided.substring(subject.end(1)) : sided;
    }

    /** Numbers and fractions in figures. */
    static String numbers(String text) {
        String figures = text.replaceAll("\\bone and a half\\b", "1.5");
        for (Map.Entry<String, String> number : NUMBERS.entrySet()) {
            figures = figures.replaceAll("\\b" + number.getKey() + "\\b", number.getValue());
        }
        for (Map.Entry<String, String> part : PARTS.entrySet()) {
            figures = figures.replaceAll(
                    "\\b(?:an? |one )?" + part.getKey() + "\\b(?! (?:rate|strength))", "1/" + part.getValue());
            String many = part.getKey().equals("half") ? "halves" : part.getKey() + "s";
            figures = figures.replaceAll("(?<![§0-9])([0-9]+) " + many + "\\b", "$1/" + part.getValue());
        }
        figures = figures.replaceAll("(?<![/0-9.])([0-9]+) and 1/2\\b", "$1.5")
                .replaceAll("(?<![/0-9.])([0-9]+) and 1/4\\b", "$1.25");
        return figures.replaceAll("([0-9]+/[0-9]+) (?:an?|of an?) (?=\\p{L})", "$1 ");
    }
}
