package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.brew.BrewReading.Decision;
import elsom.core.sim.BrewTruth;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class BrewReadingTest {
    private static final Instant AT = Instant.parse("2026-05-01T10:00:00Z");

    private static BrewReading reading(@Nullable Double oxygen, @Nullable Smell smell) {
        return new BrewReading(1, new UnitCode("K34"), AT, "Bench A", 21.0, oxygen, null, null, null, smell, null, "");
    }

    @Test
    void theStopRuleIsAskedBelowSixOrWhenItSmellsOff() {
        assertThat(reading(6.0, Smell.EARTHY).asks()).isFalse();
        assertThat(reading(5.9, Smell.EARTHY).whyStop()).contains("its oxygen is 5.9 mg/L, below 6");
        assertThat(reading(8.0, Smell.SOUR).whyStop()).contains("it smells sour, like vinegar");
        assertThat(reading(5.0, Smell.ROTTEN).whyStop().orElseThrow()).contains(" and ");
        assertThat(reading(null, null).asks()).isFalse();
    }

    @Test
    void whoAnsweredIsNotAskedAgain() {
        BrewReading decided = reading(5.0, null).decided(Decision.GOES_ON, "more air on");
        assertThat(decided.asks()).isFalse();
        assertThat(decided.reason()).isEqualTo("more air on");
    }

    @Test
    void aBrewThatIsDoneKeepsForFourHours() {
        assertThat(reading(8.0, null).useBy()).isEmpty();
        assertThat(reading(8.0, null).decided(Decision.DONE, "").useBy()).contains(AT.plus(Duration.ofHours(4)));
    }

    @Test
    void figuresThatCannotBeAreRefused() {
        assertThatThrownBy(() -> reading(25.0, null)).hasMessageContaining("dissolved oxygen");
    }

    @Test
    void aSimulatedBrewWithoutStoneAndWithFoodRunsShortOfAir() {
        BrewTruth poor = new BrewTruth(false, true, 7);
        BrewTruth good = new BrewTruth(true, false, 7);
        assertThat(poor.oxygen(16)).isLessThan(BrewReading.LEAST_OXYGEN);
        assertThat(good.oxygen(16)).isGreaterThan(7);
        assertThat(poor.oxygen(0.5)).isGreaterThan(7);
        assertThat(poor.shows(16)).endsWith(" mg/L");
    }
}
