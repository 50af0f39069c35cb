package elsom.core.next;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.audit.Audit;
import elsom.core.audit.Fault;
import elsom.core.audit.FaultCode;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCopy;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The trial that a follow-up comes from.
 *
 * @param start of the new trial
 * @param seed of its draw
 */
public record Ended(Plan plan, TrialRecord record, Findings findings, Audit audit, Instant start, long seed) {
    /** Questions that were judged, in the order asked. */
    List<JudgedQuestion> questions() {
        return findings.sections(JudgedQuestion.class).stream().toList();
    }

    List<Comparison> comparisons() {
        return questions().stream()
                .flatMap(question -> question.judgement().comparisons().stream())
                .toList();
    }

    /** Whether something was shown: a treatment better or worse. */
    boolean shown() {
        return comparisons().stream().anyMatch(c -> c.answer() == Answer.BETTER || c.answer() == Answer.WORSE);
    }

    Optional<Fault> fault(FaultCode... codes) {
        Set<FaultCode> wanted = Set.of(codes);
        return audit.faults().stream()
                .filter(fault -> wanted.contains(fault.code()))
                .findFirst();
    }

    /** The same plan anew, as a basis. */
    Plan anew(Set<Integer> dropped, int replicates) {
        return PlanCopy.anew(plan, record, dropped, replicates, start, seed);
    }

    Plan anew() {
        return anew(Set.of(), plan.arrangement().replicates());
    }

    String name(int treatment) {
        return record.treatment(treatment).name();
    }

    /** Numbers of treatments of which all that was asked is told, whatever it is; never a control or what others are beside. */
    Set<Integer> told() {
        return asked(c -> c.answer() == Answer.CANT_TELL);
    }

    /**
     * Numbers of treatments that lost every comparison they were in, or made no difference that matters in all; never a
     * control or what others are compared with.
     */
    Set<Integer> settled() {
        return asked(c -> c.answer() == Answer.CANT_TELL || c.answer() == Answer.BETTER);
    }

    /** Treatments that were asked about, but none of which a comparison is still open. */
    private Set<Integer> asked(Predicate<Comparison> isOpen) {
        Set<Integer> open = new TreeSet<>();
        Set<Integer> asked = new TreeSet<>();
        for (Comparison c : comparisons()) {
            asked.add(c.treatment() + 1);
            open.add(c.comparator() + 1);
            if (isOpen.test(c)) {
                open.add(c.treatment() + 1);
            }
        }
        return asked.stream()
                .filter(number -> !open.contains(number))
                .filter(number -> !record.treatment(number).isControl())
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
