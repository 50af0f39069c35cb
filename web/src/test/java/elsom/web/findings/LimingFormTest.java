package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was asked of a liming curve is kept as typed, and what can't be has a message at its field. */
class LimingFormTest {
    @Test
    void whatCanBeIsUnderstood() {
        LimingForm form = LimingForm.read("6,5", "50 L", "100 %", "135");
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
        LimingForm form = LimingForm.read(target, batch, tested, used);
        assertThat(form.problems()).containsOnlyKeys(field);
        assertThat(form.problem(field)).contains(says);
        assertThat(form.target()).isEqualTo(target);
    }
}
