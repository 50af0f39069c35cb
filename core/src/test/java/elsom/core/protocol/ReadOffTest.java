package elsom.core.protocol;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Findings;
import elsom.core.verdict.GroupResult;
import elsom.core.verdict.UnitResult;
import elsom.core.verdict.Verdict;
import elsom.core.working.Term;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Findings of a trial whose endpoints are compared as they are read. */
class ReadOffTest {
    private final Measured measured = Measured.started(APlan.ofGrowth()
            .list("leaf mould", "wood fibre", "rice hulls")
            .replicates(4)
            .plan());

    private static Findings findings(TrialRecord record) {
        return ReadOff.of(record, OptionalInt.empty());
    }

    /**
     * 10, 12, 11, 13 against 15, 14, 16, 17: means 11.5 and 15.5, both with s² = 5/3, so the standard error is √(5/6) and
     * t with 6 degrees of freedom 2.446912; 4 ± 2.2337.
     */
    @Test
    void aTreatmentIsComparedWithTheControlByWelchsInterval() {
        TrialRecord record = measured.read("height", 1, 10, 12, 11, 13)
                .read("height", 2, 15, 14, 16, 17)
                .record();
        Findings found = findings(record);
        Verdict verdict = found.verdicts().get(0);
        assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.SO_FAR);
        assertThat(verdict.sentence())
                .isEqualTo("Height in wood fibre is above leaf mould by 4.0 cm (95 % interval of the difference 1.8 to"
                        + " 6.2 cm).");
        GroupResult group = found.groups().get(1);
        assertThat(group.figures().get(0).summary().mean()).isCloseTo(15.5, within(1e-12));
        assertThat(group.figures().get(0).summary().sd().getAsDouble()).isCloseTo(Math.sqrt(5.0 / 3), within(1e-12));
    }

    @Test
    void anIntervalAcrossNothingTellsNothing() {
        TrialRecord record = measured.read("height", 1, 10, 12, 11, 13)
                .read("height", 3, 11, 13, 10, 14)
                .record();
        assertThat(findings(record).verdicts()).singleElement().satisfies(verdict -> {
            assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
            assertThat(verdict.sentence()).startsWith("Can't tell yet whether height in rice hulls differs from leaf");
        });
    }

    @Test
    void oneUnitOfEachCannotBeJudged() {
        TrialRecord record =
                measured.read("height", 1, 10).read("height", 2, 20).record();
        assertThat(findings(record).verdicts())
                .singleElement()
                .satisfies(verdict -> assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.CANT_TELL));
    }

    @Test
    void withoutAControlNothingIsClaimed() {
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("a", "a", ControlKind.NONE),
                        PlannedTreatment.of("b", "b", ControlKind.NONE)))
                .plan();
        TrialRecord record = Measured.started(plan)
                .read("height", 1, 10, 11, 12, 13)
                .read("height", 2, 30, 31, 32, 33)
                .record();
        assertThat(findings(record).verdicts())
                .singleElement()
                .satisfies(verdict -> assertThat(verdict.sentence()).startsWith("There is no control"));
    }

    @Test
    void subReadingsOfAUnitAreAveragedAndNamedInItsWorking() {
        var unit = measured.unit(1, 1);
        var look = measured.lookFor("height");
        measured.add(unit, look, "height", 1, 10)
                .add(unit, look, "height", 2, 11)
                .add(unit, look, "height", 3, 15)
                .add(unit, look, "height", 3, 12);
        UnitResult result = findings(measured.record()).units().get(0);
        assertThat(result.figures().get(0).value()).isEqualTo(11);
        assertThat(result.figures().get(0).working().formula()).isEqualTo("mean of the unit's own readings");
        assertThat(result.figures().get(0).working().terms())
                .extracting(Term::name)
                .containsExactly("reading 1", "reading 2", "reading 3");
    }

    @Test
    void theLastCompleteLookIsReadUnlessAnotherIsAskedFor() {
        measured.read("emerged", 1, 3, 3, 3, 3).read("emerged", 2, 2, 2, 3, 3).read("emerged", 3, 1, 1, 1, 1);
        measured.read("height", 1, 5);
        Findings found = findings(measured.record());
        assertThat(found.comparedAt()).isEqualTo(measured.lookFor("emerged").number());
        int asked = measured.lookFor("height").number();
        assertThat(ReadOff.of(measured.record(), OptionalInt.of(asked)).comparedAt())
                .isEqualTo(asked);
        assertThat(found.benches().get(0).rankings()).singleElement().satisfies(ranking -> {
            assertThat(ranking.places()).hasSize(3);
            assertThat(ranking.places().get(0).group().treatment()).isEqualTo(1);
        });
    }

    @Test
    void nothingIsSaidBeforeAnythingIsRead() {
        Findings found = findings(measured.record());
        assertThat(found.verdicts()).isEmpty();
        assertThat(found.units()).isEmpty();
        assertThat(found.comparedAt()).isZero();
    }

    @Test
    void aValueFarFromTheOthersOfItsTreatmentIsAskedAbout() {
        measured.read("emerged", 1, 8, 8, 9);
        ReadingRef ref = new ReadingRef(
                measured.unit(1, 4).code(),
                measured.lookFor("emerged").number(),
                new elsom.core.trial.EndpointCode("emerged"),
                1);
        assertThat(Neighbours.concern(measured.record(), ref, 9)).isEmpty();
        assertThat(Neighbours.concern(measured.record(), ref, 80))
                .hasValueSatisfying(concern -> assertThat(concern.sentence())
                        .isEqualTo("Units of the same treatment read about 8. Right unit, and read right?"));
        assertThat(Neighbours.concern(measured.record().codesOnly(), ref, 80))
                .hasValueSatisfying(concern -> assertThat(concern.sentence()).startsWith("The other units read about"));
        ReadingRef alone = new ReadingRef(measured.unit(2, 1).code(), ref.look(), ref.endpoint(), 1);
        assertThat(Neighbours.concern(measured.record(), alone, 80)).isEmpty();
    }
}
