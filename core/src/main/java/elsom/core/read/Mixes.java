package elsom.core.read;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Materials in parts of a whole, by volume. */
final class Mixes {
    private static final Pattern PARTED = Pattern.compile(
            "\\s*(?:\\+|;|,(?![0-9])|&|\\band\\b|\\bwith\\b|\\bto\\b(?=\\s*[0-9]+ ?(?:parts?|%))|:(?=\\s*[0-9]))\\s*");
    private static final Pattern EQUAL = Pattern.compile("(?:in )?equal (?:parts|amounts|shares|volumes)(?: of)? (.+)");
    private static final Pattern RATIO =
            Pattern.compile("([0-9]+(?:[.,][0-9]+)?(?: ?[:/] ?[0-9]+(?:[.,][0-9]+)?)+)(?: (?:of )?(.+))?");
    private static final Pattern REST =
            Pattern.compile("(?:the )?(?:rest|remainder)(?: is| of it)? (.+)|(.+) for the rest");
    private static final Pattern SIZED = Pattern.compile("[0-9.,]+(?: ?(?:-|to) ?[0-9.,]+)? ?(?:mm|cm|µm)\\b.*");
    private static final Pattern BEHIND = Pattern.compile("(\\p{L}.*?) ([0-9]+(?:[.,][0-9]+)?) ?(%|parts?)");
    private static final Pattern NAME = Pattern.compile("\\p{L}[\\p{L}\\p{M}0-9 '’().-]*");
    private static final Set<String> NOTHING =
            Set.of("nothing", "none", "nothing known", "not known", "no idea", "unknown");
    private static final double WITHIN = 0.5;
    private static final int MOST = 12;

    private Mixes() {}

    private static final Set<String> BLENDS = Set.of("mix", "mixes", "mixture", "blend", "medium");

    /** How the amounts of a mix are given. */
    private enum By {
        PARTS,
        PERCENT,
        VOLUME,
        WEIGHT,
        NOTHING,
        REST
    }

    private record Part(String material, double amount, By by, String measure, boolean fraction) {}

    static Read read(Piece piece) {
        String text = piece.plain();
        if (NOTHING.contains(text.toLowerCase(Locale.ROOT))) {
            return piece.refused("“" + text + "” names no material");
        }
        Matcher equal = EQUAL.matcher(text.toLowerCase(Locale.ROOT));
        if (equal.matches()) {
            List<String> names = names(text.substring(equal.start(1)));
            return names.size() < 2
                    ? new Read.Ask("Equal parts of what and what?")
                    : shares(
                            piece,
                            names.stream()
                                    .map(n -> new Part(n, 1, By.PARTS, "", false))
                                    .toList());
        }
        Matcher ratio = RATIO.matcher(text);
        if (ratio.matches()
                && !text.matches("[0-9]+/[0-9]+ (?:cup|tsp|tbsp|L|part|gal|pint|quart|litre|of a).*")
                && text.indexOf('+') < 0
                && !text.matches(".*, ?[0-9].*")) {
            return byRatio(piece, ratio);
        }
        List<Part> parts = new ArrayList<>();
        for (String each : PARTED.split(text.strip())) {
            parts.add(part(piece, each.strip()));
        }
        return judged(piece, parts);
    }

    private static List<String> names(String text) {
        List<String> names = new ArrayList<>();
        for (String name : text.split("\\s*(?:\\+|;|,|&|:|/|\\band\\b|\\bto\\b)\\s*")) {
            if (!name.isBlank()) {
                names.add(name.strip());
            }
        }
        return names;
    }

    private static Read byRatio(Piece piece, Matcher ratio) {
        List<Double> numbers = new ArrayList<>();
        for (String number : ratio.group(1).split(" ?[:/] ?")) {
            numbers.add(Double.parseDouble(number.replace(',', '.')));
        }
        String behind = ratio.group(2);
        List<String> names = behind == null ? List.of() : names(behind);
        if (names.size() != numbers.size()) {
            return new Read.Ask("“" + piece.plain() + "”: what stands on each side? Type it as "
                    + piece.box().example() + ".");
        }
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            parts.add(new Part(names.get(i), numbers.get(i), By.PARTS, "", false));
        }
        return judged(piece, parts);
    }

    private static Part part(Piece piece, String text) {
        Matcher rest = REST.matcher(text);
        if (rest.matches()) {
            return new Part(rest.group(1) == null ? rest.group(2) : rest.group(1), 0, By.REST, "", false);
        }
        Matcher behind = BEHIND.matcher(text);
        if (behind.matches()) {
            By by = behind.group(3).equals("%") ? By.PERCENT : By.PARTS;
            return new Part(behind.group(1), Double.parseDouble(behind.group(2).replace(',', '.')), by, "", false);
        }
        List<Token> tokens = Token.of(text, true);
        boolean numbered = NumberAt.of(tokens, 0).isPresent()
                || (!tokens.isEmpty() && tokens.get(0).is("-"));
        if (SIZED.matcher(text).matches() || !numbered) {
            return new Part(text, 1, By.NOTHING, "", false);
        }
        List<Measured> all = new AmountAt(tokens, piece.known()).at(0);
        if (all.isEmpty() || (all.get(0).bare() && all.get(0).worded() && !worded(tokens, all.get(0)))) {
            return new Part(text, 1, By.NOTHING, "", false);
        }
        return amounted(text, tokens, fitting(all));
    }

    /** "a" counts only before "part", and "half" by itself. */
    private static boolean worded(List<Token> tokens, Measured m) {
        return m.value() < 1
                || (m.next() < tokens.size() && tokens.get(m.next()).word().startsWith("part"));
    }

    private static Measured fitting(List<Measured> all) {
        return all.stream().filter(m -> m.is(Units.VOLUME)).findFirst().orElse(all.get(0));
    }

    private static Part amounted(String text, List<Token> tokens, Measured m) {
        int at = m.next();
        if (!m.own().isEmpty()
                && at < tokens.size()
                && BLENDS.contains(tokens.get(at).word())) {
            // "1 bed mix" is a part of a mix called so, and no bed full of it.
            return new Part(text.substring(tokens.get(at - 1).start()).strip(), m.value(), By.PARTS, "", false);
        }
        boolean parts = at < tokens.size()
                && (tokens.get(at).is("part") || tokens.get(at).is("parts"));
        at = parts ? at + 1 : at;
        at = at < tokens.size() && tokens.get(at).is("of") ? at + 1 : at;
        String name =
                at < tokens.size() ? text.substring(tokens.get(at).start()).strip() : "";
        By by = m.is(Unit.Nature.PERCENT)
                ? By.PERCENT
                : m.is(Units.VOLUME) ? By.VOLUME : m.is(Units.MASS) ? By.WEIGHT : By.PARTS;
        boolean known = m.bare() || !m.own().isEmpty() || by != By.PARTS;
        boolean fraction = m.bare() && m.value() < 1 && m.value() > 0 && !parts;
        return known && !m.range()
                ? new Part(name, by == By.PERCENT ? m.value() : m.base(), by, m.own(), fraction)
                : new Part(text, 1, By.NOTHING, "", false);
    }

    private static Read judged(Piece piece, List<Part> parts) {
        String text = piece.plain();
        Optional<Part> unnamed = parts.stream()
                .filter(p -> p.material().chars().anyMatch(Character::isLetter))
                .filter(p -> NOTHING.contains(p.material().toLowerCase(Locale.ROOT))
                        || begun(p.material())
                        || (!NAME.matcher(p.material()).matches()
                                && !SIZED.matcher(p.material()).matches()))
                .findFirst();
        if (unnamed.isPresent()) {
            return new Read.Ask(
                    "“" + unnamed.get().material() + "” is no name of a material: which is meant? Type it as in "
                            + piece.box().example() + ".");
        }
        if (parts.size() == 1 && parts.get(0).by() == By.NOTHING) {
            return parts.get(0).material().chars().anyMatch(Character::isLetter)
                    ? shares(piece, List.of(parts.get(0)))
                    : piece.refused("“" + text + "” names no material");
        }
        if (parts.stream().anyMatch(p -> p.amount() < 0)) {
            return piece.refused("A part can't be below 0");
        }
        if (parts.stream().anyMatch(p -> p.by() == By.PERCENT && p.amount() > 100)) {
            return piece.refused("“" + text + "” is more than the whole");
        }
        if (parts.stream().anyMatch(p -> p.material().chars().noneMatch(Character::isLetter))) {
            return new Read.Ask("“" + text + "”: of what? Name each material, as in "
                    + piece.box().example() + ".");
        }
        if (parts.stream().allMatch(p -> p.by() == By.NOTHING)) {
            return new Read.Ask("“" + text + "”: in which shares? Type them as in "
                    + piece.box().example() + ".");
        }
        return ways(piece, parts);
    }

    /** Whether a name begins with a number in words, so that it may be none. */
    private static boolean begun(String name) {
        List<Token> words = Token.of(name, true);
        return name.matches("(?:in|to) [0-9].*")
                || (NumberAt.of(words, 0).isPresent()
                        && words.get(0).isWord()
                        && !words.get(0).is("a")
                        && !words.get(0).is("an"));
    }

    private static Read ways(Piece piece, List<Part> parts) {
        String text = piece.plain();
        List<By> ways = parts.stream()
                .map(Part::by)
                .filter(by -> by != By.REST)
                .distinct()
                .toList();
        boolean measures = parts.stream().map(Part::measure).distinct().count() > 1;
        if (ways.contains(By.VOLUME) && ways.contains(By.WEIGHT)) {
            return new Read.Ask(
                    "“" + text + "” has a volume and a weight: what does a litre of each weigh? Type all as volumes.");
        }
        if (ways.size() != 1 || measures || ways.contains(By.NOTHING)) {
            return new Read.Ask("“" + text + "” gives its amounts in unlike ways: which share has each?");
        }
        if (ways.contains(By.WEIGHT)) {
            return new Read.Ask("“" + text + "” is by weight, and a mix is by volume: which volume is each?");
        }
        double sum = parts.stream().mapToDouble(Part::amount).sum();
        long rests = parts.stream().filter(p -> p.by() == By.REST).count();
        double whole = ways.contains(By.PERCENT) ? 100 : 1;
        boolean ofWhole = ways.contains(By.PERCENT)
                || parts.stream().filter(p -> p.by() != By.REST).allMatch(Part::fraction);
        if (rests == 1 && ofWhole && sum < whole) {
            return shares(
                    piece,
                    parts.stream()
                            .map(p -> p.by() == By.REST ? new Part(p.material(), whole - sum, By.PARTS, "", false) : p)
                            .toList());
        }
        if (rests > 0) {
            return new Read.Ask("“" + text + "”: the rest of how much?");
        }
        if (sum == 0) {
            return piece.refused("There is nothing in “" + text + "”");
        }
        if (ofWhole && sum > whole * (1 + WITHIN / 100)) {
            return piece.refused(
                    "“" + text + "” sums to " + Read.Amount.figure(100 * sum / whole) + " %, more than the whole");
        }
        if (ofWhole && sum < whole * (1 - WITHIN / 100)) {
            return new Read.Ask(
                    "“" + text + "” sums to " + Read.Amount.figure(100 * sum / whole) + " %: what is the rest?");
        }
        return shares(piece, parts);
    }

    private static Read shares(Piece piece, List<Part> parts) {
        double sum = parts.stream().mapToDouble(Part::amount).sum();
        Map<String, Double> merged = new LinkedHashMap<>();
        parts.stream()
                .filter(p -> p.amount() > 0)
                .forEach(p -> merged.merge(p.material().replaceAll("[\\s.,;:]+$", ""), p.amount() / sum, Double::sum));
        if (merged.isEmpty() || merged.size() > MOST || !Double.isFinite(sum)) {
            return piece.refused("A mix has 1 to " + MOST + " materials");
        }
        return new Read.Value(
                new Read.Mixed(merged.entrySet().stream()
                        .map(e -> new Read.Share(e.getKey(), e.getValue()))
                        .toList()),
                "shares");
    }
}
