package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.photo.Photos;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Trials;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** A phone at the bench that is opened where there is no network. */
@TestPropertySource(properties = "elsom.demo=true")
class OfflineIT extends BrowserTest {
    private static final String KEEPS = """
            async () => {
              const { active } = await navigator.serviceWorker.ready;
              const caching = (await caches.keys()).map(async (name) => (await caches.open(name)).keys());
              const paths = (await Promise.all(caching)).flat().map(({ url }) => new URL(url).pathname);
              return active.state === 'activated' && paths.some((path) => path.endsWith('/bench'));
            }""";

    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    @Autowired
    private Photos photos;

    private static FilePayload photo() {
        BufferedImage picture = new BufferedImage(320, 240, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = picture.createGraphics();
        drawing.setColor(new Color(95, 150, 60));
        drawing.fillRect(0, 0, 200, 240);
        drawing.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "jpeg", file);
        } catch (IOException unwritable) {
            throw new java.io.UncheckedIOException(unwritable);
        }
        return new FilePayload("pot.jpg", "image/jpeg", file.toByteArray());
    }

    private String codeNow() {
        return page.locator("#unit-code").textContent();
    }

    private void weigh(String text) {
        String before = codeNow();
        page.locator("#value").fill(text);
        page.locator("#save").click();
        assertThat(page.locator("#unit-code")).not().hasText(before);
    }

    @Test
    void aPhoneOpenedWithoutANetworkLosesNothing() {
        try (Wire wire = wire()) {
            measuredWithout(wire);
        }
    }

    private void measuredWithout(Wire wire) {
        page = deviceOn(wire, 360, 740);
        page.navigate("/");
        String bench =
                page.getByText("Go on weighing").first().getAttribute("href").replaceAll("[?#].*", "");
        page.waitForFunction(KEEPS);
        Page seen = page;
        wire.cut();
        // From a cold start: the page that was open is closed, another one opened.
        page = context().newPage();
        page.setDefaultTimeout(10_000);
        seen.close();
        page.navigate(bench);
        assertThat(page.locator("#kept")).containsText("the bench as last seen here");
        isAccessible();
        TrialId trial = new TrialId(Long.parseLong(bench.replaceAll(".*/trials/(\\d+)/.*", "$1")));
        TrialRecord record = trials.snapshot(trial);
        int look =
                ((Number) page.evaluate("JSON.parse(document.getElementById('bench').dataset.bench).look")).intValue();
        EndpointCode endpoint = record.look(look).orElseThrow().endpoints().get(0);
        List<String> codes = new ArrayList<>();
        for (int i = 1; i <= 6; i++) {
            codes.add(codeNow());
            if (i <= 3) {
                page.locator("#photo").setInputFiles(photo());
                assertThat(page.locator("#photos-waiting")).containsText(i == 1 ? "One photo" : i + " photos");
            }
            weigh("20" + i + ".7");
        }
        assertThat(page.locator("#net")).containsText("6 readings wait");

        // Reloaded without a network, all of it still waits.
        page.reload();
        assertThat(page.locator("#net")).containsText("6 readings wait");
        assertThat(page.locator("#photos-waiting")).containsText("3 photos wait");
        page.navigate("/trials");
        assertThat(page.locator("h1")).hasText("No network");
        assertThat(page.locator("#waiting")).containsText("6 readings wait");
        assertThat(page.locator("#waiting")).containsText("3 photos wait");
        isAccessible();

        // A form that has no queue: nothing is taken, and what was typed is where Back leads to.
        page.navigate(bench);
        page.evaluate("""
                const form = document.createElement('form');
                form.method = 'post';
                form.action = '/trials/1/brews/recipe';
                document.body.append(form);
                form.submit()""");
        assertThat(page.getByText("What you sent was not taken.")).isVisible();

        ReadingRef overtaken = new ReadingRef(new UnitCode(codes.get(2)), look, endpoint);
        Instant now = Instant.now();
        logbook.enterAll(
                trial,
                List.of(new NewReading(
                        overtaken,
                        205.5,
                        "205.5",
                        record.endpoint(endpoint).unit(),
                        now,
                        now,
                        "Bench B",
                        Instrument.HAND,
                        null,
                        null,
                        UUID.randomUUID())));
        forgetComplaints();
        wire.mend();
        int later = Math.min(look + 2, record.looks().size());
        page.navigate(bench + "?look=" + later);
        assertThat(page.locator("#kept")).isHidden();
        assertThat(page.locator("#undecided")).containsText(codes.get(2));
        assertThat(page.locator("#undecided")).containsText("203.7");
        assertThat(page.locator("#photos-waiting")).isHidden();
        String outbox = "localStorage.getItem('elsom-outbox-" + trial + "')";
        page.waitForCondition(() -> page.evaluate(outbox) == null);
        page.locator("#undecided").getByText("Put it in its place").click();
        assertThat(page.locator("#undecided")).isHidden();

        TrialRecord after = trials.snapshot(trial);
        for (int i = 1; i <= 6; i++) {
            assertThat(after.current(new ReadingRef(new UnitCode(codes.get(i - 1)), look, endpoint))
                            .orElseThrow()
                            .value())
                    .as("reading %d", i)
                    .isEqualTo(200.7 + i);
        }
        for (String code : codes.subList(0, 3)) {
            assertThat(photos.of(trial, new UnitCode(code))).as(code).hasSize(1);
        }
        page.navigate("/");
        assertThat(page.locator("#waiting")).hasCount(0);
        forgetComplaints();
    }

    /** What is no picture is told at the bench, and goes when somebody lets it go. */
    @Test
    void aPhotoThatIsNotTakenWaitsForADecision() {
        open(360, 740);
        page.navigate("/");
        page.getByText("Go on weighing").first().click();
        page.locator("#photo")
                .setInputFiles(new FilePayload(
                        "pot.jpg", "image/jpeg", "no photo".getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        assertThat(page.locator("#photos-waiting")).containsText("no photo that can be read here");
        isGoodForAll();
        page.locator("#photos-waiting").getByText("Let it go").click();
        assertThat(page.locator("#photos-waiting")).isHidden();
        page.locator("#photo").setInputFiles(photo());
        assertThat(page.locator("#photo-sent a")).containsText("Photo of");
        forgetComplaints();
    }
}
