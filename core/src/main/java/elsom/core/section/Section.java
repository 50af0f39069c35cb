package elsom.core.section;

import elsom.core.trial.TrialRecord;
import java.util.OptionalInt;

/** One kind of result: what it found, and how it tells that. */
public interface Section {
    /**
     * What it tells, on every page and in every file.
     *
     * @param record the trial it was found in
     */
    Account account(TrialRecord record);

    /** What it is of; of the trial as a whole where it does not say. */
    default Subject subject() {
        return Subject.TRIAL;
    }

    /** The number of the bench it is about; empty when it is about all of them. */
    default OptionalInt bench() {
        return OptionalInt.empty();
    }
}
