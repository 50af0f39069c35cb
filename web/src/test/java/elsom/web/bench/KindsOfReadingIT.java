package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.WithPlaceAndWords;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Places, words and skips as the bench sends them. */
@AppTest
class KindsOfReadingIT {
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
        trial = plans.begin(WithPlaceAndWords.of(GrowthPlan.plan()), UUID.randomUUID());
        plans.startNow(trial);
        web = new Web(port);
    }

    private TrialRecord record() {
        return trials.snapshot(trial);
    }

    private String bench(String more) {
        return "/trials/" + trial + "/bench" + more;
    }

    private HttpResponse<String> enter(ExperimentalUnit unit, String endpoint, String text) throws Exception {
        return web.post(
                bench("/readings"),
                Map.of(
                        "unit",
                        unit.code().value(),
                        "look",
                        "1",
                        "endpoint",
                        endpoint,
                        "sub",
                        "1",
                        "text",
                        text,
                        "timing",
                        "NOW",
                        "instrument",
                        "HAND",
                        "ageMs",
                        "0",
                        "token",
                        UUID.randomUUID().toString()));
    }

    @Test
    void aSharedPlaceIsAskedAboutAndOneBeyondTheLastRefused() throws Exception {
        ExperimentalUnit first = record().units().get(0);
        List<ExperimentalUnit> block = record().units().stream()
                .filter(unit -> unit.block() == first.block())
                .toList();
        assertThat(enter(block.get(0), "strength-order", "1").body()).contains("SAVED");
        assertThat(enter(block.get(1), "strength-order", "1").body())
                .contains("ODD")
                .contains(first.code() + " has place 1 here too");
        assertThat(enter(block.get(2), "strength-order", "99").body())
                .contains("REFUSED")
                .contains("no place is beyond " + block.size());
    }

    @Test
    void wordsAreSavedShownAndToldInFindings() throws Exception {
        ExperimentalUnit unit = record().units().get(0);
        assertThat(enter(unit, "root-words", "tips <b>brown</b>").body()).contains("SAVED");
        assertThat(enter(unit, "root-words", "").body()).contains("REFUSED");
        assertThat(web.get("/trials/" + trial + "/units/" + unit.code()).body())
                .contains("tips &lt;b&gt;brown&lt;/b&gt;");
        assertThat(web.get("/trials/" + trial + "/findings").body())
                .contains("Roots in words")
                .contains(unit.code() + " tips &lt;b&gt;brown&lt;/b&gt;");
        assertThat(web.get(bench("/understood?endpoint=root-words&text=white")).body())
                .contains("\"good\":true")
                .contains("\"text\":\"\"");
    }

    @Test
    void anEndpointIsSkippedWithItsReasonAndReadAfterAll() throws Exception {
        assertThat(web.post(bench("/skips"), Map.of("look", "1", "endpoint", "height", "reason", " "))
                        .body())
                .contains("Say why it does not apply");
        web.post(bench("/skips"), Map.of("look", "1", "endpoint", "height", "reason", "too <small>"));
        assertThat(record().beside().skips())
                .singleElement()
                .satisfies(skip -> assertThat(skip.reason()).isEqualTo("too <small>"));
        String page = web.get(bench("?look=1")).body();
        assertThat(page).contains("too &lt;small&gt;").contains("Read Height after all");
        assertThat(page).doesNotContain("/height/1");
        web.post(bench("/skips/back"), Map.of("look", "1", "endpoint", "height"));
        assertThat(record().beside().skips()).isEmpty();
        assertThat(web.get(bench("?look=1")).body()).contains("/height/1");
    }

    @Test
    void waterGoesToTheUnitsThatAreNamed() throws Exception {
        String one = record().units().get(0).code().value();
        String other = record().units().get(5).code().value();
        Map<String, String> sent = Map.of(
                "kind",
                "WATER",
                "amount",
                "50 mL",
                "units",
                one.toLowerCase(Locale.ROOT) + ", " + other,
                "token",
                UUID.randomUUID().toString());
        assertThat(web.post("/trials/" + trial + "/water", sent).statusCode()).isEqualTo(302);
        assertThat(record().given().get(0).millilitres().keySet())
                .extracting(code -> code.value())
                .containsExactlyInAnyOrder(one, other);
        HttpResponse<String> wrong = web.post(
                "/trials/" + trial + "/water",
                Map.of(
                        "kind",
                        "WATER",
                        "amount",
                        "50 mL",
                        "units",
                        one + " Z00",
                        "token",
                        UUID.randomUUID().toString()));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("“Z00” is no unit that stands here").contains(one + " Z00");
        assertThat(record().given()).hasSize(1);
    }
}
