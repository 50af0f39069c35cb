package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.web.series.Bombs;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** Eight people enter readings at 256 MB while files that no machine holds are sent: nobody's reading fails or waits. */
@Timeout(180)
class BesideBombsIT {
    private static final int CLIENTS = 8;
    private static final long A_BREATH_MS = 250;
    private static final double LONGEST_P95_MS = 300;

    private static final Pattern UNIT = Pattern.compile("data-unit=\"([A-Z][0-9]+)\"");
    private static final Pattern STANDING = Pattern.compile("\"current\":\\{\"id\":(\\d+)");

    @TempDir
    private Path home;

    /** Answers of one client that weighs two pots again and again; their times in ms. */
    private static List<Double> weighing(Web web, List<String> units, AtomicBoolean on) throws Exception {
        Map<String, String> standing = new HashMap<>();
        List<Double> times = new ArrayList<>();
        for (int i = 0; on.get(); i++) {
            String unit = units.get(i % units.size());
            Map<String, String> fields = new HashMap<>(Map.of(
                    "unit",
                    unit,
                    "look",
                    "7",
                    "endpoint",
                    "wet-mass",
                    "sub",
                    "1",
                    "timing",
                    "NOW",
                    "instrument",
                    "HAND"));
            fields.put("ageMs", "0");
            fields.put("text", 100 + i % 50 + ".5");
            fields.put("token", UUID.randomUUID().toString());
            if (standing.containsKey(unit)) {
                fields.put("replaces", standing.get(unit));
                fields.put("reason", "WEIGHED_AGAIN");
            }
            TimeUnit.MILLISECONDS.sleep(A_BREATH_MS);
            long before = System.nanoTime();
            HttpResponse<String> answer = web.post("/trials/2/bench/readings", fields);
            times.add((System.nanoTime() - before) / 1e6);
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
            Matcher current = STANDING.matcher(answer.body());
            assertThat(current.find()).as(answer.body()).isTrue();
            standing.put(unit, current.group(1));
        }
        return times;
    }

    @Test
    void nobodysReadingFailsOrWaits() throws Exception {
        List<Bombs.Bomb> bombs = Bombs.all();
        byte[] trial = Bombs.trial();
        try (RealElsom elsom =
                RealElsom.start(home, List.of("-Xmx256m", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"))) {
            Web web = elsom.web().keepingItsKey();
            List<String> units = new ArrayList<>();
            Matcher found = UNIT.matcher(web.get("/trials/2/bench?look=7").body());
            while (found.find()) {
                if (!units.contains(found.group(1))) {
                    units.add(found.group(1));
                }
            }
            ExecutorService pool = Executors.newFixedThreadPool(CLIENTS);
            AtomicBoolean on = new AtomicBoolean(true);
            List<Future<List<Double>>> clients = new ArrayList<>();
            int each = units.size() / CLIENTS;
            for (int client = 0; client < CLIENTS; client++) {
                List<String> own = units.subList(client * each, (client + 1) * each);
                clients.add(pool.submit(() -> weighing(web, own, on)));
            }
            for (Bombs.Bomb bomb : bombs) {
                HttpResponse<String> sent =
                        web.upload("/trials/2/series/files", "file", bomb.file(), Map.of("source", bomb.name()));
                assertThat(sent.statusCode()).as(bomb.name()).isEqualTo(422);
                assertThat(sent.body().replace("&#39;", "'")).contains(bomb.says());
            }
            HttpResponse<String> zip = web.upload(
                    "/trials/import",
                    "trial.zip",
                    trial,
                    Map.of("token", UUID.randomUUID().toString()));
            assertThat(zip.body()).contains("longer than 1 million characters");
            on.set(false);
            List<Double> times = new ArrayList<>();
            for (Future<List<Double>> client : clients) {
                times.addAll(client.get());
            }
            pool.shutdown();
            times.sort(null);
            double p95 = times.get(times.size() * 95 / 100);
            System.out.printf(
                    "%d entries of %d clients beside %d bombs at 256 MB: median %.0f ms, p95 %.0f ms%n",
                    times.size(), CLIENTS, bombs.size() + 1, times.get(times.size() / 2), p95);
            assertThat(elsom.alive()).isTrue();
            assertThat(times).hasSizeGreaterThan(100);
            assertThat(p95).isLessThan(LONGEST_P95_MS);
        }
    }
}
