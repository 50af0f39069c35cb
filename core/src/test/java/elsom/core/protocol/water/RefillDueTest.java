package elsom.core.protocol.water;

import static elsom.core.protocol.water.WaterTrial.aTrial;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;

class RefillDueTest {
    /** Fibre loses half of its water in 173 h; brick in 34.7 h, the later replicates a little sooner. */
    private static WaterTrial fibreAndBrick() {
        return aTrial().medium("Wood fibre", "organic", 0.9)
                .medium("Crushed brick", "mineral", 0.0)
                .dried(
                        (t, r) -> t == 1 ? 40 : 400,
                        (t, r) -> t == 1 ? 240 : 100,
                        (t, r) -> (t == 1 ? 0.004 : 0.02) * (1 + 0.02 * r));
    }

    @Test
    void theFirstUnitIsTheOneThatLosesHalfOfItsWaterFirst() {
        WaterTrial trial = fibreAndBrick();
        TrialRecord record = trial.drawn();
        RefillDue due = RefillDue.of(record, 0.5).orElseThrow();
        assertThat(record.treatment(record.unit(due.first()).orElseThrow()).name())
                .isEqualTo("Crushed brick");
        int last = record.unit(due.first()).orElseThrow().replicate();
        assertThat(record.units()).noneMatch(unit -> unit.replicate() > last);
        Duration hours = Duration.ofSeconds(Math.round(3600 * Math.log(2) / (0.02 * (1 + 0.02 * last))));
        assertThat(due.at()).isCloseTo(record.trial().start().plus(hours), within(10, ChronoUnit.MINUTES));
        assertThat(due.half()).isAfterOrEqualTo(due.at());
    }

    @Test
    void nothingIsDueBeforeAnythingIsWeighed() {
        TrialRecord bare = aTrial().medium("Wood fibre")
                .medium("Crushed brick")
                .plan()
                .draw(fibreAndBrick().drawn().trial().id());
        assertThat(RefillDue.of(bare, 0.5)).isEmpty();
    }
}
