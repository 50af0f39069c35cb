package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MomentsTest {
    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-07-01 14:30|2026-07-01T12:30:00Z",
                "2026-07-01T14:30:05|2026-07-01T12:30:05Z",
                "2026-07-01T14:30:05.250|2026-07-01T12:30:05Z",
                "2026-07-01T14:30:00Z|2026-07-01T14:30:00Z",
                "2026-07-01 14:30:00+05:30|2026-07-01T09:00:00Z",
                "01.07.2026 14:30|2026-07-01T12:30:00Z",
                "1/7/26 2:30 PM|2026-07-01T12:30:00Z",
                "1/7/2026, 12:05 am|2026-06-30T22:05:00Z",
                "1.12.2026|2026-11-30T23:00:00Z",
                "1782909000|2026-07-01T12:30:00Z",
                "1782909000500|2026-07-01T12:30:00.500Z",
                "46204.604166667|2026-07-01T12:30:00Z",
            })
    void aTimeIsReadAsAClockInTheZoneShowsIt(String cell, Instant at) {
        assertThat(new Moments(BERLIN, DayOrder.DAY_FIRST).read(cell)).isEqualTo(at);
    }

    @Test
    void monthsComeFirstWhereTheFileSaysSo() {
        assertThat(new Moments(ZoneId.of("UTC"), DayOrder.MONTH_FIRST).read("7/1/2026 14:30"))
                .isEqualTo("2026-07-01T14:30:00Z");
    }

    @Test
    void theHourThatAutumnRepeatsGoesOnWhereTheRowsAre() {
        Moments moments = new Moments(BERLIN, DayOrder.DAY_FIRST);
        assertThat(moments.read("2026-10-25 02:10")).isEqualTo("2026-10-25T00:10:00Z");
        assertThat(moments.read("2026-10-25 02:50")).isEqualTo("2026-10-25T00:50:00Z");
        assertThat(moments.read("2026-10-25 02:10")).isEqualTo("2026-10-25T01:10:00Z");
        assertThat(moments.read("2026-10-25 03:00")).isEqualTo("2026-10-25T02:00:00Z");
    }

    @Test
    void theHourThatSpringLeavesOutAsksForTheZone() {
        assertThatThrownBy(() -> new Moments(BERLIN, DayOrder.DAY_FIRST).read("2026-03-29 02:30"))
                .hasMessageContaining("never on a clock in Europe/Berlin")
                .hasMessageContaining("zone");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "noon",
                "32.01.2026 10:00",
                "2026-02-30 10:00",
                "14:30",
                "1/7/2026 13:30 pm",
                "2026-07-01 25:00"
            })
    void whatIsNoTimeIsRefusedWithAnExample(String cell) {
        assertThatThrownBy(() -> new Moments(BERLIN, DayOrder.DAY_FIRST).read(cell))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("accepted: 2026-11-26 14:30");
    }
}
