package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.ReadyMade;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Side;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.PlanJson;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Each part of a plan as a form: nothing is lost on the way out and in, and what is typed wrong is said at its field. */
class PartsTest {
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);
    private static final Container TUB = Container.taperedRound("Tub 18 cm", 18, 20, 16);

    private final Problems problems = new Problems();
    private final Plan plan = GrowthPlan.plan();

    private static List<PartOfForm> parts() {
        return List.of(
                new QuestionPart(),
                new TreatmentsPart(List.of(POT, TUB)),
                new SizePart(),
                new BenchPart(),
                new DatesPart());
    }

    static Stream<Plan> plans() {
        Stream<Plan> kinds = Protocols.all().stream()
                .map(protocol -> protocol.begin("What?", ZoneOffset.UTC, GrowthPlan.START, Pots.of(POT), 3))
                .map(plan -> plan.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("tap water", "tap water", ControlKind.CONTROL),
                                PlannedTreatment.of("extract", "extract", ControlKind.NONE))),
                        plan.pots()));
        Plan together = GrowthPlan.plan()
                .with(GrowthPlan.plan()
                        .schedule()
                        .endingTogether(
                                GrowthPlan.START.plus(Duration.ofDays(20)),
                                List.of(
                                        Duration.ofDays(20),
                                        Duration.ofHours(100),
                                        Duration.ofDays(5),
                                        Duration.ofMinutes(90))));
        return Stream.concat(kinds, Stream.of(GrowthPlan.plan(), GrowthPlan.blind(), ExchangeFixture.plan(), together));
    }

    @ParameterizedTest
    @MethodSource("plans")
    void whatAFormShowsItReadsBackUnchanged(Plan any) {
        for (PartOfForm part : parts()) {
            Problems found = new Problems();
            Plan back = part.read(part.of(any), any, found);
            assertThat(found.all()).as("%s of %s", part, any.protocol()).isEmpty();
            assertThat(back).as("%s of %s", part, any.protocol()).isEqualTo(any);
        }
    }

    /** The form of a part, with some fields typed over. */
    private static Form typed(Form form, Map<String, String> over) {
        Map<String, String[]> sent = new LinkedHashMap<>();
        form.names().forEach(name -> sent.put(name, new String[] {form.text(name)}));
        over.forEach((name, text) -> sent.put(name, new String[] {text}));
        return Form.sent(sent);
    }

    private Plan read(PartOfForm part, Map<String, String> over) {
        return read(plan, part, over);
    }

    private Plan read(Plan from, PartOfForm part, Map<String, String> over) {
        return part.read(typed(part.of(from), over), from, problems);
    }

    /** A plan that asks about no treatment by name. */
    private Plan asksNothing() {
        return plan.with(new Asked(
                plan.question(), plan.asked().crop(), List.of(), plan.asked().measures()));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            asked[0].matters     | a lot     | smallest difference that would matter
            asked[0].matters     | -3 %      | above 0
            asked[0].who         | Z         | “Z” is not a treatment. Accepted: letters from A to D
            asked[0].comparator  | 9         | is not a treatment
            asked[0].endpoint    | beauty    | Choose the endpoint
            measures[0].weight   | heavy     | A weight from 0 to 100
            own[0].unit          | parsec    | is not a unit known here
            worked[0].unit       | parsec    | is not a unit known here
            worked[0].unit       | kg        | does not give a weight in kg
            worked[0].formula    | height /  | something is missing at its end
            worked[0].formula    | beauty * 2 | is no endpoint that stands before it
            worked[0].decimals   | 9         | 0 to 4 decimals
            own[0].several       | 99        | 1 to 20 readings a unit
            own[0].highest       | -1        | highest value that can be true
            question             | ''        | Write the question as a sentence
            """)
    void aQuestionTypedWrongSaysWhatWouldDo(String field, String text, String reason) {
        read(
                new QuestionPart(),
                field.startsWith("own")
                        ? Map.of("own[0].name", "Vigour", field, text)
                        : field.startsWith("worked") ? worked(field, text) : Map.of(field, text));
        assertThat(problems.all().values()).singleElement().asString().contains(reason);
    }

    /** A line of a worked endpoint that is right but for one part. */
    private static Map<String, String> worked(String field, String text) {
        Map<String, String> line = new HashMap<>(Map.of(
                "worked[0].name", "Slenderness",
                "worked[0].formula", "height / stem-diameter",
                "worked[0].unit", "cm/mm",
                "worked[0].decimals", "2"));
        line.put(field, text);
        return line;
    }

    @Test
    void anEndpointWorkedOutFromOthersComesLastAndIsReadAtNoLook() {
        Map<String, String> line = worked("worked[0].better", "LOWER");
        line.put("ready", "YIELD_PER_AREA");
        Plan with = read(new QuestionPart(), line);
        assertThat(problems.all()).isEmpty();
        List<Measure> measures = with.asked().measures();
        Measure own = measures.get(measures.size() - 1);
        assertThat(own.endpoint().code().value()).isEqualTo("slenderness");
        assertThat(own.better()).isEqualTo(Direction.LOWER);
        assertThat(measures.get(measures.size() - 2)).isEqualTo(ReadyMade.YIELD_PER_AREA.measure());
        assertThat(with.unread()).doesNotContain(own);
        assertThat(with.schedule().looks()).isEqualTo(plan.schedule().looks());
        assertThat(PlanJson.read(PlanJson.write(with))).isEqualTo(with);
    }

    @Test
    void whatAFormulaStandsOnCantBeLeftOutWithoutASay() {
        Plan stout = read(new QuestionPart(), worked("worked[0].better", "LOWER"));
        int height = stout.asked().measures().stream()
                .map(measure -> measure.endpoint().code().value())
                .toList()
                .indexOf("height");
        new QuestionPart()
                .read(
                        typed(new QuestionPart().of(stout), Map.of("measures[" + height + "].drop", "true")),
                        stout,
                        problems);
        assertThat(problems.all().values()).anyMatch(words -> words.contains("“height” is no endpoint"));
    }

    @Test
    void aComparisonWithoutAMarginStays() {
        Plan read = read(new QuestionPart(), Map.of("asked[0].matters", ""));
        assertThat(problems.none()).isTrue();
        assertThat(read.asked().questions()).isNotEmpty();
        assertThat(read.asked().questions().get(0).margin()).isEmpty();
        assertThat(new QuestionPart().of(read).text("asked[0].matters")).isEmpty();
    }

    @Test
    void anEndpointOfOnesOwnIsMeasuredBesideTheOthers() {
        Plan with = read(
                new QuestionPart(),
                Map.of(
                        "own[0].name", "Höhe über Rand",
                        "own[0].unit", "mm",
                        "own[0].several", "3",
                        "own[0].decimals", "1",
                        "own[0].highest", "40 cm",
                        "measures[2].drop", "true"));
        assertThat(problems.all()).isEmpty();
        Measure own = with.asked().measures().get(with.asked().measures().size() - 1);
        assertThat(own.endpoint().code().value()).isEqualTo("hohe-uber-rand");
        assertThat(own.endpoint().unit()).isEqualTo(UnitOfMeasure.MILLIMETRE);
        assertThat(own.endpoint().highest()).isEqualTo(400);
        assertThat(own.endpoint().size()).isEqualTo(3);
        assertThat(with.asked().measures()).hasSameSizeAs(plan.asked().measures());
    }

    @Test
    void factorsAreTypedAsText() {
        Plan read = read(
                asksNothing(),
                new TreatmentsPart(List.of(POT, TUB)),
                Map.of(
                        "factors[1].name", "Vinegar",
                        "factors[1].kind", "DOSE",
                        "factors[1].levels", "0.25 to 4 % in 6",
                        "factors[1].control", "",
                        "factors[1].label", "1",
                        "factors[1].stock", "6 % acidity",
                        "struck", "1.5"));
        assertThat(problems.all()).isEmpty();
        Factor vinegar = read.treatments().factors().get(1);
        assertThat(vinegar.kind()).isEqualTo(FactorKind.DOSE);
        assertThat(vinegar.levels()).hasSize(6);
        assertThat(vinegar.labelRate()).isEqualTo(1);
        assertThat(vinegar.stock().strength()).hasValue(0.06);
        assertThat(read.treatments().size()).isEqualTo(11);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            factors[0].levels   | just one        | two levels or more
            factors[0].name     | ''              | Name the factor
            factors[0].levels   | none, none      | two levels
            volume              | 90 L            | what the container holds
            settling            | 90              | 0 to 60 %
            seeds               | some            | seeds
            plants              | -1              | plants
            struck              | 0.0 0.1 1.0 1.1 | struck out
            """)
    void treatmentsTypedWrongSayWhatWouldDo(String field, String text, String reason) {
        read(new TreatmentsPart(List.of(POT, TUB)), Map.of(field, text));
        assertThat(problems.all().values()).isNotEmpty();
        assertThat(String.join(" ", problems.all().values()).toLowerCase(java.util.Locale.ROOT))
                .contains(reason.toLowerCase(java.util.Locale.ROOT));
    }

    @Test
    void aListHasItsOwnContainersAndControls() {
        Map<String, String> list = new LinkedHashMap<>();
        list.put("as", "list");
        list.put("list[0].name", "leaf mould");
        list.put("list[0].control", "true");
        list.put("list[2].name", "GW-32 one in four");
        list.put("list[2].mix", "3 leaf mould + 1 GW-32");
        list.put("list[2].container", "Tub 18 cm");
        read(new TreatmentsPart(List.of(POT, TUB)), list);
        assertThat(problems.all().values())
                .singleElement()
                .asString()
                .contains("Comparison 1 is about “seaweed · leaf mould”, which would be gone");
        problems.all().clear();
        Plan read = read(asksNothing(), new TreatmentsPart(List.of(POT, TUB)), list);
        assertThat(problems.all()).isEmpty();
        assertThat(read.treatments().list())
                .extracting(PlannedTreatment::name)
                .containsExactly("leaf mould", "GW-32 one in four");
        assertThat(read.treatments().list().get(0).control()).isEqualTo(ControlKind.CONTROL);
        assertThat(read.treatments().list().get(1).container()).isEqualTo(TUB);
        assertThat(read.treatments().list().get(1).mix()).isEqualTo("3 leaf mould + 1 GW-32");
    }

    @Test
    void twoTreatmentsOfOneNameAreRefused() {
        read(new TreatmentsPart(List.of(POT)), Map.of("as", "list", "list[0].name", "bark", "list[1].name", "Bark"));
        assertThat(problems.of("list[1].name")).contains("is there twice");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            replicates | 0    | 1 to 50
            replicates | many | 1 to 50
            replicates | 51   | 1 to 50
            """)
    void unitsAreAWholeNumber(String field, String text, String reason) {
        read(new SizePart(), Map.of(field, text));
        assertThat(problems.of(field)).contains(reason);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            sites[0].length     | 5 cm             | no container fits
            sites[0].length     | long             | Accepted: 180 cm
            sites[0].depth      | ''               | Give both sizes
            sites[0].ppfd       | bright           | bright
            sites[0].influences | ghost in row 1   | ghost
            sites[0].name       | ''               | Where do they stand
            seed                | lucky            | whole number
            rotate              | often            | days
            kind                | LATIN_SQUARE     | Latin square
            """)
    void aBenchTypedWrongSaysWhatWouldDo(String field, String text, String reason) {
        read(new BenchPart(), Map.of(field, text));
        assertThat(String.join(" ", problems.all().values())).containsIgnoringCase(reason);
    }

    @Test
    void aBenchIsMeasuredInAnyUnit() {
        Plan read = read(
                new BenchPart(),
                Map.of(
                        "sites[0].length", "6 ft",
                        "sites[0].depth", "0.8 m",
                        "sites[0].light", "LEFT",
                        "sites[0].ppfd", "400, 300\n200, 100",
                        "kind", "COMPLETELY_RANDOM",
                        "guards", "true",
                        "blind", "true",
                        "seed", "-12"));
        assertThat(problems.all()).isEmpty();
        assertThat(read.arrangement().sites().get(0)).satisfies(site -> {
            assertThat(site.lengthCm()).isEqualTo(182.88);
            assertThat(site.depthCm()).isEqualTo(80);
            assertThat(site.light()).isEqualTo(Side.LEFT);
            assertThat(site.lightMap().rows()).isEqualTo(2);
        });
        assertThat(read.arrangement().kind()).isEqualTo(LayoutKind.COMPLETELY_RANDOM);
        assertThat(read.arrangement().guards()).isTrue();
        assertThat(read.rules().blind()).isTrue();
        assertThat(read.arrangement().secret())
                .as("no typed seed for what is read blind")
                .isTrue();
    }

    @Test
    void handMovesStayWhenOnlyTheNameOfABenchChanges() {
        Plan same = read(new BenchPart(), Map.of());
        assertThat(same.arrangement()).isEqualTo(plan.arrangement());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            looks[0].after     | soon            | Accepted: 6 h, 7 d
            looks[0].endpoints | ''              | Tick what is measured
            zone               | Mars/Olympus    | is not a time zone
            start              | yesterday       | is no day and time
            refill             | 120             | from 5 to 95 %
            steps[0].every     | often           | Accepted: 6 h, 7 d
            from               | 25:00           | 25:00
            away[0].to         | 2026-02-30      | 2026-02-30
            """)
    void datesTypedWrongSayWhatWouldDo(String field, String text, String reason) {
        read(new DatesPart(), Map.of(field, text));
        assertThat(String.join(" ", problems.all().values())).contains(reason);
    }

    @Test
    void startsAreReckonedBackFromACommonEnd() {
        Plan read =
                read(new DatesPart(), Map.of("mode", "end", "end", "2026-06-20T10:00", "runs", "9 d, 7 d, 36 h, 5"));
        assertThat(problems.all()).isEmpty();
        Instant end = Instant.parse("2026-06-20T09:00:00Z");
        assertThat(read.schedule().end()).isEqualTo(end);
        assertThat(read.schedule().start()).isEqualTo(end.minus(Duration.ofDays(9)));
        assertThat(read.schedule().startOf(3)).isEqualTo(end.minus(Duration.ofHours(36)));
        assertThat(read.schedule().startOf(4)).isEqualTo(end.minus(Duration.ofDays(5)));
    }

    @Test
    void asManyRunsAsTreatmentsOrOneForAll() {
        read(new DatesPart(), Map.of("mode", "end", "end", "2026-06-20T10:00", "runs", "9 d, 7 d"));
        assertThat(problems.of("runs")).contains("There are 4 treatments");
    }

    @Test
    void looksAreTypedInAnyOrderAndNamedByThemselves() {
        Plan read = read(
                new DatesPart(),
                Map.of(
                        "looks[7].after",
                        "36 h",
                        "looks[7].endpoints",
                        "height leaves",
                        "looks[8].after",
                        "-3 h",
                        "looks[8].endpoints",
                        "height"));
        assertThat(problems.all()).isEmpty();
        assertThat(read.schedule().looks()).extracting(PlannedLook::name).contains("36 h", "-3 h");
    }
}
