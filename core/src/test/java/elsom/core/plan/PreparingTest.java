package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.Chore;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is best done the day before. */
class PreparingTest {
    private static final Instant AT = Instant.parse("2026-06-01T08:00:00Z");

    private static Optional<String> before(PlanEvent.Kind kind, Chore.Kind chore) {
        return Preparing.dayBefore(
                APlan.of("growth").plan(), new PlanEvent(kind, AT, Duration.ofMinutes(10), "", "", "", chore));
    }

    @Test
    void waterStandsOvernightForWateringAndFeeding() {
        assertThat(before(PlanEvent.Kind.STEP, Chore.Kind.WATER))
                .hasValueSatisfying(what -> assertThat(what).contains("tap water"));
        assertThat(before(PlanEvent.Kind.STEP, Chore.Kind.FEED)).isPresent();
        assertThat(before(PlanEvent.Kind.STEP, Chore.Kind.OTHER)).isEmpty();
        assertThat(before(PlanEvent.Kind.TURN, Chore.Kind.TURN)).isEmpty();
    }

    @Test
    void aStartIsSetOutTheDayBefore() {
        assertThat(before(PlanEvent.Kind.START, Chore.Kind.START))
                .hasValueSatisfying(what -> assertThat(what).contains("containers"));
    }

    @Test
    void aLookThatWeighsNeedsAChargedScaleAndOneThatReadsPhWarmBuffers() {
        for (String kind : List.of("water-holding", "liming")) {
            Plan plan = APlan.of(kind).plan();
            List<String> prepared = PlanEvents.of(plan).stream()
                    .filter(event -> event.kind() == PlanEvent.Kind.LOOK)
                    .flatMap(event -> Preparing.dayBefore(plan, event).stream())
                    .toList();
            assertThat(prepared)
                    .as(kind)
                    .isNotEmpty()
                    .allMatch(what -> what.contains(kind.equals("liming") ? "buffers" : "scale"));
        }
    }
}
