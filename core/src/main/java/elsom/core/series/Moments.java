package elsom.core.series;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * The times of a file's rows: with their own offset, or as a clock in a zone shows them. In the hour that autumn repeats
 * a time is the first of the two unless the rows before it have passed it already; in a file that begins with the newest
 * row it is the second, unless the rows before it lie earlier.
 */
public final class Moments {
    private static final Pattern WRITTEN = Pattern.compile("([0-9]{1,4})([-./])([0-9]{1,2})\\2([0-9]{2,4})"
            + "(?:[T ,]+([0-9]{1,2}):([0-9]{2})(?::([0-9]{2})(?:[.,][0-9]{1,9})?)?\\s*([AaPp][Mm])?)?");
    private static final String MONTHS = "janfebmaraprmayjunjulaugsepoctnovdec";
    private static final String MONTH = "(?i:(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]{0,6}\\.?)";
    private static final Pattern WORDED = Pattern.compile(
            "(?:([0-9]{1,2})[ .-]" + MONTH + "[ .,-]+([0-9]{4})|" + MONTH + "[ .]([0-9]{1,2}),? ([0-9]{4}))(.*)");
    private static final Pattern OFFSET = Pattern.compile(".*[0-9:](?:Z|[+-][0-9]{2}:[0-9]{2})");
    private static final Pattern EPOCH = Pattern.compile("[0-9]{10}(?:[0-9]{3})?");

    /** Days since 30 December 1899, as spreadsheets count them, from 1982 to 2119. */
    private static final Pattern SERIAL = Pattern.compile("[3-7][0-9]{4}(?:[.,][0-9]+)?");

    private static final Pattern MIDNIGHT = Pattern.compile("[ T]+0?0:00(?::00)?(?:[.]0+)?$");
    private static final Pattern SHARE_OF_DAY = Pattern.compile("0?[.,][0-9]+(?:[eE]-[0-9]+)?|0");
    private static final Pattern TIME_OF_DAY =
            Pattern.compile("[0-9]{1,2}:[0-9]{2}(?::[0-9]{2}(?:[.,][0-9]{1,9})?)?\\s*(?:[AaPp][Mm])?");
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT);

    private static final LocalDateTime SERIAL_ZERO = LocalDate.of(1899, 12, 30).atStartOfDay();
    private static final double SECONDS_A_DAY = 86_400;

    private final ZoneId zone;
    private final DayOrder order;
    private final boolean newestFirst;
    private final Map<String, Instant> before = new HashMap<>();

    /** Times of a file that begins with the oldest row. */
    public Moments(ZoneId zone, DayOrder order) {
        this(zone, order, false);
    }

    public Moments(ZoneId zone, DayOrder order, boolean newestFirst) {
        this.zone = zone;
        this.order = order;
        this.newestFirst = newestFirst;
    }

    /** The time a row has in a file of one course. */
    public Instant read(String cell) {
        return read(cell, "", "");
    }

    /**
     * The time a row has.
     *
     * @param cell after the one of the row of the same course before
     * @param clock the time of day where the cell holds the day alone; empty when it holds both
     * @param course which of the file's courses the row is of: those of several units may follow one another
     * @throws IllegalArgumentException with what was wrong and what would be accepted
     */
    public Instant read(String cell, String clock, String course) {
        String text = clock.isBlank() ? cell.strip() : together(cell.strip(), clock.strip());
        try {
            Instant at = EPOCH.matcher(text).matches()
                    ? Instant.ofEpochMilli(Long.parseLong(text) * (text.length() == 10 ? 1000 : 1))
                    : OFFSET.matcher(text).matches()
                            ? OffsetDateTime.parse(text.replace(' ', 'T')).toInstant()
                            : zoned(local(text), text, before.get(course));
            before.put(course, at);
            return at;
        } catch (DateTimeException | ArithmeticException noTime) {
            throw unread(text);
        }
    }

    /** The day of one cell with the time of day of another. */
    private static String together(String cell, String clock) {
        String day = MIDNIGHT.matcher(cell).replaceFirst("");
        if (day.indexOf(':') >= 0) {
            throw new IllegalArgumentException("“" + DecimalSign.clipped(cell) + "” has a time of day already, and “"
                    + DecimalSign.clipped(clock) + "” is another; accepted: a day, such as 2026-11-26");
        }
        if (SERIAL.matcher(day).matches()) {
            day = SERIAL_ZERO
                    .toLocalDate()
                    .plusDays((long) Double.parseDouble(day.replace(',', '.')))
                    .toString();
        }
        return day + " " + ofDay(clock);
    }

    /** A time of day; spreadsheets write it as a share of the day. */
    private static String ofDay(String clock) {
        if (SHARE_OF_DAY.matcher(clock).matches()) {
            double share = Double.parseDouble(clock.replace(',', '.'));
            return CLOCK.format(
                    LocalTime.ofSecondOfDay(Math.min((long) SECONDS_A_DAY - 1, Math.round(share * SECONDS_A_DAY))));
        }
        if (!TIME_OF_DAY.matcher(clock).matches()) {
            throw new IllegalArgumentException(
                    "“" + DecimalSign.clipped(clock) + "” is no time of day; accepted: 14:30, 14:30:05, 2:30 PM");
        }
        return clock;
    }

    private static IllegalArgumentException unread(String text) {
        return new IllegalArgumentException("“" + DecimalSign.clipped(text)
                + "” is no time; accepted: 2026-11-26 14:30, 26.11.2026 14:30, 2026-11-26T14:30:00Z");
    }

    private LocalDateTime local(String text) {
        if (SERIAL.matcher(text).matches()) {
            return SERIAL_ZERO.plusSeconds(Math.round(Double.parseDouble(text.replace(',', '.')) * SECONDS_A_DAY));
        }
        Matcher written = WRITTEN.matcher(inFigures(text));
        if (!written.matches()) {
            throw unread(text);
        }
        int first = Integer.parseInt(written.group(1));
        int second = Integer.parseInt(written.group(3));
        int third = Integer.parseInt(written.group(4));
        LocalDate day = written.group(1).length() == 4
                ? LocalDate.of(first, second, third)
                : order == DayOrder.DAY_FIRST
                        ? LocalDate.of(year(third), second, first)
                        : LocalDate.of(year(third), first, second);
        return day.atTime(written.group(5) == null ? LocalTime.MIDNIGHT : clock(written));
    }

    /** "15 Nov 2026 14:30" and "Nov 15, 2026 14:30" as "2026-11-15 14:30". */
    private static String inFigures(String text) {
        Matcher worded = WORDED.matcher(text);
        if (!worded.matches()) {
            return text;
        }
        String month = worded.group(2) == null ? worded.group(4) : worded.group(2);
        String day = worded.group(1) == null ? worded.group(5) : worded.group(1);
        String year = worded.group(3) == null ? worded.group(6) : worded.group(3);
        int number = MONTHS.indexOf(month.substring(0, 3).toLowerCase(Locale.ROOT)) / 3 + 1;
        return year + "-" + number + "-" + day + worded.group(7);
    }

    private static int year(int written) {
        return written < 100 ? 2000 + written : written;
    }

    private static LocalTime clock(Matcher written) {
        int hour = Integer.parseInt(written.group(5));
        String half = written.group(8);
        if (half != null) {
            if (hour < 1 || hour > 12) {
                throw new DateTimeException("no hour of half a day");
            }
            hour = hour % 12 + (half.equalsIgnoreCase("pm") ? 12 : 0);
        }
        return LocalTime.of(
                hour,
                Integer.parseInt(written.group(6)),
                written.group(7) == null ? 0 : Integer.parseInt(written.group(7)));
    }

    private Instant zoned(LocalDateTime local, String text, @Nullable Instant before) {
        List<ZoneOffset> offsets = zone.getRules().getValidOffsets(local);
        if (offsets.isEmpty()) {
            throw new IllegalArgumentException("“" + DecimalSign.clipped(text) + "” was never on a clock in " + zone
                    + ", where clocks went forward that hour: is the zone right?");
        }
        Instant first = local.toInstant(offsets.get(0));
        Instant last = local.toInstant(offsets.get(offsets.size() - 1));
        return newestFirst
                ? (before != null && before.isBefore(last) ? first : last)
                : (before != null && before.isAfter(first) ? last : first);
    }

    /**
     * Whether a file begins with its newest row, by most of the steps between its rows.
     *
     * @param courses times of the first rows, course by course
     */
    public static boolean newestFirst(ZoneId zone, DayOrder order, List<List<Written>> courses) {
        long forth = 0;
        for (List<Written> course : courses) {
            Instant before = null;
            for (Written one : course) {
                Instant at = new Moments(zone, order).readOr(one, before);
                forth += before == null || at == null ? 0 : Integer.signum(at.compareTo(before));
                before = at;
            }
        }
        return forth < 0;
    }

    /** A time as a row writes it; the time of day is empty where the first holds both. */
    public record Written(String cell, String clock) {}

    private @Nullable Instant readOr(Written one, @Nullable Instant otherwise) {
        try {
            return read(one.cell(), one.clock(), "");
        } catch (IllegalArgumentException unread) {
            return otherwise;
        }
    }
}
