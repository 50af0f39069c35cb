package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class QuantityTest {
    @ParameterizedTest
    @EnumSource(UnitOfMeasure.class)
    void convertingThereAndBackChangesNothing(UnitOfMeasure unit) {
        for (UnitOfMeasure other : UnitOfMeasure.values()) {
            if (other.dimension() == unit.dimension()) {
                double back = new Quantity(7.25, unit).in(other).in(unit).value();
                assertThat(back).isCloseTo(7.25, within(1e-9));
            }
        }
    }

    @Test
    void refusesToTurnAWeightIntoAVolume() {
        assertThatThrownBy(() -> new Quantity(1, UnitOfMeasure.GRAM).in(UnitOfMeasure.LITRE))
                .hasMessageContaining("a weight");
    }

    @Test
    void refusesWhatIsNotANumber() {
        assertThatThrownBy(() -> new Quantity(Double.NaN, UnitOfMeasure.GRAM)).hasMessageContaining("finite");
    }

    @ParameterizedTest
    @CsvSource({"48.25, 1, 48.3", "48, 1, 48", "-0.04, 1, 0", "1200, 0, 1200", "-3.55, 1, −3.6"})
    void showsAtMostTheDecimalsAsked(double value, int decimals, String text) {
        assertThat(Decimals.upTo(value, decimals)).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource({"0.5, 30 min", "6, 6 h", "26.5, 26.5 h", "48, 2 days", "50.4, 2.1 days"})
    void saysLengthsOfTimeInWords(double hours, String words) {
        assertThat(Spans.words(hours)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"0, 0 h", "0.25, 15 min", "24, 24 h", "48, day 2", "60, 60 h", "120, day 5"})
    void labelsTheTimeBarShortly(double hours, String label) {
        assertThat(Spans.tick(hours)).isEqualTo(label);
    }
}
