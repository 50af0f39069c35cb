package elsom.core.results;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.stats.Interval;
import elsom.core.trial.UnitCode;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a figure runs over time, a line for each group.
 *
 * @param threshold what the level is called that the lines are watched for; empty when there is none
 * @param crossed what a group is called that went below it: "due"
 */
public record Course(FigureKind kind, String threshold, String crossed, List<Line> lines) {
    public Course {
        lines = List.copyOf(lines);
    }

    /** One unit at one look. */
    public record Point(UnitCode unit, int look, double hours, double value) {}

    /** The mean of a group's units at a look. */
    public record Mean(int look, double hours, double value, int n, Optional<Interval> interval95) {}

    /**
     * When a group falls below its threshold.
     *
     * @param hours the mean over its units
     * @param interval95 of that mean; empty for one unit
     * @param extrapolated true when it lies after the last look of any unit counted
     */
    public record Crossing(double hours, Optional<Interval> interval95, int n, boolean extrapolated) {}

    /**
     * One group's course.
     *
     * @param threshold the level that matters, such as the refill level
     * @param crossing when it falls below; empty when it did not within the weighings, or not all units did
     */
    public record Line(
            GroupKey group,
            List<Point> points,
            List<Mean> means,
            OptionalDouble threshold,
            Optional<Crossing> crossing) {
        public Line {
            points = List.copyOf(points);
            means = List.copyOf(means);
        }
    }
}
