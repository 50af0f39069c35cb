package elsom.core.formula;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What can be made of an endpoint's course up to a look. */
public enum OverTime {
    FIRST("first", "its value when it was first read") {
        @Override
        double of(List<Point> course, double limit) {
            return course.get(0).value();
        }
    },
    BEFORE("before", "its value at the reading before this one") {
        @Override
        double of(List<Point> course, double limit) {
            return course.size() < 2
                    ? Double.NaN
                    : course.get(course.size() - 2).value();
        }
    },
    LAST("last", "its last value, at this look or an earlier one") {
        @Override
        double of(List<Point> course, double limit) {
            return course.get(course.size() - 1).value();
        }
    },
    /** Hunt, R. (1982) Plant growth curves: the mean relative growth rate between the first and the last harvest. */
    GROWTH("growth-rate", "its relative growth a day: (ln last − ln first) ÷ days between") {
        @Override
        double of(List<Point> course, double limit) {
            Point first = course.get(0);
            Point last = course.get(course.size() - 1);
            return last.hours() > first.hours()
                    ? Math.log(last.value() / first.value()) / (last.hours() - first.hours())
                    : Double.NaN;
        }
    },
    /** Trapezoids between looks, as the area under the disease progress curve is taken. */
    AREA("area-under", "the area under its course, by trapezoids from its first reading") {
        @Override
        double of(List<Point> course, double limit) {
            double area = 0;
            for (int i = 1; i < course.size(); i++) {
                Point left = course.get(i - 1);
                Point right = course.get(i);
                area += (left.value() + right.value()) / 2 * (right.hours() - left.hours());
            }
            return course.size() < 2 ? Double.NaN : area;
        }
    },
    DAYS_TO("days-to", "time from the start until it first reached a value: days-to(height, 5 cm)") {
        @Override
        double of(List<Point> course, double limit) {
            return course.stream()
                    .filter(point -> point.value() >= limit)
                    .mapToDouble(Point::hours)
                    .findFirst()
                    .orElse(Double.NaN);
        }
    };

    /** A value, in g, cm and h, so long after the start. */
    public record Point(double hours, double value) {}

    private final String word;
    private final String meaning;

    OverTime(String word, String meaning) {
        this.word = word;
        this.meaning = meaning;
    }

    /** How it is written. */
    public String word() {
        return word;
    }

    public String meaning() {
        return meaning;
    }

    /**
     * Its value; NaN where the course is too short, or has not come so far.
     *
     * @param course in order of time, at least one point
     * @param limit what is to be reached, for {@link #DAYS_TO} only
     */
    abstract double of(List<Point> course, double limit);

    static Optional<OverTime> named(String word) {
        return Arrays.stream(values()).filter(one -> one.word.equals(word)).findFirst();
    }
}
