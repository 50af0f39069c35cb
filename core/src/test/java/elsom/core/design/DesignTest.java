package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.design.Association.Attribute;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class DesignTest {
    @Test
    void aSeriesDoublesBetweenItsEnds() {
        assertThat(DoseSeries.geometric(0.25, 4, 6, OptionalDouble.empty()))
                .containsExactly(0.0, 0.25, 0.5, 1.0, 2.0, 4.0);
    }

    @Test
    void theLabelRateTakesTheNearestLevelOrComesOnTop() {
        assertThat(DoseSeries.geometric(0.25, 4, 6, OptionalDouble.of(1.2)))
                .containsExactly(0.0, 0.25, 0.5, 1.2, 2.0, 4.0);
        assertThat(DoseSeries.geometric(0.25, 4, 6, OptionalDouble.of(6))).endsWith(4.0, 6.0);
        assertThatThrownBy(() -> DoseSeries.geometric(0, 4, 6, OptionalDouble.empty()))
                .hasMessageContaining("above 0");
    }

    /** Two groups of 17 with d = 1 have 80.7 % power, and 16 have 78.1 %, in Cohen's (1988) tables and after. */
    @Test
    void powerAgreesWithTheTables() {
        Sizing two = new Sizing(2, false, 0.2);
        assertThat(two.power(17, 0.2)).isCloseTo(0.807, within(0.001));
        assertThat(two.power(16, 0.2)).isCloseTo(0.781, within(0.001));
        assertThat(two.needed(0.2)).hasValue(17);
        assertThat(two.detectable(17)).isCloseTo(0.1981, within(0.0003));
    }

    @Test
    void oneUnitEachSeesNothing() {
        Sizing sizing = new Sizing(3, true, 0.1);
        assertThat(sizing.detectable(1)).isInfinite();
        assertThat(sizing.power(1, 5)).isZero();
        assertThat(sizing.working(1).steps()).first().asString().contains("no scatter");
    }

    @Test
    void moreUnitsAndLessScatterSeeSmallerDifferences() {
        double before = Double.POSITIVE_INFINITY;
        for (int n = 2; n <= 20; n++) {
            double detectable = new Sizing(4, true, 0.15).detectable(n);
            assertThat(detectable).isLessThan(before);
            assertThat(new Sizing(4, true, 0.15).power(n, detectable)).isCloseTo(0.8, within(1e-6));
            assertThat(new Sizing(4, true, 0.3).detectable(n)).isCloseTo(2 * detectable, within(1e-6));
            before = detectable;
        }
        assertThat(new Sizing(2, false, 1).needed(0.01)).isEmpty();
    }

    @Test
    void findsWhatChangesTogether() {
        Attribute medium = new Attribute("medium", List.of("a", "a", "b", "b"));
        Attribute feed = new Attribute("feed", List.of("none", "some", "none", "some"));
        Attribute pot = new Attribute("pot", List.of("small", "small", "large", "large"));
        Attribute same = new Attribute("bench", List.of("x", "x", "x", "x"));
        assertThat(Association.tied(List.of(medium, feed, same))).isEmpty();
        assertThat(Association.tied(List.of(medium, feed, pot))).containsExactly(new Association.Tied(medium, pot));
    }

    @Test
    void aStruckCellLeavesMainEffectsApartButTwoMayNot() {
        Attribute three = new Attribute("medium", List.of("a", "a", "b"));
        Attribute cell = new Attribute("feed", List.of("none", "some", "none"));
        assertThat(Association.tied(List.of(three, cell))).isEmpty();
        assertThat(Association.tied(List.of(
                        new Attribute("medium", List.of("a", "b")), new Attribute("feed", List.of("none", "some")))))
                .hasSize(1);
    }
}
