package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Trials;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Readings from scripts: by a key that is shown once, and never without one. */
@AppTest
class IntakeIT {
    private static final Pattern KEY = Pattern.compile("key-shown\">([^<]+)<");

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Autowired
    private JdbcTemplate store;

    private TrialId trial = new TrialId(1);
    private String unit = "";

    @BeforeEach
    void aTrial() {
        trial = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        unit = trials.snapshot(trial).units().get(0).code().value();
    }

    private HttpResponse<String> send(String key, String value, String more) throws Exception {
        return sent(key, "/intake/readings", reading(unit, value, more));
    }

    private String reading(String code, String value, String more) {
        return """
                {"trial": %s, "unit": "%s", "look": 1, "endpoint": "tare-mass", "value": "%s"%s}""".formatted(trial, code, value, more);
    }

    private HttpResponse<String> sent(String key, String path, String body) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("Authorization", "Bearer " + key)
                                .header("Content-Type", "application/json")
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    private String made() throws Exception {
        Matcher key = KEY.matcher(new Web(port)
                .post("/intake/keys", Map.of("station", "Balance 2"))
                .body());
        assertThat(key.find()).isTrue();
        return key.group(1);
    }

    @Test
    void aReadingIsEnteredAsIfItWereTypedAndOnceForItsToken() throws Exception {
        String key = made();
        assertThat(new Web(port).get("/intake").body())
                .as("shown once")
                .contains("Balance 2")
                .doesNotContain(key);
        String token = ", \"token\": \"" + UUID.randomUUID() + "\"";
        assertThat(send(key, "31.2 g", token).statusCode()).isEqualTo(200);
        assertThat(send(key, "31.2 g", token).statusCode()).isEqualTo(200);
        assertThat(trials.snapshot(trial).readings()).hasSize(1);
        Reading reading = trials.snapshot(trial).readings().get(0);
        assertThat(reading.station()).isEqualTo("Balance 2");
        assertThat(reading.instrument()).isEqualTo(Instrument.SCRIPT);
        assertThat(send(key, "heavy", "").statusCode()).isEqualTo(422);
        assertThat(send(key, "31.9 g", "").statusCode()).as("another stands").isEqualTo(409);
        assertThat(send(key, "31.9 g", ", \"replaces\": " + reading.id()).statusCode())
                .isEqualTo(200);
        assertThat(trials.snapshot(trial).readings()).hasSize(2);
    }

    /** What was measured earlier is of then, never of later than now; days from its look it is taken, and asked about. */
    @Test
    void aScriptSaysWhenItMeasuredAndIsAlwaysAnsweredInJson() throws Exception {
        String key = made();
        HttpResponse<String> future = send(key, "31.2 g", ", \"taken_at\": \"2999-01-01T00:00:00Z\"");
        assertThat(future.statusCode()).isEqualTo(422);
        assertThat(future.body()).contains("no reading lies in the future");
        assertThat(send(key, "31.2 g", ", \"taken_at\": \"yesterday\"").body())
                .contains("Accepted: 2026-11-25T14:00:00");
        Instant planned = trials.snapshot(trial)
                .look(1)
                .orElseThrow()
                .plannedAt(trials.snapshot(trial).trial().start());
        Instant earlier = planned.minus(Duration.ofDays(3));
        HttpResponse<String> away = send(key, "31.2 g", ", \"taken_at\": \"" + earlier + "\"");
        assertThat(away.statusCode()).isEqualTo(200);
        assertThat(away.body()).contains("ODD", "3 days before the look", "is it of another one?");
        assertThat(trials.snapshot(trial).readings().get(0).takenAt()).isEqualTo(earlier);
        HttpResponse<String> nonsense = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/intake/readings"))
                                .header("Authorization", "Bearer " + key)
                                .header("Content-Type", "application/json")
                                .POST(HttpRequest.BodyPublishers.ofString("{nonsense"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(nonsense.statusCode()).isBetween(400, 422);
        assertThat(nonsense.headers().firstValue("content-type").orElse("")).startsWith("application/json");
    }

    /** All of a batch or none of it, with each that can't be taken; sent again it changes nothing. */
    @Test
    void aBatchIsTakenTogetherOrNotAtAll() throws Exception {
        String key = made();
        String other = trials.snapshot(trial).units().get(1).code().value();
        String token = ", \"token\": \"" + UUID.randomUUID() + "\"";
        String good = reading(unit, "31.2 g", token);
        HttpResponse<String> refused = sent(
                key,
                "/intake/readings/batch",
                "{\"readings\": [" + good + ", " + reading(other, "heavy", "") + ", " + reading("Z99", "3 g", "")
                        + ", {\"trial\": 987654, \"unit\": \"A11\", \"look\": 1, \"endpoint\": \"x\", \"value\": \"1\"}"
                        + ", {}, null, " + reading(unit, "99.9 g", "") + "]}");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("6 of 7 can't be taken, so none was.", "\"index\":1", "no unit Z99", "\"index\":6")
                .contains("STALE")
                .doesNotContain("\"index\":0");
        assertThat(trials.snapshot(trial).readings()).isEmpty();
        String batch = "{\"readings\": [" + good + ", "
                + reading(
                        other,
                        "30,9",
                        ", \"taken_at\": \"2020-01-01T00:00:00Z\", \"token\": \"" + UUID.randomUUID() + "\"")
                + "]}";
        HttpResponse<String> taken = sent(key, "/intake/readings/batch", batch);
        assertThat(taken.statusCode()).isEqualTo(200);
        assertThat(taken.body()).contains("\"taken\":true", "ODD", "is it of another one?");
        assertThat(sent(key, "/intake/readings/batch", batch).statusCode()).isEqualTo(200);
        assertThat(trials.snapshot(trial).readings()).hasSize(2);
        assertThat(sent(key, "/intake/readings/batch", "{}").body()).contains("1 to 1000 readings, here are 0");
        assertThat(sent("guessed", "/intake/readings/batch", batch).statusCode())
                .isEqualTo(401);
        assertThat(sent(key, "/intake/readings/batch", "[")
                        .headers()
                        .firstValue("content-type")
                        .orElse(""))
                .startsWith("application/json");
    }

    @Test
    void withoutAKeyOrWithOneThatWasWithdrawnNothingIsTaken() throws Exception {
        assertThat(send("guessed", "31.2 g", "").statusCode()).isEqualTo(401);
        String key = made();
        assertThat(send(key, "31.2 g", "").statusCode()).isEqualTo(200);
        Web web = new Web(port);
        Matcher withdraw = Pattern.compile("/intake/keys/(\\d+)/withdraw")
                .matcher(web.get("/intake").body());
        while (withdraw.find()) {
            web.post("/intake/keys/" + withdraw.group(1) + "/withdraw", Map.of());
        }
        assertThat(send(key, "31.2 g", "").statusCode()).isEqualTo(401);
        assertThat(web.post("/intake/keys", Map.of("station", "x".repeat(40))).statusCode())
                .isEqualTo(422);
    }

    /** What finds no place is listed with why, on Today too, until it is sent again and taken. */
    @Test
    void whatFindsNoPlaceIsListedUntilItDoes() throws Exception {
        Web web = new Web(port);
        web.post("/intake/not-taken/clear", Map.of());
        String key = made();
        sent(key, "/intake/readings", reading("Q99", "25 g", ", \"taken_at\": \"2026-05-01T09:00:00Z\""));
        sent(key, "/intake/readings", reading("Q99", "25.5 g", ""));
        send(key, "heavy", "");
        assertThat(web.get("/").body()).contains("2 readings that scripts sent were not taken");
        assertThat(web.get("/intake").body())
                .contains("Q99, look 1, tare-mass", "25.5 g", unit + ", look 1", "heavy")
                .doesNotContain("25 g<");
        send(key, "25 g", "");
        assertThat(web.get("/intake").body()).contains("Q99").doesNotContain(unit + ", look 1");
        sent(key, "/intake/readings/batch", "{\"readings\": [" + reading("Q98", "25 g", "") + ", null]}");
        assertThat(web.get("/intake").body()).contains("Q98");
        web.post("/intake/not-taken/clear", Map.of());
        assertThat(web.get("/").body()).doesNotContain("were not taken");
    }

    private String made(String trial, String days) throws Exception {
        Matcher key = KEY.matcher(new Web(port)
                .post("/intake/keys", Map.of("station", "Balance 3", "trial", trial, "days", days))
                .body());
        assertThat(key.find()).isTrue();
        return key.group(1);
    }

    @Test
    void aKeyForOneTrialWritesToNoOther() throws Exception {
        TrialId other = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        HttpResponse<String> refused = send(made(other.toString(), "7"), "49.2 g", "");
        assertThat(refused.statusCode()).isEqualTo(403);
        assertThat(refused.body()).contains("\"field\":\"trial\"").contains("trial " + other + " only");
        assertThat(send(made(trial.toString(), "7"), "49.2 g", "").statusCode()).isEqualTo(200);
    }

    @Test
    void aKeyHasAnEnd() throws Exception {
        String key = made("", "1");
        assertThat(send(key, "49.2 g", "").statusCode()).isEqualTo(200);
        store.update(
                "update intake_key set ends_at = ? where station = 'Balance 3'",
                Instant.now().minusSeconds(1));
        assertThat(send(key, "49.3 g", "").statusCode()).isEqualTo(401);
        assertThat(new Web(port)
                        .post("/intake/keys", Map.of("station", "B", "days", "0"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(new Web(port)
                        .post("/intake/keys", Map.of("station", "B", "trial", "two"))
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void whatIsWrongIsNamed() throws Exception {
        String key = made();
        String whole = reading(unit, "49.2 g", "");
        Map<String, String> wrong = Map.of(
                "unit", whole.replace("\"unit\": \"" + unit + "\", ", ""),
                "look", whole.replace("\"look\": 1", "\"look\": 77"),
                "endpoint", whole.replace("tare-mass", "height of the roof"),
                "value", whole.replace("49.2 g", "some"),
                "taken_at", whole.replace("}", ", \"taken_at\": \"yesterday\"}"));
        for (Map.Entry<String, String> one : wrong.entrySet()) {
            HttpResponse<String> answer = sent(key, "/intake/readings", one.getValue());
            assertThat(answer.statusCode()).as(one.getKey()).isEqualTo(422);
            assertThat(answer.body()).contains("\"field\":\"" + one.getKey() + "\"");
        }
        HttpResponse<String> noNumber =
                sent(key, "/intake/readings", whole.replace("\"look\": 1", "\"look\": \"one\""));
        assertThat(noNumber.statusCode()).isEqualTo(400);
        assertThat(noNumber.body()).contains("\"field\":\"look\"");
        assertThat(sent(key, "/intake/readings", "{").statusCode()).isEqualTo(400);
    }

    @Test
    void whoSendsTooManyWaits() throws Exception {
        String key = made();
        int last = 200;
        for (int i = 0; i < 400 && last != 429; i++) {
            last = sent(key, "/intake/readings", "{}").statusCode();
        }
        assertThat(last).isEqualTo(429);
        HttpResponse<String> wait = sent(key, "/intake/readings", "{}");
        assertThat(wait.headers().firstValue("Retry-After")).isPresent();
        assertThat(send(made(), "49.2 g", "").statusCode()).as("another key").isEqualTo(200);
    }
}
