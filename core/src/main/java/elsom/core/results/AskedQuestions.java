package elsom.core.results;

import elsom.core.analysis.Comparison;
import elsom.core.analysis.Interaction;
import elsom.core.figure.FigureKind;
import elsom.core.flag.Scene;
import elsom.core.plan.Measure;
import elsom.core.trial.EndpointCode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The questions of the plan, in the order asked: answers, comparisons, rankings, interactions, flags. */
public final class AskedQuestions implements Analysis {
    private static final int MOST_RANKED = 40;

    private final BiFunction<Evidence, Measure, Optional<Derived>> derived;
    private final BiFunction<Evidence, Measure, Optional<Scene.Expected>> expected;
    private final Function<Evidence, List<Integer>> comparable;

    /**
     * The analysis.
     *
     * @param derived what an endpoint is judged by, where that is not its readings
     * @param expected what the control must show for the trial to hold
     * @param comparable numbers of treatments that may be held against each other when nobody says which
     */
    public AskedQuestions(
            BiFunction<Evidence, Measure, Optional<Derived>> derived,
            BiFunction<Evidence, Measure, Optional<Scene.Expected>> expected,
            Function<Evidence, List<Integer>> comparable) {
        this.derived = derived;
        this.expected = expected;
        this.comparable = comparable;
    }

    /** Endpoints are judged by their readings, and all treatments may be compared. */
    public static AskedQuestions ofReadings(BiFunction<Evidence, Measure, Optional<Scene.Expected>> expected) {
        return new AskedQuestions((evidence, measure) -> Optional.empty(), expected, AskedQuestions::all);
    }

    private static List<Integer> all(Evidence evidence) {
        return IntStream.rangeClosed(1, evidence.record().treatments().size())
                .boxed()
                .toList();
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        Questions judge = new Questions(
                evidence,
                measure -> derived.apply(evidence, measure),
                measure -> expected.apply(evidence, measure),
                comparable.apply(evidence));
        List<JudgedQuestion> judged = judge.judged();
        for (JudgedQuestion question : judged) {
            findings.answer(new Findings.Answered(
                    question.number(),
                    question.asked(),
                    question.stated().label(),
                    Wording.of(question),
                    details(question),
                    Optional.of(new EndpointCode(question.kind().code()))));
            findings.flags(question.flags());
        }
        judge.fixed().forEach(result -> {
            findings.answer(result.answered());
            findings.section(result);
        });
        judge.unread().forEach(findings::answer);
        List<JudgedQuestion> single = judged.stream().filter(InOrder::fits).toList();
        single.stream()
                .flatMap(question -> InOrder.of(question).stream())
                .distinct()
                .forEach(findings::section);
        judged.forEach(question -> findings.section(question));
        judge.factorial().forEach(question -> interaction(question, findings));
        ranked(
                judged.stream().filter(question -> !single.contains(question)).toList(),
                comparable.apply(evidence),
                findings);
        judge.weighted().ifPresent(weighted -> findings.section(weighted));
    }

    private static List<String> details(JudgedQuestion question) {
        List<String> details = new ArrayList<>();
        String standing = Standing.of(question);
        if (!standing.isEmpty()) {
            details.add(standing);
        }
        details.addAll(beside(question.posed(), question.coverage().sentences()));
        details.addAll(Wording.changes(question));
        return details;
    }

    /** Where a question was looked at beside, that it was; then the rest. */
    static List<String> beside(Posed posed, List<String> rest) {
        List<String> said = new ArrayList<>(rest);
        if (posed.beside()) {
            said.add(
                    0,
                    "Looked at beside: it shares no error with the primary questions, so take it as an idea for the"
                            + " next trial.");
        }
        return said;
    }

    private static void interaction(JudgedQuestion question, Findings.Draft findings) {
        Optional<Interaction> found = question.judgement().interaction();
        found.ifPresent(interaction -> {
            Verdict verdict = InteractionWording.of(question, interaction);
            findings.answer(Findings.Answered.unasked(verdict).about(question.kind()));
            findings.section(new InteractionPicture(question, verdict));
        });
    }

    /**
     * A ranking for each endpoint asked about. Questions that share no treatment, such as one for each species, have one
     * each; otherwise all treatments are ranked that may be compared.
     */
    private static void ranked(List<JudgedQuestion> judged, List<Integer> comparable, Findings.Draft findings) {
        Map<FigureKind, List<JudgedQuestion>> byKind = judged.stream()
                .filter(question -> question.judgement().refused().isEmpty())
                .collect(Collectors.groupingBy(JudgedQuestion::kind, LinkedHashMap::new, Collectors.toList()));
        byKind.values().forEach(alike -> {
            List<Set<Integer>> apart = apart(alike);
            List<Set<Integer>> ranked = apart.size() > 1
                    ? apart
                    : List.of(comparable.stream()
                            .map(number -> number - 1)
                            .collect(Collectors.toCollection(TreeSet::new)));
            for (Set<Integer> among : ranked) {
                if (among.size() > 2 && among.size() <= MOST_RANKED) {
                    JudgedQuestion first = alike.get(0);
                    findings.section(Ranking.of(first, List.copyOf(among), margin(first)));
                }
            }
        });
    }

    /** Sets of treatments that no question joins. */
    private static List<Set<Integer>> apart(List<JudgedQuestion> questions) {
        List<Set<Integer>> sets = new ArrayList<>();
        for (JudgedQuestion question : questions) {
            Set<Integer> joined = new TreeSet<>(Ranking.among(question));
            sets.removeIf(set -> !Collections.disjoint(set, joined) && (joined.addAll(set) || joined.containsAll(set)));
            sets.add(joined);
        }
        return sets;
    }

    private static OptionalDouble margin(JudgedQuestion question) {
        return question.judgement().comparisons().stream()
                .map(Comparison::margin)
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElse(OptionalDouble.empty());
    }
}
