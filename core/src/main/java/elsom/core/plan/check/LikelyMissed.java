package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.DetectableTable;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import java.util.OptionalDouble;

/** Units that are too few would likely miss what matters. */
final class LikelyMissed implements PlanRule {
    /** More often than this a difference that matters would be missed: less than 80 % power. */
    private static final double MISSED = 0.2;

    @Override
    public void check(Plan plan, Noted noted) {
        for (Question question : plan.asked().questions()) {
            plan.asked().measure(question.endpoint()).ifPresent(measure -> {
                DetectableTable table = DetectableTable.of(plan, measure, measure.typicalCv(), OptionalDouble.empty());
                double missed =
                        1 - table.at(plan.arrangement().replicates()).power().orElse(1);
                if (missed > MISSED && plan.arrangement().replicates() > 1) {
                    noted.flag(
                            Flag.Severity.CAUTION,
                            "A difference that matters in " + lower(measure) + " would be missed "
                                    + Decimals.percent(missed, 0) + " times in a hundred.",
                            "So “can't tell” is the likely answer, with what units of a treatment usually scatter.",
                            table.needed().isPresent()
                                    ? table.needed().getAsInt() + " units of each would see it four times in five."
                                    : "Ask for a larger difference, or an endpoint that scatters less.");
                }
            });
        }
    }

    private static String lower(Measure measure) {
        return Sentence.inside(measure.endpoint().name());
    }
}
