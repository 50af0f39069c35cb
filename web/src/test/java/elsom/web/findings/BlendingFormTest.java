package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.chemistry.SaltLimit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two waters as typed; what can't be has a message at its field. */
class BlendingFormTest {
    @Test
    void whatCanBeIsUnderstood() {
        BlendingForm form = BlendingForm.read("0,4", "6.2 dS/m", "30 %");
        assertThat(form.problems()).isEmpty();
        assertThat(form.ecA()).isEqualTo(0.4);
        assertThat(form.ecB()).isEqualTo(6.2);
        assertThat(form.drained()).isEqualTo(0.3);
    }

    @ParameterizedTest
    @CsvSource({
        "640 ppm, 4, 30, a, by 640 it is 1 mS/cm",
        "0.4, 400, 30, b, from 0 to 100",
        "0.4, salty, 30, b, Accepted: ",
        "0.4, 4, 100, drain, from 1 to 90"
    })
    void whatCanNotBeIsSaidAtItsField(String a, String b, String drain, String field, String says) {
        BlendingForm form = BlendingForm.read(a, b, drain);
        assertThat(form.problems()).containsOnlyKeys(field);
        assertThat(form.problem(field)).contains(says);
        assertThat(form.a()).isEqualTo(a);
    }

    @Test
    void theLimitOfTheWaterFollowsFromWhatDrains() {
        SaltLimit byDrain = SaltLimit.of(4, true, 0.25);
        assertThat(byDrain.ofWater()).isCloseTo(1, within(1e-12));
        assertThat(byDrain.extract()).isCloseTo(2, within(1e-12));
        SaltLimit byWater = SaltLimit.of(2, false, 0.25);
        assertThat(byWater.ofWater()).isEqualTo(2);
        assertThat(byWater.drain()).isEqualTo(8);
    }
}
