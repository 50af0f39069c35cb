package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class PowersTest {
    /** One of each in g, cm and h, by hand. */
    @ParameterizedTest
    @CsvSource({
        "KILOGRAM, 1000",
        "LITRE, 1000",
        "MILLIMETRE, 0.1",
        "DAY, 24",
        "SQUARE_METRE, 10000",
        "GRAM_PER_LITRE, 0.001",
        "GRAM_PER_SQUARE_METRE, 0.0001",
        "KILOGRAM_PER_SQUARE_METRE, 0.1",
        "PER_DAY, 0.0416666667",
        "CENTIMETRE_PER_DAY, 0.0416666667",
        "GRAM_PER_DAY, 0.0416666667",
        "POINT_DAY, 24",
        "CENTIMETRE_PER_MILLIMETRE, 10",
        "PERCENT, 0.01",
    })
    void unitsAreBuiltOnGramsCentimetresAndHours(UnitOfMeasure unit, double coherent) {
        assertThat(unit.coherent()).isCloseTo(coherent, within(1e-9));
    }

    @Test
    void aDensityIsAWeightOverAVolumeInWhateverUnits() {
        Powers density = Dimension.MASS.powers().over(Dimension.VOLUME.powers());
        assertThat(density)
                .isEqualTo(Dimension.DENSITY.powers())
                .isEqualTo(Dimension.CONCENTRATION.powers())
                .isNotEqualTo(Dimension.MASS_PER_AREA.powers());
        assertThat(Dimension.AREA.powers().times(Dimension.LENGTH.powers())).isEqualTo(Dimension.VOLUME.powers());
        assertThat(Dimension.RATE.powers().times(Dimension.TIME.powers())).isEqualTo(Powers.NONE);
    }

    @ParameterizedTest
    @EnumSource(UnitOfMeasure.class)
    void everyUnitHasASizeAndIsFoundByItsSymbol(UnitOfMeasure unit) {
        assertThat(unit.coherent()).isPositive();
        if (!unit.symbol().isEmpty()) {
            assertThat(UnitOfMeasure.spelled(unit.symbol())).hasValue(unit);
        }
    }
}
