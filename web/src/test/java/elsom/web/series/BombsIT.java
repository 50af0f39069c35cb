package elsom.web.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Files that are small and unpack to what no machine holds, and files that are broken: each costs one sentence. */
@AppTest
class BombsIT {
    private static final Duration SOON = Duration.ofSeconds(25);

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    private TrialId trial = new TrialId(1);

    @BeforeEach
    void aTrial() {
        WholeTrial whole = ExchangeFixture.whole();
        trial = trials.create(new WholeTrial(whole.record(), whole.plan(), List.of()), UUID.randomUUID());
    }

    static Stream<Arguments> bombs() throws IOException {
        return Bombs.all().stream().map(bomb -> Arguments.of(bomb.name(), bomb.file(), bomb.says()));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bombs")
    void aFileThatNoMachineHoldsCostsASentence(String name, byte[] file, String says) throws Exception {
        Instant begun = Instant.now();
        HttpResponse<String> sent =
                new Web(port).upload("/trials/" + trial + "/series/files", "file", file, Map.of("source", name));
        assertThat(sent.statusCode()).isEqualTo(422);
        assertThat(sent.body().replace("&#39;", "'")).contains(says);
        assertThat(Duration.between(begun, Instant.now())).isLessThan(SOON);
    }

    @Test
    void aCellOfATrialsZipMayNotHoldWhatNoMachineDoes() throws Exception {
        byte[] bomb = Bombs.trial();
        HttpResponse<String> sent = new Web(port)
                .upload(
                        "/trials/import",
                        "trial.zip",
                        bomb,
                        Map.of("token", UUID.randomUUID().toString()));
        assertThat(sent.statusCode()).isEqualTo(422);
        assertThat(sent.body()).contains("longer than 1 million characters");
    }
}
