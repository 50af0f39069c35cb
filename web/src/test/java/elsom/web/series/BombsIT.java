package elsom.web.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
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

    /** A spreadsheet with bytes changed at random, and pictures likewise: a sentence or a table, never a fault of ours. */
    @Test
    void brokenFilesAreNeverAFaultOfOurs() throws Exception {
        byte[] good = Bombs.small();
        byte[] png = picture("png");
        byte[] jpeg = picture("jpeg");
        byte[] tiff = picture("tiff");
        Random chance = new Random(31);
        Web web = new Web(port).keepingItsKey();
        Map<String, String> of =
                Map.of("unit", trials.snapshot(trial).units().get(0).code().value(), "look", "1");
        for (int i = 0; i < 60; i++) {
            assertThat(web.upload(
                                    "/trials/" + trial + "/series/files",
                                    "a.xlsx",
                                    mutated(good, chance),
                                    Map.of("source", "x"))
                            .statusCode())
                    .isIn(302, 422);
            byte[] picture = mutated(i % 3 == 0 ? png : i % 3 == 1 ? jpeg : tiff, chance);
            assertThat(web.upload("/trials/" + trial + "/photos", "a.png", picture, of)
                            .statusCode())
                    .isLessThan(500);
        }
        assertThat(web.upload("/trials/" + trial + "/photos", "a.png", tiff, of).body())
                .contains("Accepted: a JPEG or PNG");
    }

    private static byte[] mutated(byte[] file, Random chance) {
        byte[] other = file.clone();
        for (int i = 0; i < 1 + chance.nextInt(12); i++) {
            other[chance.nextInt(other.length)] = (byte) chance.nextInt(256);
        }
        return chance.nextInt(5) == 0 ? Arrays.copyOf(other, chance.nextInt(other.length)) : other;
    }

    private static byte[] picture(String kind) throws IOException {
        java.awt.image.BufferedImage image =
                new java.awt.image.BufferedImage(40, 30, java.awt.image.BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        javax.imageio.ImageIO.write(image, kind, (OutputStream) bytes);
        return bytes.toByteArray();
    }
}
