package elsom.web.practice;

import elsom.core.trial.TrialId;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Lets every page of a trial say that it is a practice bench. */
@ControllerAdvice
class PracticeAdvice {
    private static final String HIDDEN = "nothing here is real, and what is true is hidden until the call.";
    private static final String SUPPOSED = "nothing here is real: a plan, rehearsed.";

    private final ObjectProvider<Practices> practices;
    private final ObjectProvider<Rehearsals> rehearsals;

    PracticeAdvice(ObjectProvider<Practices> practices, ObjectProvider<Rehearsals> rehearsals) {
        this.practices = practices;
        this.rehearsals = rehearsals;
    }

    /** The way back to the bench of a practice trial, and what is said of it. */
    public record Back(String says, String label, String href) {}

    /** Looked up only by a page that shows it. */
    @FunctionalInterface
    public interface PracticeOf {
        /** Null for real work. */
        @Nullable
        Back bench();
    }

    @ModelAttribute("practice")
    PracticeOf practice(@PathVariable(name = "trial", required = false) @Nullable Long trial) {
        return () -> {
            Practices known = practices.getIfAvailable();
            Rehearsals rehearsed = rehearsals.getIfAvailable();
            if (trial == null || known == null || rehearsed == null) {
                return null;
            }
            TrialId id = new TrialId(trial);
            return known.find(id)
                    .map(own -> new Back(HIDDEN, own.level().brief().name(), "/practice/bench/" + trial))
                    .or(() -> rehearsed
                            .find(id)
                            .map(own -> new Back(SUPPOSED, "the rehearsal", "/practice/rehearsal/" + trial)))
                    .orElse(null);
        };
    }
}
