package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Treatments;
import elsom.core.practice.PracticeBench.Shown;
import elsom.core.practice.PracticeBench.Wrong;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What instruments show on a practice bench, and what goes wrong there. */
class PracticeBenchTest {
    private static final Instant START = Instant.parse("2026-03-01T08:00:00Z");
    private static final EndpointCode MASS = new EndpointCode("fresh-mass");

    private static Level level(String code) {
        return Levels.find(code).orElseThrow();
    }

    private static TrialRecord started(Level level, Trialled trialled) {
        return Measured.started(Draft.of(level, trialled, ZoneOffset.UTC, START, 5))
                .record();
    }

    private static PracticeBench bench(TrialRecord record, Level level, Setting setting, long seed) {
        return new PracticeBench(record, level, setting, seed);
    }

    private static Look last(TrialRecord record) {
        return record.looks().get(record.looks().size() - 1);
    }

    private static double mean(TrialRecord record, List<Shown> shown, EndpointCode code, int treatment) {
        return shown.stream()
                .filter(one -> one.ref().endpoint().equals(code))
                .filter(one -> record.unit(one.ref().unit()).orElseThrow().treatment() == treatment)
                .mapToDouble(Shown::value)
                .average()
                .orElseThrow();
    }

    @Test
    void unitsShowWhatIsTrueWithScatterAround() {
        Level free = Levels.free();
        Setting setting = new Setting(0.4, 0.05, 0, 0);
        TrialRecord record = started(free, free.fair());
        List<Shown> shown = bench(record, free, setting, 3).read(last(record), 0);
        double ratio = mean(record, shown, MASS, 2) / mean(record, shown, MASS, 1);
        assertThat(ratio).isEqualTo(1.4, within(0.08));
        assertThat(shown)
                .extracting(one -> one.ref().unit())
                .containsAll(record.units().stream().map(ExperimentalUnit::code).toList());
    }

    @Test
    void readingsAreTheSameHoweverOftenTheyAreTaken() {
        Level level = level("one-pot-each");
        TrialRecord record = started(level, level.fair());
        PracticeBench bench = bench(record, level, level.setting(), 8);
        assertThat(bench.read(last(record), 0)).isEqualTo(bench.read(last(record), 0));
        assertThat(bench(record, level, level.setting(), 9).read(last(record), 0))
                .isNotEqualTo(bench.read(last(record), 0));
    }

    @Test
    void plantsGrowFromLookToLook() {
        Level level = level("one-pot-each");
        TrialRecord record = started(level, level.fair());
        PracticeBench bench = bench(record, level, level.setting(), 8);
        EndpointCode height = new EndpointCode("height");
        List<Double> heights = new ArrayList<>();
        for (Look look : record.looks()) {
            if (look.endpoints().contains(height)) {
                heights.add(mean(record, bench.read(look, 0), height, 1));
            }
        }
        assertThat(heights).hasSizeGreaterThan(1).isSorted();
    }

    @Test
    void theBrightEndGrowsMore() {
        Level free = Levels.free();
        Setting lit = new Setting(0, 0.02, 0.7, 0);
        TrialRecord record = started(free, free.fair().placed(Trialled.Placing.SIDE_BY_SIDE));
        PracticeBench bench = bench(record, free, lit, 3);
        List<Shown> shown = bench.read(last(record), 0);
        assertThat(mean(record, shown, MASS, 1)).isGreaterThan(1.2 * mean(record, shown, MASS, 2));
        assertThat(record.units().stream().mapToDouble(bench::light).max().orElseThrow())
                .isEqualTo(1.7, within(0.05));
    }

    @Test
    void slugsTakeTheirShareAndTheHeaterDriesTheDarkEnd() {
        Level free = Levels.free();
        Setting hard = new Setting(0, 0.1, 0.5, 0.5);
        TrialRecord record = started(free, free.fair());
        PracticeBench bench = bench(record, free, hard, 3);
        Set<UnitCode> lost = new HashSet<>();
        List<Wrong> dried = new ArrayList<>();
        for (Look look : record.looks()) {
            for (Wrong wrong : bench.wrong(look)) {
                if (wrong.kind() == MishapKind.TAKEN) {
                    lost.addAll(wrong.units());
                } else {
                    dried.add(wrong);
                }
            }
        }
        assertThat(lost.size()).isBetween(5, 18);
        assertThat(dried)
                .singleElement()
                .satisfies(wrong -> assertThat(wrong.units()).hasSize(2));
        assertThat(bench(record, free, new Setting(0, 0.1, 0, 0), 3).wrong(last(record)))
                .isEmpty();
    }

    @Test
    void aWeekendWithoutWaterCostsGrowth() {
        Level level = level("one-pot-each");
        TrialRecord record = started(level, level.fair());
        Wrong unwatered = PracticeBench.unwatered(record);
        TrialRecord dry = record.withMishaps(List.of(
                new Mishap(1, unwatered.kind(), unwatered.note(), unwatered.units(), 1, START, "Practice", null)));
        double watered = mean(record, bench(record, level, level.setting(), 8).read(last(record), 0), MASS, 1);
        double went = mean(dry, bench(dry, level, level.setting(), 8).read(last(dry), 0), MASS, 1);
        assertThat(went).isLessThan(0.92 * watered);
    }

    @Test
    void theBestOnlyAreTheHeaviestOfTheTreated() {
        Level level = level("best-plants");
        TrialRecord record = started(level, level.trap());
        PracticeBench bench = bench(record, level, level.setting(), 2);
        List<Shown> all = bench.read(last(record), 0);
        List<Shown> best = bench.read(last(record), 5);
        assertThat(best.stream()
                        .filter(one -> one.ref().endpoint().equals(MASS))
                        .filter(one ->
                                record.unit(one.ref().unit()).orElseThrow().treatment() == 2))
                .hasSize(5);
        assertThat(mean(record, best, MASS, 2)).isGreaterThan(1.1 * mean(record, all, MASS, 2));
        assertThat(mean(record, best, MASS, 1)).isEqualTo(mean(record, all, MASS, 1), within(1e-9));
    }

    @Test
    void aResidueTwistsPeasAndSaltsBurnThem() {
        Level residue = level("lot-with-residue");
        long seed = seedOf(residue, Call.RESIDUE);
        TrialRecord record = started(residue, residue.fair());
        List<Shown> shown = bench(record, residue, residue.setting(), seed).read(last(record), 0);
        assertThat(shown).anyMatch(one -> one.text().endsWith(" cupped, twisted"));
        assertThat(mean(record, shown, EndpointCode.INJURY, 2)).isGreaterThan(5);
        assertThat(mean(record, shown, EndpointCode.INJURY, 5)).isLessThan(1.5);
        Level salts = level("salts-like-residue");
        TrialRecord burnt = started(salts, salts.fair());
        assertThat(bench(burnt, salts, salts.setting(), seedOf(salts, Call.SALTS))
                        .read(last(burnt), 0))
                .anyMatch(one -> one.text().endsWith(" burnt"));
    }

    private static long seedOf(Level level, Call call) {
        for (long seed = 1; seed < 100; seed++) {
            if (level.truth(level.setting(), seed).right() == call) {
                return seed;
            }
        }
        throw new AssertionError("no seed gives " + call);
    }

    @Test
    void delayedInjuryIsNotThereOnTheThirdDay() {
        Level level = level("delayed-injury");
        long seed = seedOf(level, Call.HARMFUL);
        TrialRecord record = started(level, level.fair());
        PracticeBench bench = bench(record, level, level.setting(), seed);
        Look third = record.looks().stream()
                .filter(look -> look.hoursAfterStart() == 72)
                .findFirst()
                .orElseThrow();
        assertThat(mean(record, bench.read(third, 0), EndpointCode.INJURY, 2)).isLessThan(1);
        assertThat(mean(record, bench.read(last(record), 0), EndpointCode.INJURY, 2))
                .isGreaterThan(3);
    }

    @Test
    void aFlatBowlHoldsMoreOfTheSameMixThanATallTub() {
        Level level = level("bowl-and-tub");
        Trialled oneMix = Trialled.of(6, Trialled.Placing.BLOCKS, 1, "mix 1, bowl", "mix 1, tub");
        Measured measured = Measured.of(started(level, oneMix));
        PracticeBench bench = bench(measured.record(), level, level.setting(), 4);
        for (Look look : measured.record().looks()) {
            if (look.hoursAfterStart() <= 0) {
                for (Shown one : bench.read(look, 0)) {
                    measured.add(
                            measured.record().unit(one.ref().unit()).orElseThrow(),
                            look,
                            one.ref().endpoint().value(),
                            1,
                            one.value());
                }
            }
        }
        PracticeOutcome seen =
                PracticeOutcome.of(measured.record(), level, level.setting(), level.truth(level.setting(), 4), true);
        double bowl = seen.rows().get(0).figures().stream()
                .mapToDouble(d -> d)
                .average()
                .orElseThrow();
        double tub = seen.rows().get(1).figures().stream()
                .mapToDouble(d -> d)
                .average()
                .orElseThrow();
        assertThat(bowl - tub).isEqualTo(9.4, within(3.0));
        assertThat(seen.rows().get(0).truth() - seen.rows().get(1).truth()).isEqualTo(9.4, within(0.1));
    }

    @Test
    void everyInstrumentOnTheBenchSeesWhatItsDaysWriteDown() {
        Level level = level("one-pot-each");
        TrialRecord record = started(level, level.fair());
        PracticeBench bench = bench(record, level, level.setting(), 8);
        List<Shown> written = bench.read(last(record), 0);
        assertThat(written).extracting(one -> one.ref().endpoint()).contains(MASS, new EndpointCode("height"));
        assertThat(written).allSatisfy(one -> assertThat(bench.seen(one.ref())).hasValue(one.value()));
        Level pots = level("bowl-and-tub");
        TrialRecord weighed = started(pots, pots.fair());
        assertThat(bench(weighed, pots, pots.setting(), 1)
                        .seen(new ReadingRef(weighed.units().get(0).code(), 1, WaterHolding.TARE)))
                .isPresent();
    }

    @Test
    void instrumentsSeeNothingOfWhatTheTrialHasNot() {
        Level level = level("one-pot-each");
        TrialRecord record = started(level, level.fair());
        PracticeBench bench = bench(record, level, level.setting(), 8);
        int look = last(record).number();
        UnitCode unit = record.units().get(0).code();
        assertThat(bench.seen(new ReadingRef(new UnitCode("Z99"), look, MASS))).isEmpty();
        assertThat(bench.seen(new ReadingRef(unit, 99, MASS))).isEmpty();
        assertThat(bench.seen(new ReadingRef(unit, look, new EndpointCode("sodium"))))
                .isEmpty();
    }

    @Test
    void aTreatmentThatIsNotOnTheShelfCannotBeRead() {
        Level level = level("one-pot-each");
        Plan plan = Draft.of(level, level.fair(), ZoneOffset.UTC, START, 5);
        Plan other = plan.with(
                Treatments.listed(List.of(
                        PlannedTreatment.of("moon dust", "moon dust", ControlKind.CONTROL),
                        PlannedTreatment.of("mix b", "mix b", ControlKind.NONE))),
                plan.pots());
        TrialRecord record = Measured.started(other).record();
        assertThat(Planned.unknown(level, other)).containsExactly("moon dust");
        assertThatThrownBy(() -> bench(record, level, level.setting(), 1).read(last(record), 0))
                .hasMessageContaining("nothing on the shelf for “moon dust”");
    }
}
