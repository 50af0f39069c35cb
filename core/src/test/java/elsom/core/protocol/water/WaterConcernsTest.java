package elsom.core.protocol.water;

import static elsom.core.protocol.water.WaterTrial.aTrial;
import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.Concern;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ReadingRef;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class WaterConcernsTest {
    private final WaterTrial trial =
            aTrial().medium("Wood fibre").medium("Leaf mould").replicates(4).checkingDryness();

    @BeforeEach
    void othersAreWeighed() {
        trial.dried((t, r) -> 60 + r, (t, r) -> 200 + r, (t, r) -> 0.01 * t);
        trial.weigh("dry again", WaterHolding.DRY, (unit, look) -> 90 + unit.replicate());
    }

    private Optional<String> asked(String look, EndpointCode endpoint, double grams) {
        var unit = trial.unit(1, 1);
        trial.weigh(unit, look, endpoint, grams);
        ReadingRef ref = new ReadingRef(unit.code(), trial.look(look).number(), endpoint);
        return new WaterHolding().concern(trial.drawn(), ref, grams).map(Concern::sentence);
    }

    @Test
    void theUsualIsNotAskedAbout() {
        assertThat(asked("empty", WaterHolding.TARE, 30.4)).isEmpty();
        assertThat(asked("dry", WaterHolding.DRY, 91.5)).isEmpty();
        assertThat(asked("dry again", WaterHolding.DRY, 91.4)).isEmpty();
        assertThat(asked("drained", WaterHolding.WET, 292)).isEmpty();
        assertThat(asked("6 h", WaterHolding.WET, 280)).isEmpty();
    }

    @Test
    void anotherContainerIsAskedAbout() {
        assertThat(asked("empty", WaterHolding.TARE, 53))
                .hasValueSatisfying(text -> assertThat(text).contains("about 30 g empty"));
    }

    @Test
    void dryNotHeavierThanEmptyIsAskedAbout() {
        assertThat(asked("dry", WaterHolding.DRY, 29))
                .hasValueSatisfying(
                        text -> assertThat(text).contains("Not heavier than its own empty container (30 g)"));
    }

    @Test
    void aFillUnlikeItsNeighboursIsAskedAbout() {
        assertThat(asked("dry", WaterHolding.DRY, 120))
                .hasValueSatisfying(text -> assertThat(text).contains("same medium hold about 63 g dry"));
    }

    @Test
    void dryingOnIsAskedAbout() {
        assertThat(asked("dry again", WaterHolding.DRY, 88))
                .hasValueSatisfying(text -> assertThat(text).contains("changed by", "Dry on"));
    }

    @Test
    void wetterLighterThanDryIsAskedAbout() {
        assertThat(asked("drained", WaterHolding.WET, 80))
                .hasValueSatisfying(text -> assertThat(text).contains("Lighter than its own dry weight"));
    }

    @Test
    void moreWaterThanRoomIsAskedAbout() {
        assertThat(asked("drained", WaterHolding.WET, 600))
                .hasValueSatisfying(text -> assertThat(text).contains("More water than the medium's own volume"));
    }

    @Test
    void gainingWeightIsAskedAbout() {
        assertThat(asked("24 h", WaterHolding.WET, 330))
                .hasValueSatisfying(text -> assertThat(text).contains("Heavier than at the last look"));
    }

    @Test
    void losingFarMoreThanNeighboursIsAskedAbout() {
        assertThat(asked("24 h", WaterHolding.WET, 150))
                .hasValueSatisfying(text -> assertThat(text).contains("pots of the same medium lost about"));
    }

    @Test
    void aWetWeightWithoutADryOneIsAskedAbout() {
        WaterTrial fresh = aTrial().medium("Wood fibre");
        var unit = fresh.unit(1, 1);
        ReadingRef ref = new ReadingRef(unit.code(), fresh.look("drained").number(), WaterHolding.WET);
        assertThat(new WaterHolding().concern(fresh.drawn(), ref, 300)).isPresent();
    }
}
