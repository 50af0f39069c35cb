package elsom.web.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.platform.Role;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import jakarta.servlet.http.Cookie;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * What is secret leaves by no door. The secret itself is changed behind Elsom's back and everything is asked for again: an answer
 * that is another one tells something of it.
 */
@PeopleTest
class SealedIT {
    private static final long SEED = 4_836_507_129_411L;

    @Autowired
    private WebApplicationContext application;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mapped;

    @Autowired
    private People people;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private JdbcTemplate store;

    private MockMvc mvc;
    private Map<Role, String> devices;

    @BeforeEach
    void begin() {
        mvc = MockMvcBuilders.webAppContextSetup(application)
                .apply(springSecurity())
                .build();
        devices = Staffed.devices(people);
    }

    private TrialId blind() {
        Pots pots = new Pots(Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5), 380, 8, 8, 0, 0.15, 0.1, 0);
        Plan begun = Protocols.find(new ProtocolCode("seedling-injury"))
                .orElseThrow()
                .begin("Which bag harms cress?", ZoneId.of("UTC"), Instant.now().minus(Duration.ofDays(8)), pots, SEED);
        List<PlannedTreatment> bags = new ArrayList<>();
        for (String bag : List.of("leaf mould", "bag one", "bag two", "bag three", "bag four", "bag five")) {
            bags.add(PlannedTreatment.of(bag, "leaf mould", bags.isEmpty() ? ControlKind.CONTROL : ControlKind.NONE));
        }
        TrialId id = plans.begin(
                begun.with(Treatments.listed(bags), pots)
                        .with(new Arrangement(
                                LayoutKind.BLOCKS, 4, List.of(Site.named("Bench")), true, 1, false, 0, SEED, List.of()))
                        .with(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, true)),
                UUID.randomUUID());
        plans.start(id);
        return id;
    }

    private MockHttpServletResponse get(String path, Role role) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(path).cookie(new Cookie(People.COOKIE, devices.get(role))))
                .andReturn()
                .getResponse();
    }

    private MockHttpServletResponse post(String path, Role role, String... fields) throws Exception {
        var request =
                MockMvcRequestBuilders.post(path).with(csrf()).cookie(new Cookie(People.COOKIE, devices.get(role)));
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request).andReturn().getResponse();
    }

    /** All addresses of a trial, with its units, its parts and its looks in them. */
    private List<String> addresses(TrialRecord record) {
        List<String> all = new ArrayList<>(List.of("/", "/trials", "/offline/benches", "/calendar.ics"));
        TreeSet<String> patterns = new TreeSet<>();
        mapped.getHandlerMethods().keySet().stream()
                .filter(info ->
                        info.getMethodsCondition().getMethods().toString().contains("GET"))
                .forEach(info -> patterns.addAll(info.getPatternValues()));
        String unit = record.units().get(0).code().value();
        for (String pattern : patterns) {
            // An instrument sees what stands before it, blind or not.
            if (!pattern.contains("{trial}") || pattern.startsWith("/device/")) {
                continue;
            }
            String path = pattern.replace("{trial}", record.trial().id().toString())
                    .replace("{code}", unit)
                    .replace("{unit}", unit)
                    .replace("{number}", "1");
            if (path.contains("{name}")) {
                for (String part : List.of("question", "treatments", "bench", "dates", "ready", "labels", "overview")) {
                    all.add(path.replace("{name}", part));
                }
            } else if (!path.contains("{")) {
                all.add(path);
            }
        }
        return all;
    }

    private Map<String, String> everything(TrialRecord record, Role role) throws Exception {
        Map<String, String> answers = new LinkedHashMap<>();
        for (String path : addresses(record)) {
            MockHttpServletResponse answer = get(path, role);
            answers.put(path, answer.getStatus() + " " + text(answer));
        }
        return answers;
    }

    /** What an answer says, without what differs each time: keys of forms, times of zips, and what is encrypted. */
    private static String text(MockHttpServletResponse answer) throws IOException {
        byte[] bytes = answer.getContentAsByteArray();
        if (bytes.length > 2 && bytes[0] == 'P' && bytes[1] == 'K') {
            return zip(bytes);
        }
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        return text.replaceAll("[0-9]{1,2} [A-Z][a-z]{2}( [0-9]{4})?, [0-9]{2}:[0-9]{2}", "TIME")
                .replaceAll("[0-9]+ (min|h|s)\\b", "WHILE")
                .replaceAll("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", "UUID")
                .replaceAll("(name=\"_csrf\" value=|name=\"csrf\" content=)\"[^\"]*\"", "$1")
                .replaceAll("/(CreationDate|ModDate)\\([^)]*\\)|/ID *\\[[^]]*]", "")
                .replaceAll("\"created\" ?: ?\"[^\"]*\"", "")
                .replaceAll("(DTSTAMP|LAST-MODIFIED):[0-9TZ]*", "")
                .replaceAll("name=\"revision\" value=\"[0-9]*\"", "")
                .replaceAll("\"(now|written|made)\" ?: ?\"[^\"]*\"", "");
    }

    private static String zip(byte[] bytes) throws IOException {
        Path file = Files.createTempFile("sealed", ".zip");
        Files.write(file, bytes);
        StringBuilder said = new StringBuilder("zip ");
        try (ZipFile zip = new ZipFile(file.toFile())) {
            for (ZipEntry entry : Collections.list(zip.entries())) {
                String text = new String(zip.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8);
                said.append(entry.getName())
                        .append(entry.getName().endsWith(".sealed") ? "" : text.replaceAll("\"?created\"?[^\n]*", ""))
                        .append('\n');
            }
        }
        Files.delete(file);
        return said.toString();
    }

    private static List<String> different(Map<String, String> before, Map<String, String> after) {
        List<String> told = new ArrayList<>();
        before.forEach((path, said) -> {
            String now = after.get(path);
            if (!said.equals(now)) {
                int at = org.apache.commons.lang3.StringUtils.indexOfDifference(said, now);
                told.add(path + ": …" + said.substring(Math.max(0, at - 60), Math.min(said.length(), at + 60)) + " | "
                        + now.substring(Math.max(0, at - 30), Math.min(now.length(), at + 60)));
            }
        });
        return told;
    }

    @Test
    void whatEveryUnitOfABlindTrialGot() throws Exception {
        TrialId id = blind();
        TrialRecord record = trials.snapshot(id);
        Map<Role, Map<String, String>> before = new LinkedHashMap<>();
        for (Role role : Role.values()) {
            before.put(role, everything(record, role));
        }
        store.update("update experimental_unit set treatment = mod(treatment, 6) + 1 where trial_id = ?", id.value());
        store.update("update trial set plan_revision = plan_revision + 1 where id = ?", id.value());
        for (Role role : Role.values()) {
            assertThat(before.get(role).get("/trials/" + id + "/trial.zip"))
                    .startsWith("200")
                    .contains("key.sealed");
            assertThat(before.get(role).entrySet().stream()
                            .filter(said -> said.getValue().contains(String.valueOf(SEED)))
                            .map(Map.Entry::getKey))
                    .as("show the seed to whoever may %s", role.label())
                    .isEmpty();
            assertThat(different(before.get(role), everything(record, role)))
                    .as("told to whoever may %s", role.label())
                    .isEmpty();
        }
    }

    @Test
    void theEffectBehindAPracticeBenchUntilItIsCalled() throws Exception {
        String bench = post(
                        "/practice/one-pot-each",
                        Role.READ,
                        "seed",
                        "7",
                        "token",
                        UUID.randomUUID().toString())
                .getRedirectedUrl();
        assertThat(bench).startsWith("/practice/bench/");
        post(bench + "/start", Role.READ);
        post(bench + "/run", Role.READ);
        TrialId id = new TrialId(Long.parseLong(bench.substring(bench.lastIndexOf('/') + 1)));
        TrialRecord record = trials.snapshot(id);
        Map<String, String> before = everything(record, Role.KEEP);
        assertThat(before.get("/trials/" + id + "/trial.zip")).contains("key.sealed");
        store.update("update practice set effect = effect / 2 + 0.01 where trial_id = ?", id.value());
        store.update("update trial set plan_revision = plan_revision + 1 where id = ?", id.value());
        assertThat(different(before, everything(record, Role.KEEP))).isEmpty();
    }

    @Test
    void whichCodeIsWhichSampleUntilTheTastingIsRevealed() throws Exception {
        TrialId id = trials.create(ExchangeFixture.whole(), UUID.randomUUID());
        store.update(
                "insert into tasting (trial_id, number, kind, samples, tasters, seed, token, begun_at, station)"
                        + " values (?, 1, 'TRIANGLE', ?, 6, 7, ?, current_timestamp, 'Bench A')",
                id.value(),
                "leaf mould\nbag one",
                UUID.randomUUID());
        TrialRecord record = trials.snapshot(id);
        // What a list shows of a trial is worked out when its findings are first asked for.
        everything(record, Role.READ);
        for (Role role : List.of(Role.READ, Role.MEASURE)) {
            Map<String, String> before = everything(record, role);
            assertThat(before.get("/trials/" + id + "/tasting/1/sheets")).startsWith("403");
            assertThat(before.get("/trials/" + id + "/tasting/1")).startsWith("200");
            store.update("update tasting set seed = seed + 1 where trial_id = ?", id.value());
            Map<String, String> after = everything(record, role);
            // The phone that is handed round shows codes, which are others then, and no name.
            String taste = "/trials/" + id + "/tasting/1/taste";
            assertThat(before.remove(taste)).startsWith("200").doesNotContain("bag one");
            assertThat(different(before, after))
                    .as("told to whoever may %s", role.label())
                    .isEmpty();
        }
        assertThat(everything(record, Role.KEEP).get("/trials/" + id + "/trial.zip"))
                .contains("key.sealed")
                .doesNotContain("tastings.csv");
    }
}
