package elsom.core.series;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What the columns of a file most likely are, from its headings and first rows: an offer, to be looked at. */
public final class Guess {
    private static final Pattern DEPTH =
            Pattern.compile("([0-9]{1,4}(?:[.,][0-9])?) ?(cm|mm|in|inch|inches|\")(?![\\p{L}/])");
    private static final Pattern CODE = Pattern.compile("(?<![A-Za-z0-9])[A-Z][0-9]{2,4}(?![A-Za-z0-9])");
    private static final Pattern COMMA = Pattern.compile("[+-]?[0-9]+,[0-9]+");
    private static final Pattern DIGITS = Pattern.compile("([0-9]{1,2})[./-]([0-9]{1,2})[./-][0-9]{2,4}.*");
    private static final Pattern WORDS = Pattern.compile("[\\s\\[\\](),;]+");
    private static final List<String> TIMES = List.of("time", "date", "stamp");
    private static final List<String> UNITS = List.of("unit", "pot", "plot", "sample");

    private Guess() {}

    /**
     * The columns of a file.
     *
     * @param headings of the columns
     * @param rows the first ones
     * @param units codes of the trial's units
     * @param zone where the trial is
     * @return empty when no column holds times, or none anything known
     */
    public static Optional<Mapping> of(List<String> headings, List<List<String>> rows, Set<String> units, ZoneId zone) {
        DayOrder order = order(rows);
        int time = -1;
        int unit = -1;
        for (int column = 0; column < headings.size(); column++) {
            String heading = headings.get(column).toLowerCase(Locale.ROOT);
            if (time < 0 && (TIMES.stream().anyMatch(heading::contains) || isTime(rows, column, zone, order))) {
                time = column;
            } else if (unit < 0 && UNITS.stream().anyMatch(heading::contains) && named(rows, column, units)) {
                unit = column;
            }
        }
        List<Channel> channels = time < 0 ? List.of() : channels(headings, time, unit, units);
        return channels.isEmpty()
                ? Optional.empty()
                : Optional.of(new Mapping(time, unit, zone, order, sign(rows, time), channels));
    }

    private static List<Channel> channels(List<String> headings, int time, int unit, Set<String> units) {
        List<Channel> channels = new ArrayList<>();
        Set<String> series = new HashSet<>();
        for (int column = 0; column < Math.min(headings.size(), Mapping.MOST_COLUMNS); column++) {
            Optional<Measurand> what =
                    column == time || column == unit ? Optional.empty() : Measurand.headed(headings.get(column));
            if (what.isPresent()) {
                double depth = depth(headings.get(column));
                String of = unit >= 0 ? "" : code(headings.get(column), units);
                if (series.add(what.get() + "/" + depth + "/" + of)) {
                    channels.add(new Channel(column, what.get(), typed(headings.get(column), what.get()), depth, of));
                }
            }
        }
        return channels;
    }

    private static boolean isTime(List<List<String>> rows, int column, ZoneId zone, DayOrder order) {
        Moments moments = new Moments(zone, order);
        try {
            cells(rows, column).forEach(moments::read);
            return cells(rows, column).findAny().isPresent();
        } catch (IllegalArgumentException none) {
            return false;
        }
    }

    private static Stream<String> cells(List<List<String>> rows, int column) {
        return rows.stream().filter(row -> row.size() > column).map(row -> row.get(column));
    }

    private static boolean named(List<List<String>> rows, int column, Set<String> units) {
        return cells(rows, column).anyMatch(cell -> units.contains(cell.strip().toUpperCase(Locale.ROOT)));
    }

    private static DayOrder order(List<List<String>> rows) {
        boolean monthFirst = rows.stream()
                .flatMap(List::stream)
                .map(cell -> DIGITS.matcher(cell.strip()))
                .anyMatch(date -> date.matches() && Integer.parseInt(date.group(2)) > 12);
        return monthFirst ? DayOrder.MONTH_FIRST : DayOrder.DAY_FIRST;
    }

    private static DecimalSign sign(List<List<String>> rows, int time) {
        boolean comma = rows.stream().anyMatch(row -> {
            for (int column = 0; column < row.size(); column++) {
                if (column != time && COMMA.matcher(row.get(column).strip()).matches()) {
                    return true;
                }
            }
            return false;
        });
        return comma ? DecimalSign.COMMA : DecimalSign.POINT;
    }

    private static double depth(String heading) {
        Matcher depth = DEPTH.matcher(heading);
        if (!depth.find()) {
            return 0;
        }
        UnitOfMeasure unit = UnitOfMeasure.spelled(depth.group(2)).orElse(UnitOfMeasure.CENTIMETRE);
        double cm = new Quantity(Double.parseDouble(depth.group(1).replace(',', '.')), unit)
                .in(UnitOfMeasure.CENTIMETRE)
                .value();
        return Math.min(Channel.DEEPEST_CM, cm);
    }

    private static String code(String heading, Set<String> units) {
        return CODE.matcher(heading)
                .results()
                .map(found -> found.group())
                .filter(units::contains)
                .findFirst()
                .orElse("");
    }

    /** The unit that stands in the heading; else the usual one. */
    private static UnitOfMeasure typed(String heading, Measurand what) {
        if (what == Measurand.MOISTURE && heading.contains("m³/m³")) {
            return UnitOfMeasure.FRACTION;
        }
        return Stream.of(WORDS.split(heading))
                .flatMap(word -> UnitOfMeasure.spelled(word).stream())
                .filter(unit -> unit.dimension() == what.unit().dimension())
                .findFirst()
                .orElse(what.unit());
    }
}
