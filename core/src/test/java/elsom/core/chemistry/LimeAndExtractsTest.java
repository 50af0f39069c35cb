package elsom.core.chemistry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.chemistry.Titration.Jar;
import elsom.core.chemistry.Titration.Status;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sums that can be done by hand: half a pH a gram, up with lime and down with sulfur. */
class LimeAndExtractsTest {
    private static final Titration UP = of(4, 5, 6);
    private static final Titration DOWN = of(8, 7, 6);

    private static Titration of(double... ph) {
        return Titration.of(IntStream.range(0, ph.length)
                        .mapToObj(i -> new Jar(2.0 * i, ph[i]))
                        .toList())
                .asOptional()
                .orElseThrow();
    }

    private static LimeDose dose(Titration titration, double target, double half, double used) {
        return LimeDose.of(titration, target, half, 100, used).asOptional().orElseThrow();
    }

    @Test
    void aWeakerProductTakesMoreAndItsLimitsToo() {
        LimeDose dose = dose(UP, 5.5, 0.25, 80);
        assertThat(dose.gramsPerLitre()).isCloseTo(3 / 0.8, within(1e-9));
        assertThat(dose.low().orElseThrow()).isCloseTo(2.5 / 0.8, within(1e-9));
        assertThat(dose.high().orElseThrow()).isCloseTo(3.5 / 0.8, within(1e-9));
        assertThat(dose.nearEnd()).isFalse();
        assertThat(dose.gramsFor(1500)).isCloseTo(3 / 0.8 * 1.5, within(1e-9));
    }

    @Test
    void whereThePhFallsTheLimitsAreTheOtherWayRound() {
        LimeDose dose = dose(DOWN, 7.5, 0.25, 100);
        assertThat(dose.gramsPerLitre()).isCloseTo(1, within(1e-9));
        assertThat(dose.low().orElseThrow()).isCloseTo(0.5, within(1e-9));
        assertThat(dose.high().orElseThrow()).isCloseTo(1.5, within(1e-9));
    }

    /** 4.0, 4.1, 6.9, 7.0 at 0, 2, 4, 6 g/L: where between 2 and 4 it jumps nobody saw. */
    @Test
    void whereThePhJumpsAllBetweenTwoAmountsIsLeftOpen() {
        LimeDose dose = dose(of(4, 4.1, 6.9, 7), 5.5, 0.1, 100);
        assertThat(dose.low().orElseThrow()).isEqualTo(2);
        assertThat(dose.high().orElseThrow()).isEqualTo(4);
        assertThat(dose.untried().orElseThrow()).contains("between 2 and 4 g/L");
        assertThat(dose(UP, 5.5, 0.1, 100).untried()).isEmpty();
        assertThat(dose(of(4, 4.1, 6.9, 7), 5.5, 0, 100).low())
                .isEqualTo(dose(of(4, 4.1, 6.9, 7), 5.5, 0, 100).high());
    }

    @Test
    void aLimitBeyondWhatWasTestedIsOpenAndATargetNearTheEndSaysSo() {
        assertThat(dose(UP, 5.8, 0.25, 100).high()).isEmpty();
        assertThat(dose(UP, 5.8, 0.25, 100).nearEnd()).isTrue();
        assertThat(dose(UP, 5.75, 0, 100).nearEnd()).isFalse();
        assertThat(LimeDose.of(UP, 6.2, 0, 100, 100).whyNot()).isPresent();
    }

    @ParameterizedTest
    @CsvSource({"0.5, 100", "201, 100", "100, 0.5", "100, 201", "NaN, 100"})
    void aProductIsOneTo200Percent(double tested, double used) {
        assertThatThrownBy(() -> LimeDose.of(UP, 5, 0, tested, used)).hasMessageContaining("1 to 200 %");
    }

    @Test
    void theEdgesOfAProductAndOfATitrationAreInIt() {
        assertThat(LimeDose.of(UP, 5, 0, 1, 200).asOptional().orElseThrow().gramsPerLitre())
                .isCloseTo(2 / 200.0, within(1e-12));
        assertThat(LimeDose.of(UP, 5, 0, 200, 1).asOptional().orElseThrow().gramsPerLitre())
                .isCloseTo(400, within(1e-9));
        assertThat(UP.status(4)).isEqualTo(Status.OK);
        assertThat(UP.status(6)).isEqualTo(Status.OK);
        assertThat(UP.linearDose(6).asOptional()).contains(4.0);
        assertThat(UP.linearDose(5).asOptional()).contains(2.0);
        assertThat(UP.linearDose(4.25).asOptional().orElseThrow()).isCloseTo(0.5, within(1e-12));
        assertThat(DOWN.linearDose(6.25).asOptional().orElseThrow()).isCloseTo(3.5, within(1e-12));
        assertThat(of(4, 4, 6).monotone()).isFalse();
        assertThat(DOWN.monotone()).isTrue();
        assertThat(new Jar(0, 13.9).amount()).isZero();
        assertThatThrownBy(() -> new Jar(0, 14)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Jar(0, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Jar(Double.POSITIVE_INFINITY, 7)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Edges belong to the class below them; between two edges the straight line, beyond the last its proportion. */
    @ParameterizedTest
    @CsvSource({
        "0.05, very low, 0.113636",
        "0.11, very low, 0.25",
        "0.23, low, 0.5",
        "0.65, normal, 1.25",
        "0.77, high, 1.5",
        "1.10, very high, 2.25",
        "2.20, extreme, 4.5"
    })
    void oneToFiveIsTurnedIntoOneToTwo(double ec, String called, double inTwo) {
        assertThat(Extract.ONE_TO_FIVE.classOf(ec)).isEqualTo(called);
        assertThat(Extract.ONE_TO_FIVE.to(Extract.ONE_TO_TWO, ec)).isCloseTo(inTwo, within(1e-6));
        assertThat(Extract.ONE_TO_TWO.to(Extract.ONE_TO_FIVE, Extract.ONE_TO_FIVE.to(Extract.ONE_TO_TWO, ec)))
                .isCloseTo(ec, within(1e-12));
    }

    @Test
    void extractsAreFoundByTheirCode() {
        assertThat(Extract.called("1:5")).contains(Extract.ONE_TO_FIVE);
        assertThat(Extract.called("5:1")).isEmpty();
        for (Extract extract : Extract.values()) {
            assertThat(extract.edges()).hasSize(5).isSorted();
            assertThat(extract.label()).isNotBlank();
            assertThat(Extract.called(extract.code())).contains(extract);
        }
    }

    /** A quarter drains, so what drains is four times as salty as what is given, and the extract half of that. */
    @Test
    void whatACropBearsIsTurnedBetweenWaterDrainAndExtract() {
        assertThat(SaltLimit.of(1.5, false, 0.25)).isEqualTo(new SaltLimit(1.5, 1.5, 6, 3));
        assertThat(SaltLimit.of(6, true, 0.25)).isEqualTo(new SaltLimit(6, 1.5, 6, 3));
        for (double drained : List.of(0.0, 1.0, Double.NaN)) {
            assertThatThrownBy(() -> SaltLimit.of(1.5, false, drained)).hasMessageContaining("a share");
        }
        assertThatThrownBy(() -> SaltLimit.of(0, false, 0.25)).hasMessageContaining("above 0");
    }

    /** 1.91 % a degree: ten degrees under the reference a meter without correction shows 19.1 % too little. */
    @Test
    void conductivityIsToldAt25Degrees() {
        assertThat(Conductivity.at25(0.809, 15)).isCloseTo(1, within(1e-12));
        assertThat(Conductivity.at25(1.191, 35)).isCloseTo(1, within(1e-12));
        assertThat(Conductivity.at25(1.3, 25)).isEqualTo(1.3);
    }

    @Test
    void theEdgesOfLeachingAndOfABlend() {
        assertThat(Leaching.byExtract(1, 0.4).whyNot()).isPresent();
        assertThat(Leaching.byExtract(1, 0.2).whyNot()).isPresent();
        assertThat(Leaching.byExtract(1, 0.41).asOptional().orElseThrow()).isCloseTo(1 / 1.05, within(1e-9));
        assertThat(WaterBlend.under(2, 2, 2).asOptional()).contains(new WaterBlend(1, 2));
        assertThat(WaterBlend.under(2, 0, 4).asOptional()).contains(new WaterBlend(0.5, 2));
        assertThatThrownBy(() -> Leaching.byDrain(0, 1)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> Leaching.byExtract(1, 0)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> Leaching.byDrain(1, Double.POSITIVE_INFINITY)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> WaterBlend.under(1, -1, 2)).hasMessageContaining("0 or more");
        assertThatThrownBy(() -> WaterBlend.under(1, 1, -2)).hasMessageContaining("0 or more");
    }
}
