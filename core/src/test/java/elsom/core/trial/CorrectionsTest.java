package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.UnitOfMeasure;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class CorrectionsTest {
    private final List<Reading> history = new ArrayList<>();

    private ReadingId enter(@Nullable Double value, CorrectionReason reason) {
        ReadingId before =
                history.isEmpty() ? null : history.get(history.size() - 1).id();
        ReadingId id = new ReadingId(history.size() + 1);
        history.add(new Reading(
                id,
                new ReadingRef(new UnitCode("K22"), 1, WaterHolding.TARE),
                value,
                "",
                UnitOfMeasure.GRAM,
                Instant.EPOCH,
                Instant.EPOCH,
                "Bench A",
                Instrument.HAND,
                before,
                before == null ? null : reason));
        return id;
    }

    private @Nullable Double undo(ReadingId id) {
        Double back = new Corrections(history).before(id).map(Reading::value).orElse(null);
        enter(back, CorrectionReason.UNDONE);
        return back;
    }

    private ReadingId last() {
        return history.get(history.size() - 1).id();
    }

    @Test
    void eachUndoGoesOneStepFurtherBack() {
        enter(10.0, CorrectionReason.MISTYPED);
        enter(20.0, CorrectionReason.MISTYPED);
        enter(30.0, CorrectionReason.MISTYPED);
        assertThat(undo(last())).isEqualTo(20);
        assertThat(undo(last())).isEqualTo(10);
        assertThat(undo(last())).isNull();
    }

    @Test
    void aReadingEnteredAfterAnUndoIsUndoneToWhatStoodThen() {
        enter(10.0, CorrectionReason.MISTYPED);
        enter(20.0, CorrectionReason.MISTYPED);
        undo(last());
        enter(40.0, CorrectionReason.MISTYPED);
        assertThat(undo(last())).isEqualTo(10);
        assertThat(undo(last())).isNull();
    }

    @Test
    void aReadingEnteredAfterAllWasTakenBackIsUndoneToNothing() {
        enter(10.0, CorrectionReason.MISTYPED);
        undo(last());
        enter(20.0, CorrectionReason.WEIGHED_AGAIN);
        assertThat(undo(last())).isNull();
    }
}
