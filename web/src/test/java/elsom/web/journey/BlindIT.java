package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.SecondScore;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A trial scored blind by two stations, with the keyboard alone. */
class BlindIT extends BrowserTest {
    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    /** Six treatments by four, of which the bench knows the codes only. */
    private TrialId blind() {
        Pots pots = new Pots(Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5), 380, 8, 8, 0, 0.15, 0.1, 0);
        Plan begun = Protocols.find(new ProtocolCode("seedling-injury"))
                .orElseThrow()
                .begin("Which bag harms cress?", ZoneId.of("UTC"), Instant.now().minus(Duration.ofDays(8)), pots, 24);
        List<PlannedTreatment> bags = new ArrayList<>();
        for (String bag : List.of("leaf mould", "one", "two", "three", "four", "five")) {
            bags.add(PlannedTreatment.of(bag, "leaf mould", bags.isEmpty() ? ControlKind.CONTROL : ControlKind.NONE));
        }
        TrialId id = plans.begin(
                begun.with(Treatments.listed(bags), pots)
                        .with(new Arrangement(
                                LayoutKind.BLOCKS, 4, List.of(Site.named("Bench")), true, 1, false, 0, 24, List.of()))
                        .with(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, true)),
                UUID.randomUUID());
        plans.start(id);
        return id;
    }

    private void keepStation(Page at, String name) {
        at.locator("input[name=name]").fill(name);
        at.getByText("Keep it").click();
    }

    private boolean allDone(int expected) {
        return page.locator("#done").textContent().equals(String.valueOf(expected));
    }

    /** The observation that the page asks for. */
    private String task() {
        return page.locator("#unit-code").textContent()
                + page.locator("#value-label").textContent();
    }

    @Test
    void twentyFourUnitsAreScoredByKeyboardAndAgainByAnotherStation() {
        TrialId trial = blind();
        TrialRecord record = trials.snapshot(trial);
        int look = record.looks().stream()
                .filter(one ->
                        one.endpoints().stream().anyMatch(code -> code.value().equals("injury")))
                .findFirst()
                .orElseThrow()
                .number();
        open(1280, 800);
        page.navigate("/trials/" + trial + "/bench?look=" + look);
        keepStation(page, "Bench A");
        page.locator("#value").focus();
        isGoodForAll();
        int expected = record.units().size();
        Assertions.assertThat(expected).isEqualTo(24);
        List<String> order = new ArrayList<>();
        page.locator("#value").focus();
        while (!allDone(expected)) {
            String task = task();
            String code = page.locator("#unit-code").textContent();
            if (!order.contains(code)) {
                order.add(code);
            }
            String digits = task.contains("njury") ? String.valueOf(code.hashCode() & 7) : "6";
            int before = keysPressed();
            typeOn(digits);
            press("Enter");
            Assertions.assertThat(keysPressed() - before).isEqualTo(digits.length() + 1);
            page.waitForCondition(
                    () -> !task().equals(task) || page.locator("#asked").isVisible() || allDone(expected));
            // What looks odd among its neighbours is asked about: it is meant. At the end the page says that all is
            // done.
            if (!allDone(expected) && page.locator("#asked").isVisible()) {
                page.keyboard().press("Enter");
                page.waitForCondition(() -> !task().equals(task) || allDone(expected));
            }
        }
        page = anotherDevice(360, 740);
        page.navigate("/trials/" + trial + "/bench?look=" + look);
        keepStation(page, "Bench C");
        page.getByText("again", new Page.GetByTextOptions()).last().click();
        page.waitForURL("**/again?**");
        isGoodForAll();
        List<String> other = new ArrayList<>();
        for (int i = 0; i < expected; i++) {
            String code = page.locator("#unit-code").textContent();
            other.add(code);
            assertThat(page.locator("#score")).hasValue("");
            if (i == 0) {
                page.locator("#score").fill("eleven");
                page.keyboard().press("Enter");
                assertThat(page.locator(".problem[role=alert]")).isVisible();
                assertThat(page.locator("#score")).hasValue("eleven");
            }
            page.locator("#score").fill(String.valueOf(Math.min(10, (code.hashCode() & 7) + (i % 3 == 0 ? 1 : 0))));
            page.keyboard().press("Enter");
            assertThat(page.locator("main"))
                    .containsText(i + 1 < expected ? (i + 1) + " of 24" : "All 24 are scored again");
        }
        Assertions.assertThat(other).doesNotHaveDuplicates().isNotEqualTo(order);
        List<SecondScore> again = trials.key(trial).scoredAgain();
        Assertions.assertThat(again)
                .hasSize(24)
                .allMatch(score -> score.station().equals("Bench C"));
        plans.unblind(trial, "both have scored", "Bench A");
        page.navigate("/trials/" + trial + "/findings");
        assertThat(page.locator("main")).containsText("Do two stations score alike?");
        assertThat(page.locator("main")).containsText("Bench A and Bench C");
        isAccessible();
    }
}
