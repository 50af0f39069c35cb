package elsom.core.chain;

import elsom.core.analysis.Comparison;
import elsom.core.plan.FollowUp;
import elsom.core.plan.PlanOrigin;
import elsom.core.results.JudgedQuestion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Trials of which each but the first came from an earlier one.
 *
 * @param stages in order of time
 */
public record Chain(List<Stage> stages) {
    public Chain {
        stages = stages.stream()
                .sorted(Comparator.comparing(
                                (Stage stage) -> stage.record().trial().start())
                        .thenComparing(Stage::id))
                .toList();
    }

    /** What comparisons that two trials or more made say together, those of most trials first. */
    public List<Pooled> pooled() {
        Map<Repeat.Key, List<Repeat>> byKey = new LinkedHashMap<>();
        Map<Repeat.Key, Named> names = new LinkedHashMap<>();
        for (Stage stage : stages) {
            Set<Repeat.Key> told = new HashSet<>();
            stage.findings()
                    .ifPresent(findings -> findings.sections(JudgedQuestion.class)
                            .forEach(question -> of(stage, question, told, byKey, names)));
        }
        return byKey.entrySet().stream()
                .filter(entry -> entry.getValue().size() > 1)
                .map(entry -> {
                    Named named = Objects.requireNonNull(names.get(entry.getKey()));
                    return Pooled.of(
                            named.treatment(),
                            named.comparator(),
                            named.question().direction(),
                            entry.getValue());
                })
                .sorted(Comparator.comparing(
                        (Pooled pooled) -> -pooled.repeats().size()))
                .toList();
    }

    /** The same of comparisons that one of the trials made. */
    public List<Pooled> pooledWith(long trial) {
        return pooled().stream()
                .filter(pooled -> pooled.repeats().stream().anyMatch(repeat -> repeat.trial() == trial))
                .toList();
    }

    private record Named(String treatment, String comparator, JudgedQuestion question) {}

    /** A comparison counts once a trial, however many questions ask for it. */
    private static void of(
            Stage stage,
            JudgedQuestion question,
            Set<Repeat.Key> told,
            Map<Repeat.Key, List<Repeat>> byKey,
            Map<Repeat.Key, Named> names) {
        PlanOrigin origin = stage.plan().origin();
        boolean otherLot = origin != null && origin.why() == FollowUp.OTHER_LOT;
        for (Comparison c : question.judgement().comparisons()) {
            Repeat.of(stage, question, c, otherLot)
                    .filter(repeat -> told.add(repeat.key()))
                    .ifPresent(repeat -> {
                        byKey.computeIfAbsent(repeat.key(), none -> new ArrayList<>())
                                .add(repeat);
                        names.putIfAbsent(
                                repeat.key(),
                                new Named(question.name(c.treatment()), question.name(c.comparator()), question));
                    });
        }
    }
}
