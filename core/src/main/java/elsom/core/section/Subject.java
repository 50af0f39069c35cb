package elsom.core.section;

import elsom.core.trial.EndpointCode;
import java.util.Optional;

/**
 * What a section is of, so that an answer finds its picture.
 *
 * @param question the number of the question it answers, 1-based; 0 for none alone
 * @param endpoint what it judges; empty when it is of several, or of what is none
 */
public record Subject(int question, Optional<EndpointCode> endpoint) {
    /** Of the trial as a whole. */
    public static final Subject TRIAL = new Subject(0, Optional.empty());

    /** Of an endpoint that nobody asked about in particular. */
    public static Subject of(String endpoint) {
        return new Subject(0, Optional.of(new EndpointCode(endpoint)));
    }
}
