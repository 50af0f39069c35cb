package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Recurring;
import elsom.core.plan.Treatments;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

class RefeedingTest {
    private static final Instant END = Instant.parse("2026-05-03T20:00:00Z");

    private static Plan plan() {
        Plan begun = AeratedBrew.protocol()
                .begin(
                        "Which?",
                        ZoneOffset.UTC,
                        END.minus(Duration.ofHours(36)),
                        Pots.of(Container.straightRound("Bucket", 25, 25)),
                        1);
        return begun.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("none", "", ControlKind.CONTROL),
                                PlannedTreatment.of("kelp", "", ControlKind.NONE))),
                        begun.pots())
                .with(begun.schedule().endingTogether(END, List.of(Duration.ofHours(36), Duration.ofHours(24))));
    }

    private static List<Recurring> feedings(Plan plan) {
        return plan.schedule().steps().stream()
                .filter(step -> step.kind() == Recurring.Kind.FEED)
                .toList();
    }

    /** Kelp begins 12 h after the other, and is fed 10 h later: 22 h after the trial's start. */
    @Test
    void aBrewIsFedSoLongAfterItsOwnStart() {
        Recipe recipe = Recipe.read("compost 15 g/L\n+10 h kelp 1 g/L in kelp").recipe();
        Plan fed = Refeeding.in(plan(), recipe);
        assertThat(feedings(fed)).singleElement().satisfies(step -> {
            assertThat(step.first()).isEqualTo(Duration.ofHours(22));
            assertThat(step.note()).isEqualTo("Feed again: kelp to kelp");
        });
        assertThat(fed.schedule().steps()).containsAll(plan().schedule().steps());
    }

    @Test
    void anotherRecipeTakesThePlaceOfTheFirst() {
        Plan fed = Refeeding.in(plan(), Recipe.read("+10 h kelp 1 g/L").recipe());
        assertThat(feedings(fed)).hasSize(2);
        assertThat(feedings(Refeeding.in(fed, Recipe.read("compost 15 g/L").recipe())))
                .isEmpty();
    }
}
