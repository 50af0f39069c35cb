package elsom.core.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MomentsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    private static LocalDateTime read(String text) {
        return Moments.at(text, Box.DAY_PLANNED, TODAY);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "25 Nov 2026, 14:05|2026-11-25T14:05",
                "2026-11-25T14:05|2026-11-25T14:05",
                "2026-11-25 9.30|2026-11-25T09:30",
                "yesterday 09:00|2026-11-30T09:00",
                "tomorrow at 7 am|2026-12-02T07:00",
                "25 Nov 2026 12 pm|2026-11-25T12:00",
                "25 Nov 2026 12:30 a.m.|2026-11-25T00:30",
                "24 Dec, 16:00|2026-12-24T16:00"
            })
    void aDayAndATimeAreRead(String typed, LocalDateTime expected) {
        assertThat(read(typed)).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "14:05",
                "25 Nov 2026",
                "25 Nov 2026, 25:00",
                "25 Nov 2026, 14",
                "25 Nov 2026, 13 pm",
                "4/5/2026 09:00",
                "some day 09:00",
                "31 Nov 2026, 09:00"
            })
    void whatIsNoOneTimeIsRefusedWithWhatWouldBeAccepted(String typed) {
        assertThatThrownBy(() -> read(typed))
                .isInstanceOf(IllegalArgumentException.class)
                .message()
                .matches("(?s).*(Accepted: 26 Nov 2026.*|\\?|Type it as 26 Nov 2026[.])");
    }

    @Test
    void withoutAYearItIsTheLastSuchOfWhatWasAndTheNextOfWhatIsPlanned() {
        assertThat(Moments.at("20 Nov 9:00", Box.DATE, TODAY)).isEqualTo("2026-11-20T09:00");
        assertThat(Moments.at("4 Jan 9:00", Box.DAY_PLANNED, TODAY)).isEqualTo("2027-01-04T09:00");
        assertThatThrownBy(() -> Moments.at("4 Jan 2027 9:00", Box.DATE, TODAY)).hasMessageContaining("in the future");
        assertThatThrownBy(() -> Moments.at("20 Nov 9:00", Box.DAY_PLANNED, TODAY))
                .hasMessageContaining("is it next year's, 2027-11-20");
    }

    @Test
    void whatIsWrittenIsReadAsTheSame() {
        LocalDateTime at = LocalDateTime.of(2027, 1, 4, 0, 5);
        assertThat(read(Moments.written(at))).isEqualTo(at);
        assertThat(Moments.day(Moments.written(TODAY), Box.DATE, TODAY)).isEqualTo(TODAY);
    }
}
