package elsom.web.kit;

import elsom.core.plan.Plan;
import elsom.core.trial.TrialRecord;
import java.util.Optional;

/** A feature that may have a chapter to tell of a trial. */
@FunctionalInterface
public interface Chapters {
    /** Its chapter; empty where it has nothing to tell. */
    Optional<Chapter> of(TrialRecord record, Plan plan);
}
