package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.figure.FigureKind;
import elsom.core.flag.Flags;
import elsom.core.flag.Scene;
import elsom.core.plan.Claim;
import elsom.core.plan.Direction;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Measure;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.plan.Step;
import elsom.core.stats.Interval;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** Judges the questions of a plan on its evidence, in the order asked. */
public final class Questions {
    private static final int MOST_LOOKS = 40;
    /** Where a look spends next to nothing, no difference is clear. */
    private static final double LEAST_ALPHA = 1e-9;

    private final Evidence evidence;
    private final Function<Measure, Optional<Derived>> derived;
    private final Function<Measure, Optional<Scene.Expected>> expected;
    private final List<Integer> comparable;

    Questions(
            Evidence evidence,
            Function<Measure, Optional<Derived>> derived,
            Function<Measure, Optional<Scene.Expected>> expected,
            List<Integer> comparable) {
        this.evidence = evidence;
        this.derived = derived;
        this.expected = expected;
        this.comparable = comparable;
    }

    /** The questions that have a reading to be judged by; the usual one when none was asked. */
    List<JudgedQuestion> judged() {
        List<Question> asked = evidence.plan().asked().questions();
        List<JudgedQuestion> judged = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            judged(i + 1, asked.get(i)).ifPresent(judged::add);
        }
        return asked.isEmpty() ? unasked().stream().toList() : judged;
    }

    /** In a factorial each endpoint asked about, all cells beside their controls, to see whether factors act together. */
    List<JudgedQuestion> factorial() {
        if (evidence.plan().treatments().factors().size() < 2) {
            return List.of();
        }
        List<Question> asked = evidence.plan().asked().questions();
        List<Measure> measures = asked.isEmpty()
                ? principal(evidence).stream().toList()
                : asked.stream()
                        .map(Question::endpoint)
                        .distinct()
                        .flatMap(code -> evidence.plan().asked().measure(code).stream())
                        .toList();
        List<JudgedQuestion> judged = new ArrayList<>();
        for (Measure measure : measures) {
            OptionalDouble margin = asked.stream()
                    .filter(question ->
                            question.endpoint().equals(measure.endpoint().code()) && !question.inPercent())
                    .map(question -> margin(question, measure))
                    .findFirst()
                    .orElse(OptionalDouble.empty());
            evidence.lookOf(measure.endpoint().code())
                    .map(look -> judged(
                            Posed.usual("Does each factor do the same at all levels of the others?"),
                            measure,
                            measure.better(),
                            look,
                            Ask.againstControl(margin)))
                    .ifPresent(judged::add);
        }
        return judged;
    }

    /** All endpoints with a weight together; empty unless two or more have one and were read. */
    Optional<Weighted> weighted() {
        List<Measure> weighed = evidence.measured().stream()
                .filter(measure -> measure.weight() > 0)
                .toList();
        if (weighed.size() < 2) {
            return Optional.empty();
        }
        List<JudgedQuestion> judged = weighed.stream()
                .map(measure -> judged(
                        Posed.usual(""),
                        measure,
                        measure.better(),
                        evidence.lookOf(measure.endpoint().code()).orElseThrow(),
                        Ask.againstControl(OptionalDouble.empty())))
                .toList();
        return Optional.of(
                Weighted.of(judged, weighed.stream().map(Measure::weight).toList()));
    }

    private Optional<JudgedQuestion> judged(int number, Question question) {
        if (question.hypothesis().claim().fixed()) {
            return Optional.empty();
        }
        Posed posed = posed(number, question);
        return evidence.plan()
                .asked()
                .measure(question.endpoint())
                .flatMap(measure -> look(question)
                        .map(look ->
                                judged(posed, measure, measure.better(), look, ask(question, measure, posed.alpha()))));
    }

    /** The look it is answered at: the one it names, else its endpoint's newest; empty where that was not read. */
    private Optional<Look> look(Question question) {
        int named = question.hypothesis().look();
        return named == 0
                ? evidence.lookOf(question.endpoint())
                : evidence.looksRead(question.endpoint()).stream()
                        .filter(look -> look.number() == named)
                        .findFirst();
    }

    private Posed posed(int number, Question question) {
        int primary = (int) evidence.plan().asked().questions().stream()
                .filter(Question::primary)
                .count();
        return Posed.of(number, question.sentence(evidence.plan()), question, primary);
    }

    /** What is told of questions that hold treatments against a figure. */
    List<FixedResult> fixed() {
        List<Question> asked = evidence.plan().asked().questions();
        List<FixedResult> results = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            Question question = asked.get(i);
            Optional<Measure> measure = evidence.plan().asked().measure(question.endpoint());
            Optional<Look> look = look(question);
            if (question.hypothesis().claim().fixed() && measure.isPresent() && look.isPresent()) {
                // A figure is typed in what is read, so what was read is held against it.
                Observations observations = UnitValues.of(evidence, measure.get(), look.get(), Optional.empty());
                results.add(FixedResult.of(
                        posed(i + 1, question),
                        question,
                        FigureKind.of(endpoint(measure.get())),
                        look.get(),
                        coverage(measure.get(), question.hypothesis().look(), look.get(), observations),
                        observations,
                        endpoint(measure.get()).judged(1)));
            }
        }
        return results;
    }

    /** Questions of which nothing was read yet, as sentences, with their numbers in the order asked. */
    List<Findings.Answered> unread() {
        List<Question> asked = evidence.plan().asked().questions();
        List<Findings.Answered> unread = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            Question question = asked.get(i);
            Optional<Measure> measure = evidence.plan().asked().measure(question.endpoint());
            if (measure.isPresent()
                    && measure.get().endpoint().measured()
                    && look(question).isEmpty()) {
                unread.add(Unread.of(posed(i + 1, question), measure.get(), evidence));
            }
        }
        return unread;
    }

    /** Nobody asked: every treatment beside the control, in what weighs most, without a margin. */
    private Optional<JudgedQuestion> unasked() {
        return principal(evidence)
                .flatMap(measure -> evidence.lookOf(measure.endpoint().code())
                        .map(look -> judged(
                                Posed.usual("Nobody stated what is compared, so every treatment is held against the"
                                        + " control, or against every other."),
                                measure,
                                measure.better(),
                                look,
                                new Ask(
                                        comparable.size()
                                                        == evidence.record()
                                                                .treatments()
                                                                .size()
                                                ? List.of()
                                                : comparable.stream()
                                                        .map(Treatment::codeFor)
                                                        .toList(),
                                        new Ask.Against.Control(),
                                        OptionalDouble.empty(),
                                        false,
                                        Posed.usual("").alpha()))));
    }

    /** What a trial is about when nobody says: what weighs most in the plan, else what was read last. */
    public static Optional<Measure> principal(Evidence evidence) {
        List<Measure> measured = evidence.measured();
        return measured.stream()
                .filter(measure -> measure.weight() > 0)
                .max(Comparator.comparing(Measure::weight))
                .or(() -> measured.stream()
                        .max(Comparator.comparing((Measure measure) -> evidence.lookOf(
                                        measure.endpoint().code())
                                .map(Look::number)
                                .orElse(0))));
    }

    private Ask ask(Question question, Measure measure, double alpha) {
        Hypothesis stated = question.hypothesis();
        List<String> treatments = question.treatments().stream()
                .filter(number -> number <= evidence.record().treatments().size())
                .map(Treatment::codeFor)
                .toList();
        Step step = stated.step();
        if (step != null) {
            return new Ask(
                    List.of(),
                    new Ask.Against.Level(step.factor() - 1, step.levels(), step.beside()),
                    margin(question, measure),
                    question.inPercent(),
                    stated.claim() == Claim.AS_GOOD,
                    alpha);
        }
        Ask.Against against = question.comparator() >= 1
                        && question.comparator()
                                <= evidence.record().treatments().size()
                ? new Ask.Against.Treatment(Treatment.codeFor(question.comparator()))
                : new Ask.Against.Control();
        return new Ask(
                treatments,
                against,
                margin(question, measure),
                question.inPercent(),
                stated.claim() == Claim.AS_GOOD,
                alpha);
    }

    /** In what is judged: a share for counts, water by volume for weights. */
    private OptionalDouble margin(Question question, Measure measure) {
        if (question.margin().isEmpty() || question.inPercent()) {
            return question.margin();
        }
        double matters = question.margin().getAsDouble();
        Endpoint endpoint = endpoint(measure);
        return OptionalDouble.of(endpoint.judged(matters)
                * derived.apply(measure).map(Derived::perReading).orElse(1.0));
    }

    private Endpoint endpoint(Measure measure) {
        return evidence.record().endpoint(measure.endpoint().code());
    }

    private JudgedQuestion judged(Posed posed, Measure measure, Direction direction, Look look, Ask whole) {
        EndpointCode code = measure.endpoint().code();
        boolean early = endsEarly(posed, code);
        Ask ask = early ? spending(whole, code, look) : whole;
        Optional<Derived> instead = derived.apply(measure);
        Measure directed = measure.with(measure.rule(), measure.scorer(), measure.weight(), direction);
        Observations observations = UnitValues.of(evidence, directed, look, instead);
        Judgement judgement = Judge.of(observations, ask);
        Scene scene = new Scene(
                observations,
                judgement,
                ask.margin().isPresent(),
                posed.stated() == Stated.AFTER_READINGS,
                instead.isPresent()
                        ? Optional.empty()
                        : Optional.of(new Interval(
                                endpoint(measure).lowest(), endpoint(measure).highest())),
                expected.apply(measure));
        return new JudgedQuestion(
                posed,
                instead.map(Derived::kind).orElseGet(() -> FigureKind.of(endpoint(measure))),
                direction,
                look,
                coverage(measure, posed.hypothesis().look(), look, observations).settled(early && clear(judgement)),
                observations,
                ask,
                judgement,
                overTime(directed, look, instead, one -> early ? spending(whole, code, one) : whole, judgement),
                Flags.of(scene));
    }

    /** Whether it may be answered for good before its last look. */
    private boolean endsEarly(Posed posed, EndpointCode endpoint) {
        return evidence.plan().rules().mayEndEarly()
                && posed.number() > 0
                && posed.hypothesis().look() == 0
                && Spending.planned(evidence, endpoint).size() > 1;
    }

    private Ask spending(Ask whole, EndpointCode endpoint, Look look) {
        double part =
                Spending.at(Spending.planned(evidence, endpoint), evidence.looksRead(endpoint), look, whole.alpha());
        return whole.at(Math.max(LEAST_ALPHA, part));
    }

    /** Whether all that was asked is told apart. */
    private static boolean clear(Judgement judgement) {
        return !judgement.comparisons().isEmpty()
                && judgement.comparisons().stream()
                        .map(Comparison::answer)
                        .allMatch(answer -> answer != Answer.CANT_TELL && answer != Answer.NO_DIFFERENCE);
    }

    private Coverage coverage(Measure measure, int named, Look look, Observations observations) {
        return Coverage.of(
                evidence.record(),
                look,
                observations,
                named == 0 && !evidence.lastPlanned(measure.endpoint().code(), look),
                named == 0 ? evidence.underWay(measure.endpoint().code()) : "");
    }

    private List<JudgedQuestion.AtLook> overTime(
            Measure measure, Look last, Optional<Derived> instead, Function<Look, Ask> ask, Judgement judgement) {
        List<Look> looks = instead.map(one -> one.values().keySet().stream()
                        .filter(look -> look.number() <= last.number())
                        .sorted(Comparator.comparing(Look::number))
                        .toList())
                .orElseGet(() -> evidence.looksOf(measure.endpoint().code()));
        if (looks.size() < 2 || looks.size() > MOST_LOOKS) {
            return List.of();
        }
        return looks.stream()
                .map(look -> new JudgedQuestion.AtLook(
                        look,
                        (look.equals(last)
                                        ? judgement
                                        : Judge.of(UnitValues.of(evidence, measure, look, instead), ask.apply(look)))
                                .comparisons().stream().map(Comparison::answer).toList()))
                .filter(at -> at.answers().size() == judgement.comparisons().size())
                .toList();
    }

    /** Whether a question's answers changed from one look to another. */
    static boolean changed(List<Answer> answers) {
        return answers.stream().distinct().count() > 1;
    }
}
