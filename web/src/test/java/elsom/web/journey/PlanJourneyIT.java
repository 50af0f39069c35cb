package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** From a question to printed labels, with the keyboard only. */
class PlanJourneyIT extends PlanningTest {
    /** What a slow typist presses in three minutes: 180 keys in each. */
    private static final int THREE_MINUTES_OF_KEYS = 540;

    private List<String> codes() {
        return page.locator(".map .unit").evaluateAll("units => units.map(unit => unit.dataset.unit)")
                        instanceof List<?> all
                ? all.stream().map(Object::toString).toList()
                : List.of();
    }

    private void labelsCarry(Path pdf, List<String> codes) throws Exception {
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(pdf))) {
            assertThat(new PDFTextStripper().getText(document)).contains(codes);
        }
    }

    @Test
    void aFactorialInBlocks() throws Exception {
        begin("Does a seaweed dip help roses root, and in which medium?", "rose", "growth");
        matters("15 %");
        asGrid();
        isAccessible();
        factor(1, "Dip", "how it", "none, seaweed");
        factor(2, "Medium", "what", "leaf mould, wood fibre, rice hulls");
        assertThat(page.locator("#preview h2")).hasText("6 treatments");
        assertThat(page.locator("#preview input.strike")).hasCount(6);
        isAccessible();
        press("Enter");
        page.waitForURL("**/plan/size");
        tabTo(page.locator("#replicates"));
        type("5");
        assertThat(page.locator("#preview tr.here")).containsText("30");
        isAccessible();
        press("Enter");
        page.waitForURL("**/plan/bench");
        assertThat(page.locator("input[name=kind][value=BLOCKS]")).isChecked();
        assertThat(page.locator(".map .unit")).hasCount(30);
        List<String> codes = codes();
        moveAUnitByKeyboard();
        isAccessible();
        goOn("dates");
        isAccessible();
        goOn("ready");
        assertThat(page.locator(".needs")).containsText("rice hulls");
        isAccessible();
        follow("Go on: labels", "/plan/labels");
        isAccessible();
        labelsCarry(download(button("Get the labels as PDF"), "labels.pdf"), codes);
        assertThat(keysPressed()).isLessThan(THREE_MINUTES_OF_KEYS);
    }

    /** Picked up, carried and put down; the figure of balance follows. */
    private void moveAUnitByKeyboard() {
        Locator first = page.locator(".map [data-unit][tabindex='0']");
        String code = first.getAttribute("data-unit");
        String column = first.getAttribute("data-column");
        tabTo(first);
        press("Enter");
        assertThat(page.locator("#moving")).containsText(code + " is picked up");
        press(column.equals("1") ? "ArrowRight" : "ArrowLeft");
        press("Enter");
        assertThat(page.locator("#moving")).containsText("took its place");
        assertThat(page.locator("#balance")).containsText("1 unit was moved by hand");
        press("Escape");
    }

    @Test
    void aDoseSeriesThatEndsTogether() throws Exception {
        begin("From which dose on does wood vinegar hurt lettuce seedlings?", "lettuce", "dose-series");
        matters("20 %");
        asGrid();
        factor(1, "Wood vinegar", "how much", "0.25 to 4 % in 6");
        press("Tab");
        press("Tab");
        type("1");
        press("Tab");
        type("0.5");
        assertThat(page.locator("#preview h2")).hasText("6 treatments");
        press("Enter");
        page.waitForURL("**/plan/size");
        goOn("bench");
        goOn("dates");
        press("ArrowRight");
        assertThat(page.locator("#mode-end")).isVisible();
        press("Tab");
        type("10 Dec 2026, 9 am");
        assertThat(page.locator("#end")).hasValue("10 Dec 2026, 9 am");
        tabTo(page.locator("#runs"));
        type("14 d, 12 d, 10 d, 9 d, 8 d, 7 d");
        assertThat(page.locator("#preview")).containsText("Start");
        assertThat(page.locator("#preview .events")).containsText("4 %");
        isAccessible();
        press("Enter");
        page.waitForURL("**/plan/ready");
        isAccessible();
        follow("Go on: labels", "/plan/labels");
        download(button("Get the labels as PDF"), "labels.pdf");
        follow("Go on: overview", "/plan");
        assertThat(page.locator(".map .unit")).not().hasCount(0);
        List<String> codes = codes();
        isAccessible();
        Path dates = download(link("Dates as .ics"), "dates.ics");
        assertThat(Files.readString(dates).split("BEGIN:VEVENT")).hasSizeGreaterThan(6);
        enter(button("Start the trial"));
        page.waitForURL("**/bench");
        assertThat(codes()).containsExactlyInAnyOrderElementsOf(codes);
        assertThat(keysPressed()).isLessThan(THREE_MINUTES_OF_KEYS);
    }
}
