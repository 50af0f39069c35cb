package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import org.junit.jupiter.api.Test;

class RefillNeedTest {
    private final Measured pots = Measured.started(
            APlan.of("water-holding").list("peat", "leaf mould").replicates(2).plan());
    private final UnitCode unit = pots.unit(1, 1).code();

    private RefillNeed need(String weight, String target) {
        return RefillNeed.of(pots.record(), unit, weight, target);
    }

    @Test
    void aPotIsFilledUpToTheWeightThatIsTyped() {
        assertThat(need("605", "640 g")).isEqualTo(new RefillNeed(35, "Water " + unit + " with 35 mL"));
        assertThat(need("0.7 kg", "640").millilitres()).isZero();
        assertThat(need("639.8", "640").text()).contains("needs none: it weighs 640 of 640 g");
    }

    @Test
    void orToTheHeaviestItEverWas() {
        pots.read("wet-mass", 1, 652.4);
        assertThat(need("600", "").millilitres()).isCloseTo(52.4, within(1e-9));
        assertThat(need("600", "up").millilitres()).isPositive();
    }

    @Test
    void whatCantBeSaidAsks() {
        assertThat(need("600", "").millilitres()).isNegative();
        assertThat(need("600", "").text()).contains("never weighed whole");
        assertThat(need("heavy", "640").millilitres()).isNegative();
    }
}
