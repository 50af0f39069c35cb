package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.water.WaterHolding;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the server answers to good requests and bad ones. */
@AppTest
class PagesIT {
    private static final Pattern SENTENCE = Pattern.compile("<p class=\"sentence\"><span>([^<]+)</span>");

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Autowired
    private TrialLists lists;

    private Web web = new Web(0);
    private TrialId trial = new TrialId(0);

    @BeforeEach
    void aMeasuredTrial() {
        web = new Web(port);
        trial = trials.create(ExchangeFixture.whole(), UUID.randomUUID());
    }

    private String path(String tail) {
        return "/trials/" + trial + tail;
    }

    private TrialRecord record() {
        return trials.snapshot(trial);
    }

    private static String sentence(HttpResponse<String> page) {
        Matcher matcher = SENTENCE.matcher(page.body());
        assertThat(matcher.find()).isTrue();
        return matcher.group(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/trials",
                "/trials/new",
                "/trials/import",
                "/shelf",
                "/shelf/new",
                "/shelf/containers",
                "/shelf/uses",
                "/shelf/files",
                "/mix/design",
                "/trials/T",
                "/trials/T/plan",
                "/trials/T/plan/treatments",
                "/trials/T/plan/size",
                "/trials/T/plan/bench",
                "/trials/T/plan/dates",
                "/trials/T/plan/ready",
                "/trials/T/plan/labels",
                "/trials/T/copy",
                "/trials/T/bench",
                "/trials/T/bench?look=4&timing=AS_PLANNED",
                "/trials/T/findings",
                "/trials/T/findings?at=5&bench=1",
                "/trials/T/findings/working?kind=held&bench=1&treatment=1",
                "/trials/T/report",
                "/trials/T/files",
                "/trials?q=leaf",
                "/trials?q=%3Cscript%3E"
            })
    void everyPageOpensUnderAStrictPolicy(String address) throws Exception {
        HttpResponse<String> page = web.get(address.replace("/T", "/" + trial));
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.headers().firstValue("Content-Security-Policy"))
                .hasValueSatisfying(policy -> assertThat(policy)
                        .contains("default-src 'none'", "script-src 'self'")
                        .doesNotContain("unsafe"));
        assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(page.body())
                .contains("<title>")
                .doesNotContain("onclick=", "style=\"", "<script>", "??", "th:text")
                .doesNotContain("\"><script");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/trials/999999",
                "/trials/999999/findings",
                "/trials/abc",
                "/trials/T/bench?look=99",
                "/trials/T/bench?unit=Q99",
                "/trials/T/findings?bench=9",
                "/trials/T/findings/working?kind=nonsense",
                "/trials/T/findings/working?kind=held&unit=Z99",
                "/nope",
                "/h2-console",
                "/actuator/env"
            })
    void whatIsNotThereSaysSoWithAWayBack(String address) throws Exception {
        HttpResponse<String> page = web.get(address.replace("/T", "/" + trial));
        assertThat(page.statusCode()).isEqualTo(404);
        assertThat(page.body())
                .contains("class=\"button is-primary\" href=\"/trials")
                .doesNotContain("Exception", "at elsom", "Whitelabel");
    }

    @Test
    void healthIsUp() throws Exception {
        assertThat(web.get("/actuator/health").body()).contains("UP");
    }

    @Test
    void stylesAndScriptsAreKeptByTheBrowser() throws Exception {
        HttpResponse<String> page = web.get("/");
        Matcher style = Pattern.compile("href=\"(/[^\"]*elsom\\.css)\"").matcher(page.body());
        assertThat(style.find()).isTrue();
        HttpResponse<String> css = web.get(style.group(1));
        assertThat(css.statusCode()).isEqualTo(200);
        assertThat(css.headers().firstValue("Cache-Control"))
                .hasValueSatisfying(cache -> assertThat(cache).contains("max-age=31536000"));
    }

    @Test
    void withoutThePagesKeyNothingChanges() throws Exception {
        HttpResponse<String> answer = web.forge(path("/bench/readings"), entry(unit(0), 1, "tare-mass", "77"));
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("key has run out");
        assertThat(record().readings()).hasSameSizeAs(ExchangeFixture.measured().readings());
    }

    private String unit(int index) {
        return record().benchOrder().get(index).code().value();
    }

    private static Map<String, String> entry(String unit, int look, String endpoint, String text) {
        Map<String, String> fields = new HashMap<>();
        fields.put("unit", unit);
        fields.put("look", Integer.toString(look));
        fields.put("endpoint", endpoint);
        fields.put("sub", "1");
        fields.put("text", text);
        fields.put("timing", "NOW");
        fields.put("instrument", "HAND");
        fields.put("ageMs", "0");
        fields.put("token", UUID.randomUUID().toString());
        return fields;
    }

    private HttpResponse<String> enter(Map<String, String> fields) throws IOException, InterruptedException {
        return web.post(path("/bench/readings"), fields);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    -3          | it can be 0 to 50000 g
                    abc         | No number in “abc”
                    1.2,5       | Two decimal separators
                    999999 kg   | perhaps the unit is another
                    48 mL       | wanted is a weight
                    """)
    void aBadWeightIsRefusedAndNothingIsWritten(String text, String why) throws Exception {
        int before = record().readings().size();
        HttpResponse<String> answer = enter(entry(unit(0), 1, "tare-mass", text));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("REFUSED", why);
        assertThat(record().readings()).hasSize(before);
    }

    @Test
    void anUnknownUnitOrLookIsRefused() throws Exception {
        assertThat(enter(entry("Q99", 1, "tare-mass", "3")).statusCode()).isEqualTo(422);
        assertThat(enter(entry(unit(0), 99, "tare-mass", "3")).statusCode()).isEqualTo(422);
        assertThat(enter(entry(unit(0), 1, "wet-mass", "3")).statusCode()).isEqualTo(422);
        assertThat(web.post("/trials/999999/bench/readings", entry("K22", 1, "tare-mass", "3"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(web.post(path("/bench/readings"), Map.of("unit", "K22")).statusCode())
                .isBetween(400, 422);
    }

    @Test
    void wetLighterThanDryIsSavedAndAskedAbout() throws Exception {
        TrialRecord record = record();
        ExperimentalUnit unit = record.units().get(0);
        Look last = record.looks().get(record.looks().size() - 1);
        ReadingRef ref = new ReadingRef(unit.code(), last.number(), WaterHolding.WET);
        Map<String, String> fields = entry(unit.code().value(), last.number(), "wet-mass", "12");
        fields.put("replaces", record.current(ref).orElseThrow().id().toString());
        fields.put("reason", "WRONG_UNIT");
        HttpResponse<String> answer = enter(fields);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("ODD", "Lighter than its own dry weight");
        assertThat(record().current(ref).orElseThrow().value()).isEqualTo(12);
    }

    @Test
    void aStaleTabOverwritesNothingAndADoubleClickEntersOnce() throws Exception {
        TrialRecord record = record();
        ReadingRef ref = new ReadingRef(record.units().get(1).code(), 1, WaterHolding.TARE);
        String standing = record.current(ref).orElseThrow().id().toString();
        Map<String, String> first = entry(ref.unit().value(), 1, "tare-mass", "33");
        first.put("replaces", standing);
        assertThat(enter(first).statusCode()).isEqualTo(200);
        assertThat(enter(first).statusCode()).isEqualTo(200);
        assertThat(record().history(ref)).hasSize(2);

        Map<String, String> stale = entry(ref.unit().value(), 1, "tare-mass", "34");
        stale.put("replaces", standing);
        HttpResponse<String> answer = enter(stale);
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("STALE", "33.0 g", "Yours is still in the field");
        assertThat(record().current(ref).orElseThrow().value()).isEqualTo(33);
    }

    @Test
    void aTypedTextIsExplainedBeforeItIsSaved() throws Exception {
        assertThat(web.get(path("/bench/understood?endpoint=wet-mass&text=1.7+oz"))
                        .body())
                .contains("true", "48.19 g");
        assertThat(web.get(path("/bench/understood?endpoint=wet-mass&text=1..7"))
                        .body())
                .contains("false", "Two decimal");
    }

    @Test
    void aLongNoteIsRefused() throws Exception {
        Map<String, String> fields = new HashMap<>(Map.of("kind", "OTHER", "unit", unit(0), "look", "4"));
        fields.put("token", UUID.randomUUID().toString());
        fields.put("note", "x".repeat(301));
        assertThat(web.post(path("/bench/mishaps"), fields).statusCode()).isEqualTo(422);
        fields.put("kind", "EATEN");
        assertThat(web.post(path("/bench/mishaps"), fields).statusCode()).isEqualTo(400);
    }

    @Test
    void badFilesAreRefusedWholeWithTheirReason() throws Exception {
        int before = record().readings().size();
        byte[] huge = new byte[66 * 1024 * 1024];
        byte[] binary = {(byte) 0x89, 'P', 'N', 'G', 0, (byte) 0xff};
        byte[] halfBad = ("unit,look,endpoint,value\n" + unit(0) + ",1,tare-mass,44\n" + unit(1) + ",1,tare-mass,abc\n")
                .getBytes(StandardCharsets.UTF_8);
        assertThat(web.upload(path("/readings"), "binary.csv", binary, Map.of()).body())
                .contains("not a text file");
        assertThat(web.upload(path("/readings"), "huge.csv", huge, Map.of()).statusCode())
                .isEqualTo(413);
        HttpResponse<String> bad = web.upload(path("/readings"), "half.csv", halfBad, Map.of());
        assertThat(bad.statusCode()).isEqualTo(422);
        assertThat(bad.body()).contains("Nothing was read in", "row 3", "No number in “abc”");
        assertThat(record().readings()).hasSize(before);

        Map<String, String> token = Map.of("token", UUID.randomUUID().toString());
        int trialsBefore = lists.search(Wanted.of(""), 0, 1).inAll();
        HttpResponse<String> noZip = web.upload("/trials/import", "x.zip", binary, token);
        assertThat(noZip.statusCode()).isEqualTo(422);
        assertThat(noZip.body()).contains("not a zip");
        assertThat(lists.search(Wanted.of(""), 0, 1).inAll()).isEqualTo(trialsBefore);
    }

    @Test
    void aTrialGoesOutAndInWithTheSameAnswer() throws Exception {
        byte[] zip = web.download(path("/trial.zip"));
        Map<String, String> token = Map.of("token", UUID.randomUUID().toString());
        HttpResponse<String> imported = web.upload("/trials/import", "trial.zip", zip, token);
        assertThat(imported.statusCode()).isEqualTo(302);
        HttpResponse<String> again = web.upload("/trials/import", "trial.zip", zip, token);
        assertThat(again.headers().firstValue("Location"))
                .isEqualTo(imported.headers().firstValue("Location"));
        String copy = imported.headers().firstValue("Location").orElseThrow();
        assertThat(sentence(web.get(java.net.URI.create(copy).getPath() + "/findings")))
                .isEqualTo(sentence(web.get(path("/findings"))));

        byte[] csv = web.download(path("/readings.csv"));
        assertThat(web.upload(path("/readings"), "readings.csv", csv, Map.of()).body())
                .contains("0 added, 0 corrected, ");
    }

    @Test
    void containersAreCheckedBeforeTheyGoOnTheShelf() throws Exception {
        Map<String, String> bowl =
                new HashMap<>(Map.of("shape", "BOWL", "outline", "ROUND", "depth", "9", "topLength", "10"));
        bowl.put("name", "Deep bowl");
        bowl.putAll(Map.of("topWidth", "", "baseLength", "", "baseWidth", ""));
        assertThat(web.post("/shelf/containers", bowl).body()).contains("at most half as deep");
        bowl.put("depth", "2 in");
        bowl.put("topLength", "240 mm");
        assertThat(web.post("/shelf/containers", bowl).statusCode()).isEqualTo(302);
        assertThat(web.get("/shelf/containers").body()).contains("Deep bowl", "1218");
        assertThat(web.post("/shelf/containers", bowl).body()).contains("on the shelf already");
    }

    @Test
    void aStationsNameIsKeptAndLeadsNowhereElse() throws Exception {
        HttpResponse<String> kept = web.post("/station", Map.of("name", "Tunnel Ä", "back", path("/bench")));
        assertThat(kept.statusCode()).isEqualTo(303);
        assertThat(kept.headers().firstValue("Location")).contains(path("/bench"));
        assertThat(web.get(path("/bench")).body()).contains("signed <b>Tunnel Ä</b>");
        assertThat(web.post("/station", Map.of("name", "x", "back", "//evil.example"))
                        .headers()
                        .firstValue("Location"))
                .contains("/");
        assertThat(web.post("/station", Map.of("name", " ")).statusCode()).isEqualTo(422);
    }
}
