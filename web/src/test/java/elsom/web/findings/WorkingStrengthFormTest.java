package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A mixing sheet is worked out only from what it understands; the rest has a message at its field. */
class WorkingStrengthFormTest {
    private static WorkingStrengthForm typed(String volume, String factor, String reason) {
        return WorkingStrengthForm.read(volume, factor, reason, "", 0);
    }

    @ParameterizedTest
    @CsvSource({"2 L, 2000", "250, 250", "1 US gal, 3785.41", "3 cups, 709.76", "'1,5 L', 1500"})
    void volumesAreTakenInAnyUnit(String volume, double millilitres) {
        WorkingStrengthForm form = typed(volume, "2", "");
        assertThat(form.problems()).isEmpty();
        assertThat(form.volumeMl()).isCloseTo(millilitres, within(0.01));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "plenty", "0", "1 gal", "-1 L", "2 kg", "99999999 L", "NaN"})
    void whatIsNoVolumeIsSaidAtItsField(String volume) {
        WorkingStrengthForm form = typed(volume, "2", "");
        assertThat(form.problem("volume")).contains("Accepted");
        assertThat(form.volume()).isEqualTo(volume.strip());
    }

    @Test
    void anotherFactorNeedsItsReason() {
        assertThat(typed("1 L", "5", "").problem("reason")).contains("Say why the factor is not 2");
        assertThat(typed("1 L", "5", "young plants").problems()).isEmpty();
        assertThat(typed("1 L", "5", "young plants").safety()).isEqualTo(5);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "0.5", "many", "1001", ""})
    void factorsBelowOneAreRefused(String factor) {
        assertThat(typed("1 L", factor, "because").problem("factor")).contains("from 1 to 1000");
    }

    @Test
    void longTextsAreRefused() {
        assertThat(WorkingStrengthForm.read("1 L", "2", "", "x".repeat(121), 0).problem("stock"))
                .contains("At most 120");
    }

    @Test
    void aStockWrittenAsARatioIsAskedBack() {
        WorkingStrengthForm form = WorkingStrengthForm.read("1 L", "2", "", "1:4", 0);
        assertThat(form.problem("stock")).contains("which part is the stock");
        assertThat(form.stock()).isEqualTo("1:4");
        assertThat(WorkingStrengthForm.read("1 L", "2", "", "1 in 10", 0).problems())
                .isEmpty();
    }

    /** What a bottle says is a share of it, never below nothing nor above all. */
    @Test
    void aStockHoldsAShare() {
        assertThat(WorkingStrengthForm.read("1 L", "2", "", "25 % acidity", 0).strength())
                .hasValue(0.25);
        assertThat(WorkingStrengthForm.read("1 L", "2", "", "brown bottle", 0).problems())
                .isEmpty();
        for (String stock : new String[] {"-3", "300", "25", "0 %"}) {
            assertThat(WorkingStrengthForm.read("1 L", "2", "", stock, 0).problem("stock"))
                    .contains("Accepted: 25 % acidity");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "6 % acidity, '', false",
        "6 % acidity, 6 %, false",
        "6 % acidity, 25 % acidity, true",
        "brown bottle, brown bottle, false",
        "brown bottle, green bottle, true",
        "'', 25 %, true"
    })
    void anotherBottleIsAnotherStock(String tested, String bottle, boolean other) {
        assertThat(WorkingStrengthForm.read("1 L", "2", "", tested, bottle, 0).otherStock())
                .isEqualTo(other);
    }
}
