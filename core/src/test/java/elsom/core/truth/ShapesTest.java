package elsom.core.truth;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold of every shape, whatever its figures. */
class ShapesTest {
    static Stream<Map.Entry<String, DoubleUnaryOperator>> rising() {
        return Map.<String, DoubleUnaryOperator>of(
                "saturating", amount -> Shapes.saturating(amount, 3),
                "hyperbolic", amount -> Shapes.hyperbolic(amount, 3),
                "dose effect", amount -> Shapes.doseEffect(amount, 3, 2),
                "come", amount -> Shapes.come(amount, 2, 7))
                .entrySet()
                .stream();
    }

    @ParameterizedTest
    @MethodSource("rising")
    void risesFromNothingToAll(Map.Entry<String, DoubleUnaryOperator> shape) {
        double before = shape.getValue().applyAsDouble(0);
        assertThat(before).isZero();
        for (double amount = 0.25; amount < 200; amount += 0.25) {
            double now = shape.getValue().applyAsDouble(amount);
            assertThat(now).as("%s at %s", shape.getKey(), amount).isBetween(before, 1.0);
            before = now;
        }
        assertThat(before).isGreaterThan(0.98);
    }

    @Test
    void nothingIsLostUpToAThresholdAndSomethingIsAlwaysLeft() {
        assertThat(Shapes.beyond(0, 2, 0.3)).isEqualTo(1);
        assertThat(Shapes.beyond(2, 2, 0.3)).isEqualTo(1);
        assertThat(Shapes.beyond(500, 2, 0.3)).isPositive();
        assertThat(Shapes.saturating(-1, 3)).isZero();
        assertThat(Shapes.hyperbolic(-1, 3)).isZero();
    }

    @ParameterizedTest
    @EnumSource(Stressor.class)
    void noStressorGivesMoreThanAllOrLessThanNothing(Stressor stressor) {
        for (Species species : Species.values()) {
            for (double level : new double[] {0.01, 0.1, 1, 5, 20, 200}) {
                Surroundings at = new Surroundings(level / 200, level / 400, level / 20, level, level, level, level);
                assertThat(stressor.factor(at, species))
                        .as("%s of %s at %s", stressor.label(), species.example(), level)
                        .isBetween(0.0, 1.0);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Species.class)
    void injuryNeverLessensWithDaysAndStaysOnItsScale(Species species) {
        Surroundings bad = Surroundings.GOOD.salty(7).residue(0.9);
        double before = 0;
        for (double day = 0; day <= 30; day++) {
            double now = Growth.injury(bad, species, day);
            assertThat(now).isBetween(before, 10.0);
            before = now;
        }
    }
}
