package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** Several people at one trial, and one mishap to several units. */
@TestPropertySource(properties = "elsom.demo=true")
class TogetherIT extends BrowserTest {
    private static final LocatorAssertions.HasTextOptions SOON =
            new LocatorAssertions.HasTextOptions().setTimeout(2000);

    @Autowired
    private TrialLists lists;

    @Autowired
    private Trials trials;

    /** A trial of the demo in which something is to be weighed. */
    private TrialRecord running() {
        return lists.search(Wanted.of(""), 0, 100).trials().stream()
                .map(digest -> trials.snapshot(digest.id()))
                .filter(record -> record.trial().started() && !record.trial().blind())
                .filter(record -> record.nextLook().stream()
                        .anyMatch(
                                look -> record.endpoint(look.endpoints().get(0)).unit() == UnitOfMeasure.GRAM))
                .findFirst()
                .orElseThrow();
    }

    private void measure(Page page, TrialId trial) {
        page.navigate("/trials/" + trial + "/bench");
        if (page.locator("#station-name").isVisible()) {
            page.getByText("Keep it").click();
            assertThat(page.locator("#station-name")).hasCount(0);
            page.waitForLoadState();
        }
    }

    private static Locator face(Page page, String code) {
        return page.locator(".unit[data-unit='" + code + "'] text.face");
    }

    private static Locator answer(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    @Test
    void twoPeopleSeeEachOthersReadingsAndAClashIsSettledInPlace() {
        TrialId trial = running().trial().id();
        open(1280, 800);
        measure(page, trial);
        Page other = anotherDevice(360, 740);
        measure(other, trial);
        String code = page.locator("#unit-code").textContent();
        page.locator("#value").fill("312.4");
        other.locator("#value").fill("311.9");
        other.locator("#save").click();
        assertThat(face(page, code)).hasText("311.9", SOON);
        assertThat(page.locator("#asked")).containsText("Meanwhile");
        assertThat(page.locator("#asked")).containsText("311.9 g");
        assertThat(page.locator("#value")).hasValue("312.4");
        isGoodForAll();
        answer(page, "Put mine in its place").click();
        page.waitForCondition(() -> !page.locator("#said").textContent().isEmpty()
                || page.locator("#asked").textContent().startsWith("Saved"));
        if (page.locator("#said").textContent().isEmpty()) {
            answer(page, "go on").click();
        }
        assertThat(page.locator("#said")).containsText(code + " 312.4 g");
        assertThat(face(other, code)).hasText("312.4", SOON);
        String next = page.locator("#unit-code").textContent();
        Assertions.assertThat(next).isNotEqualTo(code);
    }

    @Test
    void aMishapToSixUnitsTakesTwoTapsAndTheUnits() {
        TrialRecord record = running();
        open(360, 740);
        measure(page, record.trial().id());
        String first = page.locator("#unit-code").textContent();
        List<String> others = record.units().stream()
                .map(unit -> unit.code().value())
                .filter(code -> !code.equals(first))
                .limit(5)
                .toList();
        answer(page, "Something went wrong").click();
        isGoodForAll();
        others.forEach(code -> page.locator(".unit[data-unit='" + code + "']").dispatchEvent("click"));
        assertThat(page.locator("#wrong [data-units]")).hasText(Pattern.compile(others.get(4)));
        answer(page, "Dried out").click();
        assertThat(page.locator(".mishaps li").last()).containsText("Dried out");
        List<String> noted = trials.snapshot(record.trial().id()).mishaps().stream()
                .reduce((one, later) -> later)
                .orElseThrow()
                .units()
                .stream()
                .map(unit -> unit.value())
                .collect(Collectors.toList());
        Assertions.assertThat(noted).containsExactlyInAnyOrderElementsOf(with(first, others));
        page.locator(".mishaps li").last().getByRole(AriaRole.BUTTON).click();
    }

    @Test
    void aWateringDayByWeightTakesTwoTapsAUnit() {
        TrialRecord record = running();
        open(360, 740);
        measure(page, record.trial().id());
        page.getByText("Water and feed").last().click();
        page.waitForURL("**/water");
        isGoodForAll();
        for (int unit = 0; unit < 3; unit++) {
            String code = page.locator("#water-unit").textContent();
            button("Take from scale").click();
            assertThat(page.locator("#water-says")).containsText(code);
            assertThat(page.locator("#water-give")).isEnabled();
            page.locator("#water-give").click();
            assertThat(page.locator("#water-unit")).not().hasText(code);
        }
        page.reload();
        assertThat(page.locator(".short-table")).containsText("Water");
        field("A unit gets").fill("plenty");
        button("Write it down").click();
        assertThat(page.locator(".problem[role=alert]")).containsText("No number");
        assertThat(field("A unit gets")).hasValue("plenty");
        field("A unit gets").fill("338 - 301");
        button("Write it down").click();
        assertThat(page.locator(".mishaps li").first()).containsText("37 mL each");
        isGoodForAll();
        for (int entries = trials.snapshot(record.trial().id()).given().size(); entries > 0; entries--) {
            button("Take back").first().click();
        }
        assertThat(page.locator(".mishaps")).hasCount(0);
    }

    private static List<String> with(String first, List<String> others) {
        return java.util.stream.Stream.concat(java.util.stream.Stream.of(first), others.stream())
                .toList();
    }

    @Test
    void aLetterWritesNothingOutsideItsFieldAndCanBeSwitchedOff() {
        open(1280, 800);
        measure(page, running().trial().id());
        String code = page.locator("#unit-code").textContent();
        String before = page.locator("#value").inputValue();
        press("s");
        press("k");
        assertThat(page.locator("#scale-display")).hasText("– – –");
        assertThat(page.locator("#wrong")).isHidden();
        press("?");
        page.getByText("Single keys are orders").click();
        press("Escape");
        press("?");
        assertThat(page.locator("#keys-help")).isHidden();
        page.locator("#value").focus();
        page.locator("#value").fill("");
        press("k");
        assertThat(page.locator("#wrong")).isHidden();
        typeOn("/?");
        assertThat(page.locator("#value")).hasValue("k/?");
        page.locator("#value").fill(before);
        Assertions.assertThat(page.locator("#unit-code").textContent()).isEqualTo(code);
    }

    @Test
    void anInstrumentNeverPutsItsValueInThePlaceOfOneThatStandsUnasked() {
        TrialId trial =
                lists.search(Wanted.of("Ditch water"), 0, 10).trials().get(0).id();
        open(1280, 800);
        page.navigate("/trials/" + trial + "/bench?look=1");
        String before = page.locator("#value").inputValue();
        button("Take from the EC meter").click();
        assertThat(page.locator("#asked")).containsText("The EC meter shows");
        answer(page, "^Keep [0-9]").click();
        assertThat(page.locator("#value")).hasValue(before);
    }
}
