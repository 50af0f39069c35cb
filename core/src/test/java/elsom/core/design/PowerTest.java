package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the tables of Cohen (1969) and the standard sizes that everybody quotes. */
class PowerTest {
    @ParameterizedTest
    @CsvSource({"0.2,394", "0.5,64", "0.8,26"})
    void theSizesThatEverybodyQuotes(double standardised, int perGroup) {
        Power.Size size = Power.tSize(standardised, 0.05, 0.8).asOptional().orElseThrow();
        assertThat(size.perGroup()).isEqualTo(perGroup);
        assertThat(size.achieved()).isBetween(0.8, 0.81);
    }

    @ParameterizedTest
    @CsvSource({"3,0.25,52", "4,0.25,45", "4,0.4,18"})
    void theSizesOfSeveralGroups(int groups, double f, int perGroup) {
        assertThat(Power.anovaSize(groups, f, 0.05, 0.8)
                        .asOptional()
                        .orElseThrow()
                        .perGroup())
                .isBetween(perGroup, perGroup + 1);
    }

    @Test
    void moreUnitsSeeMoreAndSmaller() {
        double before = 0;
        double seen = Double.POSITIVE_INFINITY;
        for (int n = 3; n <= 40; n++) {
            double power = Power.t(n, n, 1, 0.05);
            assertThat(power).isGreaterThan(before);
            double detectable = Power.tDetectable(n, n, 0.05, 0.8);
            assertThat(detectable).isLessThan(seen);
            assertThat(Power.t(n, n, detectable, 0.05)).isCloseTo(0.8, within(1e-6));
            before = power;
            seen = detectable;
        }
    }

    @Test
    void withoutADifferenceThePowerIsTheLevel() {
        assertThat(Power.t(8, 8, 0, 0.05)).isCloseTo(0.05, within(1e-9));
        assertThat(Power.tSize(0, 0.05, 0.8).whyNot()).isPresent();
    }

    @Test
    void twoGroupsAreTheSameByEitherTest() {
        assertThat(Power.anova(2, 12, 0.4, 0.05)).isCloseTo(Power.t(12, 12, 0.8, 0.05), within(1e-6));
    }

    @Test
    void aLargePlannedTrialIsAnsweredOrRefusedAndNeverHangs() {
        assertThat(Power.tSize(1e-6, 0.05, 0.8).whyNot()).isPresent();
        assertThat(Power.tSize(50, 0.05, 0.8).asOptional().orElseThrow().perGroup())
                .isEqualTo(2);
        assertThat(Power.cohenF(new double[] {5, 5, 5}, 1)).isZero();
    }

    @ParameterizedTest
    @CsvSource({"0.5,0.5", "0.2,0.8"})
    void countsAreComparedByTheirShares(double one, double other) {
        double h = Power.cohenH(one, other);
        assertThat(Math.abs(h)).isCloseTo(Math.abs(Power.cohenH(other, one)), within(1e-12));
        if (one != other) {
            assertThat(Power.proportionsSize(one, other, 0.05, 0.8)).isBetween(5.0, 20.0);
        }
    }
}
