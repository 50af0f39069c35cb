package elsom.web.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is sent with something changed at random: a sentence or what is meant, never a fault of ours. */
@AppTest
@Timeout(240)
class FuzzedFilesIT {
    private static final int TIMES = 400;
    private static final Pattern KEY = Pattern.compile("key-shown\">([^<]+)<");
    private static final List<String> STRANGE = List.of(
            "",
            "\"",
            ";",
            ",",
            "\t",
            "-9999",
            "1e999",
            "NaN",
            "<0,05",
            "31/02/2026",
            "2026-13-40",
            "24:61",
            "°F",
            "\u0000",
            "\ud800",
            "{",
            "null",
            "[]",
            "99999999999999999999",
            "-1",
            "\u202e",
            "=1+1",
            "2026-11-01T02:30:00+99:00");
    private static final String SENSOR = """
            Time;Pot;EC mS/cm;Temp °C
            2026-11-24 08:00;K22;1,25;21,5
            2026-11-24 09:00;K22;1,31;21,9
            2026-11-24 10:00;M44;1,29;22,4
            """;

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    private TrialId trial = new TrialId(1);
    private final Random chance = new Random(31);

    @BeforeEach
    void aTrial() {
        WholeTrial whole = ExchangeFixture.whole();
        trial = trials.create(new WholeTrial(whole.record(), whole.plan(), List.of()), UUID.randomUUID());
    }

    private byte[] mutated(byte[] file) {
        byte[] other = file.clone();
        for (int i = 0; i < 1 + chance.nextInt(12); i++) {
            other[chance.nextInt(other.length)] = (byte) chance.nextInt(256);
        }
        return chance.nextInt(5) == 0 ? Arrays.copyOf(other, chance.nextInt(other.length)) : other;
    }

    /** A text with a piece of it that is something strange, or as bytes. */
    private byte[] strange(String text) {
        if (chance.nextInt(4) == 0) {
            return mutated(text.getBytes(StandardCharsets.UTF_8));
        }
        int from = chance.nextInt(text.length());
        int to = Math.min(text.length(), from + chance.nextInt(8));
        String piece = STRANGE.get(chance.nextInt(STRANGE.size()));
        return (text.substring(0, from) + piece + text.substring(to)).getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] picture(String kind) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), kind, (OutputStream) bytes);
        return bytes.toByteArray();
    }

    @Test
    void filesOfSensorsAndSpreadsheets() throws Exception {
        Web web = new Web(port).keepingItsKey();
        byte[] sheet = Bombs.small();
        for (int i = 0; i < Simulations.of(TIMES); i++) {
            byte[] file = i % 2 == 0 ? strange(SENSOR) : mutated(sheet);
            HttpResponse<String> sent =
                    web.upload("/trials/" + trial + "/series/files", "a", file, Map.of("source", "x"));
            assertThat(sent.statusCode()).as("file %d", i).isIn(302, 422);
            if (sent.statusCode() == 302) {
                String mapping = URI.create(
                                sent.headers().firstValue("location").orElseThrow())
                        .getPath();
                assertThat(web.get(mapping).statusCode())
                        .as("mapping of file %d", i)
                        .isLessThan(500);
            }
        }
    }

    @Test
    void pictures() throws Exception {
        Web web = new Web(port).keepingItsKey();
        List<byte[]> pictures = List.of(picture("png"), picture("jpeg"), picture("tiff"));
        Map<String, String> of =
                Map.of("unit", trials.snapshot(trial).units().get(0).code().value(), "look", "1");
        for (int i = 0; i < Simulations.of(TIMES); i++) {
            byte[] picture = mutated(pictures.get(i % pictures.size()));
            assertThat(web.upload("/trials/" + trial + "/photos", "a.png", picture, of)
                            .statusCode())
                    .as("picture %d", i)
                    .isLessThan(500);
        }
        assertThat(web.upload("/trials/" + trial + "/photos", "a.png", pictures.get(2), of)
                        .body())
                .contains("Accepted: a JPEG or PNG");
    }

    @Test
    void tablesOfReadingsAndZips() throws Exception {
        Web web = new Web(port).keepingItsKey();
        String csv = web.get("/trials/" + trial + "/readings.csv").body();
        byte[] zip = web.download("/trials/" + trial + "/trial.zip");
        for (int i = 0; i < Simulations.of(TIMES); i++) {
            assertThat(web.upload("/trials/" + trial + "/readings", "a.csv", strange(csv), Map.of())
                            .statusCode())
                    .as("table %d", i)
                    .isLessThan(500);
            assertThat(web.upload(
                                    "/trials/import",
                                    "trial.zip",
                                    mutated(zip),
                                    Map.of("token", UUID.randomUUID().toString()))
                            .statusCode())
                    .as("zip %d", i)
                    .isLessThan(500);
        }
    }

    @Test
    void whatScriptsSend() throws Exception {
        Matcher key = KEY.matcher(new Web(port)
                .post("/intake/keys", Map.of("station", "Balance 2"))
                .body());
        assertThat(key.find()).isTrue();
        String unit = trials.snapshot(trial).units().get(0).code().value();
        String one = """
                {"trial": %s, "unit": "%s", "look": 1, "endpoint": "tare-mass", "sub": 1, "value": "31,2 g", "taken_at":
                "2026-11-24T08:00:00+01:00", "replaces": null}""".formatted(trial, unit);
        HttpClient client = HttpClient.newHttpClient();
        for (int i = 0; i < Simulations.of(TIMES); i++) {
            boolean many = i % 2 == 1;
            byte[] body = strange(many ? "{\"readings\": [" + one + "," + one + "]}" : one);
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(URI.create(
                                    "http://127.0.0.1:" + port + "/intake/readings" + (many ? "/batch" : "")))
                            .header("Authorization", "Bearer " + key.group(1))
                            .header("Content-Type", "application/json")
                            .POST(HttpRequest.BodyPublishers.ofByteArray(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(answer.statusCode())
                    .as(new String(body, StandardCharsets.UTF_8))
                    .isLessThan(500);
            assertThat(answer.headers().firstValue("content-type").orElse("")).startsWith("application/json");
        }
    }
}
