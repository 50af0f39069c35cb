package elsom.core.audit;

import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Scores by somebody who knew which unit got what. */
final class NotBlind implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        Set<EndpointCode> scored = trial.scored().stream()
                .filter(code -> trial.questions().stream()
                        .anyMatch(question -> question.kind().code().equals(code.value())))
                .collect(Collectors.toUnmodifiableSet());
        return scored.isEmpty() || trial.plan().rules().blind()
                ? List.of()
                : List.of(Fault.of(
                                FaultCode.NOT_BLIND,
                                Grade.SHAKY,
                                trial.names(scored)
                                        + (scored.size() == 1 ? " was" : " were")
                                        + " scored by eye with the treatments in view.",
                                "Who knows what a pot got sees a little of what is expected; nobody is free of it.",
                                "Make the trial blind in the plan: labels and bench then show codes only.")
                        .pushing("Towards what was expected.")
                        .of(trial, scored));
    }
}
