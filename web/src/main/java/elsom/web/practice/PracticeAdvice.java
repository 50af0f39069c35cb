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
    private final ObjectProvider<Practices> practices;

    PracticeAdvice(ObjectProvider<Practices> practices) {
        this.practices = practices;
    }

    /** The way back to the bench of a practice trial. */
    public record Back(String label, String href) {}

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
            return trial == null || known == null
                    ? null
                    : known.find(new TrialId(trial))
                            .map(own -> new Back(own.level().brief().name(), "/practice/bench/" + trial))
                            .orElse(null);
        };
    }
}
