package elsom.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Answer;
import elsom.core.panel.Tasting.Kind;
import elsom.core.panel.Tasting.Plate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TastedTest {
    private static final List<String> TWO = List.of("plain", "digestate");
    private static final List<String> THREE = List.of("plain", "weak", "strong");

    private static Tasting triangle(int tasters) {
        return new Tasting(Kind.TRIANGLE, TWO, tasters, 7);
    }

    /** The first so many find the odd one, the others pick the plate before it. */
    private static Tasted found(int tasters, int right) {
        Tasting tasting = triangle(tasters);
        List<List<Plate>> served = tasting.served();
        Map<Integer, Map<Integer, Double>> answers = new LinkedHashMap<>();
        for (int taster = 1; taster <= tasters; taster++) {
            List<Plate> plates = served.get(taster - 1);
            int odd = plates.indexOf(Tasting.odd(plates));
            answers.put(taster, Map.of(taster <= right ? odd : (odd + 1) % 3, 1.0));
        }
        return new Tasted(tasting, answers);
    }

    private static Tasted scored(Kind kind, int tasters, double[]... bySample) {
        Tasting tasting = new Tasting(kind, THREE, tasters, 9);
        List<List<Plate>> served = tasting.served();
        Map<Integer, Map<Integer, Double>> answers = new LinkedHashMap<>();
        for (int taster = 1; taster <= tasters; taster++) {
            Map<Integer, Double> given = new HashMap<>();
            for (int place = 0; place < 3; place++) {
                given.put(
                        place,
                        bySample[(taster - 1) % bySample.length][
                                served.get(taster - 1).get(place).sample()]);
            }
            answers.put(taster, given);
        }
        return new Tasted(tasting, answers);
    }

    @Test
    void triangleOrdersComeOutEvenAndEveryTasterHasOneOddPlate() {
        Map<List<Integer>, Integer> orders = new HashMap<>();
        for (List<Plate> plates : triangle(12).served()) {
            orders.merge(plates.stream().map(Plate::sample).toList(), 1, Integer::sum);
            Set<Integer> codes = new HashSet<>(plates.stream().map(Plate::code).toList());
            assertThat(codes).hasSize(3).allMatch(code -> code >= 100 && code <= 999);
            assertThat(Tasting.odd(plates)).isIn(plates);
        }
        assertThat(orders)
                .hasSize(6)
                .allSatisfy((order, times) -> assertThat(times).isEqualTo(2));
    }

    @Test
    void everySampleStandsInEveryPlaceEquallyOften() {
        int[][] times = new int[3][3];
        for (List<Plate> plates : new Tasting(Kind.LIKING, THREE, 12, 3).served()) {
            for (int place = 0; place < 3; place++) {
                times[place][plates.get(place).sample()]++;
            }
        }
        assertThat(times).isDeepEqualTo(new int[][] {{4, 4, 4}, {4, 4, 4}, {4, 4, 4}});
    }

    @Test
    void codesAreTheSameForTheSameSeedAndOthersForAnother() {
        assertThat(triangle(6).served()).isEqualTo(triangle(6).served());
        assertThat(new Tasting(Kind.TRIANGLE, TWO, 6, 8).served())
                .isNotEqualTo(triangle(6).served());
    }

    /** 9 of 12 right: p 0.0039 by the table of Roessler and others (1978); 8 are the least at 1 in 20. */
    @Test
    void aTriangleIsToldExactly() {
        PanelWords told = PanelWords.of(found(12, 9));
        assertThat(told.tone()).isEqualTo(PanelWords.Tone.TOLD);
        assertThat(told.sentence()).contains("can taste a difference", "9 of 12");
        assertThat(told.lines().get(0)).contains("p 0.0039").contains("Likely 63 %");
        PanelWords open = PanelWords.of(found(12, 5));
        assertThat(open.tone()).isEqualTo(PanelWords.Tone.CANT_TELL);
        assertThat(open.lines()).anyMatch(line -> line.contains("tasters would tell"));
        assertThat(PanelWords.of(found(12, 4)).lines())
                .contains("If it is as it seems here, no panel of a sensible size would tell.");
    }

    @Test
    void oneTasterIsNoPanel() {
        assertThat(PanelWords.of(found(1, 1)).sentence()).isEqualTo("One taster’s vote is not a panel.");
        assertThat(PanelWords.of(found(5, 5)).tone()).isEqualTo(PanelWords.Tone.NO_PANEL);
    }

    @Test
    void whoIsNotDoneDoesNotCount() {
        Map<Integer, Map<Integer, Double>> answers = new HashMap<>(Map.of(1, Map.of(0, 7.0, 1, 8.0)));
        assertThat(new Tasted(new Tasting(Kind.LIKING, THREE, 6, 9), answers).done())
                .isZero();
    }

    @Test
    void pairsAreCountedForTheSecondSample() {
        Tasting tasting = new Tasting(Kind.PAIR, TWO, 10, 5);
        Map<Integer, Map<Integer, Double>> answers = new LinkedHashMap<>();
        for (int taster = 1; taster <= 10; taster++) {
            List<Plate> plates = tasting.served().get(taster - 1);
            answers.put(taster, Map.of(plates.get(0).sample() == 1 ? 0 : 1, 1.0));
        }
        PanelWords words = PanelWords.of(new Tasted(tasting, answers));
        assertThat(words.tone()).isEqualTo(PanelWords.Tone.TOLD);
        assertThat(words.sentence()).isEqualTo("10 of 10 like “digestate” better than “plain”.");
        assertThat(words.lines().get(0)).contains("p 0.002");
    }

    @Test
    void ranksThatAgreePartTheSamples() {
        PanelWords words = PanelWords.of(scored(Kind.RANKING, 12, new double[] {1, 2, 3}, new double[] {1, 3, 2}));
        assertThat(words.tone()).isEqualTo(PanelWords.Tone.TOLD);
        assertThat(words.sentence()).contains("“plain” before “weak”", "“plain” before “strong”");
        PanelWords none = PanelWords.of(
                scored(Kind.RANKING, 6, new double[] {1, 2, 3}, new double[] {3, 1, 2}, new double[] {2, 3, 1}));
        assertThat(none.tone()).isEqualTo(PanelWords.Tone.CANT_TELL);
    }

    @Test
    void likingIsComparedWithinTasters() {
        // Tasters differ by three points in how high they score; within each, “strong” lies two points below.
        Tasted tasted = scored(
                Kind.LIKING, 12, new double[] {8, 8, 6}, new double[] {5, 6, 3}, new double[] {7, 6, 5}, new double[] {
                    6, 6, 4
                });
        assertThat(tasted.liking().orElseThrow().comparisons())
                .extracting(one -> one.answer())
                .contains(Answer.WORSE);
        PanelWords words = PanelWords.of(tasted);
        assertThat(words.sentence()).contains("“plain” is liked better than “strong” by 2.0 points");
        assertThat(tasted.ranked().orElseThrow().p()).isLessThan(0.001);
        assertThat(words.lines()).anyMatch(line -> line.contains("place on the tray made no difference"));
    }

    @Test
    void aFirstPlateThatIsAlwaysLikedIsToldAsOrder() {
        Tasting tasting = new Tasting(Kind.LIKING, THREE, 12, 2);
        Map<Integer, Map<Integer, Double>> answers = new LinkedHashMap<>();
        for (int taster = 1; taster <= 12; taster++) {
            answers.put(taster, Map.of(0, 8.0, 1, 6.0, 2, taster % 2 == 0 ? 6.0 : 5.0));
        }
        Tasted tasted = new Tasted(tasting, answers);
        assertThat(tasted.order().orElseThrow().byPlace().get(0)).isEqualTo(8, within(1e-9));
        assertThat(PanelWords.of(tasted).lines()).anyMatch(line -> line.startsWith("The place on the tray told"));
    }

    @Test
    void whatCannotBeServedIsRefused() {
        assertThatThrownBy(() -> new Tasting(Kind.TRIANGLE, THREE, 6, 1)).hasMessageContaining("samples");
        assertThatThrownBy(() -> new Tasting(Kind.LIKING, TWO, 0, 1)).hasMessageContaining("tasters");
        List<String> many = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            many.add("sample " + i);
        }
        assertThatThrownBy(() -> new Tasting(Kind.RANKING, many, 6, 1)).hasMessageContaining("samples");
    }
}
