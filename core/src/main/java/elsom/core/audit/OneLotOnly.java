package elsom.core.audit;

import java.util.List;

/** One trial with one lot of each material. */
final class OneLotOnly implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.compares() && !trial.questions().isEmpty()
                ? List.of(Fault.of(
                        FaultCode.ONE_LOT,
                        Grade.SOUND,
                        "One trial, one lot of each material, one season.",
                        "The next bag, batch or month may answer otherwise; intervals say nothing about that.",
                        "Repeat what matters with another lot before relying on it."))
                : List.of();
    }
}
