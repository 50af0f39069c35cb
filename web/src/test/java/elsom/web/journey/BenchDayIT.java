package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import elsom.core.trial.TrialId;
import elsom.web.GrowthPlan;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A day at the bench beside the weighing: a photo, a meter, and pages that stay readable however they are looked at. */
class BenchDayIT extends BrowserTest {
    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    private TrialId running() {
        TrialId trial = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        plans.startNow(trial);
        return trial;
    }

    /** Soil with leaves on three tenths of it. */
    private static byte[] tray() throws IOException {
        BufferedImage picture = new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = picture.createGraphics();
        drawing.setColor(new Color(110, 90, 70));
        drawing.fillRect(0, 0, 600, 400);
        drawing.setColor(new Color(95, 150, 60));
        drawing.fillRect(210, 0, 180, 400);
        drawing.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", file);
        return file.toByteArray();
    }

    @Test
    void aPhotoBecomesCoverWithItsMaskAndItsThreshold() throws Exception {
        TrialId trial = running();
        String unit = trials.snapshot(trial).units().get(0).code().value();
        open(1280, 800);
        page.navigate("/trials/" + trial + "/units/" + unit);
        page.locator("#photo-file").setInputFiles(new FilePayload("tray.png", "image/png", tray()));
        button("Keep the photo").click();
        page.waitForURL("**/photos/*");
        assertThat(page.locator("#cover-words")).hasText("30.0 % green");
        isGoodForAll();
        tabTo(page.locator("#threshold"));
        press("End");
        assertThat(page.locator("#cover-words")).hasText("0.0 % green");
        page.locator("#canopy").click();
        assertThat(page.locator("#card")).isVisible();
        page.navigate("/trials/" + trial + "/units/" + unit);
        assertThat(page.locator(".photos img")).hasCount(1);
        page.locator("#photo-file").setInputFiles(new FilePayload("tray.jpg", "image/jpeg", new byte[] {1, 2, 3}));
        button("Keep the photo").click();
        assertThat(page.locator("main")).containsText("no photo that can be read here");
    }

    @Test
    void aMeterThatFailsIsKnownByTheReadingsAfterIt() {
        open(360, 740);
        page.navigate("/meters");
        page.locator("form[data-meter=PH] [data-fault]").selectOption("OLD_ELECTRODE");
        for (int solution = 0; solution < 2; solution++) {
            page.locator("form[data-meter=PH] [data-solution='" + solution + "']")
                    .click();
            assertThat(page.locator("#PH" + solution)).hasValue(Pattern.compile("\\d+\\.\\d\\d"));
        }
        page.locator("form[data-meter=PH] button.is-primary").click();
        assertThat(page.locator("form[data-meter=PH]")).containsText("Don't measure with it");
        assertThat(page.locator("form[data-meter=PH]")).containsText("not checked today");
        isGoodForAll();
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(360);
    }

    @Test
    void withTextTwiceAsLargeNothingRunsOffThePage() {
        TrialId trial = running();
        open(1280, 800);
        for (String path :
                new String[] {"/", "/meters", "/intake", "/trials/" + trial + "/bench", "/trials/" + trial + "/water"
                }) {
            page.navigate(path);
            page.evaluate("document.documentElement.style.fontSize = '200%'");
            assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                    .as(path)
                    .isLessThanOrEqualTo(1280);
            isGoodForAll();
        }
    }
}
