package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LevelsTextTest {
    private static Factor dose(String levels) {
        return LevelsText.parse("Vinegar", FactorKind.DOSE, levels, "", null, null);
    }

    private static List<String> names(Factor factor) {
        return factor.levels().stream().map(Factor.Level::name).toList();
    }

    @Test
    void namesAreParted() {
        Factor dip = LevelsText.parse("Dip", FactorKind.HANDLING, "seaweed, none", "", null, null);
        assertThat(names(dip)).containsExactly("seaweed", "none");
        assertThat(dip.levels().get(1).control()).isTrue();
        assertThat(LevelsText.parse("Dip", FactorKind.HANDLING, "a, b", "b", null, null)
                        .levels()
                        .get(1)
                        .control())
                .isTrue();
        assertThat(LevelsText.parse("Dip", FactorKind.HANDLING, "a, b", "", null, null)
                        .levels()
                        .get(0)
                        .control())
                .isTrue();
    }

    @Test
    void amountsShareTheirUnitHoweverItIsWritten() {
        assertThat(names(dose("0; 0.25; 0,5; 1 %"))).containsExactly("0 %", "0.25 %", "0.5 %", "1 %");
        assertThat(names(dose("none, 2 g/L, 4 g/L"))).containsExactly("0 g/L", "2 g/L", "4 g/L");
        assertThat(dose("0, 1, 2 %").levels().get(0).control()).isTrue();
    }

    @Test
    void aDoseHasAUnitAndIsNotBelowNone() {
        assertThatThrownBy(() -> dose("0, 1, 2"))
                .hasMessageContaining("has no unit")
                .hasMessageContaining("0; 1 mL/L; 2 mL/L")
                .hasMessageContaining("0; 1 %; 2 %");
        assertThatThrownBy(() -> dose("0, 2,5, 5, 10 mL/L")).hasMessageContaining("does a comma part two levels");
        assertThatThrownBy(() -> dose("0, -1 %, 2 %"))
                .hasMessageContaining("“-1 %” is below 0")
                .hasMessageContaining("Accepted: ");
    }

    @Test
    void aSeriesIsSpelledByItsEnds() {
        assertThat(names(dose("0.25 to 4 % in 6"))).containsExactly("0 %", "0.25 %", "0.5 %", "1 %", "2 %", "4 %");
        assertThat(names(LevelsText.parse("V", FactorKind.DOSE, "0.25 to 4 % in 6", "", 1.2, null)))
                .contains("1.2 %")
                .doesNotContain("1 %");
    }

    /** Each level by its own unit, whatever the last of them was. */
    @Test
    void levelsAreQuantities() {
        assertThat(names(dose("0, 500 mg/L, 1 g/L, 2 g/L"))).containsExactly("0 g/L", "0.5 g/L", "1 g/L", "2 g/L");
        assertThat(names(dose("0, 500, 1000 mg/L"))).containsExactly("0 mg/L", "500 mg/L", "1000 mg/L");
        assertThat(names(dose("1 dS/m, 2 dS/m, 4000 uS/cm"))).containsExactly("1 mS/cm", "2 mS/cm", "4 mS/cm");
        assertThat(names(dose("0, 1 in 5, 10 mL/L"))).containsExactly("0 mL/L", "200 mL/L (1 in 5)", "10 mL/L");
        assertThat(names(dose("0, 2, 4 g per pot"))).containsExactly("0 g", "2 g", "4 g");
        Factor pots = dose("0, 2, 4 g");
        assertThat(dose(LevelsText.text(pots))).isEqualTo(pots);
        assertThatThrownBy(() -> dose("0, 2 g, 4 mL")).isInstanceOf(IllegalArgumentException.class);
        assertThat(names(dose("0 5 10 20 g/L"))).containsExactly("0 g/L", "5 g/L", "10 g/L", "20 g/L");
        assertThat(names(dose("0, 2, 4 g/m2"))).containsExactly("0 g/m²", "2 g/m²", "4 g/m²");
        for (String beyond : List.of("0, 150 %", "0, 1,000,000,000 %", "0, 1200 mL/L")) {
            assertThatThrownBy(() -> dose(beyond)).isInstanceOf(IllegalArgumentException.class);
        }
        assertThatThrownBy(() -> dose("0, 5 mL/L, 1 g/L")).hasMessageContaining("which is the dose?");
        assertThatThrownBy(() -> dose("lot 1, clean peat")).isInstanceOf(IllegalArgumentException.class);
    }

    /** Of a range the lower end, in the unit of the levels; what is no rate, or may be two, is refused or asked. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    2-3 g/L     | GRAM_PER_LITRE       | 2
                    500 mg/L    | GRAM_PER_LITRE       | 0.5
                    2           | GRAM_PER_LITRE       | 2
                    1 in 50     | MILLILITRE_PER_LITRE | 20
                    1 in 50     | PERCENT              | 2
                    up to 4 mL/L| MILLILITRE_PER_LITRE | 4
                    """)
    void aLabelsRateIsAQuantity(String typed, UnitOfMeasure unit, double rate) {
        assertThat(DoseUnits.labelRate(typed, unit)).isCloseTo(rate, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"1:50", "4:1", "2 tsp/gal", "-2", "as directed", "3 mL/L", "0"})
    void whatIsNoRateInTheLevelsUnitIsAsked(String typed) {
        assertThatThrownBy(() -> DoseUnits.labelRate(typed, UnitOfMeasure.GRAM_PER_LITRE))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aLevelThatSaysItIsNothingIsTheControl() {
        Factor lots = LevelsText.parse("Medium", FactorKind.MATERIAL, "lot 1, clean peat", "", null, null);
        assertThat(lots.levels())
                .filteredOn(Factor.Level::control)
                .extracting(Factor.Level::name)
                .containsExactly("clean peat");
    }

    @Test
    void whatItWritesItReads() {
        for (String text : List.of("0, 0.25, 0.5 %", "1, 2, 4 h")) {
            Factor factor = LevelsText.parse("x", FactorKind.DOSE, text, "", null, null);
            assertThat(LevelsText.parse("x", FactorKind.DOSE, LevelsText.text(factor), "", null, null))
                    .isEqualTo(factor);
        }
    }

    @Test
    void saysWhatWouldBeAccepted() {
        assertThatThrownBy(() -> dose("1"))
                .hasMessageContaining("two levels or more")
                .hasMessageContaining("0.25 to 4 % in 6");
        assertThatThrownBy(() -> dose("some, more")).hasMessageContaining("“some”");
        assertThatThrownBy(() -> dose("0, 1 blob")).hasMessageContaining("not a unit");
        assertThatThrownBy(() -> LevelsText.parse("Dip", FactorKind.HANDLING, "a, b", "c", null, null))
                .hasMessageContaining("its levels are a, b");
        assertThatThrownBy(() -> LevelsText.parse("Dip", FactorKind.HANDLING, "a, A", "", null, null))
                .hasMessageContaining("two levels");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            pH         | 5, 5.5, 6, 6.5          |     | pH 5,pH 5.5,pH 6,pH 6.5 |
            pH         | 5, 6 (control), 7       |     | pH 5,pH 6,pH 7          | pH 6
            Water      | pH 5.5; pH 6,5; pH 7    | 6,5 | pH 5.5,pH 6.5,pH 7      | pH 6.5
            Acidity    | 5, 6, 7 pH              |     | pH 5,pH 6,pH 7          |
            """)
    void aPhIsASettingAndNoDose(String name, String typed, String control, String levels, String controlled) {
        Factor factor = LevelsText.parse(name, FactorKind.DOSE, typed, control == null ? "" : control, null, null);
        assertThat(String.join(",", names(factor))).isEqualTo(levels);
        assertThat(factor.unit()).isEqualTo(UnitOfMeasure.PH);
        assertThat(factor.dosed()).isFalse();
        assertThat(factor.levels().stream().filter(Factor.Level::control).map(Factor.Level::name))
                .isEqualTo(controlled == null ? List.of() : List.of(controlled));
        assertThat(LevelsText.parse(
                        name,
                        FactorKind.DOSE,
                        LevelsText.text(factor),
                        controlled == null ? "" : controlled,
                        null,
                        null))
                .isEqualTo(factor);
    }

    @Test
    void whatIsNoPhIsRefusedAndAnAcidIsADose() {
        assertThatThrownBy(() -> LevelsText.parse("pH", FactorKind.DOSE, "5, 15", "", null, null))
                .hasMessageContaining("“15” in “pH” is not a pH between 0 and 14");
        assertThat(LevelsText.parse("pH down", FactorKind.DOSE, "0, 1, 2 mL/L", "", null, null)
                        .dosed())
                .isTrue();
    }

    @Test
    void aLevelCalledTheControlIsOne() {
        Factor factor = dose("5 (control), 10, 20 g/L");
        assertThat(names(factor)).containsExactly("5 g/L", "10 g/L", "20 g/L");
        assertThat(factor.levels().get(0).control()).isTrue();
        assertThatThrownBy(() -> dose("5 control, 10 control, 20 g/L")).hasMessageContaining("are called the control");
    }

    @Test
    void waterIsNeverWithoutSaltsSoTheWeakestIsTheControl() {
        Factor salt = LevelsText.parse("Water", FactorKind.DOSE, "1, 2, 4, 8 dS/m", "", null, null);
        assertThat(salt.levels().stream().map(Factor.Level::control)).containsExactly(true, false, false, false);
    }

    @Test
    void ppmAsksForItsFactorAndIsConductivityByIt() {
        assertThatThrownBy(() -> dose("0, 500 ppm, 1000 ppm"))
                .isInstanceOfSatisfying(
                        LevelsText.Asked.class,
                        asked -> assertThat(asked.readings())
                                .contains("0; 500 ppm (500 scale); 1000 ppm (500 scale)", "0; 500 mg/L; 1000 mg/L"));
        assertThat(names(dose("0; 500 ppm (500 scale); 1000 ppm (500 scale)")))
                .containsExactly("0 mS/cm", "1 mS/cm", "2 mS/cm");
    }
}
