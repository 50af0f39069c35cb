package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import elsom.core.trial.TrialId;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** A logger's file from the first look at it to its course, and a long one drawn. */
@TestPropertySource(properties = "elsom.demo=true")
class SensorJourneyIT extends BrowserTest {
    @Autowired
    private TrialLists lists;

    @TempDir
    private Path files;

    private TrialId trial() {
        return lists.search(Wanted.of("plug medium carries"), 0, 10)
                .trials()
                .get(0)
                .id();
    }

    /** Light of so many minutes up to now, with one peak. */
    private Path log(int minutes) throws Exception {
        LocalDateTime end = LocalDateTime.now(ZoneId.systemDefault());
        DateTimeFormatter written = DateTimeFormatter.ofPattern("dd.MM.yyyy HH:mm");
        String rows = IntStream.range(0, minutes)
                .mapToObj(i -> written.format(end.minusMinutes(minutes - (long) i)) + ";"
                        + (i == minutes / 3 ? "1999,5" : "3" + i % 10 + ",5"))
                .collect(Collectors.joining("\n"));
        return Files.writeString(
                files.resolve("light.csv"), "Zeit / time;Light [µmol/m²/s]\n" + rows, StandardCharsets.UTF_8);
    }

    @Test
    void aLoggersFileIsLookedAtTakenAndDrawnWithItsPeak() throws Exception {
        open(1280, 800);
        page.navigate("/trials/" + trial() + "/series");
        page.locator("#file").setInputFiles(log(100_000));
        field("Where it comes from").fill("Light logger");
        button("Look at it").click();
        page.waitForURL("**/files/**");
        assertThat(page.getByText("Recognised from its headings")).isVisible();
        assertThat(field("Decimals have a")).hasValue("COMMA");
        isGoodForAll();
        Locator holds = field("What “Zeit / time” holds");
        holds.selectOption("");
        button("Take it in").click();
        assertThat(page.locator(".notice.wrong")).containsText("Which column holds the time");
        holds.selectOption("TIME");
        button("Take it in").click();
        assertThat(page.getByText("100000 values in 1 series added"))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(20_000));
        link("See its courses").click();
        assertThat(page.locator("#series svg.chart")).hasCount(1);
        String says = page.locator("#series svg.chart").getAttribute("aria-label");
        Assertions.assertThat(says).contains("1999.5");
        double drawn = ((Number) page.evaluate("""
                async () => {
                  const begun = performance.now();
                  const drawn = new Promise((done) => new MutationObserver(() => {
                    if (document.querySelector('#series path.course')) requestAnimationFrame(() => done());
                  }).observe(document.getElementById('series'), { childList: true, subtree: true }));
                  document.getElementById('series-what').dispatchEvent(new Event('change'));
                  await drawn;
                  return performance.now() - begun;
                }""")).doubleValue();
        System.out.printf("100,000 points drawn in %.0f ms%n", drawn);
        Assertions.assertThat(drawn).isLessThan(2000);
        isGoodForAll();
        page.getByText("take back").first().click();
        assertThat(page.locator("#series")).hasCount(0);
    }
}
