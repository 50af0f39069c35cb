package elsom.web.trial;

import elsom.core.trial.TrialRecord;
import java.util.Optional;

/** A trial's first answer in few words, for lists. */
public interface AnswerLines {
    /**
     * An answer.
     *
     * @param firmness in a word
     */
    record Line(String firmness, String words) {}

    /** The answer; empty before there is one, or while the trial is blind. */
    Optional<Line> of(TrialRecord record);

    /** What answers are worked out by beside a trial's own readings; another one makes all kept lines stale. */
    String basis();
}
