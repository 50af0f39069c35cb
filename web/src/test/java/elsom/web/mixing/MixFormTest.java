package elsom.web.mixing;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.mix.CheapestMix;
import elsom.core.mix.MixPart;
import elsom.core.mix.MixWindow;
import elsom.core.mix.Property;
import elsom.core.mix.TypicalParts;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The mixing bench as typed: materials in rows, windows below, and a message at what can't be. */
class MixFormTest {
    private static Map<String, String> typed(String... fields) {
        Map<String, String> typed = new HashMap<>();
        for (String field : fields) {
            typed.put(field.split("=")[0], field.split("=", 2)[1]);
        }
        return typed;
    }

    @Test
    void itBeginsWithATypicalShelfOnWhichAMixCanBeHad() {
        MixForm form = MixForm.read(Map.of());
        assertThat(form.problems()).isEmpty();
        assertThat(form.parts()).hasSameSizeAs(TypicalParts.all());
        assertThat(form.windows()).extracting(MixWindow::property).contains(Property.WATER, Property.AIR, Property.EC);
        assertThat(CheapestMix.of(form.parts(), form.windows()).asOptional()).isPresent();
        assertThat(form.batchMl()).isEqualTo(50_000);
        assertThat(form.settling()).isEqualTo(0.15);
    }

    @Test
    void aRowIsAMaterialAndAnEmptyFigureIsNotKnown() {
        MixForm form = MixForm.read(typed("name2=leaf mould", "water2=62", "price2=0,09", "least2=10 %", "most2=40"));
        MixPart part = form.parts().get(0);
        assertThat(part.properties()).containsOnlyKeys(Property.WATER);
        assertThat(part.price()).isEqualTo(0.09);
        assertThat(part.least()).isEqualTo(0.1);
        assertThat(part.most()).isEqualTo(0.4);
        assertThat(form.windows()).isEmpty();
    }

    @Test
    void anOpenWindowRunsToItsEnd() {
        MixForm form = MixForm.read(typed("name0=x", "low_water=45", "high_ec=0.6"));
        assertThat(form.windows())
                .containsExactlyInAnyOrder(new MixWindow(Property.WATER, 45, 100), new MixWindow(Property.EC, 0, 0.6));
    }

    @ParameterizedTest
    @CsvSource({
        "water0, 140, water0, from 0 to 100",
        "price0, free, price0, Accepted:",
        "least0, 120, least0, from 0 to 100",
        "low_water, wet, low_water, a number",
        "batch, 3 kg, batch, Accepted: 50 L",
        "settling, 90, settling, from 0 to 60"
    })
    void whatCantBeIsSaidAtItsFieldAndKept(String field, String value, String at, String says) {
        MixForm form = MixForm.read(typed("name0=leaf mould", field + "=" + value));
        assertThat(form.problems()).containsKey(at);
        assertThat(form.problems().get(at)).contains(says);
        assertThat(form.value(field)).isEqualTo(value);
    }

    @Test
    void endsThatCrossAreSaid() {
        assertThat(MixForm.read(typed("name0=x", "low_air=50", "high_air=20")).problems())
                .containsKey("low_air");
        assertThat(MixForm.read(typed("name0=x", "least0=50", "most0=20")).problems())
                .containsKey("least0");
    }
}
