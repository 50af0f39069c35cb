package elsom.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.design.LayoutKind;
import elsom.core.plan.APlan;
import elsom.core.plan.Amendment;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Direction;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Question;
import elsom.core.plan.Recurring;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Stated;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import elsom.core.trial.Instrument;
import elsom.core.trial.LightMap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Side;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Trials broken in one known way beside twins that are not: every fault is found, and no fair trial is called unfair. */
class AuditTest {
    private static Question asked(Stated stated) {
        return new Question(List.of(), 0, new EndpointCode("height"), Direction.HIGHER, 15, true, stated);
    }

    private static Arguments pair(FaultCode code, Grade grade, Supplier<Prepared> broken, Supplier<Prepared> twin) {
        return Arguments.of(code, grade, broken, twin);
    }

    private static Prepared list(int replicates, String... names) {
        return Prepared.of(APlan.ofGrowth().list(names).replicates(replicates).asking(APlan.question("height")));
    }

    private static Prepared treatments(PlannedTreatment... all) {
        return Prepared.of(
                APlan.ofGrowth().treatments(List.of(all)).replicates(4).asking(APlan.question("height")));
    }

    private static PlannedTreatment plain(String name, ControlKind control) {
        return PlannedTreatment.of(name, name, control);
    }

    private static PlannedTreatment fed(String name, ControlKind control, double nitrogen, double rate) {
        return plain(name, control)
                .with("", Map.of(TreatmentProperty.NITROGEN, nitrogen, TreatmentProperty.PRODUCT_RATE, rate));
    }

    /** Water planned every day, of which every so manieth is written down. */
    private static Prepared watered(int everyOther) {
        return Prepared.of(APlan.ofGrowth()
                        .list("none", "kelp", "nettle")
                        .replicates(4)
                        .steps(new Recurring(
                                Recurring.Kind.WATER, "", Duration.ofDays(1), Duration.ofDays(1), Duration.ofDays(27)))
                        .asking(APlan.question("height")))
                .watered(everyOther);
    }

    private static Prepared inSaucers(String influences) {
        Site sill = new Site("Sill", 0, 0, Side.TOP, Side.LEFT, LightMap.NONE, Influence.parse(influences));
        return Prepared.of(APlan.ofGrowth()
                .list("none", "kelp")
                .replicates(4)
                .laidOut(LayoutKind.BLOCKS, sill)
                .asking(APlan.question("height")));
    }

    private static Function<TrialRecord, List<UnitCode>> unitsOf(int treatment, int most) {
        return record -> record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .limit(most)
                .map(ExperimentalUnit::code)
                .toList();
    }

    /** Readings of the last treatment taken later, elsewhere or otherwise. */
    private static Prepared lastTreatment(Duration later, String station, Instrument instrument) {
        Prepared fair = Prepared.fair();
        Map<UnitCode, Integer> treatments = Prepared.treatments(fair.made().plan());
        return fair.readings(one -> treatments.getOrDefault(one.ref().unit(), 0) == 3
                ? Prepared.as(one, one.takenAt().plus(later), station, instrument)
                : one);
    }

    /** Scores of injury, by the bioassay's question, blind or not. */
    private static Prepared scored(boolean blind) {
        Question question =
                new Question(List.of(), 0, EndpointCode.INJURY, Direction.LOWER, 1, false, Stated.BEFORE_START);
        return Prepared.of(APlan.of("salinity")
                        .list("none", "weak", "strong")
                        .replicates(4)
                        .asking(question))
                .plan(plan -> plan.with(new Rules(plan.rules().watering(), 0.5, blind)))
                .step(2);
    }

    /** All units of a treatment put into one row by hand. */
    private static Prepared inOneRow() {
        return Prepared.fair().plan(plan -> {
            TrialRecord drawn = plan.draw(new TrialId(1));
            List<ExperimentalUnit> last =
                    drawn.units().stream().filter(unit -> unit.treatment() == 3).toList();
            Arrangement arrangement = new Arrangement(
                    LayoutKind.COMPLETELY_RANDOM, 4, plan.arrangement().sites(), true, 0, false, 0, 7, List.of());
            Plan random = plan.with(arrangement);
            List<ExperimentalUnit> units =
                    new ArrayList<>(random.draw(new TrialId(1)).units());
            List<UnitCode> codes = units.stream()
                    .filter(unit -> unit.treatment() == 3)
                    .map(ExperimentalUnit::code)
                    .toList();
            boolean wide = random.draw(new TrialId(1)).bench(1).columns() >= codes.size();
            Arrangement moved = arrangement;
            for (int i = 0; i < last.size(); i++) {
                moved = moved.moved(new Arrangement.Move(
                        codes.get(i), wide ? new BenchPosition(1, 1, i + 1) : new BenchPosition(1, i + 1, 1)));
            }
            return plan.with(moved);
        });
    }

    private static Prepared lit(String light) {
        Site sill = new Site("Sill", 0, 0, Side.TOP, Side.LEFT, LightMap.parse(light), List.of());
        return Prepared.of(APlan.ofGrowth()
                .list("none", "kelp")
                .replicates(3)
                .laidOut(LayoutKind.COMPLETELY_RANDOM, sill)
                .asking(APlan.question("height")));
    }

    static Stream<Arguments> pairs() {
        return Stream.of(
                pair(FaultCode.ONE_UNIT, Grade.UNFAIR, () -> list(1, "none", "kelp"), () -> list(4, "none", "kelp")),
                pair(
                        FaultCode.PLANTS_AS_UNITS,
                        Grade.UNFAIR,
                        () -> list(1, "none", "kelp")
                                .plan(plan ->
                                        plan.with(plan.treatments(), new Pots(APlan.POT, 0, 12, 12, 0, 0.1, 0.1, 0))),
                        () -> list(4, "none", "kelp")
                                .plan(plan ->
                                        plan.with(plan.treatments(), new Pots(APlan.POT, 0, 12, 12, 0, 0.1, 0.1, 0)))),
                pair(
                        FaultCode.NO_COMPARATOR,
                        Grade.SOUND,
                        () -> treatments(plain("kelp", ControlKind.NONE), plain("nettle", ControlKind.NONE))
                                .asking(),
                        () -> treatments(plain("none", ControlKind.CONTROL), plain("nettle", ControlKind.NONE))),
                pair(
                        FaultCode.TIED_FACTORS,
                        Grade.UNFAIR,
                        () -> treatments(
                                plain("leaf mould", ControlKind.CONTROL),
                                plain("grit", ControlKind.NONE).in(APlan.TUB, 0)),
                        () -> treatments(
                                plain("leaf mould", ControlKind.CONTROL).in(APlan.TUB, 0),
                                plain("grit", ControlKind.NONE).in(APlan.TUB, 0))),
                pair(
                        FaultCode.DIFFERENT_POTS,
                        Grade.SHAKY,
                        () -> treatments(
                                plain("leaf mould", ControlKind.CONTROL),
                                plain("grit", ControlKind.NONE),
                                PlannedTreatment.of("grit, tub", "grit", ControlKind.NONE)
                                        .in(APlan.TUB, 0)),
                        () -> treatments(plain("leaf mould", ControlKind.CONTROL), plain("grit", ControlKind.NONE))),
                pair(FaultCode.PLACE, Grade.UNFAIR, AuditTest::inOneRow, Prepared::fair),
                pair(
                        FaultCode.UNEVEN_CARE,
                        Grade.SHAKY,
                        () -> Prepared.fair().given(unit -> unit.treatment() == 3 ? 80.0 : 50.0),
                        () -> Prepared.fair().given(unit -> 50.0)),
                pair(
                        FaultCode.AGE_AT_MEASURING,
                        Grade.UNFAIR,
                        () -> lastTreatment(Duration.ofDays(4), "Bench A", Instrument.HAND),
                        () -> lastTreatment(Duration.ofHours(3), "Bench A", Instrument.HAND)),
                pair(
                        FaultCode.LATE_LOOKS,
                        Grade.SOUND,
                        () -> Prepared.fair()
                                .readings(one -> Prepared.as(
                                        one, one.takenAt().plus(Duration.ofDays(4)), "Bench A", Instrument.HAND)),
                        Prepared::fair),
                pair(
                        FaultCode.METER,
                        Grade.SHAKY,
                        () -> lastTreatment(Duration.ZERO, "Bench A", Instrument.METER_UNCHECKED),
                        Prepared::fair),
                pair(
                        FaultCode.INSTRUMENT_CHANGED,
                        Grade.UNFAIR,
                        () -> lastTreatment(Duration.ZERO, "Bench A", Instrument.GAUGE),
                        Prepared::fair),
                pair(FaultCode.NOT_BLIND, Grade.SHAKY, () -> scored(false), () -> scored(true)),
                pair(
                        FaultCode.SEVERAL_SCORERS,
                        Grade.SHAKY,
                        () -> scored(true)
                                .readings(one -> Prepared.as(
                                        one,
                                        one.takenAt(),
                                        one.id().value() % 2 == 0 ? "Bench A" : "Bench B",
                                        Instrument.HAND)),
                        () -> scored(true)),
                pair(
                        FaultCode.LOST_UNITS,
                        Grade.UNFAIR,
                        () -> Prepared.fair().mishap(MishapKind.LOST, 4, unitsOf(2, 2)),
                        () -> Prepared.fair().mishap(MishapKind.LOST, 4, unitsOf(2, 1))),
                pair(
                        FaultCode.MIX_UP,
                        Grade.SHAKY,
                        () -> Prepared.fair().mishap(MishapKind.SWAPPED, 2, unitsOf(2, 2)),
                        Prepared::fair),
                pair(
                        FaultCode.ASKED_LATE,
                        Grade.SHAKY,
                        () -> Prepared.fair().asking(asked(Stated.AFTER_READINGS)),
                        Prepared::fair),
                pair(
                        FaultCode.CHANGED_MIDWAY,
                        Grade.SOUND,
                        () -> Prepared.fair()
                                .amended(new Amendment(
                                        1,
                                        APlan.START.plus(Duration.ofDays(10)),
                                        "Bench A",
                                        "ran out",
                                        List.of("fewer looks"))),
                        () -> Prepared.fair()
                                .amended(new Amendment(
                                        1,
                                        APlan.START.minus(Duration.ofDays(1)),
                                        "Bench A",
                                        "ran out",
                                        List.of("fewer looks")))),
                pair(
                        FaultCode.ENDED_EARLY,
                        Grade.SHAKY,
                        () -> Prepared.fair().until(2, Duration.ofDays(60)),
                        () -> Prepared.fair().until(2, Duration.ofDays(20))),
                pair(
                        FaultCode.MIXED_SPECIES,
                        Grade.SHAKY,
                        () -> Prepared.fair().crop("pea and cress"),
                        () -> Prepared.fair().crop("pea")),
                pair(
                        FaultCode.NITROGEN,
                        Grade.SHAKY,
                        () -> treatments(
                                fed("none", ControlKind.CONTROL, 0.01, 10), fed("kelp", ControlKind.NONE, 0.02, 10)),
                        () -> treatments(
                                fed("none", ControlKind.CONTROL, 0.01, 10), fed("kelp", ControlKind.NONE, 0.02, 5))),
                pair(
                        FaultCode.BASIS,
                        Grade.SHAKY,
                        () -> list(4, "none", "kelp 2 g/L", "nettle 40 g per m²"),
                        () -> list(4, "none", "kelp 2 g/L", "nettle 4 g per litre")),
                pair(FaultCode.MISSED_WATERING, Grade.SHAKY, () -> watered(3), () -> watered(1)),
                pair(
                        FaultCode.SHARED_WATER,
                        Grade.SHAKY,
                        () -> inSaucers("saucer rows 1-2"),
                        () -> inSaucers("shade rows 1-2")),
                pair(
                        FaultCode.WEATHER,
                        Grade.SHAKY,
                        () -> Prepared.fair().mishap(MishapKind.WEATHER, 2, unitsOf(2, 2)),
                        () -> Prepared.fair()
                                .mishap(
                                        MishapKind.WEATHER,
                                        2,
                                        record -> record.units().stream()
                                                .map(ExperimentalUnit::code)
                                                .toList())),
                pair(
                        FaultCode.BY_HAND,
                        Grade.SHAKY,
                        () -> Prepared.fair().mishap(MishapKind.REPLACED, 2, unitsOf(2, 1)),
                        () -> Prepared.fair().mishap(MishapKind.PEST, 2, unitsOf(2, 1))),
                pair(
                        FaultCode.TOO_FEW,
                        Grade.SHAKY,
                        () -> Prepared.fair()
                                .asking(new Question(
                                        List.of(),
                                        0,
                                        new EndpointCode("height"),
                                        Direction.HIGHER,
                                        0.2,
                                        false,
                                        Stated.BEFORE_START))
                                .step(0.1),
                        Prepared::fair));
    }

    @ParameterizedTest
    @MethodSource("pairs")
    void everyPlantedFaultIsFoundAndItsTwinIsNotCalledUnfair(
            FaultCode code, Grade grade, Supplier<Prepared> broken, Supplier<Prepared> twin) {
        assertThat(broken.get().audited().faults())
                .filteredOn(fault -> fault.code() == code)
                .singleElement()
                .satisfies(fault -> {
                    assertThat(fault.grade()).isEqualTo(grade);
                    assertThat(fault.seen()).isNotBlank();
                    assertThat(fault.next()).isNotBlank();
                });
        Audit fair = twin.get().audited();
        assertThat(fair.grade()).isNotEqualTo(Grade.UNFAIR);
        assertThat(fair.faults())
                .noneMatch(fault -> fault.code() == code && fault.grade() == grade && grade != Grade.SOUND);
    }

    static Stream<Arguments> brokenTwice() {
        return Stream.of(
                Arguments.of(FaultCode.ONE_UNIT, FaultCode.BASIS, list(1, "none", "kelp 2 g/L", "nettle 40 g per m²")),
                Arguments.of(
                        FaultCode.MIXED_SPECIES,
                        FaultCode.BY_HAND,
                        Prepared.fair().crop("pea and cress").mishap(MishapKind.REPLACED, 2, unitsOf(2, 1))),
                Arguments.of(
                        FaultCode.NOT_BLIND,
                        FaultCode.WEATHER,
                        scored(false).mishap(MishapKind.WEATHER, 1, unitsOf(1, 2))),
                Arguments.of(
                        FaultCode.SHARED_WATER,
                        FaultCode.LOST_UNITS,
                        inSaucers("saucer rows 1-2").mishap(MishapKind.LOST, 2, unitsOf(2, 2))),
                Arguments.of(
                        FaultCode.ENDED_EARLY,
                        FaultCode.MISSED_WATERING,
                        watered(3).until(2, Duration.ofDays(60))));
    }

    @ParameterizedTest
    @MethodSource("brokenTwice")
    void twoFaultsInOneTrialAreBothFound(FaultCode one, FaultCode other, Prepared broken) {
        assertThat(broken.audited().faults()).extracting(Fault::code).contains(one, other);
    }

    @Test
    void aFairTrialIsSoundAndOnlySaysThatItIsOne() {
        Audit audit = Prepared.fair().audited();
        assertThat(audit.grade()).isEqualTo(Grade.SOUND);
        assertThat(audit.faults()).extracting(Fault::code).containsExactly(FaultCode.ONE_LOT);
    }

    @Test
    void aFaultOfOneEndpointCapsNoOther() {
        Audit audit = scored(false).audited();
        assertThat(audit.grade(EndpointCode.INJURY)).isEqualTo(Grade.SHAKY);
        assertThat(audit.cap(EndpointCode.INJURY).orElseThrow().code()).isEqualTo(FaultCode.NOT_BLIND);
        assertThat(audit.grade(new EndpointCode("yield"))).isEqualTo(Grade.SOUND);
    }

    /** Light that falls off by half along the bench can't be shared out by three units of each; it is told. */
    @Test
    void unlikeLightIsToldWhereItWasMeasured() {
        assertThat(lit("400 400 400").audited().faults()).noneMatch(fault -> fault.code() == FaultCode.LIGHT);
        long told = Stream.of("600 300 100", "100 300 600", "500 100 100", "100 100 500")
                .filter(light ->
                        lit(light).audited().faults().stream().anyMatch(fault -> fault.code() == FaultCode.LIGHT))
                .count();
        assertThat(told).isPositive();
    }

    @Test
    void aFactorThatIsTheContainerIsNotBlamed() {
        assertThat(Prepared.of(APlan.ofGrowth()
                                .factors(
                                        APlan.factor("Container", FactorKind.HANDLING, "bowl", "tub"),
                                        APlan.factor("Mix", FactorKind.MATERIAL, "leaf mould", "grit"))
                                .replicates(4)
                                .asking(APlan.question("height")))
                        .audited()
                        .faults())
                .noneMatch(fault -> fault.code() == FaultCode.DIFFERENT_POTS);
    }

    /** Held against the others, not against a mean with itself in it; hands that pour unevenly are not accused. */
    @Test
    void moreWaterIsToldAndAnUnsteadyHandIsNotAccused() {
        SplittableRandom random = new SplittableRandom(11);
        int told = 0;
        int accused = 0;
        for (int i = 0; i < 40; i++) {
            told += uneven(unit -> (unit.treatment() == 3 ? 57.5 : 50) * (1 + 0.05 * random.nextGaussian())) > 0
                    ? 1
                    : 0;
            accused += uneven(unit -> 50 * (1 + 0.15 * random.nextGaussian())) > 1 ? 1 : 0;
        }
        assertThat(told).isGreaterThanOrEqualTo(35);
        assertThat(accused).isLessThanOrEqualTo(4);
    }

    /** 0 where nothing is said, 1 where it is told, 2 where it makes the trial shaky. */
    private static int uneven(Function<ExperimentalUnit, Double> millilitres) {
        return Prepared.fair().given(millilitres).audited().faults().stream()
                .filter(fault -> fault.code() == FaultCode.UNEVEN_CARE)
                .mapToInt(fault -> fault.grade() == Grade.SOUND ? 1 : 2)
                .max()
                .orElse(0);
    }

    /** 2,000 draws by lot: at most 1 in 20 is called tied to its place. */
    @Test
    void aFairDrawIsCalledTiedInAtMostOneOfTwenty() {
        AuditCase fair = Prepared.fair().made();
        TiedToPlace rule = new TiedToPlace();
        int alarms = 0;
        for (int seed = 1; seed <= 2000; seed++) {
            Plan plan = fair.plan()
                    .with(new Arrangement(
                            seed % 2 == 0 ? LayoutKind.COMPLETELY_RANDOM : LayoutKind.BLOCKS,
                            4,
                            fair.plan().arrangement().sites(),
                            true,
                            0,
                            false,
                            0,
                            seed,
                            List.of()));
            TrialRecord record = plan.draw(new TrialId(1));
            alarms += rule.check(new AuditCase(plan, record, fair.findings(), List.of(), fair.now()))
                            .isEmpty()
                    ? 0
                    : 1;
        }
        assertThat(alarms).isLessThanOrEqualTo(100).isGreaterThan(10);
    }
}
