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

    private static final String SHIPPED = "nobody's trial, shipped to be looked at. Try anything on it.";

    private final ObjectProvider<Practices> practices;
    private final ObjectProvider<Rehearsals> rehearsals;
    private final ObjectProvider<Examples> examples;

    PracticeAdvice(
            ObjectProvider<Practices> practices,
            ObjectProvider<Rehearsals> rehearsals,
            ObjectProvider<Examples> examples) {
        this.examples = examples;
        this.practices = practices;
        this.rehearsals = rehearsals;
    }

    /**
     * What is said of a trial that is not real work.
     *
     * @param what practice, or an example
     * @param label what its bench is called
     * @param href the way back to that bench; empty for the example, which is taken away
     */
    public record Back(String what, String says, String label, String href) {
        private static Back bench(String says, String label, String href) {
            return new Back("Practice", says, label, href);
        }
    }

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
            Examples shipped = examples.getIfAvailable();
            if (trial == null || known == null || rehearsed == null || shipped == null) {
                return null;
            }
            TrialId id = new TrialId(trial);
            return known.find(id)
                    .map(own -> Back.bench(HIDDEN, own.level().brief().name(), "/practice/bench/" + trial))
                    .or(() -> rehearsed
                            .find(id)
                            .map(own -> Back.bench(SUPPOSED, "the rehearsal", "/practice/rehearsal/" + trial)))
                    .or(() -> shipped.there().filter(id::equals).map(own -> new Back("Example", SHIPPED, "", "")))
                    .orElse(null);
        };
    }
}
