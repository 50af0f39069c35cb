package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.liming.Product;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was asked of a liming curve is kept as typed, and what can't be has a message at its field. */
class LimingFormTest {
    @Test
    void whatCanBeIsUnderstood() {
        LimingForm form = LimingForm.read(Product.LIME, "6,5", "50 L", "100 %", "135");
        assertThat(form.problems()).isEmpty();
        assertThat(form.ph()).isEqualTo(6.5);
        assertThat(form.batchMl()).isEqualTo(50_000);
        assertThat(form.usedPercent()).isEqualTo(135);
    }

    @ParameterizedTest
    @CsvSource({
        "15, 50 L, 100, 100, target, from 0 to 14",
        "sour, 50 L, 100, 100, target, Accepted: 6.0",
        "6, 0, 100, 100, batch, Accepted: 50 L",
        "6, 3 kg, 100, 100, batch, Accepted: 50 L",
        "6, 50 L, 0, 100, tested, from 1 to 200",
        "6, 50 L, 100, 900, used, from 1 to 200"
    })
    void whatCanNotBeIsSaidAtItsField(
            String target, String batch, String tested, String used, String field, String says) {
        LimingForm form = LimingForm.read(Product.LIME, target, batch, tested, used);
        assertThat(form.problems()).containsOnlyKeys(field);
        assertThat(form.problem(field)).contains(says);
        assertThat(form.target()).isEqualTo(target);
    }

    @Test
    void sulfurHasAPurityAndNoCarbonateEquivalent() {
        LimingForm form = LimingForm.read(Product.SULFUR, "6", "50 L", "90", "135");
        assertThat(form.problem("used")).contains("from 1 to 100 %").doesNotContain("carbonate");
    }
}
