package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;

/** From findings to what is done with them: a price, a report on paper and as a file, a follow-up; an old notebook copied in. */
@TestPropertySource(properties = "elsom.demo=true")
class DecidingJourneyIT extends BrowserTest {
    @TempDir
    private Path saved;

    private void findings(String trial) {
        page.navigate("/trials");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(trial))
                .first()
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Findings"))
                .first()
                .click();
    }

    @Test
    void aPriceGoesIntoThePrintedReport() throws Exception {
        open(1280, 800);
        findings("How strong can digestate water be");
        link("Does it pay?").click();
        assertThat(page.locator("main")).containsText("Type a price");
        field("Price of a kg").fill("9");
        button("Work it out").click();
        assertThat(page.locator(".drawn svg")).isVisible();
        Locator forty = page.locator("tr", new Page.LocatorOptions().setHasText("40 mL/L"));
        assertThat(forty).containsText("can't tell");
        isGoodForAll();
        field("Price of a kg").fill("0.2");
        button("Work it out").click();
        assertThat(page.locator("tr", new Page.LocatorOptions().setHasText("E 40 mL/L")))
                .containsText("does not pay");
        field("Price of a kg").fill("9");
        button("Work it out").click();
        link("Into the report").click();
        assertThat(page.locator(".report")).containsText("At 9 a kg");
        assertThat(page.locator(".report")).containsText("6 treatments (0 mL/L");
        isGoodForAll();
        assertThat(Printed.pages(page.pdf(new Page.PdfOptions().setFormat("A4"))))
                .isBetween(1, 4);
        Download file = page.waitForDownload(() -> button("One file (HTML)").click());
        file.saveAs(saved.resolve("report.html"));
        String html = Files.readString(saved.resolve("report.html"));
        assertThat(html)
                .contains("How strong can digestate water be", "<svg")
                .doesNotContain("<script", "<link", "<img");
    }

    /** A series of two endpoints, whose map has the codes of many pots in small letters, and brews with eight: the longest of the demo. */
    @ParameterizedTest
    @CsvSource({"Wood vinegar, 5", "First brews, 8"})
    void aReportIsFourPagesAtMost(String question, double smallestPoints) {
        open(1280, 800);
        findings(question);
        link("Report").click();
        page.waitForSelector(".drawn svg");
        byte[] paper = page.pdf(new Page.PdfOptions().setFormat("A4"));
        assertThat(Printed.pages(paper)).isBetween(1, 4);
        assertThat(Printed.letters(paper).firstKey()).isGreaterThanOrEqualTo(smallestPoints);
    }

    @Test
    void theFollowUpIsBegunFilledInWithItsReason() {
        open(1280, 800);
        findings("Copied from an old notebook");
        link("What next?").click();
        assertThat(page.locator(".offers"))
                .containsText("4 units of each, drawn anew, every treatment once in each block.");
        isGoodForAll();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Plan it: Drawn again, in blocks"))
                .click();
        assertThat(page.locator("main")).containsText("Drawn again, in blocks: 4 units of each");
        assertThat(page.locator("main")).containsText("3 treatments");
    }

    @Test
    void aPictureAndATableAreTakenAlong() throws Exception {
        open(1280, 800);
        findings("How strong can digestate water be");
        Locator yield = page.locator("details.comparisons").first();
        yield.locator("summary").first().click();
        assertThat(yield.locator("svg.chart")).isVisible();
        Download picture =
                page.waitForDownload(() -> yield.getByText("Picture as SVG").click());
        picture.saveAs(saved.resolve("yield.svg"));
        assertThat(Files.readString(saved.resolve("yield.svg")))
                .startsWith("<svg")
                .contains("stroke=");
        Download table =
                page.waitForDownload(() -> yield.getByText("Table as CSV").click());
        table.saveAs(saved.resolve("yield.csv"));
        assertThat(Files.readString(saved.resolve("yield.csv"))).startsWith("Treatment,Beside,Difference");
    }

    @Test
    void anOldNotebookIsCopiedInAndToldWhatItCanStillSay() {
        open(360, 800);
        page.navigate("/trials/notebook");
        isGoodForAll();
        field("What was it about?").fill("Which bag grew the heavier radish?");
        page.getByLabel("What was measured, 1", new Page.GetByLabelOptions().setExact(true))
                .fill("Weight");
        page.getByLabel("Unit of what was measured, 1").fill("g");
        page.getByLabel("A line for each pot, bag or tray").fill("bag one; heavy\nbag two; 31");
        button("Show how it is read").click();
        assertThat(page.locator("main")).containsText("Line 1: “heavy”");
        assertThat(page.getByLabel("A line for each pot, bag or tray")).hasValue("bag one; heavy\nbag two; 31");
        page.getByLabel("A line for each pot, bag or tray")
                .fill("bag one; 28; 3 May 2026; dried out once\nbag two; 31");
        button("Show how it is read").click();
        assertThat(page.locator(".read-back")).containsText("dried out");
        isGoodForAll();
        button("Copy it in").click();
        assertThat(page.locator(".fair")).containsText("Not written down: where units stood");
        assertThat(page.locator(".fair-words")).containsText("It could not answer what it asked");
        isGoodForAll();
    }

    /** Counts of so many, days that nobody knows and notes of no mishap: the report says no more than the notebook. */
    @Test
    void theReportOfANotebookHasNothingThatWasNotWritten() {
        open(1280, 800);
        page.navigate("/trials/notebook");
        field("What was it about?").fill("Do more come up on kelp?");
        page.getByLabel("What was measured, 1", new Page.GetByLabelOptions().setExact(true))
                .fill("Came up");
        page.getByLabel("A line for each pot, bag or tray")
                .fill("kelp; 7 of 10; ?; by the window\nkelp; 5 of 8; 3 May 2026; not dried out, no slugs\n"
                        + "none; 4/10; ?; in leaf mould");
        button("Show how it is read").click();
        Locator read = page.locator(".read-back");
        assertThat(read).containsText("7 of 10");
        assertThat(read).containsText("not known");
        assertThat(read).containsText("a note only");
        button("Copy it in").click();
        page.navigate(page.url().replaceFirst("/fair.*", "/report"));
        Locator report = page.locator("main");
        assertThat(report).containsText("Not written down: where units stood");
        assertThat(report).containsText("by the window");
        for (String invented : new String[] {
            ", drawn at random", "seed", "785", "Watered", "watered", "looked at", "ompletely random", "10 cm"
        }) {
            assertThat(report).not().containsText(invented);
        }
    }

    /** A table with days as headings, pasted: what each column holds is shown, and the looks are those days. */
    @Test
    void aTableOfANotebookIsCopiedInWithItsHeadings() {
        open(1280, 800);
        page.navigate("/trials/notebook");
        field("What was it about?").fill("Which mix stays heavier?");
        page.getByLabel("What was measured, 1", new Page.GetByLabelOptions().setExact(true))
                .fill("Weight");
        page.getByLabel("Unit of what was measured, 1").fill("g");
        page.getByLabel("A line for each pot, bag or tray")
                .fill(
                        "Mix\tPot\t3 May 2026\t10 May 2026\tRemarks\nplain\t1\t420\t400\t\nplain\t2\t410\t\tdried out once\n"
                                + "wool\t1\t520\t480\tby the window");
        page.getByLabel("Water and feed, where it is written down").fill("some day; 200 mL");
        button("Show how it is read").click();
        assertThat(page.locator("main")).containsText("“some day” is no day that is known");
        page.getByLabel("Water and feed, where it is written down").fill("4 May 2026; 200 mL");
        button("Show how it is read").click();
        assertThat(page.getByLabel("Pot", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("POT");
        isGoodForAll();
        page.getByLabel("Remarks", new Page.GetByLabelOptions().setExact(true)).selectOption("NOTHING");
        button("Copy it in").click();
        assertThat(page.locator(".read-back")).not().containsText("dried out");
        button("Copy it in").click();
        page.waitForURL("**/fair");
        assertThat(page.locator(".trial-head, header").first()).not().containsText("started");
        page.navigate(page.url().replaceFirst("/fair.*", "/findings"));
        assertThat(page.locator("main")).containsText("10 May 2026");
    }
}
