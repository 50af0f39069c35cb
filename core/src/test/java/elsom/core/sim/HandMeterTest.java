package elsom.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HandMeterTest {
    private static Endpoint of(String code, UnitOfMeasure unit, double highest) {
        return Endpoint.single(new EndpointCode(code), "Something", unit, 0, highest, 1);
    }

    @Test
    void eachQuantityHasItsInstrument() {
        assertThat(HandMeter.of(of("height", UnitOfMeasure.CENTIMETRE, 80))).contains(HandMeter.CALLIPER);
        assertThat(HandMeter.of(of("ph", UnitOfMeasure.PH, 14))).contains(HandMeter.PH);
        assertThat(HandMeter.of(of("par", UnitOfMeasure.PHOTON_FLUX, 3000))).contains(HandMeter.LIGHT);
        assertThat(HandMeter.of(of("greenness", UnitOfMeasure.POINT, 100))).contains(HandMeter.GREENNESS);
        assertThat(HandMeter.of(of("mass", UnitOfMeasure.GRAM, 100))).isEmpty();
        assertThat(HandMeter.of(of("leaves", UnitOfMeasure.COUNT, 100))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"CALLIPER, CENTIMETRE, 6.1, 61", "EC, MICROSIEMENS_PER_CENTIMETRE, 1850, 1.85", "PH, PH, 6.4, 6.4"})
    void theDisplayIsInTheInstrumentsOwnUnitAndCloseToTheTruth(
            HandMeter meter, UnitOfMeasure asked, double truth, double displayed) {
        Endpoint endpoint = of("something", asked, 5000);
        for (long seed = 0; seed < 50; seed++) {
            String shown =
                    meter.shows(truth, endpoint, HandMeter.Fault.NONE, seed).orElseThrow();
            assertThat(number(shown)).isCloseTo(displayed, withinPercentage(1.5));
            assertThat(endpoint.typed(shown)).as(shown).isInstanceOf(Typed.Understood.class);
        }
    }

    @Test
    void itShowsNothingThatItsEndpointCantHave() {
        assertThat(number(HandMeter.PH
                        .shows(15, of("ph", UnitOfMeasure.PH, 14), HandMeter.Fault.NONE, 1)
                        .orElseThrow()))
                .isEqualTo(14);
        assertThat(number(HandMeter.CALLIPER
                        .shows(-3, of("height", UnitOfMeasure.CENTIMETRE, 80), HandMeter.Fault.NONE, 1)
                        .orElseThrow()))
                .isZero();
    }

    @Test
    void withoutPowerItIsDarkAndUnzeroedItShowsTooMuch() {
        Endpoint height = of("height", UnitOfMeasure.CENTIMETRE, 80);
        assertThat(HandMeter.CALLIPER.shows(6, height, HandMeter.Fault.NO_POWER, 1))
                .isEmpty();
        double zeroed = number(
                HandMeter.CALLIPER.shows(6, height, HandMeter.Fault.NONE, 1).orElseThrow());
        double unzeroed = number(HandMeter.CALLIPER
                .shows(6, height, HandMeter.Fault.NOT_ZEROED, 1)
                .orElseThrow());
        assertThat(unzeroed - zeroed).isCloseTo(7.2, withinPercentage(5));
    }

    private static double number(String display) {
        return Double.parseDouble(display.split(" ")[0]);
    }
}
