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
import elsom.core.trial.Reading;
import elsom.core.trial.TrialId;
import elsom.web.people.FirstAccount;
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
import org.springframework.context.ApplicationContext;
import org.springframework.test.context.TestPropertySource;

/** A lab of five on one trial, and a phone that is lost. */
@TestPropertySource(properties = "elsom.build=people-at-work")
class PeopleJourneyIT extends BrowserTest {
    private static final String PASSWORD = "four words without belonging";

    @Autowired
    private ApplicationContext application;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    /** Names that no other test has used in this store. */
    private final String suffix = UUID.randomUUID().toString().substring(0, 4);

    private TrialId planned() {
        Pots pots = new Pots(Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5), 380, 8, 8, 0, 0.15, 0.1, 0);
        Plan begun = Protocols.find(new ProtocolCode("seedling-injury"))
                .orElseThrow()
                .begin("Which bag harms cress?", ZoneId.of("UTC"), Instant.now().minus(Duration.ofDays(8)), pots, 24);
        List<PlannedTreatment> bags = new ArrayList<>();
        for (String bag : List.of("leaf mould", "bag one")) {
            bags.add(PlannedTreatment.of(bag, "leaf mould", bags.isEmpty() ? ControlKind.CONTROL : ControlKind.NONE));
        }
        return plans.begin(
                begun.with(Treatments.listed(bags), pots)
                        .with(new Arrangement(
                                LayoutKind.BLOCKS, 3, List.of(Site.named("Bench")), true, 1, false, 0, 24, List.of()))
                        .with(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, true)),
                UUID.randomUUID());
    }

    private void signIn(Page at, String name) {
        at.navigate("/sign-in");
        at.locator("#name").fill(name);
        at.locator("#password").fill(PASSWORD);
        at.locator("main button").first().click();
        assertThat(at.locator(".topbar .person")).hasText(name);
    }

    /** Somebody joins by a link that who keeps made, on a device of their own. */
    private Page join(Page keeper, String role, String name, int width) {
        keeper.navigate("/people");
        keeper.locator("#role").selectOption(role);
        keeper.getByText("Make a link").click();
        String link = keeper.locator(".link-shown").textContent();
        Page device = anotherDevice(width, 780);
        device.navigate(link);
        device.locator("#name").fill(name);
        device.locator("#password").fill("short");
        device.locator("main button").first().click();
        assertThat(device.locator(".problem[role=alert]")).containsText("at least 12 characters");
        assertThat(device.locator("#name")).hasValue(name);
        device.locator("#password").fill(PASSWORD);
        device.locator("main button").first().click();
        assertThat(device.locator("h1")).hasText(name);
        return device;
    }

    private void score(Page phone, TrialId trial, int look, String station, int units, String score) {
        phone.navigate("/trials/" + trial + "/bench?look=" + look);
        phone.locator("input[name=name]").fill(station);
        phone.getByText("Keep it").click();
        for (int i = 0; i < units; i++) {
            String before = phone.locator("#unit-code").textContent()
                    + phone.locator("#value-label").textContent();
            phone.locator("#value").fill(before.contains("njury") ? score : "6");
            phone.keyboard().press("Enter");
            phone.waitForCondition(
                    () -> !before.equals(phone.locator("#unit-code").textContent()
                                    + phone.locator("#value-label").textContent())
                            || phone.locator("#asked").isVisible());
            if (phone.locator("#asked").isVisible()) {
                phone.keyboard().press("Enter");
            }
        }
    }

    private List<Reading> by(TrialId trial, String person) {
        return trials.key(trial).readings().stream()
                .filter(reading -> reading.person().equals(person))
                .toList();
    }

    @Test
    void onePlansTwoMeasureBlindOneReadsAndOneUnblinds() {
        FirstAccount.of("Ida", PASSWORD, application);
        open(1280, 800);
        Page ida = page;
        signIn(ida, "Ida");
        Page piet = join(ida, "PLAN", "Piet " + suffix, 1280);
        Page mo = join(ida, "MEASURE", "Mo " + suffix, 360);
        Page nel = join(ida, "MEASURE", "Nel " + suffix, 360);
        Page rosa = join(ida, "READ", "Rosa " + suffix, 1280);
        TrialId trial = planned();
        int look = trials.snapshot(trial).looks().stream()
                .filter(one ->
                        one.endpoints().stream().anyMatch(code -> code.value().equals("injury")))
                .findFirst()
                .orElseThrow()
                .number();

        mo.navigate("/trials/" + trial + "/plan/bench");
        assertThat(mo.locator("main")).containsText("only who plans sees where each treatment stands");
        piet.navigate("/trials/" + trial + "/plan");
        piet.locator("form[action$='/start'] button").first().click();
        assertThat(piet.locator(".stands")).not().containsText("plan");
        score(mo, trial, look, "Phone 1", 2, "3");
        score(nel, trial, look, "Phone 2", 2, "4");
        Assertions.assertThat(by(trial, "Mo " + suffix))
                .isNotEmpty()
                .allMatch(one -> one.station().equals("Phone 1"));
        Assertions.assertThat(by(trial, "Nel " + suffix)).isNotEmpty();

        rosa.navigate("/trials/" + trial + "/findings");
        assertThat(rosa.locator("main")).containsText("unblinded");
        rosa.locator("#unblind-reason").fill("curious");
        rosa.getByText("Unblind", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(rosa.locator("h1")).hasText("Not with your account");
        Assertions.assertThat(trials.key(trial).trial().blind()).isTrue();
        forgetComplaints();

        ida.navigate("/trials/" + trial + "/findings");
        ida.locator("#unblind-reason").fill("all have scored");
        ida.getByText("Unblind", new Page.GetByTextOptions().setExact(true)).click();
        ida.navigate("/trials/" + trial + "/log");
        page = ida;
        for (String who : List.of("Piet ", "Mo ", "Nel ")) {
            assertThat(ida.locator("table.log")).containsText(who + suffix);
        }
        assertThat(ida.locator("table.log tr")
                        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("blind:"))
                        .first())
                .containsText("Ida");
        isAccessible();
        ida.navigate("/people");
        isAccessible();
    }

    @Test
    void aPhoneThatWasLostIsSignedOutAndLosesNothing() {
        FirstAccount.of("Ida", PASSWORD, application);
        open(1280, 800);
        Page ida = page;
        signIn(ida, "Ida");
        String name = "Mo " + suffix;
        Page phone = join(ida, "MEASURE", name, 360);
        TrialId trial = planned();
        plans.start(trial);
        phone.navigate("/trials/" + trial + "/bench?look=1");
        phone.locator("input[name=name]").fill("Phone 3");
        phone.getByText("Keep it").click();
        ida.navigate("/people");
        ida.getByLabel("Sign out computer, " + name)
                .or(ida.getByLabel("Sign out phone, " + name))
                .first()
                .click();
        assertThat(ida.locator("h1")).hasText("People");

        phone.locator("#value").fill("7");
        phone.keyboard().press("Enter");
        assertThat(phone.locator("main")).containsText("Nobody is signed in on this device now");
        Assertions.assertThat(trials.key(trial).readings()).isEmpty();
        Page door = phone.context().newPage();
        signIn(door, "Ida");
        assertThat(phone.locator("main")).containsText("Typed by " + name);
        Assertions.assertThat(trials.key(trial).readings()).isEmpty();
        signIn(door, name);
        phone.waitForCondition(() -> trials.key(trial).readings().size() == 1);
        Assertions.assertThat(by(trial, name)).hasSize(1);
        forgetComplaints();
    }
}
