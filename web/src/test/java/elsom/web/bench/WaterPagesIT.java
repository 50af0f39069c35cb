package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Water and feed as they are sent: understood, refused at the field, once for a token, and only by whoever has the page. */
@AppTest
class WaterPagesIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    private TrialId trial = new TrialId(1);
    private Web web = new Web(0);

    @BeforeEach
    void aTrial() {
        trial = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        plans.startNow(trial);
        web = new Web(port);
    }

    private String path(String more) {
        return "/trials/" + trial + "/water" + more;
    }

    private static Map<String, String> water(String... fields) {
        Map<String, String> sent = new HashMap<>(Map.of(
                "kind",
                "WATER",
                "amount",
                "50 mL",
                "treatment",
                "0",
                "token",
                UUID.randomUUID().toString()));
        for (int i = 0; i < fields.length; i += 2) {
            sent.put(fields[i], fields[i + 1]);
        }
        return sent;
    }

    @Test
    void asMuchForAllOrForOneTreatmentAndOnceForItsToken() throws Exception {
        Map<String, String> all = water();
        assertThat(web.post(path(""), all).statusCode()).isEqualTo(302);
        assertThat(web.post(path(""), all).statusCode()).isEqualTo(302);
        TrialRecord record = trials.snapshot(trial);
        assertThat(record.given()).hasSize(1);
        assertThat(record.given().get(0).millilitres()).hasSize(record.units().size());
        web.post(path(""), water("treatment", "1", "kind", "FEED", "what", "kelp <b>2 mL/L</b>", "amount", "0.03 L"));
        assertThat(trials.snapshot(trial).given().get(1).kind()).isEqualTo(GivenKind.FEED);
        assertThat(trials.snapshot(trial).given().get(1).millilitres().values())
                .allSatisfy(ml -> assertThat(ml).isEqualTo(30));
        assertThat(web.get(path("")).body()).contains("kelp &lt;b&gt;2 mL/L", "50 mL each");
    }

    @Test
    void whatCantBeIsToldAtItsFieldAndStands() throws Exception {
        assertThat(web.post(path(""), water("amount", "much")).body()).contains("No number in", "value=\"much\"");
        assertThat(web.post(path(""), water("amount", "90 L")).body()).contains("From 0.01 mL to 50 L");
        assertThat(web.post(path(""), water("kind", "FEED")).body()).contains("Which, and how strong?");
        assertThat(web.post(path(""), water("kind", "BEER")).statusCode()).isEqualTo(400);
        assertThat(web.forge(path(""), water()).statusCode()).isEqualTo(403);
        assertThat(trials.snapshot(trial).given()).isEmpty();
    }

    @Test
    void aUnitsNeedIsWorkedOutFromItsWeightAndWhatItIsFilledUpTo() throws Exception {
        UnitCode unit = trials.snapshot(trial).units().get(0).code();
        String need = path("/need?unit=" + unit + "&weight=");
        assertThat(web.get(need + "604+g").body()).contains("was never weighed whole");
        assertThat(web.get(need + "604+g&target=640").body()).contains("Water " + unit + " with 36 mL");
        assertThat(web.get(need + "645&target=640+g").body()).contains("needs none");
        assertThat(web.get(need + URLEncoder.encode("a lot", StandardCharsets.UTF_8))
                        .body())
                .contains("No number");
        Map<String, String> one = new HashMap<>(Map.of(
                "unit",
                unit.value(),
                "millilitres",
                "36",
                "token",
                UUID.randomUUID().toString()));
        assertThat(web.post(path("/unit"), one).body()).contains(unit + " 36 mL");
        one.put("millilitres", "-4");
        assertThat(web.post(path("/unit"), one).statusCode()).isEqualTo(422);
        assertThat(trials.snapshot(trial).given()).hasSize(1);
        assertThat(web.post(path("/1/withdraw"), Map.of()).statusCode()).isEqualTo(302);
        assertThat(trials.snapshot(trial).given()).noneMatch(given -> given.stands());
    }

    @Test
    void aTrialOfWhichNoUnitStandsNamesNoneToWater() throws Exception {
        String units = trials.snapshot(trial).units().stream()
                .map(unit -> unit.code().value())
                .collect(Collectors.joining(","));
        Map<String, String> taken = Map.of(
                "kind",
                "TAKEN",
                "unit",
                units,
                "look",
                "1",
                "token",
                UUID.randomUUID().toString());
        assertThat(web.post("/trials/" + trial + "/bench/mishaps", taken).statusCode())
                .isEqualTo(302);
        assertThat(web.get(path("")).body()).contains("No unit stands any more").doesNotContain("id=\"water-unit\"");
    }

    @Test
    void theSameAgainIsOnePressAndOnceForItsToken() throws Exception {
        Map<String, String> again =
                Map.of("kind", "WATER", "token", UUID.randomUUID().toString());
        assertThat(web.post(path("/again"), again).statusCode())
                .as("there was no last time")
                .isEqualTo(422);
        web.post(path(""), water());
        assertThat(web.post(path("/again"), again).statusCode()).isEqualTo(302);
        assertThat(web.post(path("/again"), again).statusCode()).isEqualTo(302);
        TrialRecord record = trials.snapshot(trial);
        assertThat(record.given()).hasSize(2);
        assertThat(record.given().get(1).millilitres())
                .isEqualTo(record.given().get(0).millilitres());
        web.post(path(""), water("units", record.units().get(0).code().value()));
        assertThat(web.post(
                                path("/again"),
                                Map.of(
                                        "kind",
                                        "WATER",
                                        "token",
                                        UUID.randomUUID().toString()))
                        .body())
                .contains("did not all get as much");
        assertThat(web.forge(path("/again"), again).statusCode()).isEqualTo(403);
    }

    @Test
    void aPlanThatHasNotStartedHasNothingToWater() throws Exception {
        TrialId draft = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        assertThat(web.get("/trials/" + draft + "/water").body()).contains("opens when it starts");
        assertThat(web.post("/trials/" + draft + "/water", water()).statusCode())
                .isGreaterThanOrEqualTo(400);
    }
}
