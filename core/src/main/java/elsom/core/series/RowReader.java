package elsom.core.series;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Quantity;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

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

    private final Mapping mapping;
    private final Moments moments;
    private final Set<String> units;
    private final Instant latest;

    /**
     * A value with where it belongs.
     *
     * @param unit code; empty for the whole trial
     */
    public record Read(Channel channel, String unit, Sample sample) {}

    /**
     * A reader at the first row.
     *
     * @param units codes that a row may name
     * @param now what is measured later than this is in another zone
     */
    public RowReader(Mapping mapping, Set<String> units, Instant now) {
        this.mapping = mapping;
        this.moments = new Moments(mapping.zone(), mapping.order());
        this.units = Set.copyOf(units);
        this.latest = now.plus(AHEAD);
    }

    /**
     * The values of a row; cells without one are left out.
     *
     * @throws IllegalArgumentException with what was wrong, which column, and what would be accepted
     */
    public List<Read> read(List<String> cells) {
        Instant at = moments.read(cell(cells, mapping.timeColumn()));
        if (at.isAfter(latest)) {
            throw new IllegalArgumentException("“" + cell(cells, mapping.timeColumn()) + "” is still to come in "
                    + mapping.zone() + ": is the zone right, and the order of day and month?");
        }
        String named = mapping.unitColumn() < 0 ? "" : unit(cell(cells, mapping.unitColumn()));
        List<Read> read = new ArrayList<>(mapping.channels().size());
        for (Channel channel : mapping.channels()) {
            String cell = cell(cells, channel.column());
            if (!NOTHING.contains(cell.toLowerCase(Locale.ROOT))) {
                read.add(new Read(
                        channel,
                        named.isEmpty() ? channel.unit() : named,
                        new Sample(at.toEpochMilli(), value(channel, cell))));
            }
        }
        return read;
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

    private double value(Channel channel, String cell) {
        Measurand what = channel.what();
        double value;
        try {
            value = new Quantity(mapping.sign().read(cell), channel.typed())
                    .in(what.unit())
                    .value();
        } catch (IllegalArgumentException wrong) {
            throw new IllegalArgumentException("column " + (channel.column() + 1) + ": " + wrong.getMessage());
        }
        if (value < what.lowest() || value > what.highest()) {
            throw new IllegalArgumentException("column " + (channel.column() + 1) + ": " + what.label() + " of " + cell
                    + " "
                    + channel.typed().symbol() + " can't be; accepted: " + Decimals.upTo(what.lowest(), 2) + " to "
                    + Decimals.upTo(what.highest(), 2) + " " + what.unit().symbol() + ". Is the unit right?");
        }
        return value;
    }
}
