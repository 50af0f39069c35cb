package elsom.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Route;
import elsom.web.AppTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The scripts' own tests, in src/test/js, run where the scripts run: in the browser, on a page of the application. */
@AppTest
class ScriptsIT extends BrowserTest {
    private static final Path TESTS = Path.of("src/test/js");

    /** Runs every test of a module; answers a line for each that failed, and how many there were. */
    private static final String RUN = """
            async (address) => {
              const { tests } = await import(address);
              const failures = [];
              for (const [name, test] of Object.entries(tests)) {
                const is = (found, expected) => {
                  const [a, b] = [JSON.stringify(found), JSON.stringify(expected)];
                  if (a !== b) throw new Error(`expected ${b}, got ${a}`);
                };
                try {
                  await test(is);
                } catch (error) {
                  failures.push(`${name}: ${error.message}`);
                }
              }
              return { failures, count: Object.keys(tests).length };
            }""";

    static Stream<String> modules() throws IOException {
        try (Stream<Path> files = Files.list(TESTS)) {
            return files.map(path -> path.getFileName().toString()).sorted().toList().stream();
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("modules")
    void decideAsTheyShould(String module) {
        open(1280, 800);
        page.route(
                "**/test-js/*",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setContentType("text/javascript")
                        .setPath(TESTS.resolve(module))));
        page.navigate("/shelf/containers");
        Object result = page.evaluate(RUN, "/test-js/" + module);
        assertThat(result).isInstanceOfSatisfying(Map.class, found -> {
            assertThat((List<?>) found.get("failures")).isEmpty();
            assertThat((Integer) found.get("count")).isPositive();
        });
    }
}
