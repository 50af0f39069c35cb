package elsom.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** In five worlds that are not the table, what is stated comes true as often as it is stated: the table of methods.md. */
class CalibrationTest {
    private static final int WORLDS_EACH = 6;
    private static final int LOTS = 1000;
    private static final double POINTS = 0.05;

    static List<SimulatedLots.World> worlds() {
        return SimulatedLots.WORLDS;
    }

    @ParameterizedTest
    @MethodSource("worlds")
    void statedSharesComeTrue(SimulatedLots.World world) {
        double stated = 0;
        int right = 0;
        int named = 0;
        double statedNamed = 0;
        int rightNamed = 0;
        int strangers = 0;
        int strangersNamed = 0;
        for (int draw = 0; draw < WORLDS_EACH; draw++) {
            SimulatedLots lots = new SimulatedLots(world, 100 + draw);
            for (int i = 0; i < LOTS; i++) {
                SimulatedLots.Lot lot = lots.next();
                Diagnosis found = Diagnosis.of(lot.seen(), Likelihoods.SHIPPED);
                boolean hit = found.first().cause() == lot.truth();
                stated += found.first().share();
                right += hit ? 1 : 0;
                if (found.named().isPresent()) {
                    named++;
                    statedNamed += found.first().share();
                    rightNamed += hit ? 1 : 0;
                }
                strangers += lot.truth() == Cause.OTHER ? 1 : 0;
                strangersNamed += lot.truth() == Cause.OTHER && found.named().isPresent() && !hit ? 1 : 0;
            }
        }
        double all = WORLDS_EACH * LOTS;
        assertThat(right / all).as(world.name()).isBetween(stated / all - POINTS, stated / all + POINTS);
        assertThat(rightNamed / (double) named)
                .as(world.name() + ", named")
                .isGreaterThan(statedNamed / named - POINTS);
        assertThat(strangersNamed / (double) strangers)
                .as(world.name() + ", strangers")
                .isLessThan(0.17);
    }
}
