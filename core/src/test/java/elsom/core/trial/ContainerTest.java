package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ContainerTest {
    @Test
    void aStraightPotIsACylinder() {
        assertThat(Container.straightRound("pot", 10, 12).volumeMl()).isCloseTo(Math.PI * 36 * 10, within(1e-9));
    }

    @Test
    void aTaperedPotIsAFrustum() {
        double frustum = Math.PI * 8.5 / 12 * (9 * 9 + 9 * 6.5 + 6.5 * 6.5);
        assertThat(Container.taperedRound("pot", 8.5, 9, 6.5).volumeMl()).isCloseTo(frustum, within(1e-9));
    }

    @Test
    void aTaperedSquarePotIsATruncatedPyramid() {
        Container pot = new Container("pot", ContainerShape.TAPERED, Outline.RECTANGULAR, 11, 11, 11, 8, 8);
        assertThat(pot.volumeMl()).isCloseTo(11.0 / 3 * (121 + 64 + 88), within(1e-9));
    }

    @Test
    void aBowlIsASphericalCap() {
        double cap = Math.PI * 8 / 6 * (3 * 12 * 12 + 8 * 8);
        assertThat(Container.bowl("bowl", 8, 24).volumeMl()).isCloseTo(cap, within(1e-9));
    }

    @Test
    void aHalfSphereIsTheDeepestBowl() {
        assertThat(Container.bowl("bowl", 6, 12).volumeMl()).isCloseTo(2.0 / 3 * Math.PI * 216, within(1e-9));
        assertThatThrownBy(() -> Container.bowl("bowl", 6.1, 12)).hasMessageContaining("half as deep");
    }

    static Stream<Container> shapes() {
        return Stream.of(
                Container.tray("tray", 6, 20, 15),
                Container.taperedRound("tub", 18, 20, 16),
                Container.bowl("bowl", 8, 24),
                new Container("cell", ContainerShape.TAPERED, Outline.RECTANGULAR, 12, 5, 4, 2.5, 3));
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void volumeIsTheIntegralOfTheSection(Container container) {
        int slices = 20_000;
        double sum = 0;
        for (int i = 0; i < slices; i++) {
            sum += container.areaCm2((i + 0.5) / slices * container.depthCm()) * container.depthCm() / slices;
        }
        assertThat(container.volumeMl()).isCloseTo(sum, within(container.volumeMl() * 1e-7));
        assertThat(container.volumeMl(container.depthCm() / 2)).isLessThan(container.volumeMl());
    }

    @Test
    void refusesImpossibleSizes() {
        assertThatThrownBy(() -> Container.tray("tray", 0, 20, 15)).hasMessageContaining("depth");
        assertThatThrownBy(() -> Container.tray("tray", 6, Double.NaN, 15)).hasMessageContaining("top");
        assertThatThrownBy(() -> Container.tray("tray", 6, 20, 400)).hasMessageContaining("300");
        assertThatThrownBy(() -> Container.tray(" ", 6, 20, 15)).hasMessageContaining("name");
    }
}
