package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Observations.Better;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Levels over and within the other factors, and as good as; figures by another environment (docs/calc.md, level_hypotheses). */
class HypothesesTest {
    private final List<Arm> arms = new ArrayList<>();
    private final List<Observed> units = new ArrayList<>();

    private void cell(String stratum, String level, double... values) {
        int number = arms.size();
        arms.add(new Arm(
                String.valueOf((char) ('A' + number)),
                (stratum + " " + level).strip(),
                stratum.isEmpty() ? List.of(level) : List.of(stratum, level),
                number == 0));
        for (double value : values) {
            units.add(new Observed("u" + units.size(), number, 0, 0, 0, 0, new Value.Measured(value)));
        }
    }

    private Judgement judged(Better better, Ask ask, String... factors) {
        return Judge.of(
                new Observations(
                        Design.COMPLETELY_RANDOM, List.of(factors), arms, EndpointKind.MEASURED, better, 0.1, units),
                ask);
    }

    private static Ask level(double alpha) {
        return new Ask(List.of(), new Ask.Against.Level(1, List.of("b"), "a"), OptionalDouble.of(0.5), false, alpha)
                .alike();
    }

    private void threeCrops() {
        cell("cress", "a", 4.1, 4.6, 3.9, 4.4);
        cell("cress", "b", 5.2, 5.6, 5, 5.9);
        cell("lettuce", "a", 7.1, 6.6, 7.4, 6.9);
        cell("lettuce", "b", 7.3, 7.9, 6.8, 7);
        cell("basil", "a", 2.9, 3.3, 3, 3.1);
        cell("basil", "b", 4.4, 4, 4.9, 4.1);
    }

    @Test
    void aLevelIsHeldAgainstAnotherInEachCropAndOverAllTogether() {
        threeCrops();
        Judgement judged = judged(Better.HIGHER, level(0.05), "crop", "medium");
        assertThat(judged.comparisons()).hasSize(3);
        Comparison cress = judged.comparisons().get(0);
        assertThat(cress.difference()).isCloseTo(1.175, within(1e-9));
        assertThat(cress.interval().orElseThrow().low()).isCloseTo(0.482806759298, within(2e-4));
        assertThat(cress.interval().orElseThrow().high()).isCloseTo(1.8671932407, within(2e-4));
        assertThat(cress.p().orElseThrow()).isCloseTo(0.00088350169786, within(3e-5));
        assertThat(judged.comparisons().stream().map(Comparison::answer))
                .containsExactly(Answer.BETTER, Answer.CANT_TELL, Answer.BETTER);
        MainEffect overAll = judged.mainEffects().get(0);
        assertThat(overAll.difference()).isCloseTo((1.175 + 0.25 + 1.275) / 3, within(1e-9));
        assertThat(overAll.answer()).isEqualTo(Answer.BETTER);
        assertThat(judged.mainEffects()).hasSize(1);
    }

    @Test
    void aCropOfWhichOneUnitIsLeftIsToldAndLeftOutOfAll() {
        threeCrops();
        units.removeIf(unit -> unit.arm() == 2 && !unit.unit().equals("u8"));
        Judgement judged = judged(Better.HIGHER, level(0.05), "crop", "medium");
        assertThat(judged.comparisons().get(1).answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(judged.mainEffects().get(0).difference()).isCloseTo((1.175 + 1.275) / 2, within(1e-9));
        assertThat(judged.checked().stream().collect(Collectors.joining(" ")))
                .contains("“Over all” leaves out lettuce b, of which too little was read.");
    }

    @Test
    void asGoodIsJudgedFromOneSide() {
        cell("", "std", 41, 44, 39, 43, 42, 45);
        cell("", "new", 40, 43, 41, 42, 44, 39);
        Ask both = Ask.againstControl(OptionalDouble.of(3));
        Ask asGood = new Ask(List.of(), new Ask.Against.Control(), OptionalDouble.of(3), false, true, 0.05).alike();
        Comparison said = judged(Better.HIGHER, asGood, "mix").comparisons().get(0);
        assertThat(said.interval().orElseThrow().low()).isCloseTo(-2.94787130995, within(1e-4));
        assertThat(said.p().orElseThrow()).isCloseTo(0.0464749023851, within(1e-6));
        assertThat(said.answer()).isEqualTo(Answer.AS_GOOD);
        assertThat(judged(Better.HIGHER, both, "mix").comparisons().get(0).answer())
                .isEqualTo(Answer.CANT_TELL);
    }

    @Test
    void severalAreAsGoodTogetherAndLowerCanBeBetter() {
        cell("", "std", 8.1, 7.4, 9, 8.6);
        cell("", "m1", 8.8, 8.2, 7.9, 9.1, 8.4);
        cell("", "m2", 9.9, 10.4, 9.1, 11);
        cell("", "m3", 7.2, 6.8, 7.5);
        Ask ask = new Ask(List.of(), new Ask.Against.Control(), OptionalDouble.of(1.5), false, true, 0.05).alike();
        List<Comparison> said = judged(Better.LOWER, ask, "mix").comparisons();
        assertThat(said.get(0).interval().orElseThrow().high()).isCloseTo(1.14774896378, within(2e-4));
        assertThat(said.get(1).p().orElseThrow()).isCloseTo(0.933798008529, within(1e-4));
        assertThat(said.stream().map(Comparison::answer))
                .containsExactly(Answer.AS_GOOD, Answer.CANT_TELL, Answer.AS_GOOD);
    }

    @Test
    void withoutAMarginNothingIsAsGood() {
        cell("", "std", 41, 44, 39, 43);
        cell("", "new", 50, 53, 51, 52);
        Ask ask = new Ask(List.of(), new Ask.Against.Control(), OptionalDouble.empty(), false, true, 0.05);
        assertThat(judged(Better.HIGHER, ask, "mix").comparisons().get(0).answer())
                .isEqualTo(Answer.CANT_TELL);
    }
}
