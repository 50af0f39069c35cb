package elsom.core.plan;

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
    public static final int MOST_MEASURES = 30;

    public Asked {
        questions = List.copyOf(questions);
        measures = List.copyOf(measures);
        if (measures.size() > MOST_MEASURES) {
            throw new IllegalArgumentException(
                    "a trial measures at most " + MOST_MEASURES + " endpoints, got " + measures.size());
        }
    }

    public Optional<Measure> measure(EndpointCode code) {
        return measures.stream()
                .filter(measure -> measure.endpoint().code().equals(code))
                .findFirst();
    }
}
