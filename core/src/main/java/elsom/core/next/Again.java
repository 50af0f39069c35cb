package elsom.core.next;

import elsom.core.analysis.Answer;
import elsom.core.audit.Fault;
import elsom.core.audit.FaultCode;
import elsom.core.plan.Direction;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Question;
import elsom.core.results.JudgedQuestion;
import java.util.List;
import java.util.Optional;

/** A surprise: against what was hoped, the one hit of many, or asked after it was seen. Seen twice, it is no accident. */
final class Again implements Proposer {
    @Override
    public Optional<Proposal> after(Ended trial) {
        Optional<Fault> fault = trial.fault(FaultCode.ONE_OF_MANY, FaultCode.ASKED_LATE);
        Optional<JudgedQuestion> against = trial.questions().stream()
                .filter(question -> question.number() > 0 && against(trial, question))
                .findFirst();
        if ((fault.isEmpty() && against.isEmpty()) || !trial.shown()) {
            return Optional.empty();
        }
        return Optional.of(Proposal.of(
                FollowUp.AGAIN,
                trial.fault(FaultCode.ASKED_LATE).isPresent()
                        ? "The same again, with the question written down beforehand."
                        : "The same again, to see whether it comes twice.",
                fault.map(Fault::seen)
                                .orElseGet(() -> against.map(question ->
                                                question.kind().label() + " went the other way than was hoped.")
                                        .orElse(""))
                        + " Chance makes one such now and then; twice it hardly does.",
                trial,
                trial.anew(),
                0.5));
    }

    private static boolean against(Ended trial, JudgedQuestion question) {
        List<Question> asked = trial.plan().asked().questions();
        Direction hoped = question.number() <= asked.size()
                ? asked.get(question.number() - 1).direction()
                : Direction.EITHER;
        boolean lowerIsBetter = question.direction() == Direction.LOWER;
        return question.judgement().comparisons().stream()
                .filter(c -> c.answer() == Answer.BETTER || c.answer() == Answer.WORSE)
                .anyMatch(c -> {
                    boolean higher = c.answer() == Answer.BETTER != lowerIsBetter;
                    return (hoped == Direction.HIGHER && !higher) || (hoped == Direction.LOWER && higher);
                });
    }
}
