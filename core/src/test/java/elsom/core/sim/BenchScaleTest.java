package elsom.core.sim;

import static elsom.core.protocol.water.WaterTrial.aTrial;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.protocol.water.WaterTrial;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class BenchScaleTest {
    private static final Instant ON = Instant.parse("2026-06-01T08:00:00Z");
    private static final Instant LATER = ON.plusSeconds(5);
    private final BenchScale scale = BenchScale.switchedOn(ON, 1);

    private static double steady(ScaleReading reading) {
        assertThat(reading).isInstanceOf(ScaleReading.Steady.class);
        return ((ScaleReading.Steady) reading).grams();
    }

    @Test
    void showsTheLoadToItsResolution() {
        assertThat(steady(scale.read(412.34, ON, LATER))).isCloseTo(412.3, within(0.3));
        assertThat(scale.read(412.34, ON, LATER)).isEqualTo(scale.read(412.34, ON, LATER));
    }

    @Test
    void movesUntilItHasSettled() {
        assertThat(scale.read(412, LATER, LATER.plusMillis(100))).isInstanceOf(ScaleReading.Moving.class);
        assertThat(scale.read(412, LATER, LATER.plusMillis(900))).isInstanceOf(ScaleReading.Steady.class);
    }

    @Test
    void tareSubtractsWhatIsOnThePan() {
        assertThat(steady(scale.tare(40, ON).read(240, ON, LATER))).isCloseTo(200, within(0.3));
    }

    @Test
    void refusesMoreThanItCanWeigh() {
        assertThat(scale.read(6100, ON, LATER)).isInstanceOf(ScaleReading.Overload.class);
        assertThat(scale.with(ScaleFault.OVERLOADED, ON).read(100, ON, LATER))
                .isInstanceOf(ScaleReading.Overload.class);
    }

    @Test
    void pulledOutItSaysNothing() {
        assertThat(scale.with(ScaleFault.UNPLUGGED, ON).read(100, ON, LATER)).isInstanceOf(ScaleReading.Silent.class);
    }

    @Test
    void inTheWindItNeverSettles() {
        assertThat(scale.with(ScaleFault.UNSTEADY, ON).read(100, ON, LATER.plusSeconds(60)))
                .isInstanceOf(ScaleReading.Moving.class);
    }

    @Test
    void aDriftingZeroIsCuredByZeroing() {
        Instant anHour = ON.plusSeconds(3600);
        BenchScale drifting = scale.with(ScaleFault.DRIFTING, ON);
        assertThat(steady(drifting.read(100, ON, anHour))).isGreaterThan(150);
        assertThat(steady(drifting.tare(0, anHour).read(100, ON, anHour))).isCloseTo(100, within(0.3));
    }

    @Test
    void theTruthFollowsWhatWasRead() {
        WaterTrial trial = aTrial().medium("Wood fibre");
        ExperimentalUnit unit = trial.unit(1, 1);
        trial.weigh(unit, "dry", WaterHolding.DRY, 100).weigh(unit, "drained", WaterHolding.WET, 300);
        BenchTruth truth = new BenchTruth(trial.drawn());
        double drained = truth.of(unit, trial.look("drained"), WaterHolding.WET);
        double later = truth.of(unit, trial.look("day 2"), WaterHolding.WET);
        assertThat(drained).isCloseTo(300, within(1e-9));
        assertThat(later).isBetween(100.0, 299.0);
        assertThat(truth.of(trial.unit(1, 2), trial.look("empty"), WaterHolding.TARE))
                .isBetween(5.0, 60.0);
    }

    @Test
    void cutPlantsWeighWhatPlantsWeigh() {
        Measured grown = Measured.started(
                APlan.ofGrowth().list("leaf mould", "wood fibre").plan());
        BenchTruth truth = new BenchTruth(grown.record());
        ExperimentalUnit unit = grown.unit(1, 1);
        double fresh = truth.of(unit, grown.lookFor("fresh-mass"), new EndpointCode("fresh-mass"));
        assertThat(fresh).isBetween(4.0, 25.0);
        assertThat(truth.of(unit, grown.lookFor("fresh-mass"), new EndpointCode("shoot-dry-mass")))
                .isCloseTo(fresh * 0.11, within(1e-9));
    }
}
