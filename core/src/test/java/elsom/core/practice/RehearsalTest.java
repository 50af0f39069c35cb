package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.flag.Flag;
import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A plan rehearsed on a bench: its readings come from the supposed truth, and its judge says what the truth lets it. */
class RehearsalTest {
    private static final EndpointCode MASS = new EndpointCode("fresh-mass");

    private static TrialRecord run(Plan plan, Rehearsal.Supposed supposed, long seed) {
        Measured measured = Measured.started(plan);
        for (Look look : measured.record().looks()) {
            new Rehearsal(measured.record(), plan, supposed, seed)
                    .read(look)
                    .forEach(shown -> measured.add(
                            measured.record().unit(shown.ref().unit()).orElseThrow(),
                            look,
                            shown.ref().endpoint().value(),
                            shown.ref().subReading(),
                            shown.value()));
        }
        return measured.record();
    }

    private static Findings found(Plan plan, TrialRecord record) {
        return Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, record, OptionalInt.empty()));
    }

    private static Plan growth() {
        return APlan.ofGrowth()
                .list("leaf mould", "wood fibre", "rice hulls")
                .asking(APlan.question("fresh-mass"))
                .replicates(6)
                .plan();
    }

    @ParameterizedTest(name = "truth {0}: {1} to {2} of 40 tell a difference")
    @CsvSource({"0, 0, 4", "0.4, 34, 40"})
    void itSaysWhatTheTruthLetsIt(double truth, int fewest, int most) {
        Plan plan = growth();
        long better = IntStream.range(0, 40)
                .filter(seed ->
                        found(plan, run(plan, new Rehearsal.Supposed(MASS, truth, 0.12), seed)).answers().stream()
                                .filter(answer -> answer.about().equals(Optional.of(MASS)))
                                .anyMatch(answer -> answer.verdict().sentence().matches(".*(?:better|worse): .*")))
                .count();
        assertThat(better).isBetween((long) fewest, (long) most);
    }

    @Test
    void theScatterIsAsSupposed() {
        Plan plan =
                APlan.ofGrowth().list("leaf mould", "wood fibre").replicates(20).plan();
        TrialRecord record = run(plan, new Rehearsal.Supposed(MASS, 0.5, 0.2), 5);
        double[] control = record.readings().stream()
                .filter(reading -> reading.ref().endpoint().equals(MASS))
                .filter(reading ->
                        record.unit(reading.ref().unit()).orElseThrow().treatment() == 1)
                .mapToDouble(reading -> Objects.requireNonNull(reading.value()))
                .toArray();
        double mean = IntStream.range(0, control.length)
                .mapToDouble(i -> control[i])
                .average()
                .orElseThrow();
        double sd = Math.sqrt(IntStream.range(0, control.length)
                        .mapToDouble(i -> Math.pow(control[i] - mean, 2))
                        .sum()
                / (control.length - 1));
        assertThat(sd / mean).isBetween(0.13, 0.28);
        assertThat(new Rehearsal(record, plan, new Rehearsal.Supposed(MASS, 0.5, 0.2), 5).told())
                .isEqualTo(
                        "“wood fibre” is truly 50 % higher in fresh mass; nothing else differs; units of one treatment"
                                + " scatter by 20 %.");
    }

    static List<Protocol> protocols() {
        return Protocols.all();
    }

    /** Every kind of plan can be rehearsed; nothing that its instruments show can't be. */
    @ParameterizedTest
    @MethodSource("protocols")
    void everyKindOfPlanCanBeRehearsed(Protocol kind) {
        Plan plan = APlan.of(kind.code().value())
                .list("leaf mould", "wood fibre", "rice hulls")
                .replicates(4)
                .plan();
        EndpointCode endpoint = plan.asked().measures().get(0).endpoint().code();
        TrialRecord record = run(plan, new Rehearsal.Supposed(endpoint, 0.2, 0.15), 3);
        Findings findings = found(plan, record);
        assertThat(findings.answers()).isNotEmpty();
        assertThat(findings.flags()).noneMatch(flag -> flag.severity() == Flag.Severity.WRONG);
    }
}
