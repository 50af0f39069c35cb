package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.figure.FigureKind;
import elsom.core.flag.Flag;
import elsom.core.plan.Claim;
import elsom.core.plan.Direction;
import elsom.core.plan.Stated;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;

/**
 * A question with its answer.
 *
 * @param posed the question as it was asked
 * @param kind what was compared, and how it is shown
 * @param direction which way is better; either way when nobody said
 * @param look at which it is answered
 * @param coverage how much of that look it stands on
 * @param ask what the judgement was asked
 * @param overTime what the same question says at each look so far, in order of time
 */
public record JudgedQuestion(
        Posed posed,
        FigureKind kind,
        Direction direction,
        Look look,
        Coverage coverage,
        Observations observations,
        Ask ask,
        Judgement judgement,
        List<AtLook> overTime,
        List<Flag> flags)
        implements Section {
    /** ", beside bark" where all stands beside one treatment; empty otherwise. */
    String besideOne() {
        List<Integer> comparators = judgement.comparisons().stream()
                .map(Comparison::comparator)
                .distinct()
                .toList();
        return comparators.size() == 1 ? ", beside " + name(comparators.get(0)) : "";
    }

    @Override
    public Subject subject() {
        return new Subject(posed.number(), Optional.of(new EndpointCode(kind.code())));
    }

    @Override
    public Account account(TrialRecord record) {
        return new ContrastsAccount(record, this).account();
    }

    /** What a question says at a look: an answer for each comparison, in the order of the judgement's. */
    public record AtLook(Look look, List<Answer> answers) {
        public AtLook {
            answers = List.copyOf(answers);
        }
    }

    public JudgedQuestion {
        overTime = List.copyOf(overTime);
        flags = List.copyOf(flags);
    }

    public int number() {
        return posed.number();
    }

    /** The question in words. */
    public String asked() {
        return posed.words();
    }

    public Stated stated() {
        return posed.stated();
    }

    public Claim claim() {
        return posed.claim();
    }

    public String name(int arm) {
        return observations.arms().get(arm).name();
    }

    public String code(int arm) {
        return observations.arms().get(arm).code();
    }
}
