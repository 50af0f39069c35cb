package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.plan.StrangeTrial;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.util.List;
import java.util.UUID;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** No evidence whatever makes a page or a file fail. */
@AppTest
class StrangeTrialsIT {
    private static final int TRIALS = 120;
    /** Whose deaths can't be told, so that the audit speaks of what is no endpoint. */
    private static final long DEATHS_OPEN = 56;

    private static final List<String> PAGES = List.of(
            "/findings",
            "/findings/units",
            "/findings.json",
            "/report",
            "/report.md",
            "/trial.xlsx",
            "/fair",
            "/next",
            "/money");

    @Autowired
    private Trials trials;

    @LocalServerPort
    private int port;

    @Test
    void everyPageAndFileOpens() throws Exception {
        Web web = new Web(port);
        long[] seeds = LongStream.concat(LongStream.of(DEATHS_OPEN), LongStream.rangeClosed(1, Simulations.of(TRIALS)))
                .distinct()
                .toArray();
        for (long seed : seeds) {
            StrangeTrial strange = StrangeTrial.of(seed);
            TrialId trial =
                    trials.create(new WholeTrial(strange.record(), strange.plan(), List.of()), new UUID(seed, seed));
            for (String page : PAGES) {
                assertThat(web.get("/trials/" + trial + page).statusCode())
                        .as("%s of the trial of seed %d", page, seed)
                        .isLessThan(500);
            }
        }
    }
}
