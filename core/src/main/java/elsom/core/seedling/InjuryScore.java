package elsom.core.seedling;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How bad a seedling looks, and by what: written "7 cupped, twisted".
 *
 * @param number as it was typed, without its symptoms
 * @param unknown the first word that is no symptom; empty when all are known
 */
public record InjuryScore(String number, Set<Symptom> symptoms, Optional<String> unknown) {
    /** A number, then words; a unit such as "points" between them says nothing. */
    private static final Pattern TYPED =
            Pattern.compile("([0-9]{1,6}(?:[.,][0-9]{1,6})?) ?(?:points?|pt)?[ :;,]*([a-z][a-z ,;]{0,200})?");

    public InjuryScore {
        symptoms = Set.copyOf(symptoms);
    }

    /** The words for a score, in tens of a seedling. */
    public static String anchor(int score) {
        return switch (score) {
            case 0 -> "none";
            case 1 -> "a trace";
            case 2, 3 -> "slight";
            case 4, 5, 6 -> "half";
            case 7, 8, 9 -> "severe";
            default -> "dead";
        };
    }

    /** Reads a number with symptoms, parted by commas; empty for text that is no number with words after it. */
    public static Optional<InjuryScore> typed(String text) {
        Matcher matcher = TYPED.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!matcher.matches()) {
            return Optional.empty();
        }
        Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
        Optional<String> unknown = Optional.empty();
        String words = matcher.group(2);
        if (words != null) {
            for (String word : words.split("[,;]")) {
                Optional<Symptom> symptom = Symptom.called(word);
                symptom.ifPresent(symptoms::add);
                if (symptom.isEmpty() && !word.isBlank() && unknown.isEmpty()) {
                    unknown = Optional.of(word.strip());
                }
            }
        }
        return Optional.of(new InjuryScore(Objects.requireNonNull(matcher.group(1)), symptoms, unknown));
    }

    /** As {@link #typed} reads it. */
    public String text() {
        return symptoms.isEmpty()
                ? number
                : number + " " + symptoms.stream().sorted().map(Symptom::code).collect(Collectors.joining(", "));
    }

    /** The symptoms in words. */
    public String words() {
        return symptoms.stream().sorted().map(Symptom::label).collect(Collectors.joining(", "));
    }
}
