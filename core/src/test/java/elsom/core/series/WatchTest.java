package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A limit is passed by the last that is known of a place, on the side that was asked for. */
class WatchTest {
    private static final Instant NOON = Instant.parse("2026-11-24T12:00:00Z");

    private static Watch.Last last(String unit, double depth, double value, int minutes) {
        return new Watch.Last(unit, depth, value, NOON.plusSeconds(60L * minutes));
    }

    @Test
    void theNewestOfAPlaceCountsAndTheFarthestComesFirst() {
        Watch watch = new Watch(Measurand.EC, 0, Watch.Beyond.ABOVE, 2.5);
        List<Watch.Last> passed = watch.passed(List.of(
                last("K34", 10, 2.6, 0),
                last("K34", 10, 2.4, 5),
                last("B07", 10, 2.7, 0),
                last("B07", 20, 3.1, 0),
                last("C11", 0, 2.5, 0)));
        assertThat(passed).extracting(Watch.Last::place).containsExactly("B07 at 20 cm", "B07 at 10 cm");
    }

    @Test
    void tooDryIsBelow() {
        Watch watch = new Watch(Measurand.MOISTURE, 10, Watch.Beyond.BELOW, 18);
        assertThat(watch.words()).isEqualTo("Water content at 10 cm below 18 %");
        assertThat(watch.passed(List.of(last("A", 10, 17.9, 0), last("B", 10, 18, 0), last("C", 10, 12, 0))))
                .extracting(Watch.Last::unit)
                .containsExactly("C", "A");
        assertThat(watch.covers(Measurand.MOISTURE, 20)).isFalse();
        assertThat(watch.covers(Measurand.EC, 10)).isFalse();
    }

    @Test
    void aLimitThatCanNotBeIsRefused() {
        assertThatThrownBy(() -> new Watch(Measurand.PH, 0, Watch.Beyond.ABOVE, 15))
                .hasMessageContaining("a limit");
    }
}
