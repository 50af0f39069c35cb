package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * What is compared with what, and which difference would matter.
 *
 * @param treatments numbers of those asked about; empty for all others
 * @param comparator the treatment compared with; 0 for the control
 * @param matters the smallest difference that matters (SDM), in percent of the comparator or in the endpoint's unit; 0
 *     when nobody said
 * @param inPercent whether it is in percent of the comparator
 */
public record Question(
        List<Integer> treatments,
        int comparator,
        EndpointCode endpoint,
        Direction direction,
        double matters,
        boolean inPercent,
        Stated stated) {
    public static final int MOST = 8;
    private static final double LEAST = 1e-9;

    public Question {
        treatments = Bounds.list("treatments in a comparison", treatments, 0, Bounds.TREATMENTS);
        treatments.forEach(number -> Bounds.count("a treatment's number", number, 1, Bounds.TREATMENTS));
        Bounds.count("the comparator", comparator, 0, Bounds.TREATMENTS);
        Bounds.present("an endpoint", endpoint);
        Bounds.present("a direction", direction);
        if (matters != 0) {
            Bounds.number("the difference that matters", matters, LEAST, Bounds.LARGEST / 10);
        }
        Bounds.present("when it was stated", stated);
    }

    /** The smallest difference that matters; empty when nobody said. */
    public OptionalDouble margin() {
        return matters > 0 ? OptionalDouble.of(matters) : OptionalDouble.empty();
    }

    public Question as(Stated when) {
        return new Question(treatments, comparator, endpoint, direction, matters, inPercent, when);
    }

    /** In words: "Dry mass: higher in seaweed or kelp than in none, by 15 % or more?" */
    public String sentence(Plan plan) {
        Measure measure = plan.asked().measure(endpoint).orElse(null);
        String what = measure == null ? endpoint.value() : measure.endpoint().name();
        String unit = measure == null ? "" : measure.endpoint().unit().symbol(matters);
        List<PlannedTreatment> all = plan.treatments().all();
        String who = treatments.isEmpty()
                ? "any other treatment"
                : treatments.stream()
                        .filter(number -> number <= all.size())
                        .map(number -> all.get(number - 1).name())
                        .collect(Collectors.joining(" or "));
        String with = plan.comparator(this).map(PlannedTreatment::name).orElse("the control");
        return what + ": " + direction.label() + " in " + who + " "
                + (direction == Direction.EITHER ? "from " : "than in ")
                + with
                + (matters > 0
                        ? ", by " + Decimals.upTo(matters, 3) + (inPercent ? " %" : unit.isEmpty() ? "" : " " + unit)
                                + " or more?"
                        : "?");
    }
}
