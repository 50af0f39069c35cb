package elsom.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Names and refusals of bin/calc that the reference cases do not show. */
class ContractTest {
    private static JsonNode answer(Family family, String input) {
        return Answers.tree(family.work(JsonMapper.shared().readTree(input)));
    }

    @Test
    void powerOfGivenMeansAndOfAGivenDifference() {
        JsonNode anova = answer(
                new PowerFamily(), "{\"kind\":\"anova_power\",\"means\":[1,2,3],\"n\":5,\"sd\":1,\"alpha\":0.05}");
        // f² is the mean square of −1, 0, 1; λ = 15 · f².
        assertThat(anova.path("cohen_f").doubleValue()).isCloseTo(Math.sqrt(2 / 3.0), within(1e-12));
        assertThat(anova.path("lambda").doubleValue()).isCloseTo(10, within(1e-9));
        JsonNode same =
                answer(new PowerFamily(), "{\"kind\":\"anova_power\",\"means\":[1,2],\"n\":6,\"sd\":1,\"alpha\":0.05}");
        JsonNode t = answer(
                new PowerFamily(), "{\"kind\":\"t_power\",\"n1\":6,\"n2\":6,\"delta\":1,\"sd\":1,\"alpha\":0.05}");
        assertThat(t.path("power").doubleValue()).isCloseTo(same.path("power").doubleValue(), within(1e-6));
    }

    @Test
    void aRectangularContainerIsWiderAtItsTop() {
        String shape = "\"shape\":{\"type\":\"rect_frustum\",\"bottom_a\":8,\"top_a\":10,\"bottom_b\":6,\"top_b\":9}";
        JsonNode found = answer(
                new WaterRetentionFitFamily(),
                "{\"kind\":\"container\",\"params\":{\"theta_r\":0.1,\"theta_s\":0.8,\"alpha\":0.1,\"n\":1.8},"
                        + "\"height\":10," + shape + "}");
        // ∫(8 + 2u)(6 + 3u)·10 du over 0 to 1 = 10·(48 + 18 + 2).
        assertThat(found.path("volume_cm3").doubleValue()).isCloseTo(680, within(1e-6));
    }

    @Test
    void aFreeUpperLimitIsCalledU() {
        String days = "\"day\":[0,0,7,7,14,14,21,21,28,28,42,42],";
        String injury = "\"injury_percent\":[88,86,77,76,47,45,14,19,6,8,1,3],\"thresholds\":[50,10]}";
        JsonNode free = answer(
                new ResidueDecayFamily(), "{\"kind\":\"plantback_continuous\",\"upper\":\"free\"," + days + injury);
        assertThat(free.path("params").path("U").path("estimate").doubleValue()).isBetween(75.0, 95.0);
        JsonNode fixed =
                answer(new ResidueDecayFamily(), "{\"kind\":\"plantback_continuous\",\"upper\":100," + days + injury);
        assertThat(fixed.path("params").has("U")).isFalse();
    }

    @Test
    void aDryDownThatIsNoCurveIsALine() {
        JsonNode found = answer(
                new DryDownFamily(), "{\"kind\":\"exponential\",\"t\":[0,1,2],\"mass\":[3,2,1],\"triggers\":[2]}");
        assertThat(found.path("identifiable").booleanValue()).isFalse();
        assertThat(found.path("linear").path("slope").doubleValue()).isCloseTo(-1, within(1e-9));
        assertThat(found.path("linear").path("intercept").doubleValue()).isCloseTo(3, within(1e-9));
        assertThat(found.path("linear").path("rss").doubleValue()).isCloseTo(0, within(1e-9));
    }

    @Test
    void aDeadControlHasAReasonOfItsOwn() {
        JsonNode found = answer(
                new QuantalDoseFamily(),
                "{\"link\":\"logit\",\"background\":\"estimate\",\"dose\":[0,1,2],\"n\":[20,20,20],\"x\":[20,20,20]}");
        assertThat(found.path("reason").stringValue()).isEqualTo("control_total_kill");
    }

    @Test
    void whatHasNoResidualHasNoThirdType() {
        JsonNode found = answer(
                new FactorialFamily(),
                "{\"design\":\"factorial\",\"factors\":[\"a\",\"b\"],\"columns\":{\"a\":[\"x\",\"x\",\"z\",\"z\"],"
                        + "\"b\":[\"p\",\"q\",\"p\",\"q\"],\"y\":[1,2,3,5]}}");
        assertThat(found.path("type3").isNull()).isTrue();
        assertThat(found.path("residual").path("mse").isNull()).isTrue();
    }

    @Test
    void aFlatTitrationHasNoShareExplained() {
        JsonNode found = answer(
                new TitrationFamily(), "{\"amount\":[0,1,2],\"ph\":[5,5,5],\"targets\":[5.5],\"eval_at\":[0.5]}");
        assertThat(found.path("linear_buffer").path("r2").isNull()).isTrue();
        assertThat(found.path("linear_buffer").path("buffer_capacity").isNull()).isTrue();
    }
}
