package elsom.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.test.context.TestPropertySource;

/** Every page of the demo yard: no barrier at any width, in light and dark, and with text twice as large. */
@TestPropertySource(properties = "elsom.demo=true")
class EveryPageIT extends BrowserTest {
    private static final int DESK = 1280;
    private static final int PHONE = 360;
    private static final int HIGH = 800;
    private static final List<String> PAGES = List.of(
            "/",
            "/trials",
            "/trials?q=leaf&state=RUNNING",
            "/trials/quick",
            "/trials/new",
            "/trials/notebook",
            "/trials/import",
            "/trials/put-away",
            "/trials/1",
            "/trials/12/plan/treatments",
            "/trials/3/plan/size",
            "/trials/3/plan/bench",
            "/trials/3/plan/dates",
            "/trials/3/plan/ready",
            "/trials/2/copy",
            "/trials/2/bench",
            "/trials/10/bench",
            "/trials/13/bench",
            "/trials/2/water",
            "/trials/4/light",
            "/trials/5/turn",
            "/trials/2/files",
            "/trials/2/remove",
            "/trials/1/findings",
            "/trials/4/findings",
            "/trials/5/findings",
            "/trials/6/findings",
            "/trials/8/findings",
            "/trials/9/findings",
            "/trials/10/findings",
            "/trials/13/findings",
            "/trials/1/findings/units",
            "/trials/1/fair",
            "/trials/5/fair",
            "/trials/4/next",
            "/trials/4/report",
            "/trials/1/card",
            "/trials/4/mixing",
            "/trials/6/blending",
            "/trials/8/liming",
            "/trials/9/residue",
            "/trials/6/money",
            "/trials/6/claim",
            "/trials/6/tasting",
            "/trials/3/brews",
            "/trials/13/series",
            "/trials/13/lab",
            "/shelf",
            "/shelf/lot?name=GW-32",
            "/shelf/new",
            "/shelf/containers",
            "/shelf/uses",
            "/shelf/files",
            "/shelf/import",
            "/column",
            "/mix/design",
            "/sums",
            "/sums/dilution",
            "/measures",
            "/people",
            "/trials/4/log",
            "/trials/4/share",
            "/sign-in",
            "/trust",
            "/meters",
            "/intake",
            "/signs",
            "/likelihoods",
            "/practice",
            "/practice/one-pot-each",
            "/offline",
            "/no-such-page");

    /** Pages by their place among two heaps, so that neither takes long. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1})
    void noPageKeepsAnybodyOut(int heap) {
        open(PHONE, HIGH);
        List<String> barred = new ArrayList<>();
        for (int i = heap; i < PAGES.size(); i += 2) {
            page.navigate(PAGES.get(i));
            page.evaluate("document.querySelectorAll('details').forEach(one => one.open = true)");
            try {
                fitsAPhone();
                page.setViewportSize(DESK, HIGH);
                isGoodForAll();
            } catch (AssertionError barrier) {
                barred.add(PAGES.get(i) + ": "
                        + String.valueOf(barrier.getMessage()).strip());
            }
            page.setViewportSize(PHONE, HIGH);
        }
        // One of the addresses is of no page.
        forgetComplaints();
        assertThat(barred).isEmpty();
    }
}
