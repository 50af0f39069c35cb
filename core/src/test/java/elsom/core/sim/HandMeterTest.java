package elsom.core.sim;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.quantity.Typed;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.TypedReading;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class HandMeterTest {
    private static final Instant NOW = Instant.parse("2026-06-09T09:00:00Z");

    private final TrialRecord record =
            APlan.ofGrowth().list("a", "b").replicates(3).plan().draw(new TrialId(1));

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

    @Test
    void whatTheDisplayShowsIsUnderstoodAsItStands() {
        for (Look look : record.looks()) {
            for (EndpointCode code : look.endpoints()) {
                Optional<HandMeter> meter = HandMeter.of(record.endpoint(code));
                ReadingRef ref = new ReadingRef(record.units().get(0).code(), look.number(), code);
                meter.ifPresent(held -> {
                    String shown =
                            held.shows(record, ref, HandMeter.Fault.NONE, NOW).orElseThrow();
                    assertThat(TypedReading.of(shown, record.endpoint(code)))
                            .as(code + ": " + shown)
                            .isInstanceOf(Typed.Understood.class);
                });
            }
        }
    }

    @Test
    void withoutPowerItIsDarkAndUnzeroedItShowsTooMuch() {
        Look look = record.looks().stream()
                .filter(one -> one.endpoints().contains(new EndpointCode("height")))
                .findFirst()
                .orElseThrow();
        ReadingRef ref = new ReadingRef(record.units().get(0).code(), look.number(), new EndpointCode("height"));
        assertThat(HandMeter.CALLIPER.shows(record, ref, HandMeter.Fault.NO_POWER, NOW))
                .isEmpty();
        assertThat(number(HandMeter.CALLIPER
                        .shows(record, ref, HandMeter.Fault.NOT_ZEROED, NOW)
                        .orElseThrow()))
                .isGreaterThan(1.1
                        * number(HandMeter.CALLIPER
                                .shows(record, ref, HandMeter.Fault.NONE, NOW)
                                .orElseThrow()));
    }

    private static double number(String display) {
        return Double.parseDouble(display.split(" ")[0]);
    }
}
