package elsom.core.quantity;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * How much a trial can hold, in one place. The records of the core check themselves by these, so that a form, a CSV, a
 * zip and a plan in JSON are held to the same rule, and nothing is stored that no page could show. Every check returns
 * what it was given, and refuses with what it is, what would be accepted, and what it was.
 */
public final class Bounds {
    /** Characters of a name, of a short name, of a note, of a place that signs, of a question. */
    public static final int NAME = 60;

    public static final int SHORT_NAME = 40;
    public static final int NOTE = 300;
    public static final int STATION = 30;
    public static final int QUESTION = 200;

    /** Characters of a mix of materials, and of a list of levels. */
    public static final int MIX = 200;

    public static final int LEVELS_TEXT = 500;

    /** Any value or amount, either side of 0. */
    public static final double LARGEST = 1e9;

    public static final int DECIMALS = 9;
    public static final int TREATMENTS = 24;
    public static final int UNITS = 1000;
    public static final int LOOKS = 100;
    public static final int ENDPOINTS = 30;
    public static final int SUB_READINGS = 20;
    public static final int COUNTED = 10_000;
    public static final int BENCHES = 6;
    public static final int INFLUENCES = 12;

    /** Places of one bench along a side, and in all. */
    public static final int PLACES_ALONG = 202;

    public static final int PLACES = 10_000;
    public static final int MOVES = 2000;
    public static final int RECURRING_STEPS = 12;
    public static final int DAYS_AWAY = 60;

    /** Trials are run, and were run, in these years. */
    public static final Instant EARLIEST = Instant.parse("1970-01-01T00:00:00Z");

    public static final Instant LATEST = Instant.parse("2200-01-01T00:00:00Z");

    /** How long before and after a start something may be planned. */
    public static final Duration BEFORE = Duration.ofDays(365);

    public static final Duration AFTER = Duration.ofDays(3650);

    /** Something is more, less or other than a trial can hold. */
    public static final class OutOfBounds extends IllegalArgumentException {
        OutOfBounds(String message) {
            super(message);
        }
    }

    private Bounds() {}

    /** A line of text that may be empty. */
    public static String line(String what, @Nullable String text, int longest) {
        if (text == null) {
            throw new OutOfBounds(what + " is missing");
        }
        if (text.length() > longest) {
            throw new OutOfBounds(what + " has at most " + longest + " characters, got " + text.length());
        }
        if (text.chars().anyMatch(Character::isISOControl)) {
            throw new OutOfBounds(what + " is one line of text, got a control character");
        }
        return text;
    }

    /** A line of text that must say something. */
    public static String name(String what, @Nullable String text, int longest) {
        if (text == null || text.isBlank()) {
            throw new OutOfBounds(what + " has 1 to " + longest + " characters, got none");
        }
        return line(what, text, longest);
    }

    /** Text of several lines, which may be empty. */
    public static String note(String what, @Nullable String text, int longest) {
        line(
                what,
                text == null ? null : text.replace('\n', ' ').replace('\r', ' ').replace('\t', ' '),
                longest);
        return Objects.requireNonNull(text);
    }

    /** A number; NaN is none. */
    public static double number(String what, double value, double lowest, double highest) {
        if (!(value >= lowest && value <= highest)) {
            throw new OutOfBounds(what + " must be " + plain(lowest) + " to " + plain(highest) + ", got " + value);
        }
        return value;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    public static int count(String what, int value, int lowest, int highest) {
        if (value < lowest || value > highest) {
            throw new OutOfBounds(what + " must be " + lowest + " to " + highest + ", got " + value);
        }
        return value;
    }

    public static Instant instant(String what, @Nullable Instant at) {
        if (at == null) {
            throw new OutOfBounds(what + " is missing");
        }
        if (at.isBefore(EARLIEST) || !at.isBefore(LATEST)) {
            throw new OutOfBounds(what + " must lie in the years 1970 to 2199, got " + at);
        }
        return at;
    }

    /** A time from the start of a trial, negative before it. */
    public static Duration span(String what, @Nullable Duration span) {
        if (span == null) {
            throw new OutOfBounds(what + " is missing");
        }
        if (span.compareTo(BEFORE.negated()) < 0 || span.compareTo(AFTER) > 0) {
            throw new OutOfBounds(what + " must lie from a year before the start to ten years after it, got "
                    + span.toSeconds() + " s");
        }
        return span;
    }

    /** A list, copied. */
    public static <T> List<T> list(String what, @Nullable List<T> items, int fewest, int most) {
        if (items == null) {
            throw new OutOfBounds(what + " are missing");
        }
        if (items.size() < fewest || items.size() > most) {
            throw new OutOfBounds("there are " + fewest + " to " + most + " " + what + ", got " + items.size());
        }
        return List.copyOf(items);
    }

    /** A part that must be there. */
    public static <T> T present(String what, @Nullable T part) {
        if (part == null) {
            throw new OutOfBounds(what + " is missing");
        }
        return part;
    }
}
