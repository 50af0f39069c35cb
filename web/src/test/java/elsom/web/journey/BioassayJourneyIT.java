package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Hours;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** With a phone: a bioassay scored, diagnosed, its lot put in quarantine, and the test that splits two causes begun. */
class BioassayJourneyIT extends BrowserTest {
    private static final int PHONE = 360;
    private static final int TALL = 740;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private Quarantines quarantines;

    private int taps;

    /** Peas in leaf mould and in a suspect compost, four pots each, a week after sowing. */
    private TrialId sown(String lot) {
        Plan begun = Protocols.find(new ProtocolCode("seedling-injury"))
                .orElseThrow()
                .begin(
                        "Does " + lot + " hurt field peas?",
                        ZoneId.of("Europe/London"),
                        Instant.now().minus(Duration.ofDays(7)),
                        Pots.of(Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5)),
                        77);
        Pots pots = new Pots(begun.pots().container(), 0, 8, 8, 0, 0.15, 0.1, 0);
        Arrangement four = begun.arrangement().withReplicates(4);
        Plan plan = begun.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("pea in leaf mould", "leaf mould", ControlKind.CONTROL),
                                PlannedTreatment.of("pea in " + lot, lot, ControlKind.NONE))),
                        pots)
                .with(four)
                .with(begun.schedule()
                        .with(
                                List.of(new PlannedLook("day 7", Duration.ofDays(7), List.of(EndpointCode.INJURY))),
                                List.of(),
                                Hours.ANY));
        TrialId id = plans.begin(plan, UUID.randomUUID());
        plans.start(id);
        return id;
    }

    private void tap(String selector) {
        taps++;
        page.locator(selector).click();
    }

    private void bench(TrialId id) {
        page.navigate("/trials/" + id + "/bench");
        if (page.locator("#station-name").isVisible()) {
            page.getByText("Keep it").click();
            page.navigate("/trials/" + id + "/bench");
        }
        assertThat(page.locator("#picker")).isVisible();
    }

    /** Scores every pot as its treatment shows, and counts the taps of each. */
    private void score(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        for (int pot = 0; pot < record.units().size(); pot++) {
            String code = page.locator("#unit-code").textContent();
            boolean clean = record.unit(new UnitCode(code)).orElseThrow().treatment() == 1;
            taps = 0;
            if (clean) {
                tap(".healthy");
                assertThat(taps).isOne();
            } else {
                tap("[data-symptom=cupped]");
                tap("[data-part=STEM]");
                tap("[data-symptom=twisted]");
                assertThat(page.locator("[data-part=LEAF]")).hasClass(Pattern.compile("picked"));
                tap(".severity [data-score='" + (6 + pot % 3) + "']");
                assertThat(taps).isLessThanOrEqualTo(4);
            }
            assertThat(page.locator(".unit[data-unit='" + code + "'] text.face"))
                    .hasText(Pattern.compile("^[0678]$"));
        }
        assertThat(page.locator("#understood")).containsText("All of “day 7” is measured");
    }

    @Test
    void scoredOnAPhoneDiagnosedQuarantinedAndTheNextTestBegun() {
        TrialId id = sown("GW-40");
        open(PHONE, TALL);
        bench(id);
        isAccessible();
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(PHONE);
        BoundingBox last = page.locator(".severity [data-score='10']").boundingBox();
        assertThat(page.locator("#unit-code").boundingBox().y).isGreaterThanOrEqualTo(0);
        assertThat(last.y + last.height)
                .as("all of the picker without scrolling")
                .isLessThanOrEqualTo(TALL);
        assertThat(last.height).isGreaterThanOrEqualTo(44);
        BoundingBox save = page.locator("#save").boundingBox();
        assertThat(save.y + save.height).as("and the save").isLessThanOrEqualTo(TALL);
        assertThat(save.y).as("which covers no score").isGreaterThanOrEqualTo(last.y + last.height);
        for (Locator chip : page.locator(".symptoms button:visible").all()) {
            assertThat(chip.boundingBox().height).isGreaterThanOrEqualTo(44);
        }
        score(id);

        page.navigate("/trials/" + id + "/findings");
        assertThat(page.locator(".first-answer").first()).containsText("GW-40: pea injured from");
        assertThat(page.locator(".first-answer").first()).containsText("Auxin-type weedkiller residue is likely");
        assertThat(page.locator(".board tbody").first()).containsText("auxin-type weedkiller residue");
        assertThat(page.locator(".board")).not().containsText("%");
        isAccessible();
        page.getByLabel("Where has some of it already gone?").fill("two barrows to the herb beds");
        button("Put GW-40 in quarantine").click();
        assertThat(page.locator(".sheet.lot")).containsText("in quarantine since");
        assertThat(quarantines.of("gw-40").orElseThrow().goneTo()).isEqualTo("two barrows to the herb beds");

        button("Plan this test").click();
        page.waitForURL(Pattern.compile(".*/trials/\\d+/plan$"));
        assertThat(page.locator(".notice.apart")).containsText("GW-40 is in quarantine");
        assertThat(page.locator("h1")).containsText("What hurts pea");
        assertThat(page.locator("main")).containsText("GW-40");
        isAccessible();
        page.navigate("/shelf/containers");
        assertThat(page.locator(".apart")).containsText("GW-40");
        isAccessible();
    }

    @Test
    void whatCantBeIsSaidInPlaceAndNothingTypedIsLost() {
        TrialId id = sown("GW-41");
        open(PHONE, TALL);
        bench(id);
        for (String[] wrong : new String[][] {
            {"11 cupped", "can't be 11"},
            {"7 curly", "“curly” is no symptom known here"},
            {"-1", "can't be"}
        }) {
            page.locator("#value").fill(wrong[0]);
            page.locator("#save").click();
            assertThat(page.locator("#asked")).containsText(wrong[1]);
            assertThat(page.locator("#value")).hasValue(wrong[0]);
        }
        page.locator("#value").fill("7 cupped, stunted");
        page.locator("#save").click();
        assertThat(page.locator("#done")).hasText("1");
    }
}
