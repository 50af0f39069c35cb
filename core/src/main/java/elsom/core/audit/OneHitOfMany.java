package elsom.core.audit;

import elsom.core.analysis.Comparison;
import elsom.core.plan.Stated;
import java.util.List;

/** Many comparisons, and one that stands out. */
final class OneHitOfMany implements AuditRule {
    private static final int MANY = 10;

    @Override
    public List<Fault> check(AuditCase trial) {
        List<Comparison> all = trial.questions().stream()
                .flatMap(question -> question.judgement().comparisons().stream())
                .toList();
        long clear = all.stream().filter(Comparison::clear).count();
        return all.size() >= MANY && clear == 1
                ? List.of(Fault.of(
                                FaultCode.ONE_OF_MANY,
                                Grade.SOUND,
                                "Of " + all.size() + " comparisons one is clear.",
                                "The intervals of a question hold together, but not those of several questions: of twenty"
                                        + " that are nothing one looks like something.",
                                late(trial) ? "Repeat that one alone, asked beforehand." : "Repeat that one alone.")
                        .pushing("Towards a difference where there is none."))
                : List.of();
    }

    private static boolean late(AuditCase trial) {
        return trial.questions().stream().anyMatch(question -> question.stated() != Stated.BEFORE_START);
    }
}
