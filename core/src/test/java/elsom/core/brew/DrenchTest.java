package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
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
        Plan plan = Drench.plan(brews(), List.of(2), 4, 60, "Brewed afresh.", NOW);
        assertThat(plan.treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly("plain water", "with kelp, 1 part brew in 5 total");
        assertThat(plan.control().map(PlannedTreatment::name)).contains("plain water");
        assertThat(plan.pots().doseMl()).isEqualTo(60);
    }

    @Test
    void itSaysWhereItCameFromAndHowStrongItIs() {
        Plan plan = Drench.plan(brews(), List.of(1, 2), 0, 25, "", NOW);
        assertThat(plan.treatments().all())
                .hasSize(3)
                .last()
                .satisfies(last -> assertThat(last.name()).isEqualTo("with kelp, undiluted"));
        assertThat(Objects.requireNonNull(plan.origin()).trial()).isEqualTo(12);
        assertThat(Objects.requireNonNull(plan.origin()).change()).contains("25 mL a pot, undiluted");
        assertThat(plan.schedule().start()).isAfter(NOW);
    }

    private static BrewReading visit(
            UnitCode unit, int hoursAgo, double oxygen, BrewReading.@Nullable Decision decision) {
        return new BrewReading(
                1,
                unit,
                NOW.minus(Duration.ofHours(hoursAgo)),
                "Shed",
                20.0,
                oxygen,
                null,
                null,
                null,
                Smell.EARTHY,
                decision,
                "");
    }

    @Test
    void aBrewOverItsRuleOrItsHoursIsDoubted() {
        TrialRecord brews = brews();
        List<UnitCode> kelp = brews.units().stream()
                .filter(unit -> unit.treatment() == 2)
                .map(ExperimentalUnit::code)
                .toList();
        List<BrewReading> log = List.of(
                visit(kelp.get(0), 3, 7.5, BrewReading.Decision.DONE),
                visit(kelp.get(1), 5, 7.5, BrewReading.Decision.DONE),
                visit(kelp.get(2), 9, 4.2, BrewReading.Decision.GOES_ON),
                visit(kelp.get(2), 1, 7.0, null),
                visit(kelp.get(3), 30, 4.2, BrewReading.Decision.STOPPED));
        assertThat(UseDoubt.of(brews, List.of(2), log, NOW))
                .containsExactlyInAnyOrder(
                        kelp.get(1) + ", with kelp: its 4 h are over, by 1 h",
                        kelp.get(2) + ", with kelp: it met the stop rule, its oxygen is 4.2 mg/L, below 6",
                        kelp.get(3) + ", with kelp: it was thrown away");
        assertThat(UseDoubt.of(brews, List.of(1), log, NOW)).isEmpty();
    }
}
