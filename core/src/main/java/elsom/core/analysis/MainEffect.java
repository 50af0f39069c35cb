package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.OptionalDouble;

/**
 * What a level of a factor does beside its control level, over all levels of the other factors in which both stand.
 *
 * @param factor index of the factor
 * @param p adjusted for all main effects of the question
 */
public record MainEffect(
        int factor,
        String level,
        String against,
        double difference,
        Interval interval,
        OptionalDouble p,
        OptionalDouble margin,
        Answer answer) {}
