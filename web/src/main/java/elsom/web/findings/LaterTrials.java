package elsom.web.findings;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Digest;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import java.util.List;
import org.springframework.stereotype.Component;

/** Trials that asked on about a lot. */
@Component
class LaterTrials {
    private static final int MOST = 40;

    private final TrialLists lists;
    private final Plans plans;

    LaterTrials(TrialLists lists, Plans plans) {
        this.lists = lists;
        this.plans = plans;
    }

    /** Trials made from this one, or of the same kind and begun later, that have the lot under test; the latest first. */
    List<Digest> of(TrialRecord record, String lot) {
        return lists.holding(lot, MOST).stream()
                .filter(other -> other.protocol().equals(record.trial().protocol())
                        && other.id().value() != record.trial().id().value()
                        && (other.start().isAfter(record.trial().start()) || madeFrom(other.id(), record)))
                .toList();
    }

    private boolean madeFrom(TrialId id, TrialRecord record) {
        return plans.earlier(id)
                .map(earlier -> earlier.trial().id().equals(record.trial().id()))
                .orElse(false);
    }
}
