package elsom.core.results;

import elsom.core.flag.BelowLimits;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnderLimit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/** Answers that stand whatever lies below a limit: one that hangs on it is not given. */
final class EitherWay {
    private EitherWay() {}

    /** Whether anything is read of which only a limit is known. */
    static boolean needed(TrialRecord record) {
        return !BelowLimits.in(record).isEmpty();
    }

    /** The record with every such reading as none of it, or as the whole limit. */
    static TrialRecord read(TrialRecord record, boolean whole) {
        Set<Reading> below = new HashSet<>(BelowLimits.in(record));
        UnaryOperator<Reading> as =
                reading -> below.contains(reading) ? reading.reading(whole ? UnderLimit.limit(reading) : 0) : reading;
        return record.reread(as);
    }

    /**
     * The answers at half of the limit, where they are the same at none and at the whole.
     *
     * @param none what is answered with none
     * @param whole what is answered with the whole limit
     */
    static List<Findings.Answered> agreed(
            List<Findings.Answered> half, List<Findings.Answered> none, List<Findings.Answered> whole) {
        List<Findings.Answered> agreed = new ArrayList<>();
        for (int i = 0; i < half.size(); i++) {
            Findings.Answered answer = half.get(i);
            boolean same = answer.verdict().firmness() == firmness(none, answer, i)
                    && answer.verdict().firmness() == firmness(whole, answer, i);
            agreed.add(same ? answer : hangs(answer, sentence(none, answer, i), sentence(whole, answer, i)));
        }
        return agreed;
    }

    private static Verdict.Firmness firmness(List<Findings.Answered> others, Findings.Answered answer, int at) {
        return matches(others, answer, at) ? others.get(at).verdict().firmness() : Verdict.Firmness.CANT_TELL;
    }

    private static String sentence(List<Findings.Answered> others, Findings.Answered answer, int at) {
        return matches(others, answer, at) ? others.get(at).verdict().sentence() : "nothing can be told.";
    }

    private static boolean matches(List<Findings.Answered> others, Findings.Answered answer, int at) {
        return at < others.size()
                && others.get(at).question() == answer.question()
                && others.get(at).about().equals(answer.about());
    }

    private static Findings.Answered hangs(Findings.Answered answer, String none, String whole) {
        return new Findings.Answered(
                answer.question(),
                answer.asked(),
                answer.marked(),
                new Verdict(
                        Verdict.Firmness.CANT_TELL,
                        "Can't tell: it hangs on how much there is of what lies below the limit.",
                        "A method that reaches lower, or a larger sample."),
                List.of(
                        "With half of the limit: " + answer.verdict().sentence(),
                        "With none: " + none,
                        "With the whole limit: " + whole),
                answer.about());
    }
}
