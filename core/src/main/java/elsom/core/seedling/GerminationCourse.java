package elsom.core.seedling;

import java.util.List;
import java.util.OptionalDouble;

/**
 * How germination ran over days.
 *
 * @param finalGermination fraction of the seeds
 * @param t50Coolbear days to (N+1)/2 germinated (Coolbear et al. 1984), N the final number
 * @param t50Farooq days to N/2 germinated (Farooq et al. 2005)
 * @param meanDays mean germination time
 * @param sdDays its standard deviation between seeds, with N − 1
 * @param speed Σ n/t (Maguire 1962)
 */
public record GerminationCourse(
        double finalGermination,
        OptionalDouble t50Coolbear,
        OptionalDouble t50Farooq,
        OptionalDouble meanDays,
        OptionalDouble sdDays,
        double speed) {

    /** Seeds that germinated on a day since the count before. */
    public record Count(double day, int newlyGerminated) {}

    /**
     * Works a course out.
     *
     * @param seeds sown
     * @param counts in rising order of day, days above 0
     */
    public static GerminationCourse of(int seeds, List<Count> counts) {
        check(seeds, counts);
        int total = counts.stream().mapToInt(Count::newlyGerminated).sum();
        double speed =
                counts.stream().mapToDouble(c -> c.newlyGerminated() / c.day()).sum();
        if (total == 0) {
            OptionalDouble none = OptionalDouble.empty();
            return new GerminationCourse(0, none, none, none, none, 0);
        }
        double mean =
                counts.stream().mapToDouble(c -> c.newlyGerminated() * c.day()).sum() / total;
        double squares = counts.stream()
                .mapToDouble(c -> c.newlyGerminated() * (c.day() - mean) * (c.day() - mean))
                .sum();
        return new GerminationCourse(
                (double) total / seeds,
                timeTo(counts, (total + 1) / 2.0),
                timeTo(counts, total / 2.0),
                OptionalDouble.of(mean),
                total > 1 ? OptionalDouble.of(Math.sqrt(squares / (total - 1))) : OptionalDouble.empty(),
                speed);
    }

    private static void check(int seeds, List<Count> counts) {
        double before = 0;
        int total = 0;
        for (Count count : counts) {
            if (!(count.day() > before) || count.newlyGerminated() < 0) {
                throw new IllegalArgumentException("days must rise from above 0 and counts be 0 or more, got "
                        + count.newlyGerminated() + " on day " + count.day());
            }
            before = count.day();
            total += count.newlyGerminated();
        }
        if (seeds < 1 || total > seeds) {
            throw new IllegalArgumentException(total + " germinated of " + seeds + " seeds can't be");
        }
    }

    /** Straight line between the counts around a number; none germinated on day 0. */
    private static OptionalDouble timeTo(List<Count> counts, double wanted) {
        double day = 0;
        double sum = 0;
        for (Count count : counts) {
            double next = sum + count.newlyGerminated();
            if (sum < wanted && wanted <= next) {
                return OptionalDouble.of(day + (wanted - sum) * (count.day() - day) / (next - sum));
            }
            sum = next;
            day = count.day();
        }
        return OptionalDouble.empty();
    }
}
