package elsom.core.series;

import elsom.core.quantity.Bounds;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * How the columns of a source's files are read.
 *
 * @param noValue what the file writes where nothing was measured, beside what loggers usually do; parted by spaces
 * @param below what a value below a limit of detection counts as
 */
public record Mapping(
        Columns columns,
        ZoneId zone,
        DayOrder order,
        DecimalSign sign,
        String noValue,
        BelowLimit below,
        List<Channel> channels) {
    public static final int MOST_COLUMNS = 60;
    public static final int LONGEST_NO_VALUE = 60;

    public Mapping {
        Bounds.present("the columns of times and units", columns);
        Bounds.present("the time zone", zone);
        Bounds.present("the order of days", order);
        Bounds.present("the decimal sign", sign);
        Bounds.line("what stands for no value", noValue, LONGEST_NO_VALUE);
        Bounds.present("what a value below a limit counts as", below);
        channels = Bounds.list("columns that are measured", channels, 1, MOST_COLUMNS);
        Set<Integer> used = new HashSet<>();
        Set<String> series = new HashSet<>();
        for (Channel channel : channels) {
            if (!used.add(channel.column()) || columns.takes(channel.column())) {
                throw new IllegalArgumentException("column " + (channel.column() + 1) + " is used twice");
            }
            if (!series.add(channel.series() + "/" + channel.probe())) {
                throw new IllegalArgumentException("two columns would be the same series: "
                        + channel.what().label() + ", probe " + channel.probe());
            }
        }
    }

    /** A file with nothing unusual in it. */
    public static Mapping plain(
            Columns columns, ZoneId zone, DayOrder order, DecimalSign sign, List<Channel> channels) {
        return new Mapping(columns, zone, order, sign, "", BelowLimit.HALF, channels);
    }
}
