package elsom.core.chemistry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Sums of salty water, against values worked out by hand. */
class SaltSumsTest {
    @Test
    void theBlendStandsAtTheLimit() {
        WaterBlend blend = WaterBlend.under(2, 0.5, 6.5).asOptional().orElseThrow();
        assertThat(blend.shareB()).isCloseTo(0.25, within(1e-12));
        assertThat(blend.ec()).isCloseTo(2, within(1e-12));
        assertThat(WaterBlend.under(2, 0.5, 1.5).asOptional().orElseThrow().shareB())
                .isEqualTo(1);
    }

    @Test
    void wherePureWaterIsTooSaltyThereIsNoBlend() {
        assertThat(WaterBlend.under(1, 1.2, 4).whyNot().orElseThrow()).contains("Even water A alone");
        assertThat(WaterBlend.under(1, 4, 1.2).whyNot().orElseThrow()).contains("change the two over");
        assertThatThrownBy(() -> WaterBlend.under(0, 1, 2)).hasMessageContaining("limit above 0");
    }

    @Test
    void leachingByBothSchools() {
        assertThat(Leaching.byDrain(1, 4).asOptional()).contains(0.25);
        // Ayers & Westcot: water of 1 dS/m and a crop that bears 1.5: 1/(7.5 − 1) = 0.154.
        assertThat(Leaching.byExtract(1, 1.5).asOptional().orElseThrow()).isCloseTo(0.1538, within(1e-4));
        assertThat(Leaching.byDrain(4, 4).whyNot()).isPresent();
        assertThat(Leaching.byExtract(8, 1.5).whyNot()).isPresent();
    }

    @Test
    void sodiumRatioAndWhatIsExchanged() {
        // 20 meq/L of sodium with 6 and 2 of calcium and magnesium: 20/√4 = 10; q = 0.1349; 11.9 %.
        double ratio = Sodium.ratio(20, 6, 2).asOptional().orElseThrow();
        assertThat(ratio).isCloseTo(10, within(1e-12));
        assertThat(Sodium.exchangeablePercent(ratio)).isCloseTo(11.886, within(1e-3));
        assertThat(Sodium.exchangeablePercent(0)).isZero();
        assertThat(Sodium.ratio(1, 0, 0).whyNot()).isPresent();
    }
}
