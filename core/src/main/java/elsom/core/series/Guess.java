package elsom.core.series;

import elsom.core.quantity.UnitOfMeasure;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What the columns of a file most likely are, from its headings and first rows: an offer, to be looked at. */
public final class Guess {
    private static final Pattern CODE = Pattern.compile("(?<![A-Za-z0-9])[A-Z][0-9]{2,4}(?![A-Za-z0-9])");
    private static final Pattern COMMA = Pattern.compile("[<≤+-]?\\s*[0-9]+,[0-9]+");
    private static final Pattern DIGITS = Pattern.compile("([0-9]{1,2})[./-]([0-9]{1,2})[./-][0-9]{2,4}.*");
    private static final Pattern WORDS = Pattern.compile("[\\s\\[\\](),;]+");
    private static final List<String> TIMES = List.of("time", "date", "stamp");
    private static final List<String> DEPTHS = List.of("depth");
    private static final Pattern CLOCK = Pattern.compile("[0-9]{1,2}:[0-9]{2}.*|0?[.,][0-9]+");
    private static final List<String> NAMES =
            List.of("parameter", "measure", "variable", "quantity", "analyte", "channel", "sensor", "what", "type");
    private static final List<String> VALUES = List.of("value", "reading", "result", "measured", "data");
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
        int clock = -1;
        int unit = -1;
        int depth = -1;
        int names = -1;
        for (int column = 0; column < Math.min(headings.size(), Mapping.MOST_COLUMNS); column++) {
            String heading = headings.get(column).toLowerCase(Locale.ROOT);
            if (clock < 0 && TIMES.stream().anyMatch(heading::contains) && all(rows, column, CLOCK)) {
                clock = column;
            } else if (time < 0 && (TIMES.stream().anyMatch(heading::contains) || isTime(rows, column, zone, order))) {
                time = column;
            } else if (unit < 0 && UNITS.stream().anyMatch(heading::contains) && named(rows, column, units)) {
                unit = column;
            } else if (depth < 0 && DEPTHS.stream().anyMatch(heading::contains) && depths(rows, column)) {
                depth = column;
            } else if (names < 0 && NAMES.stream().anyMatch(heading::contains) && measurands(rows, column)) {
                names = column;
            }
        }
        if (time < 0) {
            return Optional.empty();
        }
        Columns columns = new Columns(time, clock, unit, depth, names);
        List<Channel> channels = columns.named() ? values(headings, columns) : channels(headings, columns, units);
        return channels.isEmpty()
                ? Optional.empty()
                : Optional.of(Mapping.plain(columns, zone, order, sign(rows, columns), channels));
    }

    /** The column of values where another says of what; what it holds here stands for all that rows may name. */
    private static List<Channel> values(List<String> headings, Columns columns) {
        for (int column = 0; column < Math.min(headings.size(), Mapping.MOST_COLUMNS); column++) {
            String heading = headings.get(column).toLowerCase(Locale.ROOT);
            if (!columns.takes(column) && VALUES.stream().anyMatch(heading::contains)) {
                return List.of(new Channel(column, Measurand.EC, Measurand.EC.unit(), 0, ""));
            }
        }
        return List.of();
    }

    /** Whether cells name things that can be measured. */
    private static boolean measurands(List<List<String>> rows, int column) {
        return cells(rows, column).anyMatch(cell -> Measurand.headed(cell).isPresent());
    }

    private static List<Channel> channels(List<String> headings, Columns columns, Set<String> units) {
        List<Channel> channels = new ArrayList<>();
        for (int column = 0; column < Math.min(headings.size(), Mapping.MOST_COLUMNS); column++) {
            Optional<Measurand> what =
                    columns.takes(column) ? Optional.empty() : Measurand.headed(headings.get(column));
            if (what.isPresent()) {
                double depth = columns.depth() == Columns.NONE ? Depths.in(headings.get(column)) : 0;
                String of = columns.unit() == Columns.NONE ? code(headings.get(column), units) : "";
                channels.add(new Channel(column, what.get(), typed(headings.get(column), what.get()), depth, of));
            }
        }
        return Channel.numbered(channels);
    }

    private static boolean all(List<List<String>> rows, int column, Pattern written) {
        return cells(rows, column).findAny().isPresent()
                && cells(rows, column)
                        .allMatch(cell -> written.matcher(cell.strip()).matches());
    }

    private static boolean depths(List<List<String>> rows, int column) {
        return cells(rows, column).anyMatch(cell -> !cell.isBlank())
                && cells(rows, column).allMatch(cell -> Depths.of(cell).isPresent());
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

    static DecimalSign sign(List<List<String>> rows, Columns columns) {
        boolean comma = rows.stream().anyMatch(row -> {
            for (int column = 0; column < row.size(); column++) {
                if (!columns.takes(column)
                        && COMMA.matcher(row.get(column).strip()).matches()) {
                    return true;
                }
            }
            return false;
        });
        return comma ? DecimalSign.COMMA : DecimalSign.POINT;
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
    static UnitOfMeasure typed(String heading, Measurand what) {
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
