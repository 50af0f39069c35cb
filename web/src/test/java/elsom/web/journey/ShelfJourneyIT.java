package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import elsom.core.material.AShelf;
import elsom.web.lots.Lots;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

/** By keyboard: a lot from a lab sheet to the comparison, and the cheapest mix that is fit taken into a plan. */
class ShelfJourneyIT extends BrowserTest {
    private static final LocalDate MAY = LocalDate.of(2026, 5, 4);

    @Autowired
    private Lots lots;

    @TempDir
    private Path folder;

    @BeforeEach
    void stocked() {
        lots.learn(List.of(AShelf.priced("fibre", 36, 50, 0.001), AShelf.priced("mould", 70, 14, 0.002)));
    }

    @Test
    void fromALabSheetToTheComparison() throws Exception {
        Path sheet = folder.resolve("sheet.csv");
        Files.writeString(
                sheet,
                "lot,material,kind,property,value,unit,method,date,source\n"
                        + "GW-50,green-waste compost,compost,water,60,%,,2026-05-04,sheet 50\n"
                        + "GW-50,green-waste compost,compost,air,9,%,,2026-05-04,sheet 50\n"
                        + "GW-50,green-waste compost,compost,ec,6.5,mS/cm,saturated,2026-05-04,sheet 50\n");
        open(1280, 800);
        page.navigate("/");
        follow("Shelf", "/shelf");
        isAccessible();
        follow("Lab sheet and files", "/shelf/files");
        isAccessible();
        page.locator("#lab").setInputFiles(sheet);
        enter(button("Read it in").first());
        assertThat(page.locator(".notice.good")).containsText("1 new lot, 3 figures added");
        enter(link("See them beside the others"));
        page.waitForURL("**/shelf");
        tabTo(field("Fit for"));
        typeOn("Cuttings");
        press("Tab");
        enter(button("Show"));
        page.waitForURL(Pattern.compile(".*use=cuttings.*"));
        assertThat(page.locator("tr:has(a:text-is('GW-50'))")).containsText("unfit");
        assertThat(page.locator("tr:has(a:text-is('GW-50'))")).containsText("Salt hinders rooting.");
        assertThat(page.locator("tr:has(a:text-is('GW-50')) abbr").first()).hasText("l");
        enter(link("GW-50"));
        assertThat(page.locator("main")).containsText("sheet 50, by saturated");
        isAccessible();
    }

    @Test
    void theCheapestThatIsFitIsMovedByItsEdgeAndTakenIntoAPlan() {
        open(1280, 800);
        page.navigate("/mix/design");
        isAccessible();
        tabTo(field("Fit for"));
        typeOn("Hot dry sill");
        enter(button("Cheapest that is fit"));
        page.waitForURL(Pattern.compile(".*cheapest=true.*"));
        assertThat(page.locator("#result .tone").first()).hasText("fit");
        isAccessible();
        String found = page.locator(".result-line").textContent();
        tabTo(page.locator(".edge").first());
        press("PageDown");
        assertThat(page.locator(".result-line")).not().hasText(found);
        String moved = page.locator(".result-line").textContent();
        Assertions.assertThat(page.locator("[data-parts='0']").inputValue()).isNotEmpty();
        assertThat(page.locator(".batch-sheet tbody tr").first()).containsText(" L");
        enter(button("Measure it"));
        page.waitForURL("**/plan/treatments");
        Assertions.assertThat(page.content()).contains(moved);
        enter(page.getByText("Open in the mixing bench").first());
        assertThat(page.locator(".result-line")).hasText(moved);
        tabTo(page.locator("[data-parts='0']"));
        type("7");
        press("Enter");
        page.waitForURL(Pattern.compile(".*parts0=7.*"));
        String other = page.locator(".result-line").textContent();
        enter(button("Add it as a treatment"));
        page.waitForURL("**/plan/treatments");
        assertThat(page.locator("main")).containsText("3 treatments");
        Assertions.assertThat(page.content()).contains(moved, other);
    }
}
