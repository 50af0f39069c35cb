package elsom.core.protocol.growth;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.flag.FlagCode;
import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.time.Duration;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Where the control did not grow, seed, light or water were at fault, and nothing is said of what stands beside it. */
class GrowthValidityTest {
    private static Findings found(double control) {
        EndpointCode height = new EndpointCode("height");
        Plan begun = APlan.of("growth")
                .list("leaf mould", "wood fibre")
                .replicates(4)
                .asking(APlan.question("height"))
                .plan();
        Plan plan = begun.with(begun.schedule()
                .with(
                        List.of(
                                new PlannedLook("day 7", Duration.ofDays(7), List.of(height)),
                                new PlannedLook("day 21", Duration.ofDays(21), List.of(height))),
                        begun.schedule().steps(),
                        begun.schedule().hours()));
        Measured measured = Measured.started(plan);
        for (Look look : measured.record().looks()) {
            for (ExperimentalUnit unit : measured.record().units()) {
                double grown = look.number() == 1 ? 0 : unit.treatment() == 1 ? control : 6;
                int each = measured.record().endpoint(height).readingsEach();
                for (int sub = 1; sub <= each; sub++) {
                    measured.add(unit, look, "height", sub, 4 + grown + 0.1 * unit.replicate());
                }
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.empty()));
    }

    private static boolean failed(Findings findings) {
        return findings.sections(JudgedQuestion.class).stream()
                .flatMap(question -> question.flags().stream())
                .anyMatch(flag ->
                        flag.code() == FlagCode.CONTROL_FAILED && flag.seen().contains("its plants must grow"));
    }

    @Test
    void aControlThatStoodStillFailed() {
        assertThat(failed(found(0))).isTrue();
        assertThat(failed(found(-0.5))).isTrue();
        assertThat(failed(found(3))).isFalse();
    }
}
