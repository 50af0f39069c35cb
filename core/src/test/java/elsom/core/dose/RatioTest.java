package elsom.core.dose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Ratios that read in one way are taken; of the others it is asked which part is water. */
class RatioTest {
    @ParameterizedTest
    @CsvSource({"1 in 10, 10", "1 in 4, 25", "2 IN 5, 40", "1:1, 50", "1 + 1, 50", "0.5 in 100, 0.5"})
    void whatReadsInOneWayIsAPercentage(String typed, double percent) {
        List<Ratio.Reading> readings = Ratio.parse(typed).orElseThrow().readings();
        assertThat(readings).hasSize(1);
        assertThat(readings.get(0).percent()).isCloseTo(percent, within(1e-12));
    }

    @Test
    void aColonAsksWhichIsWaterWithAllReadings() {
        Ratio ratio = Ratio.parse("1:4").orElseThrow();
        assertThat(ratio.readings()).extracting(Ratio.Reading::percent).containsExactly(20.0, 25.0, 80.0);
        assertThat(ratio.question())
                .isEqualTo(
                        "“1:4” is read in 3 ways; which part is water? 1 part stock and 4 parts water, 5 in all = 20 %,"
                                + " 1 part stock and 3 parts water, 4 in all = 25 %, or 4 parts stock and 1 part water, 5 in all ="
                                + " 80 %. Write the percentage you mean");
    }

    @ParameterizedTest
    @CsvSource({"2:1, 33.33, 66.67, 50", "2 to 1, 33.33, 66.67, 50", "10/1, 9.09, 90.91, 10"})
    void backwardsRatiosAreAskedTooTheWeakFirst(String typed, double first, double second, double third) {
        assertThat(Ratio.parse(typed).orElseThrow().readings())
                .extracting(reading -> Math.round(reading.percent() * 100) / 100.0)
                .containsExactly(first, second, third);
    }

    @Test
    void plusAsksOnlyWhichIsWater() {
        assertThat(Ratio.parse("1 + 4").orElseThrow().readings())
                .extracting(Ratio.Reading::percent)
                .containsExactly(20.0, 80.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"10", "10 %", "1:", ":4", "a:b", "0:4", "1:2:3", "", "1 to 2 in 4"})
    void whatIsNoRatioIsLeftAlone(String typed) {
        assertThat(Ratio.parse(typed)).isEmpty();
    }

    @Test
    void moreStockThanTheWholeIsRefused() {
        assertThat(Ratio.parse("10 in 4").orElseThrow().question())
                .contains("there can't be more stock than the whole");
    }

    @Test
    void aLevelKeepsTheFractionItWasTypedAs() {
        Factor factor = LevelsText.parse("Vinegar", FactorKind.DOSE, "none, 1 in 10, 20 %", "", null, null);
        assertThat(factor.unit()).isEqualTo(UnitOfMeasure.PERCENT);
        assertThat(factor.levels()).extracting(Factor.Level::name).containsExactly("0 %", "10 % (1 in 10)", "20 %");
        Factor again = LevelsText.parse("Vinegar", FactorKind.DOSE, LevelsText.text(factor), "", null, null);
        assertThat(again).isEqualTo(factor);
        Factor last = LevelsText.parse("Vinegar", FactorKind.DOSE, "0; 1 in 4; 1 in 9", "", null, null);
        assertThat(LevelsText.parse("Vinegar", FactorKind.DOSE, LevelsText.text(last), "", null, null))
                .isEqualTo(last);
    }

    @Test
    void aLevelThatReadsInSeveralWaysIsAsked() {
        assertThatThrownBy(() -> LevelsText.parse("Vinegar", FactorKind.DOSE, "0, 1:4, 1:2", "", null, null))
                .hasMessageContaining("“1:4”: which part is the stock, and is it in the other or beside it?");
    }
}
