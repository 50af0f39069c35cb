package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.web.backup.Restore;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A real process, killed without warning while it writes: what it said it saved is there afterwards, and nothing by halves. */
@Timeout(120)
class KilledProcessIT {
    private static final Pattern CODE = Pattern.compile("data-unit=\"([A-Z][0-9]+)\"");
    private static final Pattern TRIAL = Pattern.compile("href=\"/trials/(\\d+)\"");
    private static final List<String> QUICK = List.of("-XX:TieredStopAtLevel=1");
    private static final String STORE = "elsom.mv.db";
    private static final int DEMO_TRIALS = 16;

    /** A store with the demo, which each test has a copy of. */
    @TempDir
    private static Path world;

    @TempDir
    private Path home;

    private final List<RealElsom> started = new ArrayList<>();

    @BeforeAll
    static void theDemo() throws Exception {
        try (RealElsom elsom = RealElsom.start(world, QUICK)) {
            elsom.kill();
        }
    }

    /** After how many milliseconds of writing the plug is pulled. */
    static LongStream moments() {
        return Boolean.getBoolean("elsom.whole") ? LongStream.of(20, 200) : LongStream.of(60);
    }

    private RealElsom start() throws IOException {
        if (!Files.exists(home.resolve(STORE))) {
            Files.copy(world.resolve(STORE), home.resolve(STORE));
        }
        RealElsom elsom = RealElsom.start(home, QUICK);
        started.add(elsom);
        return elsom;
    }

    @AfterEach
    void stopAll() {
        started.forEach(RealElsom::close);
    }

    /** Begins something, and pulls the plug after a while. */
    private static void killedWhile(Callable<?> writing, RealElsom elsom, long afterMs) throws Exception {
        CompletableFuture<Void> begun = CompletableFuture.runAsync(() -> {
            try {
                writing.call();
            } catch (Exception cutOff) {
                // That there is no answer is what is tried.
            }
        });
        TimeUnit.MILLISECONDS.sleep(afterMs);
        elsom.kill();
        begun.get(20, TimeUnit.SECONDS);
    }

    private static Map<String, String> entry(String unit, String text, UUID token) {
        Map<String, String> fields = new HashMap<>();
        fields.put("unit", unit);
        fields.put("look", "6");
        fields.put("endpoint", "wet-mass");
        fields.put("sub", "1");
        fields.put("text", text);
        fields.put("timing", "NOW");
        fields.put("instrument", "HAND");
        fields.put("ageMs", "0");
        fields.put("token", token.toString());
        return fields;
    }

    private static List<String> units(Web web) throws Exception {
        List<String> units = new ArrayList<>();
        Matcher codes = CODE.matcher(web.get("/trials/2/bench?look=6").body());
        while (codes.find()) {
            units.add(codes.group(1));
        }
        return units;
    }

    private static void isThere(String csv, String unit, String text) {
        assertThat(csv.lines()
                        .filter(line ->
                                line.startsWith(unit + ",") && line.contains(",6,") && line.contains("," + text + ",")))
                .as("%s = %s in%n%s", unit, text, csv)
                .hasSize(1);
    }

    @Test
    void losesNothingItSaidItHadSaved() throws Exception {
        RealElsom elsom = start();
        Map<String, String> saved = new HashMap<>();
        for (String unit : units(elsom.web())) {
            String text = 100 + saved.size() + ".5";
            HttpResponse<String> answer =
                    elsom.web().post("/trials/2/bench/readings", entry(unit, text, UUID.randomUUID()));
            if (answer.statusCode() == 200) {
                saved.put(unit, text);
            }
        }
        assertThat(saved).hasSizeGreaterThan(8);
        elsom.kill();
        String csv = start().web().get("/trials/2/readings.csv").body();
        saved.forEach((unit, text) -> isThere(csv, unit, text));
    }

    /** What a device sends after a day without a network, cut off: it sends again what was not answered, and all is there once. */
    @ParameterizedTest
    @MethodSource("moments")
    void whatWaitedOnADeviceIsThereOnce(long afterMs) throws Exception {
        RealElsom elsom = start();
        Web web = elsom.web();
        Map<String, UUID> waiting = new LinkedHashMap<>();
        units(web).forEach(unit -> waiting.putIfAbsent(unit, UUID.randomUUID()));
        List<String> answered = new ArrayList<>();
        killedWhile(
                () -> {
                    for (Map.Entry<String, UUID> one : waiting.entrySet()) {
                        web.post("/trials/2/bench/readings", entry(one.getKey(), "151.5", one.getValue()));
                        answered.add(one.getKey());
                    }
                    return answered;
                },
                elsom,
                afterMs);
        Web again = start().web();
        List<String> open = new ArrayList<>();
        for (Map.Entry<String, UUID> one : waiting.entrySet()) {
            HttpResponse<String> answer =
                    again.post("/trials/2/bench/readings", entry(one.getKey(), "151.5", one.getValue()));
            if (answer.statusCode() == 200) {
                open.add(one.getKey());
            }
        }
        String csv = again.get("/trials/2/readings.csv").body();
        assertThat(open).hasSizeGreaterThan(8);
        open.forEach(unit -> isThere(csv, unit, "151.5"));
    }

    @ParameterizedTest
    @MethodSource("moments")
    void aPhotoIsKeptOnce(long afterMs) throws Exception {
        RealElsom elsom = start();
        Web web = elsom.web();
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(1600, 1200, BufferedImage.TYPE_INT_RGB), "jpeg", picture);
        String unit = units(web).get(0);
        Map<String, String> of =
                Map.of("unit", unit, "look", "6", "token", UUID.randomUUID().toString(), "ageMs", "0");
        killedWhile(() -> web.upload("/trials/2/photos/waiting", "a.jpg", picture.toByteArray(), of), elsom, afterMs);
        Web again = start().web();
        assertThat(again.upload("/trials/2/photos/waiting", "a.jpg", picture.toByteArray(), of)
                        .statusCode())
                .isEqualTo(200);
        assertThat(again.get("/trials/2/units/" + unit).body()).containsOnlyOnce("/photo.jpg");
    }

    @ParameterizedTest
    @MethodSource("moments")
    void aTrialIsReadInWholeOrNotAtAll(long afterMs) throws Exception {
        RealElsom elsom = start();
        Web web = elsom.web();
        byte[] zip = web.download("/trials/9/trial.zip");
        long readings = web.get("/trials/9/readings.csv").body().lines().count();
        Map<String, String> token = Map.of("token", UUID.randomUUID().toString());
        killedWhile(() -> web.upload("/trials/import", "trial.zip", zip, token), elsom, afterMs);
        Web again = start().web();
        List<Integer> ids = new ArrayList<>();
        Matcher trials = TRIAL.matcher(again.get("/trials").body());
        while (trials.find()) {
            ids.add(Integer.valueOf(trials.group(1)));
        }
        for (int id : ids) {
            if (id > DEMO_TRIALS) {
                assertThat(again.get("/trials/" + id + "/readings.csv").body().lines())
                        .hasSize((int) readings);
            }
        }
        String first = again.upload("/trials/import", "trial.zip", zip, token)
                .headers()
                .firstValue("location")
                .orElseThrow();
        assertThat(again.upload("/trials/import", "trial.zip", zip, token)
                        .headers()
                        .firstValue("location"))
                .contains(first);
        assertThat(again.get(first.replaceAll(".*(/trials/\\d+).*", "$1") + "/readings.csv")
                        .body()
                        .lines())
                .hasSize((int) readings);
    }

    @ParameterizedTest
    @MethodSource("moments")
    void aBackupIsWholeOrNone(long afterMs) throws Exception {
        RealElsom elsom = start();
        elsom.askToStop();
        TimeUnit.MILLISECONDS.sleep(afterMs);
        elsom.kill();
        try (Stream<Path> copies =
                Files.exists(home.resolve("backups")) ? Files.list(home.resolve("backups")) : Stream.empty()) {
            for (Path copy :
                    copies.filter(file -> file.toString().endsWith(".zip")).toList()) {
                assertThat(Restore.check(home, copy)).contains("opens: " + DEMO_TRIALS + " trials");
            }
        }
        assertThat(start().web().get("/trials").statusCode()).isEqualTo(200);
    }

    @ParameterizedTest
    @MethodSource("moments")
    void aStoreIsUpgradedThoughItWasKilledMeanwhile(long afterMs) throws Exception {
        try (InputStream file = Objects.requireNonNull(KilledProcessIT.class.getResourceAsStream("/stores/V9.zip"));
                ZipInputStream zip = new ZipInputStream(file)) {
            zip.getNextEntry();
            Files.copy(zip, home.resolve(STORE));
        }
        List<String> before = StoreFile.in(home).readings();
        Process upgrading = RealElsom.begin(home, QUICK);
        // Its migrations begin about a second and a half after it.
        TimeUnit.MILLISECONDS.sleep(1500 + 2 * afterMs);
        RealElsom.kill(upgrading);
        RealElsom elsom = start();
        assertThat(elsom.web().get("/trials/2/findings").statusCode()).isEqualTo(200);
        elsom.kill();
        assertThat(StoreFile.in(home).readings()).containsAll(before);
    }

    @ParameterizedTest
    @MethodSource("moments")
    void aRestoreLeavesTheStoreOrTheCopy(long afterMs) throws Exception {
        Path copy = home.resolve("elsom-2026-01-01.zip");
        RealElsom elsom = start();
        elsom.stop();
        try (Stream<Path> copies = Files.list(home.resolve("backups"))) {
            Files.copy(
                    copies.filter(file -> file.toString().endsWith(".zip"))
                            .findFirst()
                            .orElseThrow(),
                    copy);
        }
        List<String> readings = StoreFile.in(home).readings();
        Process restoring = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Restore.class.getName(),
                        home.toString(),
                        copy.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        TimeUnit.MILLISECONDS.sleep(200 + 2 * afterMs);
        RealElsom.kill(restoring);
        assertThat(home.resolve(STORE)).exists();
        assertThat(StoreFile.in(home).readings()).isEqualTo(readings);
        assertThat(Restore.from(home, copy)).contains(DEMO_TRIALS + " trials");
    }
}
