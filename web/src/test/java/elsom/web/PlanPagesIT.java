package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the server answers while a trial is planned, started, changed and copied. */
@AppTest
class PlanPagesIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Autowired
    private Plans plans;

    private Web web = new Web(0);
    private TrialId trial = new TrialId(0);

    @BeforeEach
    void aDraft() {
        web = new Web(port);
        trial = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
    }

    private String path(String tail) {
        return "/trials/" + trial + tail;
    }

    private HttpResponse<String> post(String tail, Map<String, String> fields) throws Exception {
        return web.post(path(tail), fields);
    }

    private static String token() {
        return UUID.randomUUID().toString();
    }

    private static String location(HttpResponse<String> answer) {
        return URI.create(answer.headers().firstValue("Location").orElseThrow()).getPath();
    }

    @Test
    void aTrialBeginsOnceWithAQuestion() throws Exception {
        Map<String, String> form = new HashMap<>(Map.of("protocol", "growth", "token", token()));
        form.put("question", " ");
        HttpResponse<String> refused = web.post("/trials/new", form);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Write the question first. Accepted: Do marigold plugs");
        form.put("question", "Does <b>dip</b> help?");
        HttpResponse<String> begun = web.post("/trials/new", form);
        assertThat(begun.statusCode()).isEqualTo(302);
        assertThat(location(web.post("/trials/new", form))).isEqualTo(location(begun));
        assertThat(web.get(location(begun)).body()).contains("Does &lt;b&gt;dip&lt;/b&gt; help?");
    }

    @Test
    void aRefusedFormComesBackAsItWasTyped() throws Exception {
        HttpResponse<String> answer = post(
                "/plan/treatments",
                Map.of("as", "list", "list[0].name", "Wood <b>fibre", "volume", "soon", "container", "Round pot 9 cm"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains(
                        "No number in “soon”",
                        "value=\"Wood &lt;b&gt;fibre\"",
                        "value=\"soon\"",
                        "Nothing you typed is lost");
        assertThat(plans.plan(trial)).isEqualTo(GrowthPlan.plan());
    }

    @ParameterizedTest
    @CsvSource({"treatments,4 treatments", "size,of each can see", "dates,What is due when"})
    void aPreviewShowsAndKeepsNothing(String part, String words) throws Exception {
        Map<String, String> grid = Map.of(
                "as",
                "grid",
                "factors[0].name",
                "Dip",
                "factors[0].kind",
                "HANDLING",
                "factors[0].levels",
                "none, a, b, c",
                "replicates",
                "7",
                "mode",
                "start",
                "start",
                "2026-06-03T08:00",
                "looks[0].after",
                "7 d",
                "looks[0].endpoints",
                "height");
        HttpResponse<String> preview = post("/plan/" + part + "/preview", grid);
        assertThat(preview.statusCode()).isEqualTo(200);
        assertThat(preview.body()).contains(words).doesNotContain("<html");
        assertThat(plans.plan(trial)).isEqualTo(GrowthPlan.plan());
    }

    @Test
    void aPlanIsRunBeforeItIsRunUnderWhatIsSupposed() throws Exception {
        Map<String, String> size = new HashMap<>(Map.of("replicates", "4", "cv", "15"));
        assertThat(post("/plan/size/preview", size).body()).contains("simulated runs of this plan", "data-rulers");
        size.put("truth", "0");
        assertThat(post("/plan/size/preview", size).body())
                .contains("Were there no true difference", "would claim one");
        size.put("truth", "500");
        assertThat(post("/plan/size/preview", size).body()).contains("truly apart by 500 %", "100 % would tell");
        size.put("truth", "a lot");
        assertThat(post("/plan/size/preview", size).body())
                .contains("simulated runs of this plan", "Not reckoned with", "The difference to suppose, 0 to 500");
        size.put("replicates", "1");
        assertThat(post("/plan/size/preview", size).body())
                .contains("One unit of each tells nothing")
                .doesNotContain("simulated runs");
    }

    @Test
    void aUnitIsMovedAndTheBalanceAnswered() throws Exception {
        TrialRecord before = trials.snapshot(trial);
        ExperimentalUnit unit = before.units().get(0);
        ExperimentalUnit other = before.units().get(5);
        Map<String, String> move = new HashMap<>(Map.of("unit", unit.code().value(), "bench", "1"));
        move.put("row", Integer.toString(other.position().row()));
        move.put("column", Integer.toString(other.position().column()));
        HttpResponse<String> answer = post("/plan/bench/move", move);
        assertThat(answer.body()).contains("Balance", "1 unit was moved by hand");
        assertThat(trials.snapshot(trial).unit(unit.code()).orElseThrow().position())
                .isEqualTo(other.position());
        assertThat(trials.snapshot(trial).unit(other.code()).orElseThrow().position())
                .isEqualTo(unit.position());
        move.put("column", "999");
        assertThat(post("/plan/bench/move", move).statusCode()).isEqualTo(422);
        move.put("unit", "Q99");
        assertThat(post("/plan/bench/move", move).statusCode()).isEqualTo(422);
        post("/plan/bench/draw", Map.of());
        assertThat(trials.snapshot(trial).units()).isEqualTo(before.units());
        post("/plan/bench/draw", Map.of("anew", "true"));
        assertThat(trials.snapshot(trial).units()).isNotEqualTo(before.units());
    }

    @Test
    void aStartedTrialChangesOnlyWithAReason() throws Exception {
        assertThat(post("/start", Map.of()).statusCode()).isEqualTo(302);
        Map<String, String> dates = new HashMap<>(Map.of("mode", "start", "start", "2026-06-01T09:00"));
        dates.put("looks[0].after", "9 d");
        dates.put("looks[0].endpoints", "height");
        HttpResponse<String> refused = post("/plan/dates", dates);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Accepted: away that week");
        dates.put("reason", "cold spring");
        assertThat(post("/plan/dates", dates).statusCode()).isEqualTo(302);
        assertThat(web.get(path("/plan")).body()).contains("Changed since the start", "cold spring");
        assertThat(web.get(path("/findings")).body()).contains("Findings come after the first look");
        assertThat(web.get(path("/report")).body())
                .contains("Changed after the start", "Why: cold spring", "drawn at random: blocks");
        HttpResponse<String> frozen = post(
                "/plan/treatments",
                Map.of("as", "list", "list[0].name", "bark", "container", "Round pot 9 cm", "reason", "better idea"));
        assertThat(frozen.statusCode()).isEqualTo(422);
        assertThat(frozen.body()).contains("once a trial runs, both are frozen");
    }

    @Test
    void looksCountFromThePlannedStartOrFromNow() throws Exception {
        assertThat(web.get(path("/plan")).body()).contains("Looks count from", "Mon 1 Jun, 09:00", "count from now");
        post("/start", Map.of("now", "true"));
        TrialRecord started = trials.snapshot(trial);
        assertThat(Duration.between(started.trial().start(), Instant.now())).isLessThan(Duration.ofMinutes(3));
        assertThat(plans.plan(trial).schedule().start())
                .isEqualTo(started.trial().start());
        assertThat(started.units()).isEqualTo(GrowthPlan.plan().draw(trial).units());
    }

    /** Numbers of the textures that a page fills units or swatches with. */
    private static Set<String> textures(String page) {
        return Pattern.compile("fill=\"url\\(#tex-(\\d+)\\)\"")
                .matcher(page)
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toSet());
    }

    @Test
    void aBlindTrialTellsNowhere() throws Exception {
        trial = plans.begin(GrowthPlan.blind(), UUID.randomUUID());
        post("/start", Map.of());
        UnitCode unit = trials.key(trial).units().get(0).code();
        for (String page : List.of(
                "/bench", "/plan", "/plan/bench", "/plan/labels", "/files", "/findings", "/report", "/units/" + unit)) {
            HttpResponse<String> answer = web.get(path(page));
            assertThat(answer.statusCode()).as(page).isEqualTo(200);
            assertThat(textures(answer.body())).as(page).isSubsetOf("1");
            assertThat(answer.body()).as(page).contains("#tile-PLAIN").doesNotContain("#tile-FIBRES", "#tile-BRICKS");
        }
        for (String page : List.of("/bench", "/plan/bench", "/files", "/findings", "/readings.csv", "/units/" + unit)) {
            assertThat(web.get(path(page)).body()).as(page).doesNotContain("wood fibre", "seaweed");
        }
        assertThat(web.get("/trials?q=wood+fibre").body()).doesNotContain("href=\"/trials/" + trial + "\"");
        assertThat(web.get(path("/copy")).body()).contains("This trial is blind");
        byte[] labels = web.download(path("/labels.pdf?names=true"));
        assertThat(new String(labels, StandardCharsets.ISO_8859_1)).startsWith("%PDF");

        assertThat(post("/unblind", Map.of("reason", " ")).statusCode()).isEqualTo(422);
        assertThat(post("/unblind", Map.of("reason", "all looks done")).statusCode())
                .isEqualTo(302);
        String open = web.get(path("/bench")).body();
        assertThat(open).contains("wood fibre", "seaweed");
        assertThat(textures(open)).hasSize(4);
        assertThat(web.get(path("/plan")).body()).contains("Unblinded", "all looks done");
    }

    private TrialId sentToAnotherElsom() throws Exception {
        byte[] zip = web.download(path("/trial.zip"));
        HttpResponse<String> read = web.upload("/trials/import", "trial.zip", zip, Map.of("token", token()));
        assertThat(read.statusCode()).isEqualTo(302);
        return new TrialId(Long.parseLong(location(read).replace("/trials/", "")));
    }

    @Test
    void aPlanGoesOutAndInUnchangedBeforeTheStartAndAfterAndWhileBlind() throws Exception {
        TrialId copy = sentToAnotherElsom();
        assertThat(plans.plan(copy)).isEqualTo(GrowthPlan.plan());
        assertThat(trials.snapshot(copy).trial().started()).isFalse();
        assertThat(trials.snapshot(copy).units())
                .isEqualTo(trials.snapshot(trial).units());

        plans.start(trial);
        copy = sentToAnotherElsom();
        assertThat(plans.plan(copy)).isEqualTo(GrowthPlan.plan());
        assertThat(trials.snapshot(copy).units())
                .isEqualTo(trials.snapshot(trial).units());

        trial = plans.begin(GrowthPlan.blind(), UUID.randomUUID());
        plans.start(trial);
        copy = sentToAnotherElsom();
        assertThat(trials.snapshot(copy).treatments()).hasSize(1);
        assertThat(trials.key(copy).units()).isEqualTo(trials.key(trial).units());
        assertThat(plans.plan(copy)).isEqualTo(GrowthPlan.blind());
    }

    @Test
    void labelsAndDatesGoOut() throws Exception {
        HttpResponse<String> dates = web.get(path("/calendar.ics"));
        assertThat(dates.headers().firstValue("Content-Type"))
                .hasValueSatisfying(type -> assertThat(type).startsWith("text/calendar"));
        assertThat(dates.body()).startsWith("BEGIN:VCALENDAR");
        for (String sheet : List.of("A4", "A4_SMALL", "LETTER", "ROLL")) {
            HttpResponse<String> labels = web.get(path("/labels.pdf?sheet=" + sheet));
            assertThat(labels.headers().firstValue("Content-Type")).contains("application/pdf");
        }
        assertThat(web.get(path("/labels.pdf?sheet=A3")).statusCode()).isEqualTo(400);
        String code = trials.snapshot(trial).units().get(0).code().value();
        assertThat(location(web.get("/u/" + trial + "/" + code))).isEqualTo(path("/bench"));
    }

    @Test
    void theNextTrialIsACopyWithAChange() throws Exception {
        Map<String, String> form = new HashMap<>(Map.of("token", token(), "how", "anew", "replicates", "6"));
        form.put("treatments", "1 3");
        String next = location(post("/copy", form));
        assertThat(web.get(next).body())
                .contains("2 treatments × 6", "6 of each instead of 3", "without none · wood fibre");
        form.put("treatments", "9");
        form.put("token", token());
        HttpResponse<String> none = post("/copy", form);
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("Leave at least one treatment ticked.");
    }

    @Test
    void keptUnitsKeepTheirHistory() throws Exception {
        post("/start", Map.of());
        String codes = trials.snapshot(trial).units().stream()
                .limit(4)
                .map(unit -> unit.code().value())
                .collect(Collectors.joining(" "));
        String one = codes.substring(0, codes.indexOf(' '));
        Map<String, String> reading =
                new HashMap<>(Map.of("unit", one, "look", "1", "endpoint", "emerged", "sub", "1"));
        reading.putAll(Map.of("text", "4", "timing", "NOW", "instrument", "HAND", "ageMs", "0", "token", token()));
        assertThat(post("/bench/readings", reading).statusCode()).isEqualTo(200);
        assertThat(post("/copy", Map.of("how", "stage", "token", token())).body())
                .contains("Tick the units that go on.");
        String next = location(post("/copy", Map.of("how", "stage", "keep", codes, "token", token())));
        assertThat(web.get(next).body()).contains("4 units kept", "chosen, not drawn at random");
        web.post(next.replace("/plan", "/start"), Map.of());
        assertThat(web.get(next.replace("/plan", "/units/" + one)).body())
                .contains("Before, in", "Does a dip help marigold?", "Plants up");
        assertThat(web.get(next.replace("/plan", "/units/Z99")).statusCode()).isEqualTo(404);
    }

    @Test
    void thereIsNoSuchPart() throws Exception {
        assertThat(web.get(path("/plan/dreams")).statusCode()).isEqualTo(404);
        assertThat(post("/plan/ready", Map.of()).statusCode()).isEqualTo(422);
        assertThat(web.forge(path("/start"), Map.of()).statusCode()).isEqualTo(403);
        assertThat(trials.snapshot(trial).trial().started()).isFalse();
    }
}
