package elsom.core.stats;

import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How likely each answer is that an interval gives, under a true difference: no difference that matters where it lies within
 * the margin both ways, else more or less where it leaves out 0, else can't tell. By integration over the estimate (normal)
 * and its scatter (χ).
 *
 * @param different that the interval leaves out 0, whatever the margin
 * @param more and {@code less}: above and below 0, not within the margin
 * @param noDifference within the margin both ways; 0 without a margin
 * @param cantTell the rest
 */
public record AnswerChances(double different, double more, double less, double noDifference, double cantTell) {
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

    /**
     * The chances.
     *
     * @param difference the true one
     * @param error the true standard error of its estimate, above 0
     * @param df degrees of freedom of the scatter, above 0
     * @param critical what the estimated standard error is multiplied by for half the interval
     * @param margin the least difference that matters, above 0; empty where none was named
     */
    public static AnswerChances of(double difference, double error, double df, double critical, OptionalDouble margin) {
        double matters = margin.orElse(0) / error;
        Quadrature.Scale scale = Quadrature.Scale.of(df, matters / critical, matters / critical / 2);
        double shift = difference / error;
        double none = scale.mean(s -> {
            double room = matters - critical * s;
            return room > 0 ? above(-room - shift) - above(room - shift) : 0;
        });
        double more = scale.mean(s -> above(Math.max(critical * s, matters - critical * s) - shift));
        double less = scale.mean(s -> above(Math.max(critical * s, matters - critical * s) + shift));
        double different = scale.mean(s -> above(critical * s - shift) + above(critical * s + shift));
        return new AnswerChances(different, more, less, none, Math.max(0, 1 - none - more - less));
    }

    /** The same where the scatter is known, so that all intervals are as long. */
    public static AnswerChances knowingScatter(
            double difference, double error, double critical, OptionalDouble margin) {
        double matters = margin.orElse(0) / error;
        double shift = difference / error;
        double room = matters - critical;
        double none = room > 0 ? above(-room - shift) - above(room - shift) : 0;
        double more = above(Math.max(critical, room) - shift);
        double less = above(Math.max(critical, room) + shift);
        return new AnswerChances(
                above(critical - shift) + above(critical + shift),
                more,
                less,
                none,
                Math.max(0, 1 - none - more - less));
    }

    private static double above(double z) {
        return NORMAL.survivalProbability(z);
    }

    /** The chance of any answer but can't tell. */
    public double told() {
        return 1 - cantTell;
    }
}
