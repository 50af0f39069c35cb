package elsom.core.read;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Days, and times of a day, as they are typed and written in forms: "26 Nov 2026, 14:05". */
public final class Moments {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);
    private static final DateTimeFormatter AT = DateTimeFormatter.ofPattern("d MMM uuuu, HH:mm", Locale.ENGLISH);
    private static final Pattern TIMED = Pattern.compile(
            "(?i)(?<day>.*?)(?:[\\s,]+(?:at\\s+)?|t)(?<hour>\\d{1,2})(?:[:.](?<minute>\\d{2})(?::\\d{2})?)?\\s*(?<half>[ap]\\.?m\\.?)?(?:\\s*h)?");
    private static final int NOON = 12;

    private Moments() {}

    /** "26 Nov 2026". */
    public static String written(LocalDate day) {
        return DAY.format(day);
    }

    /** "26 Nov 2026, 14:05". */
    public static String written(LocalDateTime at) {
        return AT.format(at);
    }

    /**
     * A day.
     *
     * @param box {@link Box#DATE} for one that was, {@link Box#DAY_PLANNED} for any: without a year each means another
     * @throws IllegalArgumentException with what is wrong or asked, and what would be accepted
     */
    public static LocalDate day(String text, Box box, LocalDate today) {
        Read read = Reader.read(box, text.strip(), Known.on(today));
        if (read instanceof Read.Value value && value.meaning() instanceof Read.Day day) {
            return day.date();
        }
        throw new IllegalArgumentException(
                read instanceof Read.Ask ask
                        ? ask.why()
                        : read instanceof Read.Refused refused
                                ? refused.message()
                                : "“" + text.strip() + "” is no one day. Accepted: " + box.example());
    }

    /**
     * A day and a time of it, "26 Nov 2026, 14:05", "yesterday 9:30" or "2026-11-26T14:05".
     *
     * @param box as for {@link #day}
     * @throws IllegalArgumentException with what is wrong or asked, and what would be accepted
     */
    public static LocalDateTime at(String text, Box box, LocalDate today) {
        Matcher timed = TIMED.matcher(text.strip());
        if (!timed.matches()
                || timed.group("day").isBlank()
                || (timed.group("minute") == null && timed.group("half") == null)) {
            throw new IllegalArgumentException(
                    "“" + text.strip() + "” is no day and time. Accepted: " + box.example() + ", 14:05");
        }
        LocalDate day = day(timed.group("day"), box, today);
        int hour = Integer.parseInt(timed.group("hour"));
        int minute = timed.group("minute") == null ? 0 : Integer.parseInt(timed.group("minute"));
        String half = timed.group("half");
        try {
            if (half != null && (hour < 1 || hour > NOON)) {
                throw new DateTimeException("no such hour");
            }
            int of = half == null
                    ? hour
                    : hour % NOON + (half.toLowerCase(Locale.ROOT).startsWith("p") ? NOON : 0);
            return day.atTime(LocalTime.of(of, minute));
        } catch (DateTimeException none) {
            throw new IllegalArgumentException(
                    "There is no such time as “" + text.strip() + "”. Accepted: " + box.example() + ", 14:05", none);
        }
    }
}
