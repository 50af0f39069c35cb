package elsom.web.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.web.AppTest;
import elsom.web.Web;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** A plan is drawn and read on a practice bench before a pot is filled; no list of real work shows it. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class RehearsalIT {
    private static final int PLAN = 11;

    @LocalServerPort
    private int port;

    private static String where(HttpResponse<String> answer) {
        return answer.headers().firstValue("location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    }

    private static Map<String, String> supposing(String endpoint, String truth, String token) {
        return Map.of(
                "rehearse.endpoint",
                endpoint,
                "rehearse.truth",
                truth,
                "rehearse.cv",
                "0.15",
                "rehearse.token",
                token,
                "replicates",
                "5");
    }

    @Test
    void aPlanIsRehearsedToItsEnd() throws Exception {
        Web web = new Web(port);
        assertThat(web.get("/trials/" + PLAN + "/plan/size").body())
                .contains("Rehearse it on a practice", "/practice/rehearse/" + PLAN);
        String token = UUID.randomUUID().toString();
        String rehearsal = where(web.post("/practice/rehearse/" + PLAN, supposing("height", "0.4", token)));
        assertThat(where(web.post("/practice/rehearse/" + PLAN, supposing("height", "0.4", token))))
                .as("once for its token")
                .isEqualTo(rehearsal);
        assertThat(web.get(rehearsal).body()).contains("40 % higher in height", "Run to");
        web.post(rehearsal + "/run", Map.of());
        assertThat(web.get(rehearsal).body()).contains("Read so far");
        web.post(rehearsal + "/run", Map.of("all", "true"));
        assertThat(web.get(rehearsal).body()).doesNotContain("Run to its end").contains("What it would say");
        String trial = rehearsal.replace("/practice/rehearsal", "/trials");
        assertThat(web.get(trial + "/findings").body()).contains("a plan, rehearsed", "first-answer");
        assertThat(web.get("/trials").body()).doesNotContain("\"" + trial + "\"");
        assertThat(web.get("/").body()).doesNotContain("\"" + trial + "/");
        assertThat(web.post(rehearsal + "/run", Map.of()).body()).contains("has been read");
    }

    @Test
    void whatCannotBeSupposedIsRefused() throws Exception {
        Web web = new Web(port);
        String token = UUID.randomUUID().toString();
        assertThat(web.post("/practice/rehearse/" + PLAN, supposing("luck", "0.4", token))
                        .body())
                .contains("does not measure");
        assertThat(web.post("/practice/rehearse/" + PLAN, supposing("height", "-1", token))
                        .statusCode())
                .isBetween(400, 499);
        assertThat(web.post("/practice/rehearse/" + PLAN, supposing("height", "much", token))
                        .statusCode())
                .isBetween(400, 499);
        assertThat(web.get("/practice/rehearsal/1").statusCode()).isEqualTo(404);
    }
}
