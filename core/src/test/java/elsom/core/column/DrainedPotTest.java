package elsom.core.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.trial.Container;
import elsom.core.water.RetentionCurve;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a drained pot holds where, and what gravel, depth and shape do to it. */
class DrainedPotTest {
    private static final RetentionCurve MEDIUM = TypicalMedium.of(0.4);
    private static final Container POT = Container.straightRound("pot", 12, 11);

    /** The trapezoid over many thin slices is a sum of its own. */
    private static double byHand(Container pot, RetentionCurve medium) {
        int slices = 200_000;
        double sum = 0;
        for (int i = 0; i < slices; i++) {
            double z = pot.depthCm() * (i + 0.5) / slices;
            sum += medium.waterAt(z) * pot.areaCm2(z) * pot.depthCm() / slices;
        }
        return sum;
    }

    @Test
    void waterIsTheIntegralOverTheSections() {
        DrainedPot straight = DrainedPot.of(POT, MEDIUM, 0);
        assertThat(straight.waterMl()).isCloseTo(byHand(POT, MEDIUM), within(0.01));
        assertThat(straight.mediumMl()).isCloseTo(POT.volumeMl(), within(0.01));
        Container bowl = Container.bowl("bowl", 6, 14);
        assertThat(DrainedPot.of(bowl, MEDIUM, 0).waterMl()).isCloseTo(byHand(bowl, MEDIUM), within(0.02));
        Container tapered = Container.taperedRound("tapered", 12, 12, 8);
        assertThat(DrainedPot.of(tapered, MEDIUM, 0).waterMl()).isCloseTo(byHand(tapered, MEDIUM), within(0.02));
    }

    @Test
    void gravelLiftsTheWetFootByNearlyItsThickness() {
        DrainedPot plain = DrainedPot.of(POT, MEDIUM, 0);
        DrainedPot gravel = DrainedPot.of(POT, MEDIUM, 3);
        assertThat(gravel.wetFootCm() - plain.wetFootCm()).isCloseTo(3 - DrainedPot.GRAVEL_LIFTS_CM, within(1e-6));
        assertThat(gravel.airyMl()).isLessThan(plain.airyMl());
        assertThat(gravel.water()).isGreaterThan(plain.water());
        assertThat(gravel.waterMl()).isLessThan(plain.waterMl());
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.2, 0.4, 0.7, 1})
    void aShallowPotHoldsMoreByVolumeAndADeepOneLess(double coarse) {
        List<SideBySide.Pot> pots = SideBySide.of(12, TypicalMedium.of(coarse), 2);
        double asItIs = pots.get(0).drained().water();
        assertThat(pots.get(2).drained().water()).as("half as deep").isGreaterThan(asItIs);
        assertThat(pots.get(3).drained().water()).as("twice as deep").isLessThan(asItIs);
        assertThat(pots.get(2).drained().container().volumeMl())
                .isCloseTo(pots.get(0).drained().container().volumeMl(), within(1e-6));
        assertThat(pots.get(3).drained().container().volumeMl())
                .isCloseTo(pots.get(0).drained().container().volumeMl(), within(1e-6));
    }

    /** A tapered pot has more of its medium high up, where it is drier. */
    @Test
    void aTaperedPotHoldsLessByVolumeThanAStraightOneOfTheSameDepth() {
        List<SideBySide.Pot> pots = SideBySide.of(12, MEDIUM, 2);
        assertThat(pots).extracting(SideBySide.Pot::name).contains("tapered", "a bowl");
        SideBySide.Pot tapered = pots.get(4);
        assertThat(tapered.name()).isEqualTo("tapered");
        assertThat(tapered.drained().water()).isLessThan(pots.get(0).drained().water());
        assertThat(tapered.drained().wetFootCm())
                .isCloseTo(pots.get(0).drained().wetFootCm(), within(1e-9));
    }

    @Test
    void aBowlHasItsVolumeAboveWhereASTraightPotHasHalfOfItsOwn() {
        DrainedPot bowl = DrainedPot.of(Container.bowl("bowl", 6, 14.4), MEDIUM, 0);
        DrainedPot straight = DrainedPot.of(Container.straightRound("pot", 6, 14.4), MEDIUM, 0);
        assertThat(bowl.water()).isLessThan(straight.water());
        assertThat(bowl.wetFootCm()).isCloseTo(straight.wetFootCm(), within(1e-9));
    }

    @Test
    void levelsRunFromWetToDryAndStayWithinTheCurve() {
        DrainedPot pot = DrainedPot.of(POT, MEDIUM, 2);
        assertThat(pot.levels().get(0).heightCm()).isEqualTo(2);
        assertThat(pot.levels().get(pot.levels().size() - 1).heightCm()).isEqualTo(12);
        assertThat(pot.levels()).isSortedAccordingTo((a, b) -> Double.compare(b.water(), a.water()));
        assertThat(pot.levels())
                .allSatisfy(level -> assertThat(level.water()).isBetween(MEDIUM.residual(), MEDIUM.saturated()));
        assertThat(pot.air(MEDIUM)).isCloseTo(MEDIUM.saturated() - pot.water(), within(1e-12));
    }

    @Test
    void aBowlIsDrawnAsWideAsItIs() {
        List<DrainedPot.Section> sections =
                DrainedPot.of(Container.bowl("bowl", 6, 14), MEDIUM, 0).sections();
        assertThat(sections.get(0).radiusCm()).isZero();
        assertThat(sections.get(sections.size() - 1).radiusCm()).isCloseTo(7, within(1e-9));
        assertThat(DrainedPot.of(POT, MEDIUM, 0).airyShare()).isBetween(0.0, 1.0);
    }

    @Test
    void coarserDrainsMoreAndItsFootIsLower() {
        double before = 1;
        double foot = 100;
        for (double coarse = 0; coarse <= 1; coarse += 0.1) {
            DrainedPot pot = DrainedPot.of(POT, TypicalMedium.of(Math.min(1, coarse)), 0);
            assertThat(pot.water()).isLessThan(before);
            assertThat(pot.wetFootCm()).isLessThanOrEqualTo(foot);
            before = pot.water();
            foot = pot.wetFootCm();
        }
    }

    @Test
    void gravelUpToTheBrimLeavesNoRoom() {
        assertThatThrownBy(() -> DrainedPot.of(POT, MEDIUM, 12)).hasMessageContaining("below the depth of 12.0 cm");
        assertThatThrownBy(() -> TypicalMedium.of(1.2)).hasMessageContaining("0 (fine) to 1 (coarse)");
    }
}
