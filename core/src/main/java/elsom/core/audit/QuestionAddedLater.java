package elsom.core.audit;

import elsom.core.plan.Stated;
import java.util.List;

/** Questions that were added when the trial ran. */
final class QuestionAddedLater implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.questions().stream()
                .filter(question -> question.stated() != Stated.BEFORE_START)
                .map(question -> Fault.of(
                                FaultCode.ASKED_LATE,
                                question.stated() == Stated.AFTER_READINGS ? Grade.SHAKY : Grade.SOUND,
                                "“" + question.asked() + "” was "
                                        + question.stated().label() + ".",
                                "Who looks first and asks then finds what stood out, and something always stands out.",
                                "Ask it before the start of the next trial.")
                        .pushing("Towards a difference where there is none.")
                        .of(question.kind()))
                .toList();
    }
}
