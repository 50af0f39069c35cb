package elsom.core.series;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Understands the rows of a source's file one after another. */
public final class RowReader {
    /** Clocks differ by a little; by an hour they are in another zone. */
    private static final Duration AHEAD = Duration.ofMinutes(30);

    /** What loggers write where they measured nothing. */
    private static final Set<String> NOTHING = Set.of(
            "",
            "-",
            "na",
            "n/a",
            "nan",
            "null",
            "#n/a",
            "---",
            "-9999",
            "-9999.0",
            "-9999.00",
            "-9999,0",
            "-6999",
            "-7999",
            "9999999",
            "no data",
            "error",
            "err");

    private static final Pattern FIGURES = Pattern.compile("[+-]?[0-9]+(?:[.,][0-9]*)?");
    private static final Pattern BELOW = Pattern.compile("[<≤]\\s*(.+)");
    private static final Set<String> BELOW_SOMETHING = Set.of(
            "<lod", "<dl", "<loq", "<mdl", "< lod", "bdl", "bql", "n.d.", "nd", "below detection", "not detected");

    private final Mapping mapping;
    private final Moments moments;
    private final Set<String> units;
    private final Set<String> nothing;
    private final Instant latest;
    private final Map<String, Long> leftOut = new LinkedHashMap<>();
    private long below;

    /**
     * A value with where it belongs.
     *
     * @param unit code; empty for the whole trial
     */
    public record Read(Channel channel, String unit, double depthCm, Sample sample) {}

    /**
     * A reader at the first row.
     *
     * @param units codes that a row may name
     * @param now what is measured later than this is in another zone
     * @param newestFirst whether the file begins with its newest row
     */
    public RowReader(Mapping mapping, Set<String> units, Instant now, boolean newestFirst) {
        this.mapping = mapping;
        this.moments = new Moments(mapping.zone(), mapping.order(), newestFirst);
        this.units = Set.copyOf(units);
        this.nothing = Stream.of(mapping.noValue().split("[\\s;]+"))
                .filter(code -> !code.isEmpty())
                .map(code -> code.toLowerCase(Locale.ROOT))
                .collect(Collectors.toUnmodifiableSet());
        this.latest = now.plus(AHEAD);
    }

    /** A reader of a file that begins with its oldest row. */
    public RowReader(Mapping mapping, Set<String> units, Instant now) {
        this(mapping, units, now, false);
    }

    /** How many values so far were only known to lie below a limit. */
    public long below() {
        return below;
    }

    /** How many values so far were left out since their rows name something that is not known here. */
    public Map<String, Long> leftOut() {
        return Map.copyOf(leftOut);
    }

    /**
     * Whether a file begins with its newest row.
     *
     * @param rows the first of the file
     */
    public static boolean newestFirst(Mapping mapping, List<List<String>> rows) {
        Columns columns = mapping.columns();
        Map<String, List<Moments.Written>> courses = new LinkedHashMap<>();
        for (List<String> cells : rows) {
            if (cells.size() > Math.max(columns.time(), columns.clock())) {
                courses.computeIfAbsent(course(columns, cells), none -> new ArrayList<>())
                        .add(new Moments.Written(
                                cells.get(columns.time()),
                                columns.clock() == Columns.NONE ? "" : cells.get(columns.clock())));
            }
        }
        return Moments.newestFirst(mapping.zone(), mapping.order(), List.copyOf(courses.values()));
    }

    private static String course(Columns columns, List<String> cells) {
        return optional(cells, columns.unit()) + "/" + optional(cells, columns.depth()) + "/"
                + optional(cells, columns.names());
    }

    private static String optional(List<String> cells, int column) {
        return column == Columns.NONE || column >= cells.size()
                ? ""
                : cells.get(column).strip();
    }

    /**
     * The values of a row; cells without one are left out.
     *
     * @throws IllegalArgumentException with what was wrong, which column, and what would be accepted
     */
    public List<Read> read(List<String> cells) {
        Columns columns = mapping.columns();
        Instant at = time(columns, cells);
        String named = columns.unit() == Columns.NONE ? "" : unit(cell(cells, columns.unit()));
        double deep = columns.depth() == Columns.NONE ? Double.NaN : depth(cell(cells, columns.depth()));
        List<Read> read = new ArrayList<>(mapping.channels().size());
        for (Channel mapped : mapping.channels()) {
            String cell = cell(cells, mapped.column());
            Optional<Channel> told = says(cell) ? told(columns, cells, mapped) : Optional.empty();
            if (told.isEmpty()) {
                continue;
            }
            Channel channel = told.get();
            OptionalDouble value = value(channel, cell);
            if (value.isPresent()) {
                read.add(new Read(
                        channel,
                        named.isEmpty() ? channel.unit() : named,
                        Double.isNaN(deep) ? channel.depthCm() : deep,
                        new Sample(at.toEpochMilli(), value.getAsDouble())));
            }
        }
        return read;
    }

    /** The channel as the row itself names what it measured; empty, and counted, where that is nothing known here. */
    private Optional<Channel> told(Columns columns, List<String> cells, Channel mapped) {
        if (!columns.named()) {
            return Optional.of(mapped);
        }
        String name = cell(cells, columns.names());
        Optional<Measurand> what = Measurand.headed(name);
        if (what.isEmpty()) {
            leftOut.merge(DecimalSign.clipped(name), 1L, Long::sum);
        }
        return what.map(one -> {
            UnitOfMeasure written = Guess.typed(name, one);
            return new Channel(
                    mapped.column(),
                    one,
                    written == one.unit()
                                    && mapped.typed().dimension() == one.unit().dimension()
                            ? mapped.typed()
                            : written,
                    mapped.depthCm() > 0 ? mapped.depthCm() : Depths.in(name),
                    mapped.unit(),
                    mapped.probe());
        });
    }

    private Instant time(Columns columns, List<String> cells) {
        String written = cell(cells, columns.time());
        String clock = columns.clock() == Columns.NONE ? "" : cell(cells, columns.clock());
        if (columns.clock() != Columns.NONE && clock.isEmpty()) {
            throw new IllegalArgumentException(
                    "column " + (columns.clock() + 1) + " has no time of day; accepted: 14:30");
        }
        Instant at = moments.read(written, clock, course(columns, cells));
        if (at.isAfter(latest)) {
            throw new IllegalArgumentException("“" + (written + " " + clock).strip() + "” is still to come in "
                    + mapping.zone() + ": is the zone right, and the order of day and month?");
        }
        return at;
    }

    /** Whether a cell is more than what is written where nothing was measured. */
    private boolean says(String cell) {
        String text = cell.toLowerCase(Locale.ROOT);
        return !NOTHING.contains(text) && nothing.stream().noneMatch(code -> same(code, text));
    }

    /** The same text, or the same number: "-99" is "-99.00" too. */
    private static boolean same(String code, String text) {
        boolean figures =
                FIGURES.matcher(code).matches() && FIGURES.matcher(text).matches();
        return code.equals(text)
                || (figures
                        && Double.parseDouble(code.replace(',', '.')) == Double.parseDouble(text.replace(',', '.')));
    }

    private static double depth(String cell) {
        return Depths.of(cell)
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + DecimalSign.clipped(cell) + "” is no depth; accepted: 10, 10 cm, 4 in, 50 mm"));
    }

    private static String cell(List<String> cells, int column) {
        if (column >= cells.size()) {
            throw new IllegalArgumentException("the row ends after " + cells.size() + " columns; column " + (column + 1)
                    + " is read. Is the file cut off?");
        }
        return cells.get(column).strip();
    }

    private String unit(String cell) {
        String code = cell.toUpperCase(Locale.ROOT);
        if (!units.contains(code)) {
            throw new IllegalArgumentException("“" + DecimalSign.clipped(cell) + "” is no unit of the trial; accepted: "
                    + units.stream().sorted().findFirst().orElse("a code as on the label"));
        }
        return code;
    }

    /** The value of a cell, in the unit that is kept; empty where it only lies below a limit and such are left out. */
    private OptionalDouble value(Channel channel, String cell) {
        Matcher limit = BELOW.matcher(cell);
        if (BELOW_SOMETHING.contains(cell.toLowerCase(Locale.ROOT))) {
            below++;
            return mapping.below() == BelowLimit.ZERO ? OptionalDouble.of(0) : OptionalDouble.empty();
        }
        if (!limit.matches()) {
            return OptionalDouble.of(number(channel, cell, cell));
        }
        double known = number(channel, limit.group(1), cell);
        below++;
        return channel.what().fromNought() ? mapping.below().of(known) : OptionalDouble.of(known);
    }

    private double number(Channel channel, String number, String cell) {
        Measurand what = channel.what();
        double value;
        try {
            value = new Quantity(mapping.sign().read(number), channel.typed())
                    .in(what.unit())
                    .value();
        } catch (IllegalArgumentException wrong) {
            throw new IllegalArgumentException("column " + (channel.column() + 1) + ": " + wrong.getMessage());
        }
        if (value < what.lowest() || value > what.highest()) {
            throw new IllegalArgumentException("column " + (channel.column() + 1) + ": " + what.label() + " of "
                    + DecimalSign.clipped((cell + " " + channel.typed().symbol()).strip())
                    + " can't be; accepted: " + Decimals.upTo(what.lowest(), 2) + " to "
                    + Decimals.upTo(what.highest(), 2) + " " + what.unit().symbol() + ". Is the unit right?");
        }
        return value;
    }
}
