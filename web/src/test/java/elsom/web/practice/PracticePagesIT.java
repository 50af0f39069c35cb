package elsom.web.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Treatments;
import elsom.core.practice.Call;
import elsom.core.practice.Level;
import elsom.core.practice.Levels;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Practice benches from the level to the truth, as the server answers. */
@AppTest
class PracticePagesIT {
    private static final int SEED = 3;

    @LocalServerPort
    private int port;

    @Autowired
    private Practices practices;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private TrialLists lists;

    private Web web;

    @BeforeEach
    void client() {
        web = new Web(port);
    }

    static Stream<Level> levels() {
        return Stream.concat(Stream.of(Levels.free()), Levels.all().stream());
    }

    private TrialId begun(Level level) {
        return practices.begin(level, level.setting(), SEED, UUID.randomUUID());
    }

    private static Level level(String code) {
        return Levels.find(code).orElseThrow();
    }

    private HttpResponse<String> post(TrialId id, String what, Map<String, String> fields) throws Exception {
        return web.post("/practice/bench/" + id + what, fields);
    }

    private void runToTheEnd(TrialId id) throws Exception {
        assertThat(post(id, "/start", Map.of()).statusCode()).isEqualTo(302);
        while (BenchRun.next(trials.snapshot(id)).isPresent()) {
            assertThat(post(id, "/run", Map.of()).statusCode()).isEqualTo(302);
        }
    }

    @ParameterizedTest
    @MethodSource("levels")
    void everyLevelRunsToItsTruth(Level level) throws Exception {
        TrialId id = begun(level);
        assertThat(web.get("/practice/" + level.brief().code()).body()).contains("What you may say at the end");
        runToTheEnd(id);
        assertThat(web.get("/practice/bench/" + id).body()).contains("Make the call");
        assertThat(web.get("/trials/" + id + "/findings").body())
                .contains("back to the bench")
                .doesNotContain("action=\"/shelf/quarantine\"", "Keep them on the shelf", "What next?");
        assertThat(post(id, "/call", Map.of("call", "CANT_TELL", "sure", "50")).statusCode())
                .isEqualTo(302);
        String truth = web.get("/practice/bench/" + id + "/truth").body();
        assertThat(truth).contains("This trial can", "A fair plan", "It took ", "data-truth", "Was it fair?");
        assertThat(truth).contains(level.brief().lesson().substring(0, 20));
        assertThat(web.get("/practice").body()).contains("benches judged rightly");
    }

    @Test
    void aBenchIsInNoListOfRealWork() throws Exception {
        TrialId id = begun(level("one-pot-each"));
        assertThat(lists.search(Wanted.of("Practice 1"), 0, 10).inAll()).isZero();
        assertThat(lists.drafts(100)).noneMatch(draft -> draft.id().equals(id));
        assertThat(web.get("/").body()).doesNotContain("Practice 1:");
        Instant now = Instant.now();
        assertThat(lists.agenda(now.minus(Duration.ofDays(90)), now.plus(Duration.ofDays(90))))
                .noneMatch(due -> due.trial().equals(id));
        assertThat(web.get("/practice").body()).contains("/practice/bench/" + id);
        assertThat(web.get("/trials/" + id + "/plan").body()).contains("back to the bench");
        assertThat(web.get("/shelf").body()).doesNotContain("back to the bench");
    }

    @Test
    void beginningTwiceWithOneFormBeginsOnce() {
        UUID token = UUID.randomUUID();
        Level level = level("one-pot-each");
        assertThat(practices.begin(level, level.setting(), SEED, token))
                .isEqualTo(practices.begin(level, level.setting(), SEED, token));
    }

    @Test
    void whatTheShelfOrTheBudgetDoesNotHaveIsRefusedInWords() throws Exception {
        TrialId id = begun(level("one-pot-each"));
        plans.revise(
                id,
                null,
                plan -> Optional.of(plan.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("Mix A", "leaf mould", ControlKind.CONTROL),
                                PlannedTreatment.of("Moon dust", "moon dust", ControlKind.NONE))),
                        plan.pots())));
        HttpResponse<String> refused = post(id, "/start", Map.of());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("There is nothing on the shelf for “Moon dust”");
        TrialId large = begun(level("best-plants"));
        plans.revise(
                large,
                null,
                plan -> Optional.of(plan.with(new elsom.core.plan.Arrangement(
                        plan.arrangement().kind(),
                        30,
                        plan.arrangement().sites(),
                        true,
                        0,
                        false,
                        0,
                        SEED,
                        List.of()))));
        assertThat(web.get("/practice/bench/" + large).body()).contains("too much");
        assertThat(post(large, "/start", Map.of()).body()).contains("takes more than there is");
    }

    @Test
    void theTruthIsHiddenUntilTheCallAndTheCallIsMadeOnce() throws Exception {
        TrialId id = begun(level("light-from-one-side"));
        assertThat(post(id, "/call", Map.of("call", "BETTER", "sure", "80")).statusCode())
                .isEqualTo(422);
        runToTheEnd(id);
        assertThat(web.get("/practice/bench/" + id + "/truth").statusCode()).isEqualTo(302);
        assertThat(web.get("/practice/bench/" + id + "/again?units=4&placing=BLOCKS")
                        .statusCode())
                .isEqualTo(422);
        post(id, "/call", Map.of("call", "WORSE", "sure", "90"));
        assertThat(post(id, "/call", Map.of("call", "BETTER", "sure", "90")).statusCode())
                .isEqualTo(422);
        String truth = web.get("/practice/bench/" + id + "/truth").body();
        assertThat(truth).contains("Plants with “Mix B”", "The light that nobody saw", "that is bias", "90 % sure");
        assertThat(practices.find(id).orElseThrow().kind()).contains(elsom.core.practice.Judged.Kind.WRONG);
        assertThat(web.get("/practice/bench/" + id + "/again?units=12&placing=BLOCKS")
                        .body())
                .contains("\"right\":");
        assertThat(post(id, "/run", Map.of()).body()).contains("Every look of this bench has been read");
    }

    @Test
    void oneSeedIsOneBenchAndAnotherIsAnother() throws Exception {
        Level level = level("label-rate-untested");
        TrialId one = begun(level);
        TrialId same = begun(level);
        TrialId other = practices.begin(level, level.setting(), SEED + 1, UUID.randomUUID());
        for (TrialId id : List.of(one, same, other)) {
            runToTheEnd(id);
        }
        assertThat(figures(one)).isEqualTo(figures(same)).isNotEqualTo(figures(other));
    }

    private List<String> figures(TrialId id) {
        return trials.snapshot(id).readings().stream()
                .map(reading -> reading.ref() + " " + reading.typedText())
                .toList();
    }

    @Test
    void measuringTheBestOnlyAndAWeekendAwayAreInTheRecord() throws Exception {
        TrialId id = begun(level("best-plants"));
        post(id, "/start", Map.of());
        post(id, "/run", Map.of("unwatered", "true"));
        while (BenchRun.next(trials.snapshot(id)).isPresent()) {
            post(id, "/run", Map.of("best", "true"));
        }
        TrialRecord record = trials.snapshot(id);
        assertThat(record.mishaps()).anyMatch(mishap -> mishap.note().equals("nobody watered over a weekend"));
        long kelp = record.readings().stream()
                .filter(reading -> reading.ref().endpoint().equals(new EndpointCode("fresh-mass")))
                .filter(reading ->
                        record.unit(reading.ref().unit()).orElseThrow().treatment() == 2)
                .count();
        assertThat(kelp).isEqualTo(5);
    }

    @Test
    void scaleAndMetersSeeWhatIsTrueOnThePracticeBench() throws Exception {
        TrialId id = begun(level("one-pot-each"));
        runToTheEnd(id);
        TrialRecord record = trials.snapshot(id);
        ReadingRef mass = read(record, "fresh-mass");
        assertThat(practices.seen(record, mass))
                .hasValue(record.current(mass).orElseThrow().value());
        ReadingRef height = read(record, "height");
        double written = record.current(height).orElseThrow().value();
        String display = web.post(
                        "/device/hand/read",
                        Map.of(
                                "trial", id.toString(),
                                "unit", height.unit().value(),
                                "look", String.valueOf(height.look()),
                                "endpoint", "height"))
                .body();
        Matcher shown = Pattern.compile("\"display\":\"([0-9.]+) mm\"").matcher(display);
        assertThat(shown.find()).as(display).isTrue();
        assertThat(Double.parseDouble(shown.group(1)) / 10).isCloseTo(written, withinPercentage(2));
    }

    private static ReadingRef read(TrialRecord record, String endpoint) {
        return record.readings().stream()
                .map(Reading::ref)
                .filter(one -> one.endpoint().equals(new EndpointCode(endpoint)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theFreeBenchIsAsItsSlidersSayAndItsLinkSaysSo() throws Exception {
        String page = web.get("/practice/free?seed=9&effect=-25&gradient=0").body();
        assertThat(page).contains("value=\"-25\"").contains("seed=9&amp;effect=-25");
        HttpResponse<String> begun = web.post(
                "/practice/free",
                Map.of("seed", "9", "token", UUID.randomUUID().toString(), "effect", "-25", "gradient", "0"));
        String at = begun.headers().firstValue("location").orElseThrow();
        TrialId id = new TrialId(Long.parseLong(at.substring(at.lastIndexOf('/') + 1)));
        assertThat(practices.find(id).orElseThrow().truth().right()).isEqualTo(Call.WORSE);
        assertThat(web.get("/practice/no-such-level").statusCode()).isEqualTo(404);
        assertThat(web.get("/practice/bench/999999").statusCode()).isEqualTo(404);
    }
}
