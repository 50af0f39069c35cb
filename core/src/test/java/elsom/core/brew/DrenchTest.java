package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Brews become treatments of a growth trial. */
class DrenchTest {
    private static final Instant NOW = Instant.parse("2026-05-03T20:00:00Z");

    private static TrialRecord brews() {
        Plan begun = AeratedBrew.protocol()
                .begin("Which brew?", ZoneOffset.UTC, NOW, Pots.of(Container.straightRound("Bucket", 25, 25)), 1);
        return begun.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("plain", "", ControlKind.CONTROL),
                                PlannedTreatment.of("with kelp", "", ControlKind.NONE))),
                        begun.pots())
                .draw(new TrialId(12));
    }

    @Test
    void aBrewStandsBesidePlainWaterOfTheSameVolume() {
        Plan plan = Drench.plan(brews(), List.of(2), 4, 60, NOW);
        assertThat(plan.treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly("plain water", "with kelp, 1 part brew in 5 total");
        assertThat(plan.control().map(PlannedTreatment::name)).contains("plain water");
        assertThat(plan.pots().doseMl()).isEqualTo(60);
    }

    @Test
    void itSaysWhereItCameFromAndHowStrongItIs() {
        Plan plan = Drench.plan(brews(), List.of(1, 2), 0, 25, NOW);
        assertThat(plan.treatments().all())
                .hasSize(3)
                .last()
                .satisfies(last -> assertThat(last.name()).isEqualTo("with kelp, undiluted"));
        assertThat(Objects.requireNonNull(plan.origin()).trial()).isEqualTo(12);
        assertThat(Objects.requireNonNull(plan.origin()).change()).contains("25 mL a pot, undiluted");
        assertThat(plan.schedule().start()).isAfter(NOW);
    }
}
