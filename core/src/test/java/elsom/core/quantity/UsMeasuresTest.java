package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UsMeasuresTest {
    /** NIST Handbook 44: a gallon is 3785.411784 mL, a quart a quarter of it, a cup a quarter of that; a pound 453.59237 g. */
    @ParameterizedTest
    @CsvSource({
        "3785.411784, MILLILITRE, 1 US gal",
        "3785, MILLILITRE, 4 qt",
        "946.352946, MILLILITRE, 1 qt",
        "236.5882365, MILLILITRE, 1 cup",
        "29.5735295625, MILLILITRE, 1 fl oz",
        "5, MILLILITRE, 0.169 fl oz",
        "35.3, LITRE, 9.33 US gal",
        "453.59237, GRAM, 1 lb",
        "100, GRAM, 3.53 oz",
        "2.54, CENTIMETRE, 1 in",
        "6.2, PH, 6.2 pH"
    })
    void anAmountIsToldInTheLargestMeasureOfWhichThereIsOne(double amount, UnitOfMeasure unit, String words) {
        assertThat(UsMeasures.words(amount, unit)).isEqualTo(words);
    }

    @Test
    void aDrawingSaysWhatItsUnitsAre() {
        assertThat(UsMeasures.scales())
                .containsEntry("g", "28.3 g are 1 oz")
                .containsEntry("mL", "29.6 mL are 1 fl oz")
                .containsEntry("cm", "2.54 cm are 1 in")
                .containsEntry("°C", "°F = °C × 1.8 + 32")
                .doesNotContainKey("mS/cm");
    }

    @Test
    void thereAndBackIsTheSameToABillionth() {
        SplittableRandom random = new SplittableRandom(26);
        for (int i = 0; i < 500; i++) {
            double amount = Math.exp(12 * random.nextDouble() - 3);
            for (UnitOfMeasure metric :
                    new UnitOfMeasure[] {UnitOfMeasure.MILLILITRE, UnitOfMeasure.GRAM, UnitOfMeasure.CENTIMETRE}) {
                UnitOfMeasure us = UsMeasures.unitOf(amount, metric);
                double there = new Quantity(amount, metric).in(us).value();
                assertThat(new Quantity(there, us).in(metric).value()).isCloseTo(amount, within(1e-9 * amount));
            }
        }
    }
}
