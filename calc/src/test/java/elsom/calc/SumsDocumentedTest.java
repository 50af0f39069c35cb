package elsom.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.sums.Sum;
import elsom.core.sums.Sums;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The examples of docs/calc.md come to what they say, and every sum has one. */
class SumsDocumentedTest {
    private static final Pattern EXAMPLE =
            Pattern.compile("\\| `([a-z_]+)` \\| `(\\{.*?})` \\| `([a-z0-9_]+)` ([0-9.]+) \\|");

    private static JsonNode answer(String family, String input) {
        return new SumFamily(Sums.find(family).orElseThrow())
                .work(JsonMapper.shared().readTree(input));
    }

    @Test
    void theExamplesComeToWhatTheySay() throws IOException {
        List<MatchResult> examples = EXAMPLE.matcher(Files.readString(Path.of("../docs/calc.md")))
                .results()
                .toList();
        List<String> documented = new ArrayList<>();
        for (MatchResult example : examples) {
            documented.add(example.group(1));
            double stated = Double.parseDouble(example.group(4));
            assertThat(answer(example.group(1), example.group(2))
                            .path(example.group(3))
                            .doubleValue())
                    .as(example.group(1))
                    .isCloseTo(stated, within(Math.max(1e-4, 5e-4 * stated)));
        }
        assertThat(documented)
                .containsExactlyElementsOf(Sums.all().stream().map(Sum::code).toList());
    }

    @Test
    void everyFamilyIsDocumented() throws IOException {
        String docs = Files.readString(Path.of("../docs/calc.md"));
        assertThat(Calc.FAMILIES.keySet()).allSatisfy(family -> assertThat(docs).contains("`" + family + "`"));
    }

    @Test
    void theDocumentedMixIsFoundAndAnImpossibleOneSaysWhy() {
        String parts = "{\"parts\": [{\"name\": \"leaf mould\", \"water\": 60, \"price\": 9},"
                + " {\"name\": \"rice hulls\", \"water\": 20, \"price\": 5}], \"windows\": [%s]}";
        JsonNode found = new MixFamily()
                .work(JsonMapper.shared().readTree(String.format(parts, "{\"property\": \"water\", \"low\": 50}")));
        assertThat(found.path("price").doubleValue()).isCloseTo(8, within(1e-9));
        assertThat(found.path("shares").path("leaf mould").doubleValue()).isCloseTo(0.75, within(1e-9));
        JsonNode none = new MixFamily()
                .work(JsonMapper.shared().readTree(String.format(parts, "{\"property\": \"water\", \"low\": 70}")));
        assertThat(none.path("reason").stringValue()).contains("rules it out").contains("10 % short");
        assertThatThrownBy(() -> new MixFamily()
                        .work(JsonMapper.shared().readTree(String.format(parts, "{\"property\": \"fun\"}"))))
                .hasMessageContaining("“fun” is no property");
    }

    @Test
    void whatCantBeIsAnErrorThatSaysWhatToType() {
        assertThatThrownBy(() -> answer("dilution", "{\"stock\": 6, \"wanted\": 12, \"volume\": 100}"))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("wanted: That is stronger than the stock");
        assertThatThrownBy(() -> answer("dilution", "{\"stock\": 6, \"wanted\": 1}"))
                .hasMessageContaining("“volume” is missing");
        assertThatThrownBy(() -> answer("dilution", "{\"stok\": 6}")).hasMessageContaining("“stok” is no field");
    }
}
