package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.exchange.PackedTrials;
import elsom.web.shelf.Containers;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Over three thousand inputs no person would type, from fixed seeds: none brings an answer of 500 or more, none takes over
 * two seconds, and whatever is taken can be shown by every page afterwards.
 */
@AppTest
class FuzzIT {
    private static final int FORMS = 320;
    private static final int ENTRIES = 2480;
    private static final int TABLES = 100;
    private static final int ZIPS = 110;

    private static final List<String> NASTY = List.of(
            "",
            " ",
            "0",
            "-1",
            "1",
            "3",
            "1e308",
            "1e-300",
            "NaN",
            "Infinity",
            "999999999",
            "9000000000000000000",
            "-9000000000000000000",
            "=1+1",
            "<script>alert(1)</script>",
            "a\u0000b",
            "\uD83C\uDF31\uD83C\uDF31",
            "x".repeat(61),
            "x".repeat(301),
            "x".repeat(5000),
            "1,234.5",
            "1/0",
            "2026-13-45T99:99",
            "+999999-01-01T00:00:00Z",
            "1 to 2" + " ".repeat(400) + "x",
            "0, 1, 1e9, 1e308 %",
            "none, none",
            "null",
            "true",
            "A, B, Z, \u00e9",
            "\n\r\t",
            "height",
            "'; drop table trial; --",
            "${7*7}",
            "../../etc/passwd",
            "K34");

    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Containers containers;

    private Web web = new Web(0);
    private final List<String> failures = new ArrayList<>();

    @BeforeEach
    void client() throws Exception {
        web = new Web(port).keepingItsKey();
    }

    /** One request. */
    private interface Asked {
        HttpResponse<String> send() throws IOException, InterruptedException;
    }

    private int status(String what, Asked asked) throws IOException, InterruptedException {
        HttpResponse<String> answer = asked.send();
        if (answer.statusCode() >= 500) {
            failures.add(what + ": " + answer.statusCode());
        }
        return answer.statusCode();
    }

    private void shown(String what, long trial, boolean started) throws IOException, InterruptedException {
        List<String> pages = new ArrayList<>(List.of("/", "/trials"));
        for (String path : List.of("", "/plan", "/plan/treatments", "/plan/size", "/plan/bench", "/plan/dates")) {
            pages.add("/trials/" + trial + path);
        }
        pages.add("/trials/" + trial + "/plan/ready");
        if (started) {
            pages.add("/trials/" + trial + "/bench");
            pages.add("/trials/" + trial + "/findings");
        }
        for (String page : pages) {
            int status = status(page + " after " + what, () -> web.get(page));
            if (status != 200) {
                failures.add(page + " after " + what + ": " + status);
            }
        }
    }

    private static String nasty(Random random) {
        return NASTY.get(random.nextInt(NASTY.size()));
    }

    private static Map<String, String> mutated(Map<String, String> fields, Random random) {
        Map<String, String> mutated = new LinkedHashMap<>(fields);
        List<String> names = List.copyOf(fields.keySet());
        for (int i = 1 + random.nextInt(3); i > 0; i--) {
            String name = names.get(random.nextInt(names.size()));
            if (random.nextInt(8) == 0) {
                mutated.remove(name);
            } else {
                mutated.put(name, nasty(random));
            }
        }
        return mutated;
    }

    @Test
    void formsOfAPlan() throws Exception {
        Random random = new Random(20261125);
        TrialId id = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        List<PlanPart> parts =
                List.of(PlanPart.QUESTION, PlanPart.TREATMENTS, PlanPart.SIZE, PlanPart.BENCH, PlanPart.DATES);
        for (int i = 0; i < FORMS; i++) {
            PlanPart part = parts.get(i % parts.size());
            Plan plan = plans.plan(id);
            Form form = reader(part).of(plan);
            Map<String, String> fields = new LinkedHashMap<>();
            form.names().forEach(name -> fields.put(name, form.text(name)));
            fields.put("own[0].name", "");
            fields.put("own[0].unit", "");
            fields.put("measures[1].drop", "");
            fields.put("list[9].name", "");
            Map<String, String> sent = mutated(fields, random);
            String what = part + " " + sent;
            int status = status(what, () -> web.post("/trials/" + id + "/plan/" + part.path(), sent));
            if (status == 302 && i % 25 == 0) {
                shown(what, id.value(), false);
            }
            if (random.nextInt(6) == 0) {
                plans.revise(id, null, any -> java.util.Optional.of(GrowthPlan.plan()));
            }
        }
        shown("all forms", id.value(), false);
        assertThat(failures).isEmpty();
    }

    private PartOfForm reader(PlanPart part) {
        return switch (part) {
            case QUESTION -> new QuestionPart();
            case TREATMENTS -> new TreatmentsPart(containers.all());
            case SIZE -> new SizePart();
            case BENCH -> new BenchPart();
            default -> new DatesPart();
        };
    }

    @Test
    void entriesMishapsAndMoves() throws Exception {
        Random random = new Random(42);
        TrialId id = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        TrialId draft = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        TrialRecord record = trials.key(id);
        String unit = record.units().get(0).code().value();
        Map<String, String> entry = new LinkedHashMap<>(Map.of(
                "unit", unit,
                "look", "1",
                "endpoint", "tare-mass",
                "sub", "1",
                "text", "31",
                "timing", "NOW",
                "instrument", "HAND",
                "ageMs", "0"));
        entry.put("replaces", "");
        Map<String, String> mishap = Map.of("kind", "OTHER", "note", "cat", "unit", unit, "look", "1");
        Map<String, String> move = Map.of("unit", "K34", "bench", "1", "row", "1", "column", "1", "seed", "77");
        Map<String, String> begun = Map.of("question", "Why?", "protocol", "growth", "crop", "pea");
        for (int i = 0; i < ENTRIES; i++) {
            Map<String, String> sent =
                    mutated(List.of(entry, mishap, move, begun).get(i % 4), random);
            sent.put(
                    "token",
                    random.nextInt(9) == 0 ? nasty(random) : UUID.randomUUID().toString());
            String path = List.of(
                            "/trials/" + id + "/bench/readings",
                            "/trials/" + id + "/bench/mishaps",
                            "/trials/" + draft + "/plan/bench/move",
                            "/trials/new")
                    .get(i % 4);
            status(path + " " + sent, () -> web.post(path, sent));
        }
        shown("all entries", id.value(), true);
        shown("all moves", draft.value(), false);
        assertThat(failures).isEmpty();
    }

    @Test
    void tablesOfReadings() throws Exception {
        Random random = new Random(7);
        TrialId id = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        String csv = PackedTrials.readings(ExchangeFixture.measured());
        for (int i = 0; i < TABLES; i++) {
            byte[] sent = PackedTrials.mutated(csv, random, NASTY).getBytes(StandardCharsets.UTF_8);
            if (random.nextInt(12) == 0) {
                sent[random.nextInt(sent.length)] = (byte) random.nextInt(256);
            }
            int number = i;
            byte[] bytes = sent;
            status("table " + number, () -> web.upload("/trials/" + id + "/readings", "t.csv", bytes, Map.of()));
        }
        shown("all tables", id.value(), true);
        assertThat(failures).isEmpty();
    }

    @Test
    void zipsOfTrials() throws Exception {
        Random random = new Random(11);
        List<byte[]> whole = List.of(
                PackedTrials.packed(ExchangeFixture.whole()),
                PackedTrials.packed(PackedTrials.draft(GrowthPlan.plan())));
        int taken = 0;
        for (int i = 0; i < ZIPS; i++) {
            byte[] sent = PackedTrials.mutated(whole.get(i % 2), random, NASTY);
            int number = i;
            HttpResponse<String> answer = web.upload(
                    "/trials/import",
                    "t.zip",
                    sent,
                    Map.of("token", UUID.randomUUID().toString()));
            status("zip " + number, () -> answer);
            if (answer.statusCode() == 302) {
                taken++;
                String place = answer.headers().firstValue("Location").orElseThrow();
                long id = Long.parseLong(place.substring(place.lastIndexOf('/') + 1));
                if (taken % 3 == 0) {
                    shown("zip " + number, id, i % 2 == 0);
                }
                trials.delete(new TrialId(id));
            }
        }
        assertThat(failures).isEmpty();
        assertThat(taken).isPositive();
        assertThat(lists.day(Instant.now(), 1, 1).unreadable()).isEmpty();
    }
}
