package elsom.core.protocol.water;

import static elsom.core.protocol.water.WaterTrial.aTrial;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.figure.GroupKey;
import elsom.core.flag.Flag;
import elsom.core.flag.FlagCode;
import elsom.core.material.LotFigure;
import elsom.core.material.Origin;
import elsom.core.mix.Property;
import elsom.core.results.Course;
import elsom.core.results.Courses;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Learned;
import elsom.core.results.Ranking;
import elsom.core.results.Verdict;
import elsom.core.trial.MishapKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class WaterFindingsTest {
    private static Findings of(WaterTrial trial) {
        return at(trial, OptionalInt.empty());
    }

    private static Findings at(WaterTrial trial, OptionalInt look) {
        return new WaterHolding().findings(Evidence.of(trial.plan(), trial.drawn(), look));
    }

    private static List<String> sentences(Findings findings) {
        return verdicts(findings).stream().map(Verdict::sentence).toList();
    }

    private static List<Verdict> verdicts(Findings findings) {
        return findings.answers().stream().map(Findings.Answered::verdict).toList();
    }

    private static Course drying(Findings findings) {
        return findings.sections(Courses.class).get(0).courses().get(0);
    }

    private static List<String> flags(Findings findings) {
        return findings.flags().stream().map(Flag::seen).toList();
    }

    /** Fibre holds 240 mL of 400 and loses slowly; brick holds 100 and loses fast. Scatter between pots, none within. */
    private static WaterTrial fibreAndBrick() {
        return aTrial().medium("Wood fibre", "organic", 0.9)
                .medium("Crushed brick", "mineral", 0.0)
                .dried(
                        (t, r) -> t == 1 ? 40 : 400,
                        (t, r) -> (t == 1 ? 240 : 100) + 4 * r,
                        (t, r) -> (t == 1 ? 0.004 : 0.02) * (1 + 0.02 * r));
    }

    @Test
    void saysWhoHoldsWaterAndWhoIsDue() {
        Findings findings = of(fibreAndBrick());
        assertThat(sentences(findings).get(0))
                .matches(
                        "Wood fibre still holds 42 % \\(95 %: \\d+–\\d+\\) water by volume after 4 days, the most of all; crushed brick is under"
                                + " its refill weight after 1\\.4 days \\(95 %: 1\\.\\d–1\\.\\d\\)\\.");
        assertThat(verdicts(findings).get(0).firmness()).isEqualTo(Verdict.Firmness.SOUND);
        assertThat(sentences(findings).get(1))
                .startsWith("Crushed brick did worse than Wood fibre: still held, share of volume at day 4 −");
    }

    /** What the shelf learns: means in the shelf's units, with depth, day and trial; nothing of how it was dried. */
    @Test
    void whatWasMeasuredOfAMediumBecomesFiguresOfItsLot() {
        WaterTrial trial = fibreAndBrick();
        LocalDate day = LocalDate.of(2026, 5, 4);
        List<Learned> learned = Learned.of(trial.drawn(), of(trial), day);
        assertThat(learned).extracting(Learned::mix).containsExactly("Wood fibre", "Crushed brick");
        Map<Property, Double> fibre =
                learned.get(0).figures().stream().collect(Collectors.toMap(LotFigure::property, LotFigure::value));
        // 250 of 400 mL held on the average of five pots, 40 g dry in them; the rest of the pores is air.
        double held = of(trial)
                .group(new GroupKey(1, 1))
                .orElseThrow()
                .figure(WaterKinds.CAPACITY)
                .orElseThrow()
                .summary()
                .mean();
        assertThat(fibre.get(Property.WATER))
                .isCloseTo(100 * held, within(1e-9))
                .isBetween(60.0, 64.0);
        assertThat(fibre.get(Property.DENSITY)).isCloseTo(100, within(1.0));
        assertThat(fibre.get(Property.WATER) + fibre.get(Property.AIR)).isBetween(90.0, 97.0);
        assertThat(learned.get(0).figures()).hasSize(3).allSatisfy(figure -> {
            assertThat(figure.origin()).isEqualTo(Origin.MEASURED);
            assertThat(figure.on()).isEqualTo(day);
            assertThat(figure.depthCm() > 0).isEqualTo(figure.property().byDepth());
        });
    }

    /** A text that is no mix must not keep the page from opening. */
    @Test
    void whatIsNoMixTeachesTheShelfNothing() {
        WaterTrial trial = aTrial().medium("2:1 sand", "mineral", 0.0)
                .medium("Wood fibre", "organic", 0.9)
                .dried((t, r) -> 40, (t, r) -> 200 + 4 * r, (t, r) -> 0.004);
        assertThat(Learned.of(trial.drawn(), of(trial), LocalDate.of(2026, 5, 4)))
                .extracting(Learned::mix)
                .containsExactly("Wood fibre");
    }

    @Test
    void figuresAgreeWithTheTruth() {
        Findings findings = of(fibreAndBrick());
        var brick = findings.group(new GroupKey(1, 2)).orElseThrow();
        // Units hold 104, 108 and 112 mL of 400: capacity 27 % with sd 1 %.
        var capacity = brick.figure(WaterKinds.CAPACITY).orElseThrow().summary();
        assertThat(capacity.mean()).isCloseTo(0.27, within(1e-9));
        assertThat(capacity.sd().getAsDouble()).isCloseTo(0.01, within(1e-9));
        // Half of the water is gone after ln 2 / k.
        double days = Math.log(2) / 24 * (1 / 0.0204 + 1 / 0.0208 + 1 / 0.0212) / 3;
        assertThat(brick.figure(WaterKinds.REFILL_AFTER).orElseThrow().summary().mean())
                .isCloseTo(days, within(1e-3));
        // Pore space of a mineral at 1 g/mL: 1 − 1/2.65.
        assertThat(brick.figure(WaterKinds.POROSITY).orElseThrow().summary().mean())
                .isCloseTo(1 - 1 / 2.65, within(1e-9));
    }

    @Test
    void everyFigureShowsItsWorkingAndItsReadings() {
        WaterTrial trial = fibreAndBrick();
        Findings findings = of(trial);
        findings.units()
                .forEach(unit -> assertThat(unit.figures())
                        .hasSize(WaterKinds.ALL.size())
                        .allSatisfy(figure -> {
                            assertThat(figure.working().steps()).isNotEmpty();
                            assertThat(figure.working().terms()).isNotEmpty();
                            figure.working().terms().stream()
                                    .flatMap(term -> term.origins().stream())
                                    .forEach(origin -> assertThat(trial.drawn().current(origin))
                                            .isPresent());
                        }));
        findings.groups()
                .forEach(group -> assertThat(group.figures())
                        .allSatisfy(
                                figure -> assertThat(figure.working().terms()).hasSize(3)));
    }

    @Test
    void portionsOfTheVolumeSumToOne() {
        Composition fibre = of(fibreAndBrick())
                .sections(Volumes.class)
                .get(0)
                .compositions()
                .get(0);
        assertThat(fibre.parts().stream()
                        .mapToDouble(Composition.Part::fraction)
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(fibre.parts()).extracting(Composition.Part::kind).contains(Composition.Kind.AIR);
    }

    @Test
    void onePotEachCanNotTell() {
        Findings findings = of(aTrial().medium("Wood fibre")
                .medium("Leaf mould")
                .replicates(1)
                .dried((t, r) -> 60, (t, r) -> 200 - 50 * t, (t, r) -> 0.01));
        assertThat(verdicts(findings))
                .allSatisfy(verdict -> assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.CANT_TELL));
        assertThat(sentences(findings)).anySatisfy(text -> assertThat(text).contains("nothing can be judged"));
        assertThat(findings.flags()).extracting(Flag::code).contains(FlagCode.ONE_UNIT_EACH);
    }

    @Test
    void overlappingMediaSayHowManyUnitsWouldTell() {
        Findings findings = of(aTrial().medium("Wood fibre")
                .medium("Leaf mould")
                .dried((t, r) -> 60, (t, r) -> 200 + 25 * r + (t == 1 ? 18 * (r % 2) : 0), (t, r) -> 0.01));
        Verdict second = verdicts(findings).get(1);
        assertThat(second.firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(second.sentence()).contains("Can't tell yet whether Leaf mould differs from Wood fibre");
        assertThat(second.wouldChange()).contains("units of each would likely tell");
    }

    @Test
    void nothingWeighedIsAnAnswerToo() {
        Findings findings = of(aTrial().medium("Wood fibre"));
        assertThat(findings.comparedAt()).isZero();
        assertThat(sentences(findings).get(0)).startsWith("Nothing to tell yet");
    }

    @Test
    void comparesAtTheNewestLookThoughOneWasMissedOrAtTheOneAsked() {
        WaterTrial trial = fibreAndBrick();
        assertThat(of(trial).comparedAt()).isEqualTo(trial.look("day 4").number());
        trial.takeBack(trial.unit(1, 1), "day 4", WaterHolding.WET);
        assertThat(of(trial).comparedAt()).isEqualTo(trial.look("day 4").number());
        assertThat(verdicts(of(trial)).get(0).firmness()).isEqualTo(Verdict.Firmness.SO_FAR);
        int asked = trial.look("6 h").number();
        assertThat(at(trial, OptionalInt.of(asked)).comparedAt()).isEqualTo(asked);
    }

    @Test
    void aCrossingIsGivenOnlyWhenEveryUnitHasOne() {
        Findings findings = of(fibreAndBrick());
        Course course = drying(findings);
        assertThat(course.lines().get(1).crossing()).hasValueSatisfying(crossing -> {
            assertThat(crossing.n()).isEqualTo(3);
            assertThat(crossing.extrapolated()).isFalse();
        });
        Findings mixed =
                of(aTrial().medium("Mixed").dried((t, r) -> 60, (t, r) -> 200, (t, r) -> r == 1 ? 0.0005 : 0.02));
        assertThat(drying(mixed).lines().get(0).crossing()).isEmpty();
    }

    @Test
    void mediaInAnotherContainerAreNotRankedButDepthIsCompared() {
        Findings findings = of(aTrial().medium("Wood fibre")
                .medium("Leaf mould")
                .medium("Bracken")
                .inTub("Wood fibre")
                .dried((t, r) -> 60, (t, r) -> t == 4 ? 120 + r : 200 + r, (t, r) -> 0.01));
        assertThat(findings.sections(Ranking.class).get(0).places())
                .extracting(Ranking.Placed::arm)
                .containsExactlyInAnyOrder(0, 1, 2);
        assertThat(sentences(findings)).anySatisfy(text -> assertThat(text).contains("at 8.5 cm depth", "at 18 cm"));
    }

    @Test
    void twoPlacesAreComparedByTheirDryingRates() {
        WaterTrial trial = aTrial().medium("Wood fibre").medium("Leaf mould").places("Sunny sill", "Under the bench");
        trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 30);
        trial.weigh("dry", WaterHolding.DRY, (unit, look) -> 90);
        trial.drawn().looks().stream()
                .filter(look -> look.endpoints().contains(WaterHolding.WET))
                .forEach(wet -> trial.weigh(wet.name(), WaterHolding.WET, (unit, look) -> {
                    double rate = (unit.position().bench() == 1 ? 0.02 : 0.01) * (unit.treatment() == 1 ? 1 : 1.02);
                    return 90 + (200 + unit.replicate()) * Math.exp(-rate * look.hoursAfterStart());
                }));
        assertThat(sentences(of(trial)))
                .anySatisfy(text -> assertThat(text)
                        .startsWith(
                                "Water goes 2.0 times as fast (95 %: 2.0–2.0) at “Sunny sill” as at “Under the bench”"))
                .anySatisfy(text -> assertThat(text).startsWith("Under the bench: "));
    }

    @Test
    void flagsWhatCanNotBeRight() {
        WaterTrial trial = fibreAndBrick();
        trial.weigh(trial.unit(1, 1), "day 2", WaterHolding.WET, 50);
        trial.weigh(trial.unit(2, 1), "dry", WaterHolding.DRY, 20);
        assertThat(flags(of(trial)))
                .anySatisfy(text -> assertThat(text).contains("weighed less wet than dry"))
                .anySatisfy(text -> assertThat(text).contains("gained weight after draining"))
                .anySatisfy(text -> assertThat(text).contains("no more with dry medium than empty"));
    }

    @Test
    void flagsScatterAndLostUnits() {
        WaterTrial trial = aTrial().medium("Wood fibre").dried((t, r) -> 60, (t, r) -> 100 + 60 * r, (t, r) -> 0.01);
        trial.mishap(MishapKind.LOST, trial.unit(1, 2), "day 4");
        trial.takeBack(trial.unit(1, 2), "day 4", WaterHolding.WET);
        assertThat(flags(of(trial)))
                .anySatisfy(text -> assertThat(text).contains("scatters by 27 %"))
                .anySatisfy(text -> assertThat(text).contains("lost or dead at day 4"));
    }

    @Test
    void flagsMediaThatWillNotWet() {
        WaterTrial trial = aTrial().medium("Bracken")
                .prewetted("Bracken")
                .medium("Fibre")
                .checkingDryness()
                .dried((t, r) -> 60, (t, r) -> t == 1 ? 30 + r : 200 + r, (t, r) -> 0.01);
        trial.weigh("dry again", WaterHolding.DRY, (unit, look) -> unit.treatment() == 3 ? 88 : 90);
        trial.weigh("dry again", WaterHolding.DROP, (unit, look) -> unit.treatment() == 1 ? 700 : 90);
        trial.mishap(MishapKind.FLOATED, trial.unit(1, 1), "drained");
        assertThat(flags(of(trial)))
                .anySatisfy(text -> assertThat(text).contains("Bracken took up 8.0 %", "fails to re-wet"))
                .anySatisfy(text -> assertThat(text).contains("strongly repellent"))
                .anySatisfy(text -> assertThat(text).contains("slightly repellent"))
                .anySatisfy(text -> assertThat(text).contains("floated"))
                .anySatisfy(text -> assertThat(text).contains("changed its dry weight"));
    }
}
