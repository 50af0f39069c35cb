package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Interaction;
import elsom.core.analysis.Observations.Better;
import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Verdicts as people read them: what, how much, beside what, at which look, and what would change them. */
class WordingTest {
    private static Verdict verdict(AQuestion question) {
        return Wording.of(question.judged());
    }

    private static AQuestion margin(double smallest, double... means) {
        return AQuestion.among(means).margin(OptionalDouble.of(smallest));
    }

    @Test
    void aClearDifferenceSaysHowMuchWithItsInterval() {
        Verdict verdict = verdict(margin(2, 20, 30));
        assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.BETTER);
        assertThat(verdict.sentence())
                .matches(
                        "B did better than A: mass at day 9 \\+10\\.0\\d? g \\(95 % interval \\+8\\.\\d+ to \\+11\\.\\d+"
                                + " g\\), \\+50 % \\(\\+4\\d to \\+5\\d %\\), for certain by what matters\\.");
        assertThat(verdict.wouldChange()).isEqualTo("One trial, one lot: repeat it before you rely on it.");
    }

    @Test
    void theBetterDirectionMayBeDown() {
        assertThat(verdict(margin(2, 20, 30).better(Better.LOWER)).sentence()).startsWith("B did worse than A: mass");
        assertThat(verdict(margin(2, 20, 30).eitherWay()).sentence()).startsWith("B differs from A: mass");
    }

    @Test
    void nothingOfConsequenceIsSaidOnlyWhenWhatMattersIsRuledOut() {
        assertThat(verdict(margin(3, 20, 20.2)).sentence()).startsWith("B and A show no difference that matters in");
        Verdict open = verdict(margin(0.5, 20, 20.2));
        assertThat(open.sentence()).startsWith("Can't tell yet whether B differs from A in mass at day 9: +0.20 g");
        assertThat(open.wouldChange()).matches("By the scatter seen, \\d+ units of each would likely tell .*");
    }

    /** Where each unit is one plant the odds are told too, also without an upper end. */
    @Test
    void anInteractionOfSinglePlantsIsSaidInOddsToo() {
        JudgedQuestion question =
                AQuestion.factorial(List.of("hulls", "mould"), 10, 20, 10, 10.2).judged();
        Interaction found = question.judgement().interaction().orElseThrow();
        Interaction.Odds odds = new Interaction.Odds(34.3, new Interval(2.04, Double.POSITIVE_INFINITY), 0.0004);
        Interaction told = new Interaction(
                found.shown(),
                found.p(),
                found.estimate(),
                found.interval(),
                found.factor(),
                found.first(),
                found.second(),
                Optional.of(odds));
        assertThat(InteractionWording.of(question, told).wouldChange())
                .startsWith("So there is no one effect to speak of")
                .endsWith(
                        "By odds, with a penalised logistic (Firth): one odds ratio is 34 times the other (95 % interval"
                                + " 2 to no upper end, p below 0.001).");
        assertThat(InteractionWording.of(question, found).wouldChange()).doesNotContain("odds");
    }

    @Test
    void aDifferenceThatIsLessThanMattersIsBoth() {
        assertThat(verdict(margin(5, 20, 22)).sentence())
                .endsWith("which is a difference, yet less than matters.")
                .contains("no difference that matters");
    }

    @Test
    void withoutAMarginItIsSaidWhatCanNotBeSaid() {
        assertThat(verdict(AQuestion.among(20, 20.2)).wouldChange())
                .contains("Nobody said which difference matters, so “no difference that matters” can't be said.");
    }

    @Test
    void severalBesideOneControlAreOneSentenceTheClearFirst() {
        Verdict verdict = verdict(margin(1, 20, 30, 20.3, 12));
        assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.PARTLY);
        assertThat(verdict.sentence())
                .startsWith("Mass at day 9 beside A: better: B (+10.0")
                .contains("worse: D (−8.0", "can't tell yet: C");
    }

    @Test
    void eachIsNamedBesideTheControlOfItsOwnLevel() {
        Verdict verdict = verdict(AQuestion.factorial(List.of("mould", "hulls", "fibre"), 40, 40, 41, 66, 39, 20));
        assertThat(verdict.sentence())
                .contains("better: dipped · hulls beside none · hulls", "worse: dipped · fibre beside none · fibre")
                .doesNotContain("lead");
    }

    @Test
    void ofAllPairsTheLeadersAreNamed() {
        assertThat(verdict(AQuestion.among(20, 30, 12, 13).allPairs()).sentence())
                .isEqualTo("Mass at day 9: B leads; 5 of 6 pairs are told apart.");
        assertThat(verdict(AQuestion.among(30, 30.2, 12, 13).allPairs()).sentence())
                .startsWith("Mass at day 9: A and B lead and can't be told apart;");
    }

    /** Beside different controls nobody was compared with all: no leader can be named. */
    @Test
    void manyComparisonsOfDifferentLevelsNameNoLeader() {
        assertThat(verdict(AQuestion.factorial(
                                List.of("mould", "hulls", "fibre", "bark"), 40, 60, 5, 25, 39, 59, 80, 99))
                        .sentence())
                .doesNotContain("lead");
    }

    @Test
    void whenAnAnswerChangedItIsSaidWhatAShorterTrialWouldHaveSaid() {
        JudgedQuestion question = margin(2, 20, 10)
                .at("day 3", Answer.NO_DIFFERENCE)
                .at("day 5", Answer.WORSE)
                .at("day 9", Answer.WORSE)
                .judged();
        assertThat(Wording.changes(question))
                .containsExactly(
                        "B beside A: worse from day 5 on. A trial that ended at day 3 would have said: no difference that"
                                + " matters.");
    }
}
