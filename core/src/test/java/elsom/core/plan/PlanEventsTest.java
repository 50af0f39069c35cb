package elsom.core.plan;

import static elsom.core.plan.APlan.doses;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;

class PlanEventsTest {
    private static final Instant END = Instant.parse("2026-06-20T16:00:00Z");

    @Test
    void startsAreComputedBackwardsFromTheCommonEnd() {
        Plan plan = APlan.of("brew")
                .list("plain", "air stone", "kelp")
                .endingTogether(END, Duration.ofHours(24), Duration.ofHours(36), Duration.ofHours(36))
                .plan();
        assertThat(plan.schedule().start()).isEqualTo(END.minus(Duration.ofHours(36)));
        assertThat(plan.schedule().startOf(1)).isEqualTo(END.minus(Duration.ofHours(24)));
        assertThat(PlanEvents.of(plan).stream()
                        .filter(event -> event.kind() == PlanEvent.Kind.START)
                        .map(event -> event.title() + " " + event.at()))
                .containsExactly("Start air stone, kelp 2026-06-19T04:00:00Z", "Start plain 2026-06-19T16:00:00Z");
        assertThat(plan.schedule().length()).isEqualTo(Duration.ofHours(36));
    }

    @Test
    void oneRunForAllStartsAllAtOnce() {
        Plan plan = APlan.of("dose-series")
                .factors(doses(null, null, 0, 1, 2, 4, 8))
                .endingTogether(END, Duration.ofDays(10))
                .plan();
        assertThat(plan.schedule().startOf(1))
                .isEqualTo(plan.schedule().startOf(5))
                .isEqualTo(plan.schedule().start());
        assertThat(PlanEvents.of(plan))
                .filteredOn(event -> event.kind() == PlanEvent.Kind.START)
                .hasSize(1);
    }

    @Test
    void stepsRecurUntilTheyEnd() {
        Recurring daily =
                new Recurring(Recurring.Kind.WATER, "", Duration.ofDays(1), Duration.ofDays(2), Duration.ofDays(6));
        assertThat(daily.times()).containsExactly(Duration.ofDays(1), Duration.ofDays(3), Duration.ofDays(5));
        assertThat(new Recurring(Recurring.Kind.FEED, "", Duration.ofDays(3), Duration.ZERO, Duration.ofDays(3))
                        .times())
                .containsExactly(Duration.ofDays(3));
    }

    @Test
    void whatFallsOnADayAwayOrANightIsSaid() {
        // The trial starts on Monday 1 June at 9 in the morning, British summer time.
        Hours hours = new Hours(
                LocalTime.of(8, 0),
                LocalTime.of(18, 0),
                EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
                List.of(new Hours.Away(LocalDate.of(2026, 6, 14), LocalDate.of(2026, 6, 16))));
        Plan plan = APlan.ofGrowth().list("a", "b").steps().hours(hours).plan();
        assertThat(PlanEvents.of(plan).stream().filter(PlanEvent::clashes).map(e -> e.title() + ": " + e.clash()))
                .containsExactly("Look: day 14: you are away until 2026-06-16");
        assertThat(hours.clash(Instant.parse("2026-06-07T09:00:00Z").atZone(APlan.ZONE)))
                .contains("not a working day");
        assertThat(hours.clash(Instant.parse("2026-06-08T19:00:00Z").atZone(APlan.ZONE)))
                .contains("outside working hours, 08:00 to 18:00");
        assertThat(hours.clash(Instant.parse("2026-06-08T12:00:00Z").atZone(APlan.ZONE)))
                .isEmpty();
    }

    @Test
    void aLookTakesItsSecondsForEveryUnit() {
        Plan plan = APlan.ofGrowth().list("a", "b").plan();
        PlannedLook up = plan.schedule().looks().get(0);
        assertThat(PlanEvents.measuring(plan, up, 60)).isEqualTo(Duration.ofMinutes(10));
        assertThat(PlanEvents.measuring(plan, 8))
                .isEqualTo(PlanEvents.measuring(plan, 4).multipliedBy(2));
    }

    @Test
    void turnsGoOnToTheEnd() {
        Plan plan = APlan.ofGrowth().list("a", "b").steps().plan();
        Arrangement a = plan.arrangement();
        Plan turning =
                plan.with(new Arrangement(a.kind(), a.replicates(), a.sites(), true, 0, false, 7, a.seed(), List.of()));
        assertThat(PlanEvents.of(turning))
                .filteredOn(event -> event.kind() == PlanEvent.Kind.TURN)
                .hasSize(4);
    }

    @Test
    void laterStartsAreChoresAndTheFirstIsTheTrials() {
        Plan plan = APlan.of("brew")
                .list("long", "short", "short too")
                .endingTogether(
                        APlan.START.plus(Duration.ofHours(36)),
                        Duration.ofHours(36),
                        Duration.ofHours(24),
                        Duration.ofHours(24))
                .steps()
                .plan();
        assertThat(plan.starts().values()).containsExactly(List.of("long"), List.of("short", "short too"));
        assertThat(plan.chores()).singleElement().satisfies(chore -> {
            assertThat(chore.name()).isEqualTo("Start short, short too");
            assertThat(chore.kind()).isEqualTo(elsom.core.trial.Chore.Kind.START);
            assertThat(chore.afterStart()).isEqualTo(Duration.ofHours(12));
        });
        assertThat(APlan.ofGrowth().list("a", "b").steps().plan().chores()).isEmpty();
    }
}
