package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observations.Better;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Stated;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** A judged question for tests: five units of each treatment, which scatter by ± 1 about a mean. */
final class AQuestion {
    private static final double[] SCATTER = {-1, -0.5, 0, 0.5, 1};
    private static final double[] SINGLE = {0};
    private static final EndpointCode MASS = new EndpointCode("mass");

    private final List<Arm> arms = new ArrayList<>();
    private final List<Observed> units = new ArrayList<>();
    private final List<JudgedQuestion.AtLook> before = new ArrayList<>();
    private List<String> factors = List.of("mix");
    private Direction direction = Direction.HIGHER;
    private Better better = Better.HIGHER;
    private OptionalDouble margin = OptionalDouble.empty();
    private double[] scatter = SCATTER;
    private Ask.Against against = new Ask.Against.Control();

    /** Treatments named by letters, the first the control. */
    static AQuestion among(double... means) {
        AQuestion question = new AQuestion();
        for (double mean : means) {
            question.arm(String.valueOf((char) ('A' + question.arms.size())), question.arms.isEmpty(), mean);
        }
        return question;
    }

    /** One unit of each treatment. */
    static AQuestion single(double... values) {
        AQuestion question = new AQuestion();
        question.scatter = SINGLE;
        for (double value : values) {
            question.arm(String.valueOf((char) ('A' + question.arms.size())), question.arms.isEmpty(), value);
        }
        return question;
    }

    /** A dip at two levels in each medium, means in the order none, dipped. */
    static AQuestion factorial(List<String> media, double... means) {
        AQuestion question = new AQuestion();
        question.factors = List.of("dip", "medium");
        for (int i = 0; i < means.length; i++) {
            String dip = i % 2 == 0 ? "none" : "dipped";
            question.arm(dip + " · " + media.get(i / 2), i % 2 == 0, means[i], dip, media.get(i / 2));
        }
        return question;
    }

    private void arm(String name, boolean control, double mean, String... levels) {
        int number = arms.size();
        arms.add(new Arm(String.valueOf((char) ('A' + number)), name, List.of(levels), control));
        for (double off : scatter) {
            units.add(new Observed(name + off, number, 0, 0, 0, 0, new Value.Measured(mean + off)));
        }
    }

    AQuestion better(Better way) {
        better = way;
        direction = way == Better.HIGHER ? Direction.HIGHER : Direction.LOWER;
        return this;
    }

    AQuestion eitherWay() {
        direction = Direction.EITHER;
        return this;
    }

    AQuestion margin(OptionalDouble smallest) {
        margin = smallest;
        return this;
    }

    AQuestion allPairs() {
        against = new Ask.Against.AllPairs();
        return this;
    }

    /** What the question said at an earlier look. */
    AQuestion at(String look, Answer... answers) {
        before.add(new JudgedQuestion.AtLook(
                new Look(before.size() + 1, look, Duration.ofDays(before.size() + 1), List.of(MASS)),
                List.of(answers)));
        return this;
    }

    JudgedQuestion judged() {
        Observations observations =
                new Observations(Design.COMPLETELY_RANDOM, factors, arms, EndpointKind.MEASURED, better, 0.1, units);
        Ask ask = new Ask(List.of(), against, margin, false, 0.05);
        return new JudgedQuestion(
                new Posed(1, "", Stated.BEFORE_START, Hypothesis.of(direction), 1),
                new FigureKind("mass", "Mass", "", UnitOfMeasure.GRAM, 1),
                direction,
                new Look(1, "day 9", Duration.ofDays(9), List.of(MASS)),
                new Coverage(observations.seen().size(), observations.seen().size(), List.of(), false, ""),
                observations,
                ask,
                Judge.of(observations, ask),
                before,
                List.of());
    }
}
