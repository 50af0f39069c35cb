package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A bench: its places, what was measured over it, and what makes parts of it unlike the rest. */
class BenchTest {
    private static Bench bench(boolean guarded) {
        return new Bench(1, "Sill", 4, 5, 100, 80, Side.LEFT, Side.TOP, LightMap.parse("400 200"), List.of(), guarded);
    }

    @Test
    void theRimHasABareSideUnlessGuardsStandOnIt() {
        assertThat(bench(false).places()).hasSize(20);
        assertThat(bench(false).places().filter(bench(false)::edge)).hasSize(14);
        assertThat(bench(false).guards()).isEmpty();
        assertThat(bench(true).guards()).hasSize(14);
        assertThat(bench(true).places().filter(bench(true)::edge)).isEmpty();
        assertThatThrownBy(() -> new Bench(1, "Row", 1, 9, 0, 0, Side.TOP, Side.TOP, LightMap.NONE, List.of(), true))
                .hasMessageContaining("guard units need a place");
    }

    @Test
    void lightIsReadAtTheMiddleOfEachPlace() {
        // Readings stand at a quarter and three quarters of the length; between them light falls in proportion.
        assertThat(bench(false).lightAt(new BenchPosition(1, 1, 1))).isEqualTo(400);
        assertThat(bench(false).lightAt(new BenchPosition(1, 4, 3))).isCloseTo(300, within(1e-9));
        assertThat(bench(false).lightAt(new BenchPosition(1, 2, 5))).isEqualTo(200);
        assertThatThrownBy(() -> Bench.plain(1, "Dark", 2, 2).lightAt(new BenchPosition(1, 1, 1)))
                .isInstanceOf(IllegalStateException.class);
    }

    @ParameterizedTest
    @CsvSource({"0,0,100", "1,0,200", "0,1,300", "1,1,400", "0.5,0.5,250", "0.5,0.25,150", "0.25,0.5,200"})
    void lightLiesBetweenTheNearestFourReadings(double across, double down, double ppfd) {
        assertThat(LightMap.parse("100 200\n300 400").at(across, down)).isCloseTo(ppfd, within(1e-9));
    }

    @Test
    void oneReadingGoesForTheWholeBench() {
        assertThat(LightMap.parse("312,5").at(0.1, 0.9)).isEqualTo(312.5);
        assertThat(LightMap.parse("  ").known()).isFalse();
    }

    @Test
    void lightIsWrittenAsItIsRead() {
        LightMap map = LightMap.parse("420 410,5\n\n310   300");
        assertThat(map.rows()).isEqualTo(2);
        assertThat(LightMap.parse(map.text())).isEqualTo(map);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1 2;3       | row 2 has 1 values, the first row has 2
            1 bright    | “bright” in row 1 is not a number
            -5          | light is 0 to 3000
            4000        | light is 0 to 3000
            NaN         | light is 0 to 3000
            """)
    void lightThatCannotBeIsRefused(String text, String why) {
        assertThatThrownBy(() -> LightMap.parse(text)).hasMessageContaining(why);
    }

    @Test
    void influencesAreReadAsPeopleWriteThem() {
        List<Influence> read = Influence.parse("Heat mat rows 1-2, columns 3-6\ndraft row 1\nmat row 2 column 4");
        assertThat(read)
                .extracting(Influence::kind)
                .containsExactly(Influence.Kind.HEAT_MAT, Influence.Kind.DRAUGHT, Influence.Kind.HEAT_MAT);
        assertThat(read.get(0).covers(new BenchPosition(1, 2, 6))).isTrue();
        assertThat(read.get(0).covers(new BenchPosition(1, 3, 6))).isFalse();
        assertThat(read.get(1).covers(new BenchPosition(1, 1, 150))).isTrue();
        assertThat(read.get(2).covers(new BenchPosition(1, 2, 4))).isTrue();
        assertThat(read.get(2).covers(new BenchPosition(1, 2, 5))).isFalse();
        assertThat(Influence.parse(Influence.text(read))).isEqualTo(read);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"ghost row 1", "heat mat", "heat mat rows 0-2", "shade rows 4-2", "drip row 1, columns 5-3"})
    void influencesThatCannotBeAreRefused(String line) {
        assertThatThrownBy(() -> Influence.parse(line)).isInstanceOf(IllegalArgumentException.class);
    }
}
