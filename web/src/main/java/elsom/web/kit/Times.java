package elsom.web.kit;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Instants as people say them, in the trial's zone. */
public final class Times {
    private static final DateTimeFormatter DAY_AND_TIME =
            DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);

    private Times() {}

    /** "Wed 25 Nov, 14:05". */
    public static String dayAndTime(Instant instant, ZoneId zone) {
        return DAY_AND_TIME.format(instant.atZone(zone));
    }

    /** "Wed 25 Nov 2026, 14:05", for what is read years later. */
    public static String dated(Instant instant, ZoneId zone) {
        return day(instant, zone) + ", " + time(instant, zone);
    }

    /** "14:05". */
    public static String time(Instant instant, ZoneId zone) {
        return TIME.format(instant.atZone(zone));
    }

    /** "Wed 25 Nov 2026". */
    public static String day(Instant instant, ZoneId zone) {
        return DAY.format(instant.atZone(zone));
    }

    /** How far off an instant is: "in 3 h", "2 days ago", "now". */
    public static String away(Instant instant, Instant now) {
        Duration away = Duration.between(now, instant);
        long minutes = Math.abs(away.toMinutes());
        if (minutes < 2) {
            return "now";
        }
        String size = minutes < 100
                ? minutes + " min"
                : minutes < 48 * 60 ? Math.round(minutes / 60.0) + " h" : Math.round(minutes / 1440.0) + " days";
        return away.isNegative() ? size + " ago" : "in " + size;
    }
}
