package elsom.core.dose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.quantity.UnitOfMeasure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DilutionTest {
    @ParameterizedTest
    @CsvSource({
        "0.5, PERCENT, 2000, 10, 1990",
        "5, MILLILITRE_PER_LITRE, 2000, 10, 1990",
        "100, PERCENT, 250, 250, 0",
        "2, GRAM_PER_LITRE, 500, 1, 500",
        "250, MILLIGRAM_PER_LITRE, 4000, 1, 4000",
        "0, PERCENT, 1000, 0, 1000"
    })
    void stockAndWaterMakeTheVolume(double rate, UnitOfMeasure unit, double volume, double stock, double water) {
        Dilution dilution = Dilution.of(rate, unit, volume);
        assertThat(dilution.stock()).isCloseTo(stock, within(1e-9));
        assertThat(dilution.waterMl()).isCloseTo(water, within(1e-9));
    }

    @Test
    void theSumIsShown() {
        assertThat(Dilution.of(0.5, UnitOfMeasure.PERCENT, 2000).working().steps())
                .containsExactly("0.005 · 2000 = 10 mL", "2000 − 10 = 1990 mL water");
    }

    @Test
    void whatCanNotBeMixedIsRefused() {
        assertThatThrownBy(() -> Dilution.of(120, UnitOfMeasure.PERCENT, 100)).hasMessageContaining("the stock itself");
        assertThatThrownBy(() -> Dilution.of(-1, UnitOfMeasure.PERCENT, 100)).hasMessageContaining("0 to");
        assertThatThrownBy(() -> Dilution.of(1, UnitOfMeasure.PH, 100)).hasMessageContaining("%, mL/L or g/L");
        assertThatThrownBy(() -> Dilution.of(1, UnitOfMeasure.PERCENT, 0)).hasMessageContaining("above 0");
    }
}
