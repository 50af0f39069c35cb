package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Trials;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** At the bench with a phone: narrow, and with a connection that comes and goes. */
@TestPropertySource(properties = "elsom.demo=true")
class PhoneIT extends BrowserTest {
    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    private String codeNow() {
        return page.locator("#unit-code").textContent();
    }

    private void openTheBench() {
        open(360, 740);
        page.navigate("/");
        page.getByText("Go on weighing").click();
        if (page.locator("#station-name").isVisible()) {
            page.getByText("Keep it").click();
        }
        assertThat(page.locator("#station-name")).hasCount(0);
        page.waitForLoadState();
    }

    @Test
    void everythingNeededIsOnTheFirstScreen() {
        openTheBench();
        isGoodForAll();
        int wide = (Integer) page.evaluate("document.documentElement.scrollWidth");
        assertThat(wide).isLessThanOrEqualTo(360);
        BoundingBox save = page.locator("#save").boundingBox();
        assertThat(save.y + save.height).isLessThan(740);
        assertThat(save.height).isGreaterThanOrEqualTo(44);
        String code = codeNow();
        page.locator("#value").fill("200.4");
        page.locator("#save").click();
        page.waitForCondition(
                () -> !codeNow().equals(code) || page.locator("#asked").isVisible());
        page.navigate("/");
        isGoodForAll();
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(360);
    }

    @Test
    void aDroppedConnectionLosesNothing() {
        openTheBench();
        String first = codeNow();
        page.locator("#value").fill("201.1");
        context().setOffline(true);
        page.locator("#save").click();
        assertThat(page.locator("#net")).containsText("One reading waits");
        assertThat(page.locator("#unit-code")).not().hasText(first);
        String second = codeNow();
        page.locator("#value").fill("202.2");
        page.locator("#save").click();
        assertThat(page.locator("#net")).containsText("2 readings wait");
        isGoodForAll();
        assertThat(page.locator("#unit-code")).not().hasText(second);
        page.locator("#value").fill("203.3");
        String third = codeNow();
        forgetComplaints();

        context().setOffline(false);
        assertThat(page.locator("#net")).isHidden();
        assertThat(page.locator(".unit[data-unit='" + first + "'] text.face")).hasText("201.1");
        assertThat(page.locator(".unit[data-unit='" + second + "'] text.face")).hasText("202.2");
        page.reload();
        page.locator(".unit[data-unit='" + third + "']").dispatchEvent("click");
        assertThat(page.locator("#value")).hasValue("203.3");
        assertThat(page.locator(".unit[data-unit='" + first + "'] text.face")).hasText("201.1");
        forgetComplaints();
    }

    /** Typed offline, entered meanwhile by another station, and back on another look: it waits until somebody decides. */
    @Test
    void aReadingThatWasOvertakenWaitsForADecisionWhateverIsOpen() {
        openTheBench();
        String bench = page.url().replaceAll("[?#].*", "");
        TrialId trial = new TrialId(Long.parseLong(bench.replaceAll(".*/trials/(\\d+)/.*", "$1")));
        TrialRecord record = trials.snapshot(trial);
        String code = codeNow();
        int look =
                ((Number) page.evaluate("JSON.parse(document.getElementById('bench').dataset.bench).look")).intValue();
        EndpointCode endpoint = record.look(look).orElseThrow().endpoints().get(0);
        context().setOffline(true);
        page.locator("#value").fill("201.7");
        page.locator("#save").click();
        assertThat(page.locator("#net")).containsText("One reading waits");
        ReadingRef ref = new ReadingRef(new UnitCode(code), look, endpoint);
        Instant now = Instant.now();
        logbook.enterAll(
                trial,
                List.of(new NewReading(
                        ref,
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
        context().setOffline(false);
        page.navigate("/");
        assertThat(page.locator("#waiting")).containsText("needs you to decide");
        isAccessible();
        page.navigate(bench + "?look=1");
        assertThat(page.locator("#undecided")).containsText(code);
        assertThat(page.locator("#undecided")).containsText("201.7");
        isGoodForAll();
        page.locator("#undecided").getByText("Put it in its place").click();
        assertThat(page.locator("#undecided")).isHidden();
        assertThat(trials.snapshot(trial).current(ref).orElseThrow().value()).isEqualTo(201.7);
        page.navigate("/");
        assertThat(page.locator("#waiting")).hasCount(0);
        forgetComplaints();
    }

    @Test
    void everyTroubleOfTheScaleSaysWhatToDo() {
        openTheBench();
        String code = codeNow();
        for (String[] trouble :
                new String[][] {{"UNPLUGGED", "plugged in"}, {"OVERLOADED", "Take it off"}, {"UNSTEADY", "hands off"}
                }) {
            page.locator("#fault").selectOption(trouble[0]);
            page.locator("#take").click();
            assertThat(page.locator("#scale-says")).containsText(trouble[1]);
        }
        assertThat(page.locator("#unit-code")).hasText(code);
        page.locator("#fault").selectOption("NONE");
        assertThat(page.locator("#scale-says")).containsText("working");
        isAccessible();
    }

    /** A tap picks a unit up, a second one puts it where it shall stand. */
    @Test
    void aUnitIsMovedOnTheLayoutByTwoTaps() {
        open(360, 740);
        page.navigate("/");
        page.navigate(page.getByText("Open the plan").first().getAttribute("href") + "/bench");
        Locator first = page.locator(".map [data-unit]").first();
        String code = first.getAttribute("data-unit");
        Locator other = page.locator(".map [data-unit][data-row='" + first.getAttribute("data-row")
                        + "']:not([data-unit='" + code + "'])")
                .first();
        String column = other.getAttribute("data-column");
        first.click();
        assertThat(page.locator("#moving")).containsText(code + " is picked up: tap where it shall stand");
        isGoodForAll();
        other.click();
        assertThat(page.locator("#moving")).containsText("took its place");
        assertThat(page.locator(".map [data-unit='" + code + "']")).hasAttribute("data-column", column);
        page.reload();
        assertThat(page.locator(".map [data-unit='" + code + "']")).hasAttribute("data-column", column);
    }

    /** What is pressed on the page and has less than 44 pixels for a thumb; links inside sentences may be lower. */
    private static final String TOO_SMALL = """
            () => [...document.querySelectorAll('main button, main .button, main input:not([type=hidden]), main select,'
                + 'main textarea, main summary, header button, header a')]
              .filter((one) => one.checkVisibility({ visibilityProperty: true }) && !one.closest('.sr-only'))
              .map((one) => [one, one.matches('[type=checkbox], [type=radio], [type=range]') ? one.closest('label') ?? one : one])
              .filter(([, place]) => place.getBoundingClientRect().height > 0 && place.getBoundingClientRect().height < 43.5)
              .map(([one]) => `${one.tagName} ${one.id} ${one.textContent.trim().slice(0, 30)}`)""";

    @Test
    void nothingToPressIsTooSmallForAThumb() {
        page = anotherDevice(360, 740);
        for (String path : List.of(
                "/",
                "/trials",
                "/trials/2/bench",
                "/trials/13/bench?look=6",
                "/trials/2/water",
                "/trials/5/turn",
                "/trials/5/light",
                "/trials/13/series",
                "/trials/13/lab",
                "/meters",
                "/trials/2/findings",
                "/trials/2/plan/dates",
                "/shelf",
                "/sums/dilution")) {
            page.navigate(path);
            assertThat((List<?>) page.evaluate(TOO_SMALL)).as(path).isEmpty();
        }
    }
}
