package elsom.core.protocol;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.plan.APlan;
import elsom.core.plan.Direction;
import elsom.core.plan.Measure;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.results.Evidence;
import elsom.core.results.Figures;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.results.Ranking;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Findings of each kind of trial, opened with readings: answered about what was asked, and in the right direction. */
class FindingsOfEveryProtocolTest {
    private static final int BETTER = 2;

    static Stream<Arguments> measures() {
        return Protocols.all().stream()
                .filter(protocol -> !protocol.code().equals(WaterHolding.CODE))
                .flatMap(protocol -> protocol.measures().stream()
                        .filter(measure -> protocol.usualLooks().stream()
                                .anyMatch(look -> look.endpoints()
                                        .contains(measure.endpoint().code())))
                        .map(measure -> Arguments.of(
                                protocol.code() + " " + measure.endpoint().code(), protocol, measure)));
    }

    /** Treatment 2 goes the better way by a third of the scale, counts by half; nothing else differs but for a little scatter. */
    private static double value(Endpoint endpoint, Direction better, ExperimentalUnit unit) {
        double top = endpoint.counting() == Counting.COUNT_OF ? endpoint.size() : Math.min(endpoint.highest(), 60);
        double step = Math.pow(10, -endpoint.decimals());
        double middle = Math.rint(top / 2 / step) * step;
        double part = endpoint.counting() == Counting.COUNT_OF ? 2 : 3;
        double shift = Math.max(step, Math.floor(top / part / step) * step);
        double scatter = endpoint.counting() == Counting.COUNT_OF ? 0 : unit.replicate() % 2 * step;
        double sign = better == Direction.LOWER ? -1 : 1;
        return middle + scatter + (unit.treatment() == BETTER ? sign * shift : 0);
    }

    private static TrialRecord read(Plan plan, Measure measure) {
        Measured measured = Measured.started(plan);
        for (Look look : measured.record().looks()) {
            if (look.endpoints().contains(measure.endpoint().code())) {
                Endpoint endpoint =
                        measured.record().endpoint(measure.endpoint().code());
                for (ExperimentalUnit unit : measured.record().units()) {
                    for (int sub = 1; sub <= endpoint.readingsEach(); sub++) {
                        measured.add(unit, look, endpoint.code().value(), sub, value(endpoint, measure.better(), unit));
                    }
                }
            }
        }
        return measured.record();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("measures")
    void whatWasAskedIsAnsweredInItsDirection(String named, Protocol protocol, Measure measure) {
        Plan plan = APlan.of(protocol.code().value())
                .list("as ever", "new", "another")
                .replicates(6)
                .asking(new Question(
                        List.of(), 0, measure.endpoint().code(), Direction.HIGHER, 0, false, Stated.BEFORE_START))
                .plan();
        Findings findings = protocol.findings(Evidence.of(plan, read(plan, measure), OptionalInt.empty()));
        JudgedQuestion question = findings.sections(JudgedQuestion.class).get(0);
        assertThat(question.kind().code()).isEqualTo(measure.endpoint().code().value());
        List<Comparison> comparisons = question.judgement().comparisons();
        assertThat(comparisons)
                .as(named + comparisons)
                .extracting(Comparison::answer)
                .containsExactly(Answer.BETTER, Answer.CANT_TELL);
        assertThat(findings.sections(Ranking.class).get(0).places().get(0).arm())
                .isEqualTo(BETTER - 1);
        assertThat(findings.sections(Figures.class)).isNotEmpty();
        // A kind with an answer of its own may first say that a control like this one allows none.
        assertThat(findings.answers())
                .anySatisfy(answer -> assertThat(answer.verdict().sentence()).contains("new"));
    }
}
