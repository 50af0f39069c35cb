package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code bin/calc} as a process: the sums without the application, to hold pages against. */
public final class Calc {
    private final ArrayNode cases = JsonNodeFactory.instance.arrayNode();

    /** Adds a case. */
    public void ask(String family, JsonNode input) {
        cases.addObject()
                .put("id", String.valueOf(cases.size()))
                .put("family", family)
                .set("input", input);
    }

    /** An input of several groups of values. */
    public static ObjectNode groups(List<double[]> groups) {
        ObjectNode input = JsonNodeFactory.instance.objectNode();
        ArrayNode list = input.putArray("groups");
        for (double[] values : groups) {
            ArrayNode group =
                    list.addObject().put("name", "group " + list.size()).putArray("values");
            for (double value : values) {
                group.add(value);
            }
        }
        return input;
    }

    /** The results, in the order asked. */
    public List<JsonNode> answers() {
        try {
            Path file = Files.createTempFile("cases", ".json");
            Path errors = Files.createTempFile("errors", ".txt");
            Files.writeString(file, cases.toString());
            Process process = new ProcessBuilder(
                            Path.of("..", "bin", "calc")
                                    .toAbsolutePath()
                                    .normalize()
                                    .toString(),
                            file.toString())
                    .redirectError(errors.toFile())
                    .start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(process.waitFor()).as(Files.readString(errors)).isZero();
            List<JsonNode> results = new ArrayList<>();
            JsonMapper.shared().readTree(said).forEach(answer -> {
                assertThat(answer.has("error")).as(answer.toString()).isFalse();
                results.add(answer.path("result"));
            });
            Files.delete(file);
            Files.delete(errors);
            return results;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    /** The same, numbers to 1e-6 of their size. */
    public static void alike(String what, JsonNode expected, JsonNode shown) {
        if (expected.isNumber() && shown.isNumber()) {
            double size = Math.max(1, Math.abs(expected.doubleValue()));
            assertThat(shown.doubleValue()).as(what).isCloseTo(expected.doubleValue(), within(1e-6 * size));
        } else if (expected.isObject()) {
            assertThat(shown.size()).as(what).isEqualTo(expected.size());
            expected.properties()
                    .forEach(field -> alike(what + "." + field.getKey(), field.getValue(), shown.path(field.getKey())));
        } else if (expected.isArray()) {
            assertThat(shown.size()).as(what).isEqualTo(expected.size());
            for (int i = 0; i < expected.size(); i++) {
                alike(what + "[" + i + "]", expected.get(i), shown.path(i));
            }
        } else {
            assertThat(shown).as(what).isEqualTo(expected);
        }
    }
}
