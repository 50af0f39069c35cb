package elsom.web.designer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.material.TypicalUses;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The mixing bench as typed: what can't be has a message at its field, and what was typed stands. */
class DesignerFormTest {
    private static DesignerForm read(String... pairs) {
        Map<String, String> sent = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            sent.put(pairs[i], pairs[i + 1]);
        }
        return DesignerForm.read(sent, Optional.empty());
    }

    @Test
    void partsArePartsOrPercentAndTheSameMaterialIsOnePart() {
        DesignerForm form = read(
                "part0",
                "wood fibre",
                "parts0",
                "2",
                "part1",
                "leaf mould",
                "parts1",
                "1",
                "part2",
                "wood fibre",
                "parts2",
                "1");
        assertThat(form.problems()).isEmpty();
        assertThat(form.mix().orElseThrow().parts()).hasSize(2);
        assertThat(form.mix().orElseThrow().share("wood fibre")).isCloseTo(0.75, within(1e-12));
        assertThat(read("part0", "sand", "parts0", "60 %", "part1", "bark", "parts1", "40 %")
                        .mix()
                        .orElseThrow()
                        .share("sand"))
                .isCloseTo(0.6, within(1e-12));
    }

    @Test
    void aRecipeFillsTheRowsAndMoreRowsAreOfferedThanAreUsed() {
        DesignerForm form = read("recipe", "3 wood fibre + 2 leaf mould");
        assertThat(form.rows().get(0)).isEqualTo(new DesignerForm.Row("wood fibre", "60"));
        assertThat(form.shown()).isEqualTo(4);
        assertThat(read().shown()).isEqualTo(2);
        assertThat(read().mix()).isEmpty();
    }

    @Test
    void aRecipeThatCantBeReadIsSaid() {
        assertThat(read("recipe", "2:1 leaf mould").problem("part0")).contains("stands on each side");
    }

    @Test
    void depthIsThatOfTheUseUntilItIsTyped() {
        assertThat(DesignerForm.read(Map.of(), Optional.of(TypicalUses.all().get(1)))
                        .depthCm())
                .isEqualTo(6);
        assertThat(read("depth", "4 in").depthCm()).isCloseTo(10.16, within(1e-9));
        assertThat(read("batch", "5 US gal").batchMl()).isCloseTo(18_927.05892, within(1e-6));
        assertThat(read("container", "1 US qt").containerMl()).isCloseTo(946.352946, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "depth, a hand",
        "depth, 0",
        "depth, 200 cm",
        "batch, -5 L",
        "batch, much",
        "settles, 80",
        "container, 0 mL"
    })
    void whatCantBeIsSaidAtItsFieldAndStands(String field, String typed) {
        DesignerForm form = read(field, typed);
        assertThat(form.problems()).containsOnlyKeys(field);
        assertThat(form.problem(field)).contains(typed).contains("Accepted: ");
    }

    @ParameterizedTest
    @CsvSource({"'', 3, Which material", "sand, 2:1, can't be", "sand, -4, can't be"})
    void aPartNeedsANameAndANumber(String part, String parts, String says) {
        assertThat(read("part0", part, "parts0", parts).problem("part0")).contains(says);
    }

    @Test
    void nothingOfAPartLeavesItOut() {
        assertThat(read("part0", "sand", "parts0", "0", "part1", "bark", "parts1", "")
                        .mix()
                        .orElseThrow()
                        .text())
                .isEqualTo("bark");
    }
}
