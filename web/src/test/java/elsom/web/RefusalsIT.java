package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.trial.TrialId;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.exchange.PackedTrials;
import elsom.web.platform.NotFound;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Requests that are malformed, too large, forged or stale get our own page and change nothing. */
@AppTest
class RefusalsIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    private Web web = new Web(0);

    @BeforeEach
    void client() {
        web = new Web(port);
    }

    /** Sends bytes no client library would, and answers what comes back. */
    private String raw(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            socket.getOutputStream().flush();
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private String line(String start) throws IOException {
        return raw(start + "\r\nHost: localhost\r\nConnection: close\r\n\r\n");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /trials?q=%ff%fe HTTP/1.1",
                "GET /trials?q=%zz HTTP/1.1",
                "GET /trials/%zz HTTP/1.1",
                "GET //trials HTTP/1.1",
                "GET /trials;a=b HTTP/1.1"
            })
    void whatCantBeReadIsNotUnderstood(String start) throws Exception {
        assertThat(line(start))
                .startsWith("HTTP/1.1 400")
                .contains("Not understood")
                .doesNotContain("Tomcat");
    }

    @Test
    void anotherHostsNameGetsOurPage() throws Exception {
        assertThat(raw("GET / HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 400")
                .contains("Another name", "All trials");
    }

    @Test
    void aFormIsBounded() throws Exception {
        Map<String, String> many = IntStream.range(0, 3000).boxed().collect(Collectors.toMap(i -> "a" + i, i -> "1"));
        assertThat(web.post("/trials/new", many).statusCode()).isEqualTo(400);
        HttpResponse<String> large = web.post("/trials/new", Map.of("question", "x".repeat(3_000_000)));
        assertThat(large.statusCode()).isEqualTo(413);
        TrialId id = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        assertThat(web.post("/trials/" + id + "/plan/question", Map.of("question", "x".repeat(30_000)))
                        .statusCode())
                .isEqualTo(413);
        assertThat(web.post("/trials/new", Map.of("x", "1")).statusCode()).isEqualTo(400);
    }

    @Test
    void aStaleFormComesBackWithBothVersions() throws Exception {
        TrialId id = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        long seen = plans.kept(id).revision();
        Map<String, String> mine = Map.of("replicates", "6", "revision", Long.toString(seen));
        assertThat(web.post("/trials/" + id + "/plan/size", Map.of("replicates", "4", "revision", Long.toString(seen)))
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> stale = web.post("/trials/" + id + "/plan/size", mine);
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body().replaceAll("\\s+", " "))
                .contains("changed meanwhile", "Kept now: “4”. Yours: “6”.", "name=\"replicates\" value=\"6\"");
        assertThat(plans.plan(id).arrangement().replicates()).isEqualTo(4);
        String now = Long.toString(plans.kept(id).revision());
        assertThat(stale.body()).contains("name=\"revision\" value=\"" + now + "\"");
        assertThat(web.post("/trials/" + id + "/plan/size", Map.of("replicates", "6", "revision", now))
                        .statusCode())
                .isEqualTo(302);
        assertThat(plans.plan(id).arrangement().replicates()).isEqualTo(6);
    }

    @Test
    void aMoveOnAnOlderDrawIsRefused() throws Exception {
        TrialId id = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        String unit = trials.key(id).units().get(0).code().value();
        Map<String, String> move = Map.of("unit", unit, "bench", "1", "row", "1", "column", "2", "seed", "76");
        assertThat(web.post("/trials/" + id + "/plan/bench/move", move).statusCode())
                .isEqualTo(422);
        assertThat(plans.plan(id).arrangement().moves()).isEmpty();
    }

    @Test
    void aTrialIsPutAwayAndDeletedOnlyByItsName() throws Exception {
        TrialId id = trials.create(ExchangeFixture.whole(), UUID.randomUUID());
        String base = "/trials/" + id;
        assertThat(web.get(base + "/remove").body()).contains("Put it away", "The whole trial as a zip", "raw.zip");
        assertThat(web.post(base + "/put-away", Map.of()).statusCode()).isEqualTo(302);
        assertThat(web.get("/trials/put-away").body()).contains("href=\"" + base + "\"");
        assertThat(web.post(base + "/put-away", Map.of("away", "false")).statusCode())
                .isEqualTo(302);
        HttpResponse<String> unnamed = web.post(base + "/delete", Map.of("name", "something else"));
        assertThat(unnamed.statusCode()).isEqualTo(422);
        assertThat(unnamed.body()).contains("Nothing was deleted", "value=\"something else\"");
        assertThat(trials.find(id)).isPresent();
        byte[] raw = web.download(base + "/raw.zip");
        assertThat(PackedTrials.files(raw)).containsKeys("reading.csv", "look.csv", "plan.csv");
        assertThat(web.post(
                                base + "/delete",
                                Map.of("name", ExchangeFixture.plan().question()))
                        .statusCode())
                .isEqualTo(302);
        Assertions.assertThatThrownBy(() -> trials.snapshot(id)).isInstanceOf(NotFound.class);
        assertThat(web.get(base).statusCode()).isEqualTo(404);
    }

    static List<Protocol> kinds() {
        return Protocols.all();
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void aPlanWithoutTreatmentsOpensEveryTab(Protocol kind) throws Exception {
        Plan plan = kind.begin(
                "Why?", ZoneId.of("UTC"), GrowthPlan.START, GrowthPlan.plan().pots(), 5);
        TrialId id = plans.begin(plan, UUID.randomUUID());
        for (PlanTab tab : PlanTab.values()) {
            String path = "/trials/" + id + tab.path;
            assertThat(web.get(path).statusCode()).as(path).isEqualTo(200);
        }
    }

    private enum PlanTab {
        QUESTION(""),
        OVERVIEW("/plan"),
        TREATMENTS("/plan/treatments"),
        SIZE("/plan/size"),
        BENCH("/plan/bench"),
        DATES("/plan/dates"),
        READY("/plan/ready"),
        LABELS("/plan/labels");

        private final String path;

        PlanTab(String path) {
            this.path = path;
        }
    }

    private static String found(String page, String pattern) {
        return Pattern.compile(pattern)
                .matcher(page)
                .results()
                .map(found -> found.group(1))
                .findFirst()
                .orElseThrow();
    }

    private String post(String... headers) throws IOException {
        String shelf = line("GET /shelf HTTP/1.1");
        String key = found(shelf, "name=\"csrf\" content=\"([^\"]+)\"");
        String cookie = found(shelf, "XSRF-TOKEN=([^;]+);");
        return raw("POST /units HTTP/1.1\r\nHost: localhost:" + port + "\r\nConnection: close\r\nCookie: XSRF-TOKEN="
                + cookie
                + "\r\nX-XSRF-TOKEN: " + key
                + "\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 7\r\n"
                + String.join("\r\n", headers) + "\r\n\r\nus=true");
    }

    /** A key can be planted in a cookie; where a request comes from can't. */
    @Test
    void aFormOfAnotherSiteIsRefusedThoughItHasTheKey() throws Exception {
        assertThat(post("Origin: http://localhost:" + port, "Sec-Fetch-Site: same-origin"))
                .startsWith("HTTP/1.1 303");
        assertThat(post("X-Nothing: 1")).startsWith("HTTP/1.1 303");
        for (String elsewhere : List.of(
                "Origin: http://evil.example",
                "Origin: http://localhost:1",
                "Origin: null",
                "Sec-Fetch-Site: cross-site",
                "Sec-Fetch-Site: same-site")) {
            assertThat(post(elsewhere)).as(elsewhere).startsWith("HTTP/1.1 403");
        }
    }

    @Test
    void theFirewallsOwnPagesHaveTheHeadersOfAllOthersAndNameTheNames() throws Exception {
        String refused = line("GET //trials HTTP/1.1");
        String named = raw("GET / HTTP/1.1\r\nHost: other.example\r\nConnection: close\r\n\r\n");
        for (String page : List.of(refused, named)) {
            assertThat(page)
                    .startsWith("HTTP/1.1 400")
                    .contains("default-src 'none'", "X-Content-Type-Options: nosniff", "X-Frame-Options: DENY");
        }
        assertThat(named).contains("Another name", "127.0.0.1", "localhost");
        assertThat(refused).doesNotContain("Another name");
    }

    @Test
    void aPartOrAFieldWithoutANameIsNoFaultOfOurs() throws Exception {
        String part = "--B\r\nContent-Disposition: form-data; filename=\"a.csv\"\r\n\r\nTime,EC\r\n--B--\r\n";
        assertThat(raw("POST /trials/import HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type:"
                        + " multipart/form-data; boundary=B\r\nContent-Length: " + part.length() + "\r\n\r\n" + part))
                .startsWith("HTTP/1.1 4");
        assertThat(web.post("/units", Map.of("", "x")).statusCode()).isBetween(400, 499);
    }
}
