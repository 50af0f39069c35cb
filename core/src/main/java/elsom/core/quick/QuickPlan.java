package elsom.core.quick;

import elsom.core.plan.Asked;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocol;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.trial.EndpointCode;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * A plan from what one page asks; endpoints, looks, layout and care are those of the kind of trial, and can be changed
 * afterwards.
 *
 * @param matters the difference that would matter in what decides; 0 when nobody said
 * @param inPercent whether it is in percent of the standard
 * @param replicates units of each treatment
 */
public record QuickPlan(
        Protocol kind,
        String question,
        String crop,
        Treatments treatments,
        EndpointCode decides,
        double matters,
        boolean inPercent,
        int replicates) {
    private static final LocalTime MORNING = LocalTime.of(9, 0);
    /** What a pH meter that was calibrated tells apart, and most crops feel. */
    private static final String HALF_A_PH = "0.5";

    private static final double FIFTH = 5;
    private static final Duration TO_FILL = Duration.ofHours(1);

    /** Whether a kind can be begun on one page: its treatments start together, and units of it stand on a bench. */
    public static boolean suits(Protocol kind) {
        return !kind.habit().endsTogether() && !kind.code().value().equals("panel");
    }

    /** What decides, where nobody says another: the last thing measured at the last look, of those that have a better way. */
    public static Measure usual(Protocol kind) {
        List<EndpointCode> last =
                kind.usualLooks().get(kind.usualLooks().size() - 1).endpoints();
        return kind.measures().stream()
                .filter(measure -> last.contains(measure.endpoint().code()))
                .reduce((one, other) -> more(one, other) ? other : one)
                .orElse(kind.measures().get(0));
    }

    /** What is sold says most, then injury, then what stands for growth. */
    private static boolean more(Measure one, Measure other) {
        return rank(other) > rank(one);
    }

    private static int rank(Measure measure) {
        return switch (measure.endpoint().code().value()) {
            case "yield" -> 4;
            case "injury" -> 3;
            case "fresh-mass", "rooted", "root-length" -> 2;
            default -> measure.endpoint().unit().dimension() == Dimension.MASS ? 1 : 0;
        };
    }

    /** Whether differences of a measure are told in its own points and not in percent. */
    public static boolean scored(Measure measure) {
        return measure.endpoint().unit().dimension() == Dimension.SCORE
                || measure.endpoint().unit().dimension() == Dimension.ACIDITY;
    }

    /** The difference that matters where nobody says another, as it would be typed: a fifth, of the standard or of a scale. */
    public static String usualMatters(Measure measure) {
        double fifth = (measure.endpoint().highest() - measure.endpoint().lowest()) / FIFTH;
        return measure.endpoint().unit().dimension() == Dimension.ACIDITY
                ? HALF_A_PH
                : scored(measure) ? Decimals.upTo(fifth, 1) : "20 %";
    }

    /** The full hour after the next where the morning is not over; else tomorrow at nine. */
    public static Instant start(Instant now, ZoneId zone) {
        ZonedDateTime here = now.atZone(zone);
        return here.toLocalTime().isBefore(LocalTime.NOON.minus(TO_FILL))
                ? here.plus(TO_FILL).truncatedTo(ChronoUnit.HOURS).plusHours(1).toInstant()
                : here.toLocalDate().plusDays(1).atTime(MORNING).atZone(zone).toInstant();
    }

    /** The plan, drawn from a seed. */
    public Plan plan(ZoneId zone, Instant start, Pots pots, long seed) {
        Plan plan = kind.begin(question, zone, start, pots, seed);
        Optional<Measure> deciding = plan.asked().measure(decides);
        List<Question> asked = deciding.stream()
                .map(measure ->
                        new Question(List.of(), 0, decides, measure.better(), matters, inPercent, Stated.BEFORE_START))
                .toList();
        Plan whole = plan.with(new Asked(question, crop, asked, plan.asked().measures()))
                .with(treatments, plan.pots());
        return whole.with(whole.arrangement().withReplicates(replicates));
    }
}
