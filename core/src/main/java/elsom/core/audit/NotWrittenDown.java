package elsom.core.audit;

import elsom.core.plan.PlanOrigin;
import java.util.List;

/** What nobody knows any more of a trial that was copied from a notebook. */
final class NotWrittenDown implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        PlanOrigin origin = trial.plan().origin();
        return origin == null || !trial.copied()
                ? List.of()
                : List.of(
                        Fault.of(
                                FaultCode.NOT_WRITTEN_DOWN,
                                Grade.SHAKY,
                                origin.change() + ".",
                                "What is not known can't be ruled out: any of it may have made the difference.",
                                "Plan the next one here: place, pots, lots, water and hands are then written down as it goes."));
    }
}
