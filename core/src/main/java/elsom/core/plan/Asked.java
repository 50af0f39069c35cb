package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.Optional;

/**
 * What a trial is for.
 *
 * @param question as a sentence, in the planner's own words
 * @param crop the species grown; empty when nothing grows
 * @param questions what is compared, stated before readings
 * @param measures what is measured, and how
 */
public record Asked(String question, String crop, List<Question> questions, List<Measure> measures) {
    public static final int MOST_MEASURES = Bounds.ENDPOINTS;

    public Asked {
        Bounds.name("a question", question, Bounds.QUESTION);
        Bounds.line("the crop", crop, Bounds.NAME);
        questions = Bounds.list("comparisons", questions, 0, Question.MOST);
        measures = Bounds.list("endpoints", measures, 1, MOST_MEASURES);
        long codes = measures.stream()
                .map(measure -> measure.endpoint().code())
                .distinct()
                .count();
        if (codes < measures.size()) {
            throw new IllegalArgumentException("two endpoints share a code");
        }
    }

    public Optional<Measure> measure(EndpointCode code) {
        return measures.stream()
                .filter(measure -> measure.endpoint().code().equals(code))
                .findFirst();
    }
}
