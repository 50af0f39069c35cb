package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.PackedTrials;
import elsom.web.load.LargeTrials;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is ordinary: hundreds of units, tens of looks. Limits are a multiple of what bin/bench measures, for busy machines. */
@AppTest
class LargeTrialIT {

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Test
    void aTrialOfThirtySixThousandReadingsComesBackFromItsZip() throws Exception {
        Web web = new Web(port);
        byte[] zip = PackedTrials.packed(LargeTrials.measured(600, 20, 3));
        HttpResponse<String> answer = web.upload(
                "/trials/import",
                "large.zip",
                zip,
                Map.of("token", UUID.randomUUID().toString()));
        assertThat(answer.statusCode()).isEqualTo(302);
        String place = URI.create(answer.headers().firstValue("Location").orElseThrow())
                .getPath();
        TrialId id = new TrialId(Long.parseLong(place.substring(place.lastIndexOf('/') + 1)));
        byte[] again = web.download(place + "/trial.zip");
        assertThat(PackedTrials.files(again))
                .containsOnlyKeys(PackedTrials.files(zip).keySet());
        assertThat(trials.snapshot(id).readings()).hasSizeGreaterThan(34_000);
        assertThat(web.get(place + "/bench").statusCode()).isEqualTo(200);
    }
}
