package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.when;

import elsom.core.trial.TrialId;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.platform.DiskSpace;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;

/** While the disk is full, entries are refused with that reason and pages read on; with space again all works. */
@AppTest
class FullDiskIT {
    @LocalServerPort
    private int port;

    @MockitoSpyBean
    private DiskSpace disk;

    @Autowired
    private Trials trials;

    @Test
    void entriesAreRefusedPagesReadAndAllWorksAgain() throws Exception {
        Web web = new Web(port);
        TrialId id = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        Map<String, String> entry = new HashMap<>(Map.of(
                "unit", trials.key(id).units().get(0).code().value(),
                "look", "1",
                "endpoint", "tare-mass",
                "sub", "1",
                "text", "31",
                "timing", "NOW",
                "instrument", "HAND",
                "ageMs", "0"));
        entry.put("token", UUID.randomUUID().toString());
        when(disk.sufficient()).thenReturn(false);
        HttpResponse<String> refused = web.post("/trials/" + id + "/bench/readings", entry);
        assertThat(refused.statusCode()).isEqualTo(507);
        assertThat(refused.body()).contains("The disk is full");
        assertThat(web.post(
                                "/trials/new",
                                Map.of("question", "Why?", "protocol", "growth", "token", entry.get("token")))
                        .statusCode())
                .isEqualTo(507);
        for (String page : new String[] {"/", "/trials", "/trials/" + id + "/bench", "/trials/" + id + "/trial.zip"}) {
            assertThat(web.get(page).statusCode()).as(page).isEqualTo(200);
        }
        assertThat(web.get("/actuator/health").body()).contains("OUT_OF_SERVICE");
        when(disk.sufficient()).thenCallRealMethod();
        assertThat(web.post("/trials/" + id + "/bench/readings", entry).statusCode())
                .isEqualTo(200);
        assertThat(web.get("/actuator/health").body()).contains("UP");
        assertThat(trials.snapshot(id).readings()).hasSize(1);
    }
}
