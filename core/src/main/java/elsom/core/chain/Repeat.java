package elsom.core.chain;

import elsom.core.analysis.Comparison;
import elsom.core.analysis.EndpointKind;
import elsom.core.audit.Grade;
import elsom.core.figure.FigureKind;
import elsom.core.results.JudgedQuestion;
import elsom.core.stats.Summary;
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
        Summary treatment,
        Summary comparator,
        boolean positive) {
    private static final int MONTHS = 3;

    /** What is compared, in whichever trial. */
    public record Key(String endpoint, String treatment, String comparator) {}

    /** A comparison of a trial as a repeat; empty where one of the two stood in a single unit or does not scatter. */
    static Optional<Repeat> of(Stage stage, JudgedQuestion question, Comparison c, boolean otherLot) {
        Optional<Summary> one = summary(question, c.treatment());
        Optional<Summary> other = summary(question, c.comparator());
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
                        && other.get().mean() > 0));
    }

    private static Optional<Summary> summary(JudgedQuestion question, int arm) {
        return question.observations().summary(arm).filter(found -> found.sd().orElse(0) > 0);
    }

    /** The season it was begun in: a quarter of the year, the winter one beginning in December. */
    int season() {
        return started.getYear() * 4 + started.getMonthValue() / MONTHS;
    }

    double difference() {
        return treatment.mean() - comparator.mean();
    }

    double varianceOfDifference() {
        return square(treatment) + square(comparator);
    }

    /** Hedges, Gurevitch and Curtis (1999), Ecology 80:1150–1156: the log response ratio. */
    double logRatio() {
        return Math.log(treatment.mean() / comparator.mean());
    }

    double varianceOfLogRatio() {
        return square(treatment) / (treatment.mean() * treatment.mean())
                + square(comparator) / (comparator.mean() * comparator.mean());
    }

    private static double square(Summary summary) {
        double sd = summary.sd().orElseThrow();
        return sd * sd / summary.n();
    }
}
