package elsom.core.series;

import elsom.core.quantity.Bounds;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * How the columns of a source's files are read.
 *
 * @param timeColumn 0-based
 * @param unitColumn 0-based, the column that names the unit of each row; −1 for none
 */
public record Mapping(
        int timeColumn, int unitColumn, ZoneId zone, DayOrder order, DecimalSign sign, List<Channel> channels) {
    public static final int MOST_COLUMNS = 60;

    public Mapping {
        Bounds.count("the column of times", timeColumn, 0, MOST_COLUMNS);
        Bounds.count("the column of units", unitColumn, -1, MOST_COLUMNS);
        Bounds.present("the time zone", zone);
        Bounds.present("the order of days", order);
        Bounds.present("the decimal sign", sign);
        channels = Bounds.list("columns that are measured", channels, 1, MOST_COLUMNS);
        Set<Integer> used = new HashSet<>(Set.of(timeColumn));
        Set<String> series = new HashSet<>();
        for (Channel channel : channels) {
            if (!used.add(channel.column()) || channel.column() == unitColumn) {
                throw new IllegalArgumentException("column " + (channel.column() + 1) + " is used twice");
            }
            if (!series.add(channel.what() + "/" + channel.depthCm() + "/" + channel.unit())) {
                throw new IllegalArgumentException("two columns would be the same series: "
                        + channel.what().label()
                        + (channel.depthCm() > 0 ? " at " + channel.depthCm() + " cm" : "")
                        + "; give them different depths or units");
            }
        }
        if (timeColumn == unitColumn) {
            throw new IllegalArgumentException("times and units can't be in one column");
        }
    }
}
