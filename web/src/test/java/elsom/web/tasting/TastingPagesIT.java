package elsom.web.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Tastings of the demo's coriander, as the server answers. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class TastingPagesIT {
    private static final List<String> THREE = List.of("plain", "weak", "strong");

    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Tastings tastings;

    private Web web;
    private TrialId coriander;

    @BeforeEach
    void client() {
        web = new Web(port);
        coriander = lists.search(Wanted.of("digestate"), 0, 10).trials().stream()
                .map(one -> one.id())
                .findFirst()
                .orElseThrow();
    }

    private int begun(Tasting.Kind kind, List<String> samples, int tasters) {
        return tastings.begin(coriander, new Tasting(kind, samples, tasters, 5), "Bench A", UUID.randomUUID());
    }

    private String page(String path) throws Exception {
        return web.get("/trials/" + coriander + "/tasting" + path).body();
    }

    private HttpResponse<String> post(String path, Map<String, String> fields) throws Exception {
        return web.post("/trials/" + coriander + "/tasting" + path, fields);
    }

    @Test
    void theDemosTastingsTellAndStayBlind() throws Exception {
        assertThat(page("")).contains("They can taste a difference between “0 mL/L” and “40 mL/L”: 9 of 12");
        List<Tastings.Session> all = tastings.of(coriander);
        String blind = page("/" + all.get(all.size() - 1).number());
        assertThat(blind).contains("found the odd one");
        Tastings.Session half = all.stream()
                .filter(session -> session.tasted().done() == 7)
                .findFirst()
                .orElseThrow();
        assertThat(page("/" + half.number()))
                .contains("Blind: 7 of 12 are done")
                .doesNotContain("Friedman");
        assertThat(web.get("/trials/" + coriander + "/findings").body())
                .contains("Taste it blind", "What tasters said", "9 of 12 found the odd one");
    }

    @Test
    void theReportTellsWhatIsNoLongerBlindAndNothingElse() throws Exception {
        tastings.answer(coriander, begun(Tasting.Kind.RANKING, List.of("a", "b"), 1), 1, 0, 1);
        assertThat(web.get("/trials/" + coriander + "/report").body())
                .contains("What tasters said", "9 of 12 found the odd one", "data-points", "Exact binomial at 1/3")
                .doesNotContain("vote is not a panel")
                .doesNotContain(", 7 tasters");
        assertThat(web.get("/trials/" + coriander + "/report.md").body())
                .contains("## What tasters said", "### Which is the odd one?", "- Exact binomial at 1/3")
                .doesNotContain(", 7 tasters");
    }

    @Test
    void aFormThatCannotBeServedComesBackAsItWas() throws Exception {
        HttpResponse<String> refused =
                post("", Map.of("kind", "TRIANGLE", "samples", "plain\nweak\nstrong", "tasters", "many"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("has two samples, here are 3")
                .contains("Tasters are a number from 1 to 200")
                .contains("plain\nweak\nstrong")
                .contains("value=\"many\"");
        assertThat(post("", Map.of("kind", "LIKING", "samples", "plain\nplain", "tasters", "6"))
                        .body())
                .contains("Two samples have the same name");
    }

    @Test
    void sendingTheFormTwiceBeginsOnce() throws Exception {
        Map<String, String> form = Map.of(
                "kind",
                "PAIR",
                "samples",
                "plain\nweak",
                "tasters",
                "6",
                "token",
                UUID.randomUUID().toString());
        String first = post("", form).headers().firstValue("location").orElseThrow();
        assertThat(post("", form).headers().firstValue("location")).contains(first);
    }

    @Test
    void likingIsAskedPlateByPlateAndTheTasterIsDoneAfterTheLast() throws Exception {
        int number = begun(Tasting.Kind.LIKING, THREE, 2);
        assertThat(page("/" + number + "/taste")).contains("This is for taster 1", "Allergic");
        for (int place = 0; place < 3; place++) {
            assertThat(page("/" + number + "/taste?ready=true")).contains((place + 1) + " of 3");
            post("/" + number + "/taste", Map.of("taster", "1", "place", String.valueOf(place), "answer", "7"));
        }
        assertThat(page("/" + number + "/taste?taster=1&ready=true")).contains("Hand the phone on");
        assertThat(page("/" + number + "/taste")).contains("This is for taster 2");
        HttpResponse<String> again = post("/" + number + "/taste", Map.of("taster", "1", "place", "0", "answer", "2"));
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("Taster 1 is done already");
        assertThat(post("/" + number + "/taste", Map.of("taster", "2", "place", "0", "answer", "7"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(post("/" + number + "/taste", Map.of("taster", "2", "place", "0", "answer", "1"))
                        .body())
                .contains("has its points already");
        post("/" + number + "/again", Map.of("taster", "1"));
        assertThat(tastings.session(coriander, number).round().of(1)).isEmpty();
    }

    /** Taster 2 presses Back: the page of taster 1 wipes nothing once the phone was handed on. */
    @Test
    void whatATasterSaidStandsOnceThePhoneWasHandedOn() throws Exception {
        int number = begun(Tasting.Kind.PAIR, List.of("plain", "weak"), 6);
        post("/" + number + "/taste", Map.of("taster", "1", "place", "1"));
        post("/" + number + "/again", Map.of("taster", "1"));
        post("/" + number + "/taste", Map.of("taster", "1", "place", "0"));
        assertThat(page("/" + number + "/taste?ready=true&taster=1")).contains("I pressed the wrong one");
        post("/" + number + "/handed", Map.of("taster", "1"));
        assertThat(page("/" + number + "/taste?ready=true&taster=1"))
                .contains("The phone was handed on")
                .doesNotContain("I pressed the wrong one");
        HttpResponse<String> back = post("/" + number + "/again", Map.of("taster", "1"));
        assertThat(back.statusCode()).isEqualTo(422);
        assertThat(back.body()).contains("what taster 1 said stands");
        assertThat(tastings.session(coriander, number).round().of(1)).containsOnlyKeys(0);
        post("/" + number + "/reveal", Map.of());
        post("/" + number + "/reveal", Map.of());
        assertThat(page("/" + number))
                .contains("Taster 1 began again", "when 1 of 6 were done")
                .containsOnlyOnce("The codes were told");
        assertThat(web.inZip(coriander, "events.csv"))
                .contains("HANDED_ON," + number + "/1", "BEGUN_AGAIN," + number + "/1,{1=1.0}", "CODES_TOLD," + number);
    }

    @Test
    void rankingTakesTheBestFirstAndTheLastPlateFallsIntoPlace() {
        int number = begun(Tasting.Kind.RANKING, THREE, 1);
        tastings.answer(coriander, number, 1, 2, 1);
        assertThatThrownBy(() -> tastings.answer(coriander, number, 1, 2, 1))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("has its place already");
        tastings.answer(coriander, number, 1, 0, 1);
        assertThat(tastings.session(coriander, number).round().of(1))
                .containsExactlyInAnyOrderEntriesOf(Map.of(2, 1.0, 0, 2.0, 1, 3.0));
    }

    @Test
    void nonsenseIsRefused() {
        int number = begun(Tasting.Kind.LIKING, THREE, 2);
        for (double points : new double[] {0, 10}) {
            assertThatThrownBy(() -> tastings.answer(coriander, number, 1, 0, points))
                    .isInstanceOf(Refusal.class);
        }
        assertThatThrownBy(() -> tastings.answer(coriander, number, 3, 0, 5)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> tastings.answer(coriander, number, 1, 3, 5)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> tastings.session(coriander, 999)).isInstanceOf(NotFound.class);
    }

    @Test
    void codesToldEarlyEndTheBlindPart() throws Exception {
        int number = begun(Tasting.Kind.PAIR, List.of("plain", "weak"), 6);
        tastings.answer(coriander, number, 1, 0, 1);
        post("/" + number + "/reveal", Map.of());
        assertThat(page("/" + number)).contains("One taster’s vote is not a panel.");
        assertThatThrownBy(() -> tastings.answer(coriander, number, 2, 0, 1))
                .hasMessageContaining("would not be blind");
        assertThat(tastings.session(coriander, number).round().of(2)).isEmpty();
        assertThat(post("/" + number + "/again", Map.of("taster", "1")).statusCode())
                .isEqualTo(422);
    }

    @Test
    void sheetsCarryEveryCodeForTheKitchenAndForEachTaster() throws Exception {
        int number = begun(Tasting.Kind.LIKING, THREE, 6);
        String sheets = page("/" + number + "/sheets");
        tastings.session(coriander, number)
                .tasting()
                .served()
                .forEach(tray -> tray.forEach(plate ->
                        assertThat(sheets).contains(">" + plate.code() + "</b>", ">" + plate.code() + "</span>")));
    }
}
