package elsom.core.audit;

import elsom.core.plan.Factor;
import elsom.core.trial.Treatment;
import java.util.List;

/** Nothing the others are compared with. */
final class NoComparator implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        boolean control = trial.record().treatments().stream().anyMatch(Treatment::isControl)
                || trial.plan().treatments().factors().stream()
                        .anyMatch(factor -> factor.levels().stream().anyMatch(Factor.Level::control));
        boolean compared = trial.plan().asked().questions().stream()
                .anyMatch(question -> question.comparator() > 0
                        || question.hypothesis().step() != null
                        || question.hypothesis().claim().fixed());
        return control || (compared && trial.compares())
                ? List.of()
                : List.of(Fault.of(
                        FaultCode.NO_COMPARATOR,
                        // What is said of one beside another stands; only what any does at all can't be said.
                        trial.compares() ? Grade.SOUND : Grade.SHAKY,
                        trial.compares()
                                ? "No treatment is the control."
                                : "There is one treatment, and nothing beside it.",
                        "The treatments can be told from each other, but not whether any of them does something that would not"
                                + " have happened anyway.",
                        "Add what you would do otherwise, untreated and treated like all the rest."));
    }
}
