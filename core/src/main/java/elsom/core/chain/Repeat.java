package elsom.core.chain;

import elsom.core.analysis.Comparison;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.audit.Grade;
import elsom.core.figure.FigureKind;
import elsom.core.flag.BelowLimits;
import elsom.core.results.JudgedQuestion;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.Locale;
import java.util.Optional;

/**
 * One trial's say in a comparison that others made too.
 *
 * @param mix what the treatment was grown in, by the plan
 * @param otherLot whether the trial was begun to try another lot
 * @param treatment units of the treatment, {@code comparator}: of what it is held against
 * @param positive whether it is a measured amount, so that one can be so many percent of the other
 * @param below readings of this endpoint of which only a limit is known: they count as half of it
 */
public record Repeat(
        Key key,
        long trial,
        String question,
        ZonedDateTime started,
        String mix,
        boolean otherLot,
        Grade grade,
        FigureKind kind,
        Side treatment,
        Side comparator,
        boolean positive,
        int below) {
    private static final int MONTHS = 3;

    /** What rounding to a step makes of a variance: step² ÷ 12. */
    private static final double TWELFTH = 12;

    /**
     * The units of one of the two.
     *
     * @param variance of their mean; never less than the last digit of a reading, or half a plant, makes it, so that units
     *     that read alike are units of little scatter and not of none
     */
    public record Side(int n, double mean, double variance) {}

    /** What is compared, in whichever trial. */
    public record Key(String endpoint, String treatment, String comparator) {}

    /** A comparison of a trial as a repeat; empty where one of the two stood in a single unit. */
    static Optional<Repeat> of(Stage stage, JudgedQuestion question, Comparison c, boolean otherLot) {
        Optional<Side> one = side(question.observations(), c.treatment());
        Optional<Side> other = side(question.observations(), c.comparator());
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.empty();
        }
        Instant start = stage.record().trial().start();
        return Optional.of(new Repeat(
                new Key(
                        question.kind().code(),
                        question.name(c.treatment()).toLowerCase(Locale.ROOT),
                        question.name(c.comparator()).toLowerCase(Locale.ROOT)),
                stage.id(),
                stage.record().trial().question(),
                start.atZone(stage.record().trial().zone()),
                stage.record().treatment(c.treatment() + 1).material(),
                otherLot,
                stage.grade(),
                question.kind(),
                one.get(),
                other.get(),
                question.observations().kind() == EndpointKind.MEASURED
                        && one.get().mean() > 0
                        && other.get().mean() > 0,
                (int) BelowLimits.in(stage.record()).stream()
                        .filter(reading -> reading.ref()
                                .endpoint()
                                .value()
                                .equals(question.kind().code()))
                        .count()));
    }

    private static Optional<Side> side(Observations all, int arm) {
        return all.summary(arm)
                .filter(found -> found.sd().isPresent())
                .map(found -> new Side(
                        found.n(),
                        found.mean(),
                        Math.max(square(found.sd().getAsDouble()) / found.n(), least(all, arm, found.n()))));
    }

    private static double least(Observations all, int arm, int n) {
        if (all.kind() != EndpointKind.COUNT_OF) {
            return square(all.resolution()) / TWELFTH / n;
        }
        double plants = 0;
        double affected = 0;
        for (Observed unit : all.seen()) {
            if (unit.arm() == arm && unit.value() instanceof Value.CountOf count) {
                plants += count.n();
                affected += count.k();
            }
        }
        double nearer = (affected + 1.0 / 2) / (plants + 1);
        return nearer * (1 - nearer) / plants;
    }

    /** The season it was begun in: a quarter of the year, the winter one beginning in December. */
    int season() {
        return started.getYear() * 4 + started.getMonthValue() / MONTHS;
    }

    double difference() {
        return treatment.mean() - comparator.mean();
    }

    double varianceOfDifference() {
        return treatment.variance() + comparator.variance();
    }

    /** Hedges, Gurevitch and Curtis (1999), Ecology 80:1150–1156: the log response ratio. */
    double logRatio() {
        return Math.log(treatment.mean() / comparator.mean());
    }

    double varianceOfLogRatio() {
        return treatment.variance() / square(treatment.mean()) + comparator.variance() / square(comparator.mean());
    }

    private static double square(double of) {
        return of * of;
    }
}
