package elsom.web.photo;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.canopy.Canopy;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Photos of units: kept smaller, without what else the file holds; what is no photo is refused. */
@AppTest
class PhotosIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private Photos photos;

    private TrialId trial = new TrialId(1);
    private UnitCode unit = new UnitCode("K22");

    @BeforeEach
    void aTrial() {
        trial = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        plans.startNow(trial);
        unit = trials.snapshot(trial).units().get(0).code();
    }

    /** Soil with a leaf on the left part of it. */
    private static byte[] tray(int width, int height, double leaf, String format) throws IOException {
        BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = picture.createGraphics();
        drawing.setColor(new Color(110, 90, 70));
        drawing.fillRect(0, 0, width, height);
        drawing.setColor(new Color(95, 150, 60));
        drawing.fillRect(0, 0, (int) (width * leaf), height);
        drawing.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(picture, format, file);
        return file.toByteArray();
    }

    private HttpResponse<String> send(String name, byte[] file) throws Exception {
        return new Web(port)
                .upload("/trials/" + trial + "/photos", name, file, Map.of("unit", unit.value(), "look", "1"));
    }

    @Test
    void aPhotoIsKeptSmallerAndItsCoverBecomesAReading() throws Exception {
        Web web = new Web(port);
        // A comment in the file, as cameras write places and names into theirs.
        byte[] plain = tray(3200, 1600, 0.4, "jpeg");
        byte[] secret = "taken at 51.2 N".getBytes(StandardCharsets.US_ASCII);
        byte[] file = new byte[plain.length + secret.length + 4];
        file[0] = plain[0];
        file[1] = plain[1];
        file[2] = (byte) 0xff;
        file[3] = (byte) 0xfe;
        file[4] = 0;
        file[5] = (byte) (secret.length + 2);
        System.arraycopy(secret, 0, file, 6, secret.length);
        System.arraycopy(plain, 2, file, 6 + secret.length, plain.length - 2);
        assertThat(send("tray.jpg", file).statusCode()).isEqualTo(302);
        long id = photos.of(trial, unit).get(0).id();
        byte[] kept = photos.jpeg(trial, id);
        BufferedImage pixels = PhotoFile.pixels(kept);
        assertThat(pixels.getWidth()).isEqualTo(PhotoFile.LARGEST_SIDE);
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("51.2 N");
        String base = "/trials/" + trial + "/photos/" + id;
        assertThat(web.get(base).body()).contains("40.0 % green");
        assertThat(web.get(base + "/cover?threshold=0.9").body()).contains("0.0 % green");
        assertThat(web.get(base + "/cover?threshold=wide").statusCode()).isEqualTo(400);
        assertThat(web.get(base + "/mask.png").statusCode()).isEqualTo(200);
        assertThat(web.get("/trials/" + trial + "/units/" + unit).body()).contains(base);
        ReadingRef cover = new ReadingRef(unit, 1, new EndpointCode("cover"));
        TrialRecord record = trials.snapshot(trial);
        HttpResponse<String> answer =
                web.post(base + "/keep", Map.of("token", UUID.randomUUID().toString()));
        if (record.has(cover)) {
            assertThat(trials.snapshot(trial).current(cover).orElseThrow().instrument())
                    .isEqualTo(Instrument.PHOTO);
        } else {
            assertThat(answer.body()).contains("no endpoint of that look");
        }
        String token = UUID.randomUUID().toString();
        assertThat(web.post(base + "/remove", Map.of("token", token)).body()).contains("Say why, in at most");
        assertThat(photos.jpeg(trial, id)).isNotEmpty();
        Map<String, String> why = Map.of("token", token, "reason", "a hand is in it", "reading", "true");
        assertThat(web.post(base + "/remove", why).statusCode()).isEqualTo(302);
        assertThat(trials.snapshot(trial).current(cover)).isEmpty();
        assertThat(photos.of(trial, unit)).singleElement().satisfies(gone -> {
            assertThat(gone.pictured()).isFalse();
            assertThat(gone.removed().orElseThrow().reason()).isEqualTo("a hand is in it");
        });
        assertThat(web.get("/trials/" + trial + "/units/" + unit).body()).contains("taken away", "a hand is in it");
        assertThat(web.get("/trials/" + trial + "/report.md").body())
                .contains("### Taken away", "because: a hand is in it.");
        assertThat(web.get(base + "/photo.jpg").statusCode()).isEqualTo(404);
    }

    @Test
    void aPhotoThatWaitedIsKeptOnceWithTheTimeItWasTaken() throws Exception {
        Web web = new Web(port);
        byte[] file = tray(400, 300, 0.4, "png");
        Map<String, String> sent = Map.of(
                "unit", unit.value(), "look", "1", "token", UUID.randomUUID().toString(), "ageMs", "7200000");
        for (int times = 0; times < 2; times++) {
            assertThat(web.upload("/trials/" + trial + "/photos/waiting", "tray.png", file, sent)
                            .body())
                    .contains("\"href\":\"/trials/" + trial + "/photos/");
        }
        assertThat(photos.of(trial, unit))
                .singleElement()
                .satisfies(photo -> assertThat(photo.takenAt())
                        .isBetween(
                                java.time.Instant.now().minusSeconds(7300),
                                java.time.Instant.now().minusSeconds(7199)));
    }

    @Test
    void whatIsNoPhotoIsRefusedInWordsAndNothingIsKept() throws Exception {
        assertThat(send("x.jpg", "no photo".getBytes(StandardCharsets.UTF_8)).body())
                .contains("no photo that can be read here");
        byte[] whole = tray(400, 300, 0.4, "png");
        assertThat(send("x.png", Arrays.copyOf(whole, whole.length / 2)).body()).contains("broken or cut short");
        byte[] huge = whole.clone();
        // The size of a PNG stands in bytes 16 to 23 of its head: 20,000 by 10,000.
        for (int i = 0; i < 4; i++) {
            huge[16 + i] = (byte) (20_000 >> 8 * (3 - i));
            huge[20 + i] = (byte) (10_000 >> 8 * (3 - i));
        }
        assertThat(send("huge.png", huge).body()).contains("megapixels");
        assertThat(send("empty.png", new byte[0]).body()).contains("Choose a photo first");
        assertThat(photos.of(trial, unit)).isEmpty();
    }

    @Test
    void theSamePixelsGiveTheSameCoverAsTheCore() throws Exception {
        send("tray.png", tray(800, 600, 0.25, "png"));
        long id = photos.of(trial, unit).get(0).id();
        BufferedImage pixels = PhotoFile.pixels(photos.jpeg(trial, id));
        int[] rgb = pixels.getRGB(0, 0, 800, 600, null, 0, 800);
        Canopy canopy = Canopy.of(
                new elsom.core.canopy.Picture(800, 600, rgb),
                java.util.OptionalDouble.empty(),
                java.util.Optional.empty());
        assertThat(canopy.cover()).isBetween(0.245, 0.255);
    }
}
