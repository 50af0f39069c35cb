package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;

class ChangedTest {
    private final Problems problems = new Problems();

    private void compare(Map<String, String[]> typed, Form.UnitFill now) {
        Changed.meanwhile(Form.sent(typed), now.form(), problems);
    }

    @Test
    void aFieldThatDiffersShowsBothVersions() {
        compare(Map.of("crop", new String[] {"pea"}), new Form.UnitFill().put("crop", "bean"));
        assertThat(problems.of("crop")).isEqualTo("Kept now: “bean”. Yours: “pea”.");
        assertThat(problems.of("form")).contains("still below");
    }

    @Test
    void spacesAndFieldsThatAreAlikeAreNotMentioned() {
        compare(
                Map.of("crop", new String[] {"pea"}, "levels", new String[] {"a,  b\r\nc"}),
                new Form.UnitFill().put("crop", "pea").put("levels", "a, b\nc"));
        assertThat(problems.all()).containsOnlyKeys("form");
    }

    @Test
    void whatIsThePagesOwnIsNoDifference() {
        compare(
                Map.of(
                        "_csrf", new String[] {"key"},
                        "reason", new String[] {"away"},
                        "revision", new String[] {"3"},
                        "asked[4].endpoint", new String[] {"height"},
                        "cv", new String[] {"15"}),
                new Form.UnitFill());
        assertThat(problems.all()).containsOnlyKeys("form");
    }

    @Test
    void aTickThatWasTakenOffMeanwhileIsOne() {
        compare(Map.of("blind", new String[] {"true"}), new Form.UnitFill().tick("blind", false));
        assertThat(problems.of("blind")).isEqualTo("Kept now: nothing. Yours: “true”.");
    }

    @Test
    void longTextsAreShortened() {
        compare(Map.of("rule", new String[] {"x".repeat(500)}), new Form.UnitFill().put("rule", "y"));
        assertThat(problems.of("rule")).hasSizeLessThan(140).endsWith("…”.");
    }

    @Test
    void aRevisionIsANumberOrNone() {
        assertThat(Form.sent(Map.of("revision", new String[] {"12"})).revision())
                .isEqualTo(12L);
        assertThat(Form.sent(Map.of("revision", new String[] {"12x"})).revision())
                .isNull();
        assertThat(Form.sent(Map.of()).revision()).isNull();
    }
}
