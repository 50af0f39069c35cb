package elsom.web.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.dose.DoseCurve;
import elsom.core.dose.DoseEffect;
import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupResult;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.protocol.liming.TitrationResult;
import elsom.core.protocol.salt.ThresholdResult;
import elsom.core.protocol.seedling.PlantBackResult;
import elsom.core.results.Findings;
import elsom.core.section.Section;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Calc;
import elsom.web.Web;
import elsom.web.findings.WorkedOut;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What the demo's trials found is what {@code bin/calc} makes of the same numbers. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class DemoFindingsIT {
    private static final int MOST_TRIALS = 30;
    private static final double SCORED = 10;

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Autowired
    private WorkedOut workedOut;

    /** Trials that have findings by now. */
    private List<TrialRecord> measured() throws Exception {
        List<TrialRecord> measured = new ArrayList<>();
        for (int id = 1; id <= MOST_TRIALS && measured.size() < 10; id++) {
            if (new Web(port).get("/trials/" + id + "/findings.json").statusCode() == 200) {
                measured.add(trials.snapshot(new TrialId(id)));
            }
        }
        return measured;
    }

    private List<JsonNode> questions() throws Exception {
        List<JsonNode> questions = new ArrayList<>();
        for (TrialRecord record : measured()) {
            HttpResponse<String> file =
                    new Web(port).get("/trials/" + record.trial().id() + "/findings.json");
            JsonMapper.shared().readTree(file.body()).path("questions").forEach(questions::add);
        }
        return questions;
    }

    @Test
    void verdictsAreThoseOfTheSums() throws Exception {
        List<JsonNode> questions = questions();
        assertThat(questions).hasSizeGreaterThan(6);
        Calc calc = new Calc();
        questions.forEach(question -> calc.ask("verdict", question.path("judged")));
        List<JsonNode> answers = calc.answers();
        for (int i = 0; i < questions.size(); i++) {
            JsonNode page = questions.get(i).path("judgement");
            String asked = questions.get(i).path("asked").stringValue();
            assertThat(page.path("comparisons").size()).as(asked).isPositive();
            for (String part : List.of("analysis", "refused", "comparisons", "letters", "interaction")) {
                Calc.alike(asked + ": " + part, answers.get(i).path(part), page.path(part));
            }
        }
    }

    private static double[] values(Findings findings, GroupResult group, FigureKind kind) {
        return findings.units().stream()
                .filter(unit -> unit.unit().treatment() == group.key().treatment()
                        && unit.unit().position().bench() == group.key().bench())
                .flatMap(unit -> unit.figure(kind).stream())
                .mapToDouble(Figure::value)
                .toArray();
    }

    /** One case a figure and place, with a group for each treatment that has it. */
    private static void ask(Findings findings, int bench, FigureKind kind, Calc calc, List<List<Summary>> shown) {
        List<GroupResult> groups = findings.groups().stream()
                .filter(group ->
                        group.key().bench() == bench && group.figure(kind).isPresent())
                .toList();
        if (groups.size() >= 2) {
            calc.ask(
                    "one_way_anova",
                    Calc.groups(groups.stream()
                            .map(group -> values(findings, group, kind))
                            .toList()));
            shown.add(groups.stream()
                    .map(group -> group.figure(kind).orElseThrow().summary())
                    .toList());
        }
    }

    @Test
    void figuresOfTreatmentsAreThoseOfTheSums() throws Exception {
        Calc calc = new Calc();
        List<List<Summary>> shown = new ArrayList<>();
        for (TrialRecord record : measured()) {
            Findings findings = workedOut.of(record, OptionalInt.empty());
            for (Bench bench : record.benches()) {
                findings.kinds().forEach(kind -> ask(findings, bench.number(), kind, calc, shown));
            }
        }
        assertThat(shown).hasSizeGreaterThan(20);
        List<JsonNode> answers = calc.answers();
        for (int i = 0; i < shown.size(); i++) {
            for (int g = 0; g < shown.get(i).size(); g++) {
                JsonNode group = answers.get(i).path("groups").path(g);
                Summary summary = shown.get(i).get(g);
                assertThat(group.path("n").intValue()).isEqualTo(summary.n());
                assertThat(group.path("mean").doubleValue()).isCloseTo(summary.mean(), within(1e-9));
                summary.sd()
                        .ifPresent(
                                sd -> assertThat(group.path("sd").doubleValue()).isCloseTo(sd, within(1e-9)));
            }
        }
    }

    private List<Findings> found() throws Exception {
        return measured().stream()
                .map(record -> workedOut.of(record, OptionalInt.empty()))
                .toList();
    }

    private static ObjectNode dosed(DoseEffect effect) {
        ObjectNode input = JsonNodeFactory.instance.objectNode().put("kind", "model_average");
        input.putArray("models").add("LL.3").add("W1.3");
        input.putArray("percents").add(10).add(20).add(50);
        ArrayNode doses = input.putArray("dose");
        ArrayNode responses = input.putArray("response");
        effect.units().forEach(unit -> {
            doses.add(unit.dose());
            responses.add(effect.harmIsUp() ? SCORED - unit.value() : unit.value());
        });
        return input;
    }

    /** The lowest dose that harms and the highest below it are those of the family that judges, on the same units. */
    @Test
    void theHarmlessDoseIsThatOfTheSums() throws Exception {
        long vinegar = trialWith(DoseResult.class).value();
        DoseEffect.Tested shown = workedOut
                .of(trials.snapshot(new TrialId(vinegar)), OptionalInt.empty())
                .sections(DoseResult.class)
                .get(0)
                .lines()
                .get(0)
                .effect()
                .tested();
        JsonNode judged = null;
        for (JsonNode question : JsonMapper.shared()
                .readTree(new Web(port)
                        .get("/trials/" + vinegar + "/findings.json")
                        .body())
                .path("questions")) {
            judged = judged == null
                            && question.path("judged")
                                    .path("endpoint")
                                    .path("kind")
                                    .stringValue()
                                    .equals("score")
                    ? question.path("judged")
                    : judged;
        }
        Calc calc = new Calc();
        calc.ask("verdict", Objects.requireNonNull(judged));
        TreeMap<Double, Boolean> harmed = new TreeMap<>();
        for (JsonNode comparison : calc.answers().get(0).path("comparisons")) {
            for (JsonNode treatment : judged.path("treatments")) {
                if (treatment.path("code").equals(comparison.path("treatment"))) {
                    harmed.put(
                            Double.parseDouble(treatment
                                    .path("levels")
                                    .get(0)
                                    .stringValue()
                                    .replaceAll("[^0-9.]", "")),
                            comparison.path("answer").stringValue().equals("worse"));
                }
            }
        }
        double loec = harmed.entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
        assertThat(harmed).hasSize(5);
        assertThat(shown.loec()).hasValue(loec);
        assertThat(shown.noec()).hasValue(harmed.lowerKey(loec));
    }

    /** Pages weigh by scatter and take intervals from profiles; a plain average of curves must come to much the same. */
    @Test
    void effectiveDosesAgreeWithAPlainAverageOfCurves() throws Exception {
        Calc calc = new Calc();
        List<DoseEffect> effects = found().stream()
                .flatMap(findings -> findings.sections(DoseResult.class).stream())
                .flatMap(section -> section.lines().stream())
                .flatMap(line -> line.atLooks().stream())
                .map(DoseResult.AtLook::effect)
                .filter(effect -> effect.curve().asOptional().isPresent())
                .toList();
        assertThat(effects).hasSizeGreaterThan(2);
        effects.forEach(effect -> calc.ask("absolute_ec", dosed(effect)));
        List<JsonNode> answers = calc.answers();
        int compared = 0;
        for (int i = 0; i < effects.size(); i++) {
            for (JsonNode expected : answers.get(i).path("ec")) {
                Optional<DoseCurve.Effective> shown =
                        effects.get(i).effective(expected.path("percent").doubleValue());
                if (shown.isPresent() && !shown.get().outside()) {
                    compared++;
                    assertThat(shown.get().dose())
                            .isBetween(
                                    expected.path("low").doubleValue(),
                                    expected.path("high").doubleValue());
                }
            }
        }
        assertThat(compared).isGreaterThan(3);
    }

    /** The demo's crop is fed before it is salted: the sums' threshold misses its means, and the page tells none. */
    @Test
    void aThresholdThatMissesTheMeansIsNotTold() throws Exception {
        Calc calc = new Calc();
        ThresholdResult shown = found().stream()
                .flatMap(findings -> findings.sections(ThresholdResult.class).stream())
                .findFirst()
                .orElseThrow();
        ObjectNode input = JsonNodeFactory.instance
                .objectNode()
                .put("kind", "maas_hoffman")
                .put("clamp_zero", true);
        ArrayNode x = input.putArray("x");
        ArrayNode y = input.putArray("y");
        shown.points().forEach(point -> {
            x.add(point.salinity());
            y.add(point.yield());
        });
        calc.ask("threshold_slope", input);
        JsonNode answer = calc.answers().get(0);
        Map<Integer, List<ThresholdResult.Point>> strengths =
                shown.points().stream().collect(Collectors.groupingBy(ThresholdResult.Point::arm));
        double within = strengths.values().stream()
                .mapToDouble(here -> {
                    double mean = here.stream()
                            .mapToDouble(ThresholdResult.Point::yield)
                            .average()
                            .orElseThrow();
                    return here.stream()
                            .mapToDouble(point -> Math.pow(point.yield() - mean, 2))
                            .sum();
                })
                .sum();
        int df = strengths.size() - 3;
        int pure = shown.points().size() - strengths.size();
        double f = (answer.path("rss").doubleValue() - within) / df / (within / pure);
        assertThat(f).isGreaterThan(10);
        assertThat(shown.fit().whyNot().orElseThrow()).contains("lack of fit, p < 0.0001");
    }

    @Test
    void limeForAPhIsThatOfTheSums() throws Exception {
        TitrationResult shown = found().stream()
                .flatMap(findings -> findings.sections(TitrationResult.class).stream())
                .findFirst()
                .orElseThrow();
        ObjectNode input = JsonNodeFactory.instance.objectNode();
        ArrayNode doses = input.putArray("amount");
        ArrayNode phs = input.putArray("ph");
        shown.jars().forEach(jar -> {
            doses.add(jar.amount());
            phs.add(jar.ph());
        });
        input.putArray("targets").add(6.0).add(6.5);
        Calc calc = new Calc();
        calc.ask("titration", input);
        JsonNode targets = calc.answers().get(0).path("targets");
        for (JsonNode target : targets) {
            assertThat(shown.dose(target.path("target").doubleValue())
                            .asOptional()
                            .orElseThrow()
                            .gramsPerLitre())
                    .isCloseTo(target.path("dose_pchip").doubleValue(), within(1e-6));
        }
        assertThat(targets.size()).isEqualTo(2);
    }

    /** The day at which injury falls to the limit, by every treated pot corrected for its twins. */
    @Test
    void theDayAfterATreatmentIsThatOfTheSums() throws Exception {
        PlantBackResult shown = found().stream()
                .flatMap(findings -> findings.sections(PlantBackResult.class).stream())
                .findFirst()
                .orElseThrow();
        ObjectNode input = JsonNodeFactory.instance
                .objectNode()
                .put("kind", "plantback_continuous")
                .put("upper", "free");
        ArrayNode days = input.putArray("day");
        ArrayNode injuries = input.putArray("injury_percent");
        for (PlantBackResult.Sowing sowing : shown.sowings()) {
            double twin = sowing.untreated().orElseThrow() / 10;
            sowing.points().stream().filter(PlantBackResult.Point::treated).forEach(point -> {
                days.add(sowing.days());
                injuries.add(100 * Math.max(0, (point.value() / 10 - twin) / (1 - twin)));
            });
        }
        input.putArray("thresholds").add(10 * shown.limit());
        Calc calc = new Calc();
        calc.ask("residue_decay", input);
        JsonNode day = calc.answers().get(0).path("thresholds").get(0);
        assertThat(shown.dayAtLimit().asOptional().orElseThrow().day())
                .isCloseTo(day.path("day").doubleValue(), within(1e-6));
        assertThat(shown.dayAtLimit().asOptional().orElseThrow().interval95().high())
                .isCloseTo(day.path("upper").doubleValue(), within(1e-6));
        assertThat(shown.cleanFrom())
                .as("as its scenario says: clean within a week")
                .hasValue(4);
    }

    /** Each sheet says what is wrong at its field, keeps what was typed, and works out the rest. */
    @Test
    void sheetsAreWorkedOutOrSayWhatIsWrong() throws Exception {
        Web web = new Web(port);
        String dose = "/trials/" + trialWith(DoseResult.class) + "/mixing?endpoint=injury";
        assertThat(web.get(dose + "&volume=2%20L").body()).contains("stock + ", "2000 mL");
        assertThat(web.get(dose + "&volume=%3Cb%3E").body())
                .contains("Accepted")
                .doesNotContain("<b>\"");
        assertThat(web.get(dose + "&series=9").statusCode()).isEqualTo(404);
        String lime = "/trials/" + trialWith(TitrationResult.class) + "/liming?target=";
        assertThat(web.get(lime + "6.0").body()).contains("g/L", "Tested: pH ");
        assertThat(web.get(lime + "9").body()).contains("Above every pH that was measured");
        assertThat(web.get(lime + "15").body()).contains("A pH from 0 to 14. Accepted: 6.0.", "value=\"15\"");
        assertThat(web.get("/trials/1/liming").statusCode()).isEqualTo(404);
    }

    /** The share of the saltier water on the page of two waters. */
    @Test
    void theBlendIsThatOfTheSums() throws Exception {
        String page = new Web(port)
                .get("/trials/" + trialWith(ThresholdResult.class) + "/blending?a=0.4&b=9&drain=30")
                .body();
        Matcher limit = Pattern.compile("Share of B = \\(([0-9.]+) − 0\\.40\\) / \\(9\\.00 − 0\\.40\\)")
                .matcher(page);
        assertThat(limit.find()).isTrue();
        Calc calc = new Calc();
        calc.ask(
                "blending",
                JsonNodeFactory.instance
                        .objectNode()
                        .put("a", 0.4)
                        .put("b", 9)
                        .put("limit", Double.parseDouble(limit.group(1))));
        double share = calc.answers().get(0).path("share_b").doubleValue();
        assertThat(page).contains("At most " + Math.round(100 * share) + " % of water B");
    }

    /** What is left of a substance takes half-lives of one's own. */
    @Test
    void whatIsLeftIsDrawnForAnyHalfLives() throws Exception {
        Web web = new Web(port);
        String residue = "/trials/" + trialWith(PlantBackResult.class) + "/residue";
        assertThat(web.get(residue + "?shortest=4&longest=8").body())
                .contains("half-life of 4 to 8 days", "25 to 50 %");
        assertThat(web.get(residue + "?shortest=30&longest=8").body())
                .contains("No less than the shortest", "value=\"30\"", "still 2 to 14 days");
        assertThat(web.get(residue + "?shortest=0&longest=ten").body()).contains("Days above 0, up to 3650");
        assertThat(web.get("/trials/1/residue").statusCode()).isEqualTo(404);
    }

    private TrialId trialWith(Class<? extends Section> kind) throws Exception {
        return measured().stream()
                .filter(record -> !workedOut
                        .of(record, OptionalInt.empty())
                        .sections(kind)
                        .isEmpty())
                .findFirst()
                .orElseThrow()
                .trial()
                .id();
    }
}
