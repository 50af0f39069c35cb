package elsom.core.trial;

import static elsom.core.protocol.water.WaterTrial.aTrial;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.protocol.water.WaterHolding;
import elsom.core.protocol.water.WaterTrial;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class StandingTest {
    private final WaterTrial trial = aTrial().medium("Wood fibre").medium("Leaf mould");

    @Test
    void theNextLookIsTheFirstWithSomethingLeft() {
        TrialRecord record =
                trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 30).drawn();
        Standing standing = Standing.of(record);
        Standing.Next next = java.util.Objects.requireNonNull(standing.next());
        assertThat(next.number()).isEqualTo(2);
        assertThat(next.done()).isZero();
        assertThat(next.expected()).isEqualTo(record.units().size());
        assertThat(next.weighs()).isTrue();
        assertThat(next.followingAt()).isNotNull();
        assertThat(standing.state(next.plannedAt())).isEqualTo(LookState.DUE);
        assertThat(standing.state(next.plannedAt().minusSeconds(1))).isEqualTo(LookState.PLANNED);
    }

    /** What a list shows and what the trial's own page shows must not differ. */
    @Test
    void everyLookStandsAsTheTrialSaysItDoes() {
        TrialRecord record =
                trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 30).drawn();
        Look next = record.nextLook().orElseThrow();
        for (int hours = -48; hours < 200; hours += 5) {
            var now = WaterTrial.START.plusSeconds(hours * 3600L);
            assertThat(Standing.of(record).state(now)).as("hour %s", hours).isEqualTo(LookState.of(record, next, now));
        }
    }

    @Test
    void aReadingAddedIsCountedAtItsLookOnly() {
        TrialRecord whole =
                trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 30).drawn();
        TrialRecord record = trial.drawn();
        List<Reading> all = new ArrayList<>(whole.readings());
        TrialRecord fewer = TrialRecord.of(
                record.trial(),
                record.treatments(),
                record.containers(),
                record.benches(),
                record.units(),
                record.endpoints(),
                record.looks(),
                all.subList(0, all.size() - 1),
                List.of());
        TrialRecord added = fewer.plus(all.subList(all.size() - 1, all.size()));
        for (Look look : record.looks()) {
            assertThat(added.progress(look)).isEqualTo(whole.progress(look));
        }
        assertThat(fewer.progress(record.looks().get(0)).complete()).isFalse();
        assertThat(added.progress(record.looks().get(0)).complete()).isTrue();
    }

    @Test
    void whatTheTrialCantHaveIsNotAdded() {
        TrialRecord record =
                trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 30).drawn();
        Reading like = record.readings().get(0);
        Reading heavy = new Reading(
                new ReadingId(9999),
                like.ref(),
                -5.0,
                "-5",
                like.typedUnit(),
                like.takenAt(),
                like.recordedAt(),
                like.station(),
                like.instrument(),
                like.id(),
                CorrectionReason.MISTYPED);
        assertThatThrownBy(() -> record.plus(List.of(heavy))).hasMessageContaining("must be");
    }
}
