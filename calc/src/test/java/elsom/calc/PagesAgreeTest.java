package elsom.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.sums.Sums;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The numbers that tests of the core hold the pages' tables against, asked of the families: the same readings come to the
 * same germination index (GerminationAnswersTest) and sodium adsorption ratio (SodiumAnswersTest).
 */
class PagesAgreeTest {
    private static JsonNode json(String text) {
        return JsonMapper.shared().readTree(text);
    }

    private static String dishes(int germinated, int root) {
        String dish = "{\"seeds\": 10, \"germinated\": " + germinated + ", \"root_lengths\": ["
                + String.join(", ", Collections.nCopies(5, String.valueOf(root))) + "]}";
        return "[" + String.join(", ", Collections.nCopies(4, dish)) + "]";
    }

    @Test
    void fourDishesOfFiveWithHalfTheRootAreAQuarter() {
        JsonNode answer = new MixedFamily()
                .work(json("{\"kind\": \"germination_index\", \"sample\": " + dishes(5, 20) + ", \"control\": "
                        + dishes(10, 40) + "}"));
        assertThat(answer.path("gi").doubleValue()).isCloseTo(25, within(1e-9));
    }

    @Test
    void theSodiumRatioOfTheDitchAtItsPeakAndAfterLeaching() {
        SumFamily sodium = new SumFamily(Sums.find("sodium").orElseThrow());
        assertThat(sodium.work(json("{\"na\": 702.5, \"ca\": 160, \"mg\": 49}"))
                        .path("sar")
                        .doubleValue())
                .isCloseTo(12.5, within(0.05));
        assertThat(sodium.work(json("{\"na\": 68.5, \"ca\": 160, \"mg\": 49}"))
                        .path("sar")
                        .doubleValue())
                .isCloseTo(1.2, within(0.05));
    }
}
