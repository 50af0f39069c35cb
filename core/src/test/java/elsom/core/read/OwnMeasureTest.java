package elsom.core.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.plan.DoseUnits;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.sums.Sum;
import elsom.core.sums.Sums;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** A scoop that was measured once, and gallons that were said once, are read wherever amounts are. */
class OwnMeasureTest {
    private static final OwnMeasure SCOOP = OwnMeasure.of("scoop", "40 g", "biochar");
    private static final Known KNOWN =
            new Known(LocalDate.of(2026, 6, 1), Optional.of(Known.Gallons.US), Map.of("scoop", SCOOP.size()));

    @Test
    void levelsAndALabelsRateAreReadByThem() {
        Factor dose = LevelsText.parse(
                new LevelsText.Typist("Biochar", FactorKind.DOSE, KNOWN),
                "0, 1 scoop/10 L, 2 scoops per 10 L",
                "",
                null,
                null);
        assertThat(dose.levels()).extracting(Factor.Level::amount).containsExactly(0.0, 4.0, 8.0);
        assertThat(dose.unit()).isEqualTo(UnitOfMeasure.GRAM_PER_LITRE);
        assertThat(DoseUnits.labelRate("1 fl oz/gal", UnitOfMeasure.MILLILITRE_PER_LITRE, KNOWN))
                .isEqualTo(7.8125, Offset.offset(1e-6));
        assertThatThrownBy(() -> LevelsText.parse("Biochar", FactorKind.DOSE, "0, 1 scoop/10 L", "", null, null))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aSumIsReadByThem() {
        Sum dilute = Sums.find("dilution").orElseThrow();
        String volume = dilute.fields().stream()
                .filter(field -> field.unit() == UnitOfMeasure.MILLILITRE)
                .findFirst()
                .orElseThrow()
                .code();
        assertThat(dilute.worked(Map.of(volume, "2 gal")).values().problems()).containsKey(volume);
        assertThat(dilute.worked(Map.of(volume, "2 gal"), KNOWN).values().problems())
                .isEmpty();
    }

    @Test
    void itSaysWhatItIsAndWhereItStands() {
        assertThat(SCOOP.says()).isEqualTo("1 scoop = 40 g, measured with biochar");
        assertThat(SCOOP.in("2 scoops/10 L")).isTrue();
        assertThat(SCOOP.in("2 scooped")).isFalse();
        assertThat(OwnMeasure.of("capful", "0.5 US fl oz", "").size().value()).isEqualTo(14.79, Offset.offset(0.01));
    }

    @Test
    void whatHoldsNothingKnownIsRefused() {
        assertThatThrownBy(() -> OwnMeasure.of("scoop", "40", "")).hasMessageContaining("needs its unit");
        assertThatThrownBy(() -> OwnMeasure.of("scoop", "40 g", "")).hasMessageContaining("what was in it?");
        assertThatThrownBy(() -> OwnMeasure.of("scoop", "plenty mL", "")).hasMessageContaining("Accepted: 12 mL");
        assertThatThrownBy(() -> OwnMeasure.of("scoop", "0 mL", "")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> OwnMeasure.of("litre", "1 L", "")).hasMessageContaining("no measure of one's own");
    }
}
