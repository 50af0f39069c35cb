package elsom.web.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.sim.BenchTruth;
import elsom.core.sim.HandMeter;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** All simulated instruments see one truth: that of whoever knows better, else the bench's own. */
class TruthsTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-06-09T09:00:00Z"), ZoneOffset.UTC);

    private final Measured grown =
            Measured.started(APlan.ofGrowth().list("leaf mould", "wood fibre").plan());
    private final TrialRecord record = grown.record();
    private final ReadingRef height = ref("height");
    private final ReadingRef mass = ref("fresh-mass");
    private final StandIn ignorant = mock();
    private final StandIn practice = mock();
    private final Truths truths = new Truths(List.of(ignorant, practice));

    private ReadingRef ref(String code) {
        return new ReadingRef(grown.unit(1, 1).code(), grown.lookFor(code).number(), new EndpointCode(code));
    }

    @BeforeEach
    void nobodyKnows() {
        when(ignorant.seen(any(), any())).thenReturn(OptionalDouble.empty());
        when(ignorant.living(any(), any())).thenReturn(Optional.empty());
        when(practice.seen(any(), any())).thenReturn(OptionalDouble.empty());
        when(practice.living(any(), any())).thenReturn(Optional.empty());
    }

    @Test
    void whereNobodyKnowsBetterTheBenchItselfTells() {
        assertThat(truths.of(record, height)).isEqualTo(new BenchTruth(record).of(height));
        assertThat(truths.living(record, grown.unit(1, 1))).isEqualTo(new BenchTruth(record).living(grown.unit(1, 1)));
    }

    @Test
    void theCalliperAndTheScaleShowWhatWhoKnowsBetterSays() {
        when(practice.seen(record, height)).thenReturn(OptionalDouble.of(12));
        when(practice.seen(record, mass)).thenReturn(OptionalDouble.of(250));
        String display = new SimulatedHandMeters(CLOCK, truths)
                .read(HandMeter.CALLIPER, record, height)
                .orElseThrow();
        assertThat(Double.parseDouble(display.replace(" mm", ""))).isBetween(118.5, 121.5);
        // Just put on, it may still be moving.
        String weighed = new SimulatedScale(CLOCK, truths).weigh(record, mass).display();
        assertThat(Double.parseDouble(weighed)).isBetween(230.0, 270.0);
    }

    @Test
    void aFaultStaysUntilItIsPutRight() {
        SimulatedHandMeters meters = new SimulatedHandMeters(CLOCK, truths);
        meters.setFault(HandMeter.CALLIPER, HandMeter.Fault.NO_POWER);
        assertThat(meters.read(HandMeter.CALLIPER, record, height)).isEmpty();
        assertThat(meters.fault(HandMeter.PH)).isEqualTo(HandMeter.Fault.NONE);
        meters.setFault(HandMeter.CALLIPER, HandMeter.Fault.NONE);
        assertThat(meters.read(HandMeter.CALLIPER, record, height)).isPresent();
    }

    @Test
    void theLaboratoryIsToldWhatThePracticeBenchLivesIn() {
        Living salty = Living.in(Species.LEGUME, Surroundings.GOOD.salty(6));
        when(practice.living(record, grown.unit(2, 1))).thenReturn(Optional.of(salty));
        assertThat(truths.living(record, grown.unit(2, 1))).isEqualTo(salty);
    }
}
