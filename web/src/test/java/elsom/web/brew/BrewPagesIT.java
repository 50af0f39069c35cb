package elsom.web.brew;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.brew.BrewReading;
import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
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
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Brews of the demo: recipe, log, stop rule, clock, counts and what comes of them, as the server answers. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class BrewPagesIT {
    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Trials trials;

    @Autowired
    private Plans plans;

    @Autowired
    private Brews brews;

    @Autowired
    private Clock clock;

    private Web web;
    private TrialId first;

    @BeforeEach
    void client() {
        web = new Web(port);
        first = id("First brews");
    }

    private TrialId id(String question) {
        return lists.search(Wanted.of(question), 0, 30).trials().stream()
                .map(one -> one.id())
                .min(Comparator.comparing(TrialId::value))
                .orElseThrow();
    }

    /** The same brews anew, begun ten hours ago and still running. */
    private void run() {
        Plan plan = plans.plan(first);
        Instant begun = clock.instant().minus(Duration.ofHours(10));
        Asked asked = new Asked(
                "Brews that run",
                plan.asked().crop(),
                plan.asked().questions(),
                plan.asked().measures());
        first = plans.begin(plan.with(plan.schedule().startingTogether(begun)).with(asked), UUID.randomUUID());
        plans.start(first);
    }

    private HttpResponse<String> post(String path, Map<String, String> fields) throws Exception {
        return web.post("/trials/" + first + "/brews" + path, fields);
    }

    private String page(String path) throws Exception {
        return web.get("/trials/" + first + "/brews" + path).body();
    }

    private ExperimentalUnit unit(int at) {
        return trials.snapshot(first).benchOrder().get(at);
    }

    @Test
    void finishedBrewsSayWhatTheirCountsTell() throws Exception {
        assertThat(page(""))
                .contains("Air stone, stone: active fungi ×", "data-ratios", "data-brews")
                .contains("Give more air or half the food")
                .contains("Not on parts that are eaten raw");
        assertThat(web.get("/trials/" + first + "/findings").body()).contains("The brews", "Air stone, stone: active");
    }

    @Test
    void theReportTellsTheCourseTheStopsAndWhatWentIn() throws Exception {
        assertThat(web.get("/trials/" + first + "/report").body())
                .contains("data-brews", "data-ratios", "met the stop rule at", "It went on, because: hose moved")
                .contains("What went in");
        assertThat(web.get("/trials/" + first + "/report.md").body())
                .contains("## The brews", "### Their course", "### What went in", "water 10 L");
    }

    @Test
    void aRecipeThatCannotBeReadComesBackWithEveryBadLine() throws Exception {
        run();
        HttpResponse<String> refused = post("/recipe", Map.of("recipe", "compost 15 g/L\nsome kelp\nwater boiled"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("“some kelp” is not understood", "“water boiled” is not understood", "compost 15 g/L");
        assertThat(brews.recipe(first)).doesNotContain("some kelp");
        assertThat(post("/recipe", Map.of("recipe", "compost 20 g/L\nkelp 2 g/L in kelp", "reason", "more of it"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(page("/recipe")).contains("200 g");
    }

    @Test
    void theStopRuleIsAskedAtOnceAndItsAnswerKept() throws Exception {
        run();
        String code = unit(0).code().value();
        HttpResponse<String> low = post(
                "/log",
                Map.of(
                        "unit",
                        code,
                        "oxygen",
                        "5,1 mg/L",
                        "smell",
                        "SOUR",
                        "token",
                        UUID.randomUUID().toString()));
        assertThat(low.headers().firstValue("location").orElseThrow()).endsWith("log?unit=" + code);
        assertThat(page("/log?unit=" + code))
                .contains("Stop this brew?", "Its oxygen is 5.1 mg/L, below 6 and it smells sour");
        assertThat(page("")).contains("Stop it?");
        BrewReading asked =
                brews.log(first).stream().filter(BrewReading::asks).findFirst().orElseThrow();
        Map<String, String> goesOn = Map.of("unit", code, "decision", "GOES_ON", "reason", " ");
        assertThat(post("/log/" + asked.number() + "/decide", goesOn).statusCode())
                .isEqualTo(422);
        post("/log/" + asked.number() + "/decide", Map.of("unit", code, "decision", "STOPPED"));
        assertThat(brews.log(first)).noneMatch(BrewReading::asks);
        assertThat(page("/log?unit=" + code)).contains("stopped");
    }

    @Test
    void figuresThatCannotBeComeBackAsTheyWereTyped() throws Exception {
        HttpResponse<String> refused =
                post("/log", Map.of("unit", unit(1).code().value(), "oxygen", "lots", "temperature", "70 F"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("“lots” is not a figure. Accepted: 7.4", "value=\"lots\"", "value=\"70 F\"");
        assertThat(post("/log", Map.of("unit", unit(1).code().value(), "oxygen", "55"))
                        .body())
                .contains("Dissolved oxygen");
        assertThat(post("/log", Map.of("unit", unit(1).code().value())).body()).contains("Nothing is typed yet");
    }

    @Test
    void fahrenheitIsUnderstoodAndSendingTwiceWritesOnce() throws Exception {
        String token = UUID.randomUUID().toString();
        Map<String, String> visit = Map.of("unit", unit(2).code().value(), "temperature", "70 F", "token", token);
        int before = brews.log(first).size();
        post("/log", visit);
        post("/log", visit);
        assertThat(brews.log(first)).hasSize(before + 1);
        assertThat(brews.log(first).get(before).temperature()).isBetween(21.0, 21.2);
    }

    @Test
    void aBrewThatIsDoneRunsItsClockOnToday() throws Exception {
        run();
        assertThat(brews.toUse()).noneMatch(one -> one.trial().equals(first));
        post(
                "/done",
                Map.of(
                        "unit",
                        unit(3).code().value(),
                        "token",
                        UUID.randomUUID().toString()));
        assertThat(web.get("/").body()).contains("Use brew " + unit(3).code(), "left.");
        assertThat(brews.toUse()).allMatch(one -> one.useBy().isAfter(clock.instant()));
        BrewReading done = brews.ended(first, unit(3).code()).orElseThrow();
        // A stale form: the first end stands, none of the others is ended with it, and its hours don't begin anew.
        HttpResponse<String> stale = web.post(
                "/trials/" + first + "/brews/done?unit=" + unit(2).code().value(),
                Map.of(
                        "unit",
                        unit(3).code().value(),
                        "token",
                        UUID.randomUUID().toString()));
        assertThat(stale.statusCode()).isEqualTo(422);
        assertThat(stale.body()).contains("was ended already");
        assertThat(brews.ended(first, unit(3).code())).contains(done);
        assertThat(brews.ended(first, unit(2).code())).isEmpty();
        // What is done can still go onto the heap, and is offered no more.
        HttpResponse<String> sour = post(
                "/log",
                Map.of(
                        "unit",
                        unit(3).code().value(),
                        "smell",
                        "SOUR",
                        "token",
                        UUID.randomUUID().toString()));
        assertThat(sour.statusCode()).isEqualTo(302);
        int number = brews.log(first).stream()
                .filter(BrewReading::asks)
                .findFirst()
                .orElseThrow()
                .number();
        Map<String, String> stop = Map.of("unit", unit(3).code().value(), "decision", "STOPPED");
        post("/log/" + number + "/decide", stop);
        assertThat(post("/log/" + number + "/decide", stop).statusCode()).isEqualTo(422);
        assertThat(web.get("/").body()).doesNotContain("Use brew " + unit(3).code());
    }

    /** What went in is corrected with a reason, and what it said before stays: on its page, in the report and in the zip. */
    @Test
    void aRecipeIsCorrectedAndNeverRewritten() throws Exception {
        run();
        post(
                "/done",
                Map.of(
                        "unit",
                        unit(0).code().value(),
                        "token",
                        UUID.randomUUID().toString()));
        String before = brews.recipe(first);
        HttpResponse<String> silent = post("/recipe", Map.of("recipe", "compost 20 g/L"));
        assertThat(silent.statusCode()).isEqualTo(422);
        assertThat(silent.body()).contains("Say why, in at most", "compost 20 g/L");
        assertThat(post("/recipe", Map.of("recipe", "", "reason", "tidy")).body())
                .contains("Something went into these brews");
        assertThat(brews.recipe(first)).isEqualTo(before);
        Map<String, String> form = Map.of(
                "recipe",
                "compost 20 g/L",
                "reason",
                "weighed 20",
                "token",
                UUID.randomUUID().toString());
        assertThat(post("/recipe", form).statusCode()).isEqualTo(302);
        assertThat(post("/recipe", form).statusCode()).isEqualTo(302);
        assertThat(brews.corrections(first))
                .singleElement()
                .satisfies(one -> assertThat(one.was()).isEqualTo(before));
        assertThat(page("/recipe"))
                .contains("because: weighed 20.", before.lines().findFirst().orElseThrow());
        assertThat(web.get("/trials/" + first + "/report.md").body()).contains("What was corrected", "weighed 20");
        assertThat(web.inZip(first, "events.csv")).contains("RECIPE_CORRECTED", "weighed 20");
    }

    /** A press on the wrong brew, or hours late: the first end stays in the log, the true one counts. */
    @Test
    void anEndIsTakenBackWithItsReason() throws Exception {
        run();
        String code = unit(0).code().value();
        post("/done", Map.of("unit", code, "token", UUID.randomUUID().toString()));
        int number = brews.ended(first, unit(0).code()).orElseThrow().number();
        Map<String, String> mistaken = new HashMap<>(Map.of(
                "number", String.valueOf(number), "token", UUID.randomUUID().toString()));
        assertThat(post("/not-ended", mistaken).body()).contains("Say why, in at most");
        mistaken.put("reason", "wrong brew");
        mistaken.put("truly", "yesterday");
        assertThat(post("/not-ended", mistaken).body()).contains("is no day and time");
        mistaken.put("truly", "2019-01-01T00:00");
        assertThat(post("/not-ended", mistaken).body()).contains("before it was begun");
        mistaken.put("truly", "2099-01-01T00:00");
        assertThat(post("/not-ended", mistaken).body()).contains("in the future");
        mistaken.put("truly", "");
        assertThat(post("/not-ended", mistaken).statusCode()).isEqualTo(302);
        assertThat(post("/not-ended", mistaken).statusCode()).isEqualTo(302);
        assertThat(brews.ended(first, unit(0).code())).isEmpty();
        assertThat(web.get("/").body()).doesNotContain("Use brew " + code);
        assertThat(page("")).contains("taken back that it was done: wrong brew");
        assertThat(web.get("/trials/" + first + "/report.md").body()).contains("taken back that it was done");

        post("/done", Map.of("unit", code, "token", UUID.randomUUID().toString()));
        int late = brews.ended(first, unit(0).code()).orElseThrow().number();
        Instant truly = clock.instant().minus(Duration.ofHours(3)).truncatedTo(ChronoUnit.MINUTES);
        assertThat(post(
                                "/not-ended",
                                Map.of(
                                        "number",
                                        String.valueOf(late),
                                        "reason",
                                        "pressed late",
                                        "truly",
                                        LocalDateTime.ofInstant(
                                                        truly,
                                                        trials.key(first)
                                                                .trial()
                                                                .zone())
                                                .toString(),
                                        "token",
                                        UUID.randomUUID().toString()))
                        .statusCode())
                .isEqualTo(302);
        assertThat(brews.ended(first, unit(0).code()).orElseThrow().at()).isEqualTo(truly);
        assertThat(post(
                                "/not-ended",
                                Map.of(
                                        "number",
                                        String.valueOf(late),
                                        "reason",
                                        "again",
                                        "token",
                                        UUID.randomUUID().toString()))
                        .body())
                .contains("no such end any more");
    }

    @Test
    void aBrewThatWasNeverBegunCannotBeDone() throws Exception {
        Plan plan = plans.plan(first);
        first = plans.begin(
                plan.with(plan.schedule().startingTogether(clock.instant().plus(Duration.ofDays(2))))
                        .with(new Asked(
                                "Brews to come",
                                plan.asked().crop(),
                                plan.asked().questions(),
                                plan.asked().measures())),
                UUID.randomUUID());
        String code = trials.snapshot(first).units().get(0).code().value();
        assertThat(post("/done", Map.of("unit", code, "token", UUID.randomUUID().toString()))
                        .body())
                .contains("has not been begun yet");
    }

    @Test
    void theOxygenMeterShowsWhatTheBrewDoes() throws Exception {
        assertThat(page("/meter?unit=" + unit(0).code())).contains("mg/L", "°C");
        TrialId planned = id("Air stone and kelp in an aerated extract");
        assertThat(web.get("/trials/" + planned + "/brews").body())
                .contains("What goes in")
                .doesNotContain("Visit the brews");
        assertThat(web.get("/trials/" + planned + "/brews/log").statusCode()).isEqualTo(422);
    }

    @Test
    void aLaboratorysColumnsAreAskedOnce() throws Exception {
        String code = unit(4).code().value();
        String table = "Lab no;Customer code;AF ug\n1;" + code + ";2,75";
        HttpResponse<String> asked = post("/counts", Map.of("text", table));
        assertThat(asked.statusCode()).isEqualTo(422);
        assertThat(asked.body()).contains("What are these columns?", "Customer code", "AF ug", code + ";2,75");
        HttpResponse<String> taken = post(
                "/counts",
                Map.of(
                        "text",
                        table,
                        "column.Lab no",
                        "leave",
                        "column.Customer code",
                        "sample",
                        "column.AF ug",
                        "fungi"));
        assertThat(taken.statusCode()).isEqualTo(302);
        assertThat(fungi(code)).isEqualTo(2.75);
        assertThat(post("/counts", Map.of("text", table.replace("2,75", "3.5"))).statusCode())
                .isEqualTo(302);
        assertThat(fungi(code)).isEqualTo(3.5);
    }

    private double fungi(String code) {
        TrialRecord record = trials.snapshot(first);
        int look = record.looks().size();
        return Objects.requireNonNull(record.current(
                        new ReadingRef(record.called(code).orElseThrow().code(), look, new EndpointCode("fungi")))
                .orElseThrow()
                .value());
    }

    @Test
    void countsAreEnteredAllOrNoneWithEveryBadRowTold() throws Exception {
        String code = unit(5).code().value();
        double before = fungi(code);
        String table = "Sample,Active fungi\n" + code + ",9.9\nnobody,1\n" + unit(6).code() + ",plenty\n" + code + ",2";
        HttpResponse<String> refused = post("/counts", Map.of("text", table));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains(
                        "Line 3: “nobody” is no brew",
                        "Line 4: “plenty” is not a number",
                        "Line 5: " + code + " has this count twice");
        assertThat(fungi(code)).isEqualTo(before);
        assertThat(post("/counts", Map.of("text", "one word")).body()).contains("That is no table");
    }

    @Test
    void brewsBecomeTreatmentsOfAGrowthTrialInOneChain() throws Exception {
        assertThat(post("/use", Map.of("token", UUID.randomUUID().toString(), "parts", "4"))
                        .statusCode())
                .isEqualTo(422);
        Map<String, String> use = new HashMap<>(
                Map.of("token", UUID.randomUUID().toString(), "treatment", "4", "parts", "4", "rate", "60"));
        HttpResponse<String> asked = post("/use", use);
        assertThat(asked.statusCode()).isEqualTo(422);
        assertThat(asked.body()).contains("should not go on plants as they are").contains("its 4 h are over");
        use.put("reply", "AFRESH");
        HttpResponse<String> begun = post("/use", use);
        String at = begun.headers().firstValue("location").orElseThrow();
        TrialId drench = new TrialId(Long.parseLong(at.replaceAll(".*/trials/(\\d+)/plan", "$1")));
        assertThat(plans.plan(drench).treatments().all())
                .extracting(one -> one.name())
                .containsExactly("plain water", "stone · kelp, 1 part brew in 5 total");
        assertThat(plans.plan(drench).pots().doseMl()).isEqualTo(60);
        PlanOrigin origin = Objects.requireNonNull(plans.plan(drench).origin());
        assertThat(origin.trial()).isEqualTo(first.value());
        assertThat(origin.change()).contains("Brewed afresh");
        assertThat(plans.chain(first)).contains(drench);
    }

    @Test
    void otherTrialsHaveNoBrews() throws Exception {
        for (String path : List.of("", "/counts", "/recipe")) {
            assertThat(web.get("/trials/" + id("Wood vinegar") + "/brews" + path)
                            .statusCode())
                    .isEqualTo(404);
        }
    }
}
