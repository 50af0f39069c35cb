package elsom.core.notebook;

import static elsom.core.quantity.UnitOfMeasure.COUNT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LineTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    private static Line line(String text) {
        return Line.read(text, List.of(COUNT), TODAY);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"2026-05-03", "3 May 2026", "May 3, 2026", "3rd of May 2026"})
    void daysAreReadAsPeopleWriteThem(String day) {
        assertThat(line("bag one; 420; " + day).on()).hasValue(LocalDate.of(2026, 5, 3));
    }

    @ParameterizedTest
    @ValueSource(strings = {"?", "-", "–", "", "n/a", "unknown", "lost"})
    void whatIsNotKnownStaysUnknown(String value) {
        assertThat(line("bag one; " + value).values()).containsExactly(Line.Written.UNKNOWN);
    }

    @Test
    void whatIsNoDayIsANote() {
        Line line =
                Line.read("bag one; 4,2; -1; slugs at night; 3 May 2026; again in June", List.of(COUNT, COUNT), TODAY);
        assertThat(line.values())
                .extracting(Line.Written::value)
                .containsExactly(OptionalDouble.of(4.2), OptionalDouble.of(-1));
        assertThat(line.on()).hasValue(LocalDate.of(2026, 5, 3));
        assertThat(line.note()).isEqualTo("slugs at night; again in June");
    }

    @Test
    void fewerPartsThanWereMeasuredAreUnknown() {
        assertThat(Line.read("bag one", List.of(COUNT, COUNT), TODAY).values())
                .containsExactly(Line.Written.UNKNOWN, Line.Written.UNKNOWN);
        assertThatThrownBy(() -> line("; 3")).hasMessageContaining("Accepted: bag one; 420");
        assertThatThrownBy(() -> line("bag one; 3 g")).hasMessageContaining("“3 g”");
    }
}
