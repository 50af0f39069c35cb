package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Smell;
import elsom.core.panel.Tasting;
import elsom.core.plan.APlan;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCopy;
import elsom.core.practice.Levels;
import elsom.core.practice.Setting;
import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.brew.Brews;
import elsom.web.practice.Practices;
import elsom.web.tasting.Tastings;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What features keep of a trial goes with its zip and comes back with it. */
@AppTest
class PackagePartsIT {
    private static final Instant AT = Instant.parse("2026-06-02T10:00:00Z");

    @LocalServerPort
    private int port;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private Tastings tastings;

    @Autowired
    private Brews brews;

    @Autowired
    private Practices practices;

    private Web web;

    @BeforeEach
    void client() {
        web = new Web(port);
    }

    private TrialId started(APlan plan) {
        TrialId id = plans.begin(plan.plan(), UUID.randomUUID());
        plans.start(id);
        return id;
    }

    private byte[] zip(TrialId id) throws Exception {
        return web.download("/trials/" + id + "/trial.zip");
    }

    private HttpResponse<String> sent(byte[] zip, UUID token) throws Exception {
        return web.upload("/trials/import", "trial.zip", zip, Map.of("token", token.toString()));
    }

    private TrialId readIn(byte[] zip, UUID token) throws Exception {
        HttpResponse<String> answer = sent(zip, token);
        String location = answer.headers().firstValue("location").orElseThrow(() -> new AssertionError(answer.body()));
        return new TrialId(Long.parseLong(location.replaceAll(".*/trials/", "")));
    }

    private static byte[] changed(byte[] zip, String file, UnaryOperator<String> change) throws Exception {
        Map<String, byte[]> files = PackedTrials.files(zip);
        files.compute(
                file,
                (name, bytes) ->
                        change.apply(new String(bytes, StandardCharsets.UTF_8)).getBytes(StandardCharsets.UTF_8));
        return PackedTrials.zipped(files);
    }

    /** One of which nothing is secret any more. */
    private TrialId revealed() {
        TrialId id = tasted();
        tastings.reveal(id, 2, "Bench A");
        return id;
    }

    private TrialId tasted() {
        TrialId id = started(APlan.ofGrowth().list("leaf mould", "wood fibre"));
        int pair = tastings.begin(
                id, new Tasting(Tasting.Kind.PAIR, List.of("old, dry", "new"), 2, 5), "Bench A", UUID.randomUUID());
        tastings.answer(id, pair, 1, 1, 1);
        tastings.reveal(id, pair, "Bench A");
        int ranking = tastings.begin(
                id, new Tasting(Tasting.Kind.RANKING, List.of("a", "b", "c"), 2, 6), "Bench A", UUID.randomUUID());
        tastings.answer(id, ranking, 2, 2, 1);
        return id;
    }

    @Test
    void tastingsComeBackWithTheirAnswersCodesAndWhatIsStillBlind() throws Exception {
        TrialId id = tasted();
        TrialId copy = readIn(zip(id), UUID.randomUUID());
        assertThat(tastings.of(copy))
                .extracting(Tastings.Session::number, Tastings.Session::round, Tastings.Session::revealedAt)
                .containsExactlyElementsOf(tastings.of(id).stream()
                        .map(one -> tuple(one.number(), one.round(), one.revealedAt()))
                        .toList());
    }

    /** What was done for good comes along; what is of nothing is refused, and never met on a page. */
    @Test
    void whatWasDoneForGoodComesBackToo() throws Exception {
        byte[] zip = zip(tasted());
        assertThat(tastings.of(readIn(zip, UUID.randomUUID())).stream().flatMap(session -> session.told().stream()))
                .singleElement()
                .asString()
                .contains("when 1 of 2 were done");
        byte[] strange = changed(zip, "events.csv", text -> text.replace("CODES_TOLD,1", "HANDED_ON,1/x"));
        assertThat(sent(strange, UUID.randomUUID()).body()).contains("“1/x” is nothing that HANDED_ON is of");
    }

    @Test
    void aZipThatIsSentTwiceMakesOneTrialWithOneSetOfTastings() throws Exception {
        byte[] zip = zip(tasted());
        UUID token = UUID.randomUUID();
        TrialId copy = readIn(zip, token);
        assertThat(readIn(zip, token)).isEqualTo(copy);
        assertThat(tastings.of(copy)).hasSize(2);
    }

    /** As a zip of another store, in which nothing else asks the same. */
    private static byte[] elsewhere(byte[] zip, String question) throws Exception {
        UnaryOperator<String> asked = text -> text.replace(question, "Elsewhere: " + question);
        return changed(changed(zip, "plan.json", asked), "trial.csv", asked);
    }

    /** Numbers are another store's: a series is known again by what its first trial asked and was drawn from. */
    @Test
    void aSeriesStaysASeriesInWhicheverOrderItsTrialsAreReadIn() throws Exception {
        TrialId first = started(APlan.ofGrowth().list("leaf mould", "wood fibre"));
        Plan plan = plans.plan(first);
        Plan again = PlanCopy.anew(plan, trials.key(first), Set.of(), 3, AT.plus(Duration.ofDays(60)), 4711);
        TrialId second = plans.begin(again, UUID.randomUUID());
        assertThat(plans.chain(second)).containsExactly(first, second);
        byte[] before = elsewhere(zip(first), plan.question());
        byte[] after = elsewhere(zip(second), plan.question());
        TrialId later = readIn(after, UUID.randomUUID());
        assertThat(plans.chain(later)).containsExactly(later);
        TrialId earlier = readIn(before, UUID.randomUUID());
        assertThat(plans.chain(later)).containsExactly(earlier, later);
        assertThat(plans.chain(first)).containsExactly(first, second);
    }

    /** A practice bench that came back as a trial would stand among real work, and be learned from. */
    @Test
    void practiceStaysPractice() throws Exception {
        TrialId id = practices.begin(
                Levels.all().get(0), new Setting(0.3, 0.1, 0.2, 0.05), 4_711_000_000_001L, UUID.randomUUID());
        plans.start(id);
        TrialId copy = readIn(zip(id), UUID.randomUUID());
        assertThat(copy).isNotEqualTo(id);
        assertThat(web.get("/practice/bench/" + copy).statusCode()).isEqualTo(200);
        assertThat(web.get("/trials").body()).doesNotContain("/trials/" + copy + "\"");
        Map<String, byte[]> files = PackedTrials.files(zip(id));
        assertThat(files).as("its effect is sealed until it is called").doesNotContainKey("practice.csv");
        files.remove("key.sealed");
        files.put(
                "practice.csv",
                "level,seed,effect,scatter,gradient,drop_out,best,called,confidence,told_in_reruns\none-pot-each,lots,0.3,0.1,0.2,0.05,0,,,"
                        .getBytes(StandardCharsets.UTF_8));
        HttpResponse<String> refused = sent(PackedTrials.zipped(files), UUID.randomUUID());
        assertThat(refused.body()).contains("is no whole number");
    }

    private TrialId brewed() {
        TrialId id = started(APlan.of("brew").list("plain", "kelp"));
        UnitCode unit = trials.snapshot(id).units().get(0).code();
        assertThat(brews.keepRecipe(id, "water stand 24 h\ncompost 15 g/L\nkelp 2 g/L in kelp"))
                .isEmpty();
        brews.note(id, visit(unit, 5.4, Smell.SOUR), UUID.randomUUID());
        brews.decide(id, 1, BrewReading.Decision.GOES_ON, "more air on, again in an hour");
        brews.note(id, visit(unit, 7.1, null), UUID.randomUUID());
        return id;
    }

    private static BrewReading visit(UnitCode unit, double oxygen, @Nullable Smell smell) {
        return new BrewReading(0, unit, AT, "Bench A", 21.0, oxygen, null, 1.2, null, smell, null, "");
    }

    @Test
    void brewsComeBackWithRecipeLogAndWhyOneWentOn() throws Exception {
        TrialId id = brewed();
        TrialId copy = readIn(zip(id), UUID.randomUUID());
        assertThat(brews.recipe(copy)).isEqualTo(brews.recipe(id)).contains("kelp 2 g/L in kelp");
        assertThat(brews.log(copy)).isEqualTo(brews.log(id)).hasSize(2);
        assertThat(brews.log(copy).get(0).reason()).isEqualTo("more air on, again in an hour");
    }

    @Test
    void aTrialWithoutThemHasNoSuchTables() throws Exception {
        TrialId id = started(APlan.ofGrowth().list("leaf mould", "wood fibre"));
        assertThat(PackedTrials.files(zip(id)).keySet())
                .contains("readings.csv")
                .doesNotContain("brew_log.csv", "tastings.csv");
        assertThat(PackedTrials.files(zip(tasted())).keySet())
                .as("sealed while one is blind")
                .contains("key.sealed")
                .doesNotContain("tastings.csv", "tasting_answers.csv");
        assertThat(new String(PackedTrials.files(zip(revealed())).get("datapackage.json"), StandardCharsets.UTF_8))
                .contains("tasting_answers.csv");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            brew_log.csv | SOUR    | FISHY    | smell: “FISHY” is not one of
            brew_log.csv | ,5.4,   | ,54,     | dissolved oxygen
            brew_recipe.csv | 15 g/L | 15 parrots | recipe:
            """)
    void brewsThatCannotBeAreRefusedWithTheirRowAndNothingIsKept(String file, String was, String is, String says)
            throws Exception {
        HttpResponse<String> answer =
                sent(changed(zip(brewed()), file, text -> text.replace(was, is)), UUID.randomUUID());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(file).contains(says);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            tasting_answers.csv | 1,1,1,1.0 | 1,9,1,1.0 | taster 9 can&#39;t have answered
            tasting_answers.csv | 1,1,1,1.0 | 7,1,1,1.0 | a tasting that is not in tastings.csv
            tastings.csv | RANKING | GUESSING | kind: “GUESSING” is not one of
            """)
    void tastingsThatCannotBeAreRefused(String file, String was, String is, String says) throws Exception {
        byte[] zip = changed(zip(revealed()), file, text -> text.replace(was, is));
        HttpResponse<String> answer = sent(zip, UUID.randomUUID());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(says);
    }
}
