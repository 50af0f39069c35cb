package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Which stretch of a series a reading covers: height stands for what a sensor gives at days 14, 21 and 28. */
class SensingTest {
    private static final Instant START = APlan.START;

    private final Measured measured =
            Measured.started(APlan.ofGrowth().list("rain", "kelp").replicates(2).plan());
    private final Endpoint height = measured.record().endpoint(new EndpointCode("height"));
    private final ExperimentalUnit unit = measured.unit(1, 1);

    private static Instant day(double days) {
        return START.plus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    private List<Boolean> told(Measured trial, Sensing.Span series, Instant now) {
        return Sensing.of(trial.record(), unit, height, series, now).stream()
                .map(Sensing::told)
                .toList();
    }

    @Test
    void eachReadingCoversTheTimeSinceTheLookBeforeThatTakesTheEndpoint() {
        List<Sensing> all = Sensing.of(measured.record(), unit, height, null, day(40));
        assertThat(all).extracting(Sensing::from).containsExactly(START, day(14), day(21));
        assertThat(all).extracting(Sensing::to).containsExactly(day(14), day(21), day(28));
        assertThat(all).extracting(Sensing::told).containsOnly(false);
    }

    @Test
    void aSeriesThatEndsBeforeTheLookHasNotToldItAndOneThatBeginsAfterItNeverDid() {
        assertThat(told(measured, new Sensing.Span(START, day(28)), day(40))).containsExactly(true, true, true);
        assertThat(told(measured, new Sensing.Span(START, day(20.9)), day(40))).containsExactly(true, true, false);
        assertThat(told(measured, new Sensing.Span(START, day(20.5)), day(40))).containsExactly(true, false, false);
        assertThat(told(measured, new Sensing.Span(day(15), day(28)), day(40))).containsExactly(false, true, true);
    }

    @Test
    void aLookToComeHasNoFigureYetNorHasAUnitThatWasLost() {
        Sensing.Span whole = new Sensing.Span(START, day(28));
        assertThat(told(measured, whole, day(20))).containsExactly(true, false, false);
        Look second = measured.record().looks().stream()
                .filter(look -> look.endpoints().contains(height.code()))
                .skip(1)
                .findFirst()
                .orElseThrow();
        assertThat(told(measured.lose(unit, second), whole, day(40))).containsExactly(true, false, false);
    }

    @Test
    void aFigureNeverReplacesWhatSomebodyTypedNorItself() {
        Reading typed = measured.read("height", 1, 12.0).record().readings().get(0);
        assertThat(Sensing.changes(Optional.of(typed), OptionalDouble.of(13))).isFalse();
        assertThat(Sensing.changes(Optional.empty(), OptionalDouble.of(13))).isTrue();
        assertThat(Sensing.changes(Optional.empty(), OptionalDouble.empty())).isFalse();
        Reading sensed = new Reading(
                typed.id(),
                typed.ref(),
                12.0,
                "12",
                typed.typedUnit(),
                typed.takenAt(),
                typed.recordedAt(),
                "Bench A",
                Instrument.SENSOR,
                null,
                null);
        assertThat(Sensing.changes(Optional.of(sensed), OptionalDouble.of(12))).isFalse();
        assertThat(Sensing.changes(Optional.of(sensed), OptionalDouble.of(12.1)))
                .isTrue();
        assertThat(Sensing.changes(Optional.of(sensed), OptionalDouble.empty())).isTrue();
    }
}
