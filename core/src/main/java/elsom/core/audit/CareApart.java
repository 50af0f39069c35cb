package elsom.core.audit;

import elsom.core.flag.Flag;
import elsom.core.flag.UnevenCare;
import elsom.core.plan.WateringSchool;
import java.util.List;

/** Treatments that had unlike water or feed. */
final class CareApart implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return UnevenCare.of(trial.record(), trial.plan().rules().watering() == WateringSchool.EACH_TO_REFILL_WEIGHT)
                .stream()
                .map(flag -> Fault.of(
                                FaultCode.UNEVEN_CARE,
                                flag.severity() == Flag.Severity.NOTE ? Grade.SOUND : Grade.SHAKY,
                                flag.seen(),
                                flag.why(),
                                flag.next())
                        .pushing(
                                flag.severity() == Flag.Severity.NOTE
                                        ? ""
                                        : "What had more water or feed looks better than its treatment made it."))
                .toList();
    }
}
