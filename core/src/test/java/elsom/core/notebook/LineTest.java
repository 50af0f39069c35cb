package elsom.core.notebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LineTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"2026-05-03", "3.5.2026", "03.05.2026", "3 May 2026"})
    void daysAreReadAsPeopleWriteThem(String day) {
        assertThat(Line.read("bag one; 420; " + day, 1).on()).hasValue(LocalDate.of(2026, 5, 3));
    }

    @ParameterizedTest
    @ValueSource(strings = {"?", "-", "–", "", "n/a", "unknown", "lost"})
    void whatIsNotKnownStaysUnknown(String value) {
        assertThat(Line.read("bag one; " + value, 1).values()).containsExactly(OptionalDouble.empty());
    }

    @Test
    void whatIsNoDayIsANote() {
        Line line = Line.read("bag one; 4,2; -1; slugs at night; 3 May 2026; again in June", 2);
        assertThat(line.values()).containsExactly(OptionalDouble.of(4.2), OptionalDouble.of(-1));
        assertThat(line.on()).hasValue(LocalDate.of(2026, 5, 3));
        assertThat(line.note()).isEqualTo("slugs at night; again in June");
    }

    @Test
    void fewerPartsThanWereMeasuredAreUnknown() {
        assertThat(Line.read("bag one", 2).values()).containsExactly(OptionalDouble.empty(), OptionalDouble.empty());
        assertThatThrownBy(() -> Line.read("; 3", 1)).hasMessageContaining("Accepted: bag one; 420");
        assertThatThrownBy(() -> Line.read("bag one; 3 g", 1)).hasMessageContaining("“3 g” is no number");
    }
}
