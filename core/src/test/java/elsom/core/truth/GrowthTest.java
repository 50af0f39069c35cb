package elsom.core.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;

/** Shapes against figures worked out by hand, and growth against what the methods say is plausible. */
class GrowthTest {
    private static final double EXACT = 1e-12;

    @Test
    void shapesGiveWhatTheirDefinitionsSay() {
        assertThat(Shapes.saturating(50, 50)).isEqualTo(0.5, within(EXACT));
        assertThat(Shapes.saturating(100, 50)).isEqualTo(0.75, within(EXACT));
        assertThat(Shapes.hyperbolic(9, 9)).isEqualTo(0.5, within(EXACT));
        assertThat(Shapes.beyond(3.5, 1.5, 0.16)).isEqualTo(0.68, within(EXACT));
        assertThat(Shapes.beyond(1, 1.5, 0.16)).isEqualTo(1, within(EXACT));
        assertThat(Shapes.bell(7.8, 6.2, 1.6)).isEqualTo(Math.exp(-0.5), within(EXACT));
        assertThat(Shapes.doseEffect(2, 2, 3)).isEqualTo(0.5, within(EXACT));
        assertThat(Shapes.doseEffect(4, 2, 3)).isEqualTo(8 / 9.0, within(EXACT));
        assertThat(Shapes.come(7, 5, 9)).isEqualTo(0.5, within(EXACT));
    }

    @Test
    void theLogsOfWhatIsLeftAddUp() {
        Surroundings poor = Surroundings.GOOD.nitrogen(40).salty(3).water(0.3);
        Map<Stressor, Double> parts = Growth.parts(poor, Species.BROADLEAF);
        assertThat(Growth.log(poor, Species.BROADLEAF))
                .isEqualTo(parts.values().stream().mapToDouble(d -> d).sum(), within(EXACT));
        assertThat(parts.values()).allMatch(part -> part <= 0);
        assertThat(Growth.ratio(poor, Surroundings.GOOD, Species.BROADLEAF)).isBetween(0.2, 0.6);
    }

    @Test
    void saltHurtsPeasMoreThanBarleyAndResidueHardlyTouchesBarley() {
        Surroundings salt = Surroundings.GOOD.salty(5);
        Surroundings residue = Surroundings.GOOD.residue(0.8);
        assertThat(Growth.injury(salt, Species.LEGUME, 21)).isBetween(4.0, 7.0);
        assertThat(Growth.injury(salt, Species.GRASS, 21)).isLessThan(1);
        assertThat(Growth.injury(residue, Species.LEGUME, 21)).isGreaterThan(6);
        assertThat(Growth.injury(residue, Species.GRASS, 21)).isLessThan(0.5);
    }

    @Test
    void aResidueShowsInTheSecondWeek() {
        Surroundings residue = Surroundings.GOOD.residue(0.8);
        assertThat(Growth.injury(residue, Species.LEGUME, 4)).isLessThan(0.1);
        assertThat(Growth.injury(residue, Species.LEGUME, 14)).isGreaterThan(6);
    }

    @Test
    void lightAndWaterAndNitrogenRaiseGrowthEachLessThanTheStepBefore() {
        double dim = Growth.log(Surroundings.GOOD.light(6), Species.BROADLEAF);
        double middle = Growth.log(Surroundings.GOOD.light(12), Species.BROADLEAF);
        double bright = Growth.log(Surroundings.GOOD.light(18), Species.BROADLEAF);
        assertThat(middle - dim).isGreaterThan(bright - middle).isPositive();
        assertThat(bright).isGreaterThan(middle);
        assertThat(Growth.size(14, 28)).isEqualTo(0.5, within(EXACT));
    }
}
