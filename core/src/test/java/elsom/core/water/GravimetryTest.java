package elsom.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class GravimetryTest {
    /** Worked on paper: 40 g pot, 120 g of medium in 500 mL, 260 g of water, of which 91 g is left after two days. */
    private final Gravimetry pot = new Gravimetry(
            40,
            160,
            List.of(new TimedMass(0, 420), new TimedMass(24, 320), new TimedMass(48, 251)),
            500,
            OptionalDouble.of(0.8));

    private static double value(elsom.core.stats.Outcome<Double> outcome) {
        return outcome.asOptional().orElseThrow();
    }

    @Test
    void agreesWithTheSumOnPaper() {
        assertThat(pot.dryMassG()).isEqualTo(120);
        assertThat(value(pot.heldMl())).isEqualTo(260);
        assertThat(value(pot.containerCapacity())).isCloseTo(0.52, within(1e-12));
        assertThat(value(pot.waterByDryMass())).isCloseTo(2.1666667, within(1e-6));
        assertThat(pot.bulkDensity()).isCloseTo(0.24, within(1e-12));
        assertThat(value(pot.lostBy(pot.wet().get(2)))).isCloseTo(0.65, within(1e-12));
        assertThat(pot.waterByVolume(pot.wet().get(2))).isCloseTo(0.182, within(1e-12));
        assertThat(value(pot.refillWeightG(0.5))).isEqualTo(290);
    }

    @Test
    void porosityFollowsTheStandard() {
        // 1 / (0.8/1.55 + 0.2/2.65) = 1.690329; 1 − 0.24/1.690329 = 0.858016
        assertThat(Gravimetry.particleDensity(0.8)).isCloseTo(1.690329, within(1e-6));
        assertThat(value(pot.totalPorosity())).isCloseTo(0.858016, within(1e-6));
        assertThat(value(pot.airFilledPorosity())).isCloseTo(0.338016, within(1e-6));
        assertThat(Gravimetry.particleDensity(1)).isEqualTo(1.55);
        assertThat(Gravimetry.particleDensity(0)).isEqualTo(2.65);
    }

    @Test
    void withoutOrganicMatterThereIsNoAir() {
        Gravimetry unknown = new Gravimetry(40, 160, pot.wet(), 500, OptionalDouble.empty());
        assertThat(unknown.airFilledPorosity().whyNot())
                .hasValueSatisfying(why -> assertThat(why).contains("organic matter"));
    }

    @Test
    void moreWaterThanPoresIsNotEstimated() {
        Gravimetry overfull = new Gravimetry(40, 160, List.of(new TimedMass(0, 640)), 500, OptionalDouble.of(0.8));
        assertThat(overfull.airFilledPorosity().whyNot()).isPresent();
    }

    @Test
    void refusesADryWeightNotAboveTheEmptyOne() {
        assertThatThrownBy(() -> new Gravimetry(40, 40, List.of(), 500, OptionalDouble.empty()))
                .hasMessageContaining("must be above");
        assertThatThrownBy(() -> new Gravimetry(40, Double.NaN, List.of(), 500, OptionalDouble.empty()))
                .hasMessageContaining("must be above");
        assertThatThrownBy(() -> new Gravimetry(40, 160, List.of(), 0, OptionalDouble.empty()))
                .hasMessageContaining("filled volume");
        assertThatThrownBy(() -> new Gravimetry(40, 160, List.of(), 500, OptionalDouble.of(1.2)))
                .hasMessageContaining("organic matter");
    }
}
