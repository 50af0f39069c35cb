package elsom.web.plan;

import elsom.core.plan.LevelsText;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.time.DateTimeException;
import java.time.Duration;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Pattern;

/** What is wrong with a form, by field, and the readers of single fields that find it. */
public final class Problems {
    private static final Pattern WHOLE = Pattern.compile("[0-9]{1,6}");
    private static final Pattern BARE_NUMBER = Pattern.compile("[-−+]?[0-9]+([.,][0-9]+)?");

    private final Map<String, String> byField = new LinkedHashMap<>();
    private final Map<String, List<String>> readings = new HashMap<>();

    /** All problems in the order they were found. */
    public Map<String, String> all() {
        return byField;
    }

    public boolean none() {
        return byField.isEmpty();
    }

    /** The problem of a field; empty when there is none. */
    public String of(String field) {
        return byField.getOrDefault(field, "");
    }

    /** Texts that would do in a field, to choose from: what it was asked about. */
    public List<String> readings(String field) {
        return readings.getOrDefault(field, List.of());
    }

    void add(String field, String message) {
        byField.putIfAbsent(field, message);
    }

    /** The result of something that refuses bad arguments with a message for people. */
    <T> Optional<T> tried(String field, Supplier<T> maker) {
        try {
            return Optional.of(maker.get());
        } catch (LevelsText.Asked asked) {
            readings.putIfAbsent(field, asked.readings());
            add(field, sentence(asked.question()));
            return Optional.empty();
        } catch (IllegalArgumentException | DateTimeException refused) {
            add(field, sentence(String.valueOf(refused.getMessage())));
            return Optional.empty();
        }
    }

    private static String sentence(String message) {
        return message.isEmpty()
                ? "That can't be."
                : Character.toUpperCase(message.charAt(0))
                        + message.substring(1)
                        + (message.endsWith(".") || message.endsWith("?") ? "" : ".");
    }

    /** A text that must be there and not too long. */
    String required(String field, String text, int longest, String ask) {
        if (text.isEmpty()) {
            add(field, ask);
        }
        return limited(field, text, longest);
    }

    String limited(String field, String text, int longest) {
        if (text.length() > longest) {
            add(field, "At most " + longest + " characters; this has " + text.length() + ".");
            return text.substring(0, longest);
        }
        return text;
    }

    /** A number with or without its unit, in that unit; the fallback for an empty or refused one. */
    double amount(
            String field, String text, UnitOfMeasure unit, double lowest, double highest, double fallback, String ask) {
        if (text.isEmpty()) {
            return fallback;
        }
        Typed typed = Typed.parse(text, unit);
        if (typed instanceof Typed.Understood understood) {
            Quantity stored = understood.stored();
            if (stored.value() >= lowest && stored.value() <= highest) {
                return stored.value();
            }
            add(field, ask);
        } else if (typed instanceof Typed.Refused refused) {
            add(field, refused.message(ask));
        }
        return fallback;
    }

    int whole(String field, String text, int lowest, int highest, int fallback, String ask) {
        if (text.isEmpty()) {
            return fallback;
        }
        if (WHOLE.matcher(text).matches()) {
            int number = Integer.parseInt(text);
            if (number >= lowest && number <= highest) {
                return number;
            }
        }
        add(field, ask);
        return fallback;
    }

    /** "6 h", "7 d", "-3 h", "90 min"; days without a unit. */
    Duration span(String field, String text, Duration fallback, String ask) {
        double hours = amount(
                field,
                BARE_NUMBER.matcher(text).matches() ? text + " d" : text,
                UnitOfMeasure.HOUR,
                -8760,
                87600,
                fallback.toSeconds() / 3600.0,
                ask);
        return Duration.ofSeconds(Math.round(hours * 3600));
    }

    /** One of an enum's constants by its name; the fallback for anything else, which only a forged form sends. */
    static <E extends Enum<E>> E choice(Class<E> type, String text, E fallback) {
        return Arrays.stream(type.getEnumConstants())
                .filter(constant -> constant.name().equals(text))
                .findFirst()
                .orElse(fallback);
    }
}
