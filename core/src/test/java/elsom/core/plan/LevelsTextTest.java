package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

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
        assertThat(names(dose("0, 0.25, 0,5, 1 %"))).containsExactly("0 %", "0.25 %", "0.5 %", "1 %");
        assertThat(names(dose("none, 2 g/L, 4 g/L"))).containsExactly("0 g/L", "2 g/L", "4 g/L");
        assertThat(dose("0, 1, 2 %").levels().get(0).control()).isTrue();
    }

    @Test
    void aDoseHasAUnitAndIsNotBelowNone() {
        assertThatThrownBy(() -> dose("0, 1, 2"))
                .hasMessageContaining("its levels need a unit")
                .hasMessageContaining("Accepted: 0, 0.5, 1, 2 %");
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
        assertThatThrownBy(() -> dose("some, more")).hasMessageContaining("“some” is not an amount");
        assertThatThrownBy(() -> dose("0, 1 blob")).hasMessageContaining("not a unit");
        assertThatThrownBy(() -> LevelsText.parse("Dip", FactorKind.HANDLING, "a, b", "c", null, null))
                .hasMessageContaining("its levels are a, b");
        assertThatThrownBy(() -> LevelsText.parse("Dip", FactorKind.HANDLING, "a, A", "", null, null))
                .hasMessageContaining("two levels");
    }
}
