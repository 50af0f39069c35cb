package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.quantity.UnitOfMeasure;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class ReadingLogTest {
    private static final Instant AT = Instant.parse("2026-06-01T08:00:00Z");
    private static final EndpointCode MASS = new EndpointCode("mass");

    private static Reading reading(long id, int look, @Nullable Double value, @Nullable Long supersedes) {
        return new Reading(
                new ReadingId(id),
                new ReadingRef(new UnitCode("K34"), look, MASS),
                value,
                "1",
                UnitOfMeasure.GRAM,
                AT,
                AT,
                "Bench A",
                Instrument.HAND,
                supersedes == null ? null : new ReadingId(supersedes),
                supersedes == null ? null : CorrectionReason.MISTYPED);
    }

    private static List<Reading> many(int count) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(id -> reading(id, 1 + id % 90, (double) id, null))
                .toList();
    }

    @Test
    void readingsComeInTheirOrderHoweverTheyAreGiven() {
        List<Reading> shuffled = new ArrayList<>(many(2000));
        Collections.shuffle(shuffled, new Random(5));
        assertThat(ReadingLog.of(shuffled).all()).containsExactlyElementsOf(many(2000));
    }

    @Test
    void oneByOneAndAllAtOnceAreTheSame() {
        ReadingLog log = ReadingLog.of(List.of());
        for (Reading reading : many(1500)) {
            log = log.plus(List.of(reading));
        }
        ReadingLog whole = ReadingLog.of(many(1500));
        assertThat(log.all()).containsExactlyElementsOf(whole.all());
        for (int look = 1; look <= 90; look++) {
            ReadingRef ref = new ReadingRef(new UnitCode("K34"), look, MASS);
            assertThat(log.history(ref)).isEqualTo(whole.history(ref));
        }
    }

    @Test
    void theLogBeforeIsAsItWas() {
        ReadingLog before = ReadingLog.of(many(511));
        ReadingLog after = before.plus(List.of(reading(600, 1, 7.0, null), reading(601, 1, null, 600L)));
        assertThat(before.all()).hasSize(511);
        assertThat(after.all()).hasSize(513);
        ReadingRef ref = new ReadingRef(new UnitCode("K34"), 1, MASS);
        assertThat(after.history(ref)).hasSize(before.history(ref).size() + 2);
        assertThat(before.plus(List.of())).isSameAs(before);
    }
}
