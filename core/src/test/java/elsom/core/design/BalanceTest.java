package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import elsom.core.trial.LightMap;
import elsom.core.trial.Side;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class BalanceTest {
    private static final LightMap FALLING = LightMap.parse("400 400\n300 300\n200 200\n100 100");

    private static Bench bench(LightMap light, List<Influence> influences) {
        return new Bench(1, "Sill", 4, 4, 80, 80, Side.TOP, Side.RIGHT, light, influences, false);
    }

    /** Treatments by row and column; each row a block unless blocks are given by column. */
    private static List<ExperimentalUnit> stand(int[][] treatments) {
        List<ExperimentalUnit> units = new ArrayList<>();
        for (int row = 0; row < treatments.length; row++) {
            for (int column = 0; column < treatments[row].length; column++) {
                units.add(new ExperimentalUnit(
                        new UnitCode("K" + (10 + units.size())),
                        treatments[row][column],
                        1,
                        "pot",
                        400,
                        row + 1,
                        new BenchPosition(1, row + 1, column + 1)));
            }
        }
        return units;
    }

    private static List<String> ties(Bench bench, int[][] treatments) {
        return Balance.of(List.of(bench), stand(treatments)).ties().stream()
                .map(tie -> tie.treatment() + " " + tie.what())
                .toList();
    }

    @Test
    void aSquareIsEvenlyLit() {
        int[][] square = {{1, 2, 3, 4}, {2, 1, 4, 3}, {3, 4, 1, 2}, {4, 3, 2, 1}};
        Balance balance = Balance.of(List.of(bench(FALLING, List.of())), stand(square));
        assertThat(balance.ties()).isEmpty();
        assertThat(balance.meanLight()).hasValue(250);
        assertThat(balance.edgeShare()).isEqualTo(0.75);
        assertThat(balance.shares()).allSatisfy(share -> {
            assertThat(share.meanLight()).hasValue(250);
            assertThat(share.meanRow()).isEqualTo(2.5);
        });
    }

    @Test
    void aTreatmentByTheWindowIsTiedToItsLight() {
        assertThat(ties(bench(FALLING, List.of()), new int[][] {{1, 1, 1, 1}, {2, 2, 2, 2}}))
                .contains("1 gets 14 % more light than the average unit", "1 stands in one row only");
    }

    @Test
    void allOnTheEdgeIsSaid() {
        int[][] rim = {{1, 1, 1, 1}, {1, 2, 2, 1}, {1, 2, 2, 1}, {1, 1, 1, 1}};
        assertThat(ties(bench(LightMap.NONE, List.of()), rim))
                .containsExactly(
                        "2 has 0 % of its units on the edge; over all it is 75 %",
                        "2 is missing from blocks 1, 4, where nothing can be compared with it");
    }

    @Test
    void allOnTheHeatMatIsSaid() {
        Bench warm = bench(LightMap.NONE, Influence.parse("heat mat rows 1-2, columns 1-2"));
        int[][] mat = {{1, 1, 2, 2}, {1, 1, 2, 2}, {2, 3, 3, 2}, {2, 3, 3, 2}};
        assertThat(ties(warm, mat)).contains("1 has all its units at the heat mat");
    }

    @Test
    void lightLiesBetweenReadingsInProportion() {
        assertThat(FALLING.at(0.5, 0.125)).isEqualTo(400);
        assertThat(FALLING.at(0.5, 0.25)).isEqualTo(350);
        assertThat(FALLING.at(0.9, 1)).isEqualTo(100);
        assertThat(LightMap.parse(FALLING.text())).isEqualTo(FALLING);
    }

    @Test
    void aBlockWithoutATreatmentIsSaid() {
        Bench even = bench(LightMap.NONE, List.of());
        assertThat(ties(even, new int[][] {{1, 2, 3, 4}, {2, 1, 4, 3}, {3, 4, 2, 1}, {4, 3, 1, 2}}))
                .noneMatch(tie -> tie.contains("missing"));
        assertThat(ties(even, new int[][] {{1, 1, 3, 4}, {2, 2, 4, 3}, {3, 4, 2, 1}, {4, 3, 1, 2}}))
                .contains(
                        "1 is missing from block 2, where nothing can be compared with it",
                        "2 is missing from block 1, where nothing can be compared with it");
    }
}
