package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.LightMap;
import elsom.core.trial.Side;
import elsom.core.trial.UnitCode;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LayoutTest {
    private static final List<UnitFill> FOUR = UnitFill.alike(4, "pot", 400);

    private static Bench bench(int rows, int columns) {
        return Bench.plain(1, "Sill", rows, columns);
    }

    private static Map<Integer, List<Integer>> blocks(List<ExperimentalUnit> units) {
        return units.stream()
                .collect(Collectors.groupingBy(
                        ExperimentalUnit::block, Collectors.mapping(ExperimentalUnit::treatment, Collectors.toList())));
    }

    /** Two by two, the first number of a pair being the whole plot. */
    private static List<UnitFill> twoByTwo() {
        return List.of(
                new UnitFill(1, "pot", 400, 0),
                new UnitFill(2, "pot", 400, 0),
                new UnitFill(3, "pot", 400, 1),
                new UnitFill(4, "pot", 400, 1));
    }

    @ParameterizedTest
    @EnumSource(LayoutKind.class)
    void everyTreatmentStandsOnEveryPlaceEquallyOften(LayoutKind kind) {
        int draws = 10_000;
        Map<String, Integer> counts = new HashMap<>();
        for (int seed = 0; seed < draws; seed++) {
            new Layout(kind, List.of(bench(4, 4)), twoByTwo(), 4, true, seed)
                    .draw()
                    .forEach(unit -> counts.merge(unit.position() + "/" + unit.treatment(), 1, Integer::sum));
        }
        assertThat(counts).hasSize(64);
        double expected = draws / 4.0;
        double chiSquared = counts.values().stream()
                .mapToDouble(count -> (count - expected) * (count - expected) / expected)
                .sum();
        // 16 places with 3 free counts each; counts of one draw depend on each other, which only narrows the sum's
        // mean and widens its spread, so the bound is the 1 in 10 million one. Tolerance a place: 5 standard errors.
        assertThat(chiSquared).isLessThan(ChiSquaredDistribution.of(48).inverseSurvivalProbability(1e-7));
        assertThat(counts.values())
                .allSatisfy(count -> assertThat((double) count).isBetween(expected - 217, expected + 217));
    }

    @ParameterizedTest
    @EnumSource(LayoutKind.class)
    void theSeedRepeatsTheDraw(LayoutKind kind) {
        assertThat(new Layout(kind, List.of(bench(4, 4)), FOUR, 4, true, 9).draw())
                .isEqualTo(new Layout(kind, List.of(bench(4, 4)), FOUR, 4, true, 9).draw())
                .isNotEqualTo(new Layout(kind, List.of(bench(4, 4)), FOUR, 4, true, 10).draw());
    }

    @Test
    void everyBlockHoldsEveryTreatmentOnce() {
        List<ExperimentalUnit> units = new Layout(
                        LayoutKind.BLOCKS,
                        List.of(bench(4, 5), Bench.plain(2, "Floor", 4, 5)),
                        UnitFill.alike(5, "pot", 400),
                        4,
                        true,
                        11)
                .draw();
        assertThat(units).hasSize(40);
        assertThat(blocks(units)).hasSize(8);
        assertThat(blocks(units).values())
                .allSatisfy(block -> assertThat(block).containsExactlyInAnyOrder(1, 2, 3, 4, 5));
    }

    @Test
    void replicatesAreSharedOutOverShelves() {
        List<ExperimentalUnit> units = new Layout(
                        LayoutKind.BLOCKS, List.of(bench(3, 4), Bench.plain(2, "Lower shelf", 2, 4)), FOUR, 5, false, 3)
                .draw();
        assertThat(units).hasSize(20);
        assertThat(units.stream().filter(unit -> unit.position().bench() == 1)).hasSize(12);
        assertThat(blocks(units)).hasSize(5);
        assertThat(units.stream().map(unit -> unit.treatment() + "/" + unit.replicate()))
                .doesNotHaveDuplicates();
    }

    @Test
    void blocksFollowTheMeasuredLight() {
        // Bright at the left, though the window was said to be at the top.
        Bench lit = new Bench(
                1,
                "Sill",
                4,
                5,
                100,
                80,
                Side.TOP,
                Side.RIGHT,
                LightMap.parse("500 300 100\n490 310 90"),
                List.of(),
                false);
        List<ExperimentalUnit> units = new Layout(LayoutKind.BLOCKS, List.of(lit), FOUR, 5, true, 3).draw();
        assertThat(units)
                .allSatisfy(unit ->
                        assertThat(unit.block()).isEqualTo(unit.position().column()));
    }

    @Test
    void longBlocksGoOnAlongTheWalk() {
        List<ExperimentalUnit> units = new Layout(LayoutKind.BLOCKS, List.of(bench(5, 3)), FOUR, 3, true, 3).draw();
        assertThat(blocks(units).values()).allSatisfy(block -> assertThat(block).containsExactlyInAnyOrder(1, 2, 3, 4));
    }

    @Test
    void aLatinSquareHasEveryTreatmentOnceInEachRowAndColumn() {
        List<ExperimentalUnit> units =
                new Layout(LayoutKind.LATIN_SQUARE, List.of(bench(5, 6)), FOUR, 4, true, 5).draw();
        for (int line = 1; line <= 4; line++) {
            int here = line;
            assertThat(units.stream().filter(u -> u.position().row() == here).map(ExperimentalUnit::treatment))
                    .containsExactlyInAnyOrder(1, 2, 3, 4);
            assertThat(units.stream().filter(u -> u.position().column() == here).map(ExperimentalUnit::treatment))
                    .containsExactlyInAnyOrder(1, 2, 3, 4);
        }
        assertThat(new Layout(LayoutKind.LATIN_SQUARE, List.of(bench(5, 6)), FOUR, 3, true, 5).problem())
                .hasValueSatisfying(why -> assertThat(why).contains("4 units of each"));
    }

    @Test
    void wholePlotsOfASplitPlotStandTogether() {
        List<ExperimentalUnit> units =
                new Layout(LayoutKind.SPLIT_PLOT, List.of(bench(6, 4)), twoByTwo(), 6, true, 5).draw();
        Set<Boolean> firsts = new HashSet<>();
        for (int row = 1; row <= 6; row++) {
            int here = row;
            List<Boolean> low = units.stream()
                    .filter(unit -> unit.position().row() == here)
                    .map(unit -> unit.treatment() <= 2)
                    .toList();
            assertThat(low.get(0)).isEqualTo(low.get(1)).isNotEqualTo(low.get(2));
            assertThat(low.get(2)).isEqualTo(low.get(3));
            firsts.add(low.get(0));
        }
        assertThat(firsts).hasSize(2);
    }

    @Test
    void guardsKeepUnitsOffTheRim() {
        Bench guarded = new Bench(1, "Table", 5, 6, 100, 80, Side.TOP, Side.RIGHT, LightMap.NONE, List.of(), true);
        List<ExperimentalUnit> units = new Layout(LayoutKind.BLOCKS, List.of(guarded), FOUR, 3, true, 5).draw();
        assertThat(units).noneMatch(unit -> guarded.rim(unit.position()));
        assertThat(guarded.guards()).hasSize(18);
        assertThat(Balance.of(List.of(guarded), units).edgeShare()).isZero();
    }

    @Test
    void saysHowMuchRoomIsMissing() {
        Layout cramped = new Layout(LayoutKind.BLOCKS, List.of(bench(2, 4)), FOUR, 3, true, 5);
        assertThat(cramped.problem()).hasValueSatisfying(why -> assertThat(why).contains("room for 8 of its 12"));
        assertThatThrownBy(cramped::draw).hasMessageContaining("room for 8");
        assertThat(new Layout(LayoutKind.BLOCKS, List.of(bench(100, 100)), UnitFill.alike(24, "pot", 1), 50, true, 1)
                        .problem())
                .hasValueSatisfying(why -> assertThat(why).contains("1200 units"));
    }

    @Test
    void aMovedUnitChangesPlacesAndBlocksWithTheOneThatStandsThere() {
        List<ExperimentalUnit> units = new Layout(LayoutKind.BLOCKS, List.of(bench(3, 5)), FOUR, 3, true, 5).draw();
        ExperimentalUnit one = units.get(0);
        ExperimentalUnit other = units.get(9);
        List<ExperimentalUnit> swapped = Layout.moved(units, one.code(), other.position());
        assertThat(swapped.get(0).position()).isEqualTo(other.position());
        assertThat(swapped.get(0).block()).isEqualTo(other.block());
        assertThat(swapped.get(9).position()).isEqualTo(one.position());
        BenchPosition free = new BenchPosition(1, 2, 5);
        assertThat(Layout.moved(units, one.code(), free).get(0).position()).isEqualTo(free);
        assertThat(Layout.moved(units, new UnitCode("X99"), free)).isEqualTo(units);
    }

    @Test
    void sixHundredUnitsAreDrawn() {
        Layout large =
                new Layout(LayoutKind.BLOCKS, List.of(bench(20, 30)), UnitFill.alike(24, "cell", 40), 25, true, 1);
        assertThat(large.draw()).hasSize(600);
    }

    @Test
    void aGridCountsTheLastGapOut() {
        Container tray = Container.tray("tray", 6, 20, 15);
        // 3 trays and 2 gaps along, 2 trays and 1 gap across.
        assertThat(Grid.fitting(65, 32.5, List.of(tray))).isEqualTo(new Grid(2, 3));
        assertThat(Grid.fitting(64.9, 32.5, List.of(tray))).isEqualTo(new Grid(2, 2));
        assertThatThrownBy(() -> Grid.fitting(10, 10, List.of(tray))).hasMessageContaining("no container fits");
    }

    @Test
    void codesSufficeForAThousandUnits() {
        assertThat(IntStream.of(49, 50, 343, 344, 1000).mapToObj(n -> UnitCodes.draw(n, 2)))
                .allSatisfy(codes -> assertThat(codes).doesNotHaveDuplicates());
    }
}
