package elsom.core.audit;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.results.JudgedQuestion;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/** Questions whose answer could not have been told with these units. */
final class TooFewToTell implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<Fault> faults = new ArrayList<>();
        for (JudgedQuestion question : trial.questions()) {
            List<Comparison> open = question.judgement().comparisons().stream()
                    .filter(c -> c.answer() == Answer.CANT_TELL
                            && c.margin().isPresent()
                            && c.interval().isPresent())
                    .filter(c -> c.interval().get().high() - c.interval().get().low()
                            > 2 * c.margin().getAsDouble())
                    .toList();
            if (!open.isEmpty()) {
                OptionalInt needed = open.stream()
                        .flatMapToInt(c -> c.unitsThatWouldTell().stream())
                        .max();
                faults.add(Fault.of(
                                FaultCode.TOO_FEW,
                                Grade.SHAKY,
                                question.kind().label()
                                        + (open.size() == 1
                                                ? ": the interval of 1 comparison is"
                                                : ": the intervals of " + open.size() + " comparisons are")
                                        + " wider than the difference that matters on both sides.",
                                "“Can't tell” is then the trial's limit and no sign that there is no difference.",
                                needed.isPresent()
                                        ? "About " + needed.getAsInt() + " units of each would likely tell."
                                        : "More units, or a sharper way to measure.")
                        .of(question.kind()));
            }
        }
        return faults;
    }
}
