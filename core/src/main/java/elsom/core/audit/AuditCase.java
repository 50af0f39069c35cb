package elsom.core.audit;

import elsom.core.analysis.EndpointKind;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What audit rules look at.
 *
 * @param now when it is asked
 */
public record AuditCase(Plan plan, TrialRecord record, Findings findings, List<Amendment> amendments, Instant now) {
    public AuditCase {
        amendments = List.copyOf(amendments);
    }

    /** Questions that were judged. */
    List<JudgedQuestion> questions() {
        return findings.sections(JudgedQuestion.class).stream().toList();
    }

    String name(int treatment) {
        return record.treatment(treatment).name();
    }

    /** Units by the number of their treatment. */
    Map<Integer, List<ExperimentalUnit>> byTreatment() {
        return record.units().stream()
                .collect(Collectors.groupingBy(ExperimentalUnit::treatment, TreeMap::new, Collectors.toList()));
    }

    /** Whether it was copied from a notebook, so that nobody knows where its units stood. */
    boolean copied() {
        return plan.copied();
    }

    boolean compares() {
        return record.treatments().size() > 1;
    }

    /** The look at which it is judged. */
    Optional<Look> look() {
        return record.look(findings.comparedAt());
    }

    /** The readings that stand at a look, those of sensors left out. */
    List<Reading> standing(Look look) {
        return record.readings().stream()
                .filter(reading -> reading.ref().look() == look.number())
                .filter(reading -> record.endpoint(reading.ref().endpoint()).byHand())
                .filter(reading -> record.current(reading.ref())
                        .map(current -> current.id().equals(reading.id()))
                        .orElse(false))
                .toList();
    }

    int treatmentOf(Reading reading) {
        return record.unit(reading.ref().unit()).orElseThrow().treatment();
    }

    /** Names of endpoints, in the order of the alphabet. */
    String names(Set<EndpointCode> endpoints) {
        return endpoints.stream()
                .map(code -> record.endpoint(code).name())
                .sorted()
                .collect(Collectors.joining(", "));
    }

    /** Endpoints that somebody scores by eye. */
    Set<EndpointCode> scored() {
        return record.endpoints().stream()
                .filter(AuditCase::byEye)
                .map(Endpoint::code)
                .collect(Collectors.toUnmodifiableSet());
    }

    private static boolean byEye(Endpoint endpoint) {
        return endpoint.judged() == EndpointKind.SCORE;
    }
}
