package elsom.core.plan;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Says a question in words that {@link QuestionText} reads again. */
final class QuestionSentence {
    private final Plan plan;
    private final Question question;
    private final Hypothesis hypothesis;
    private final Optional<Measure> measure;

    QuestionSentence(Plan plan, Question question) {
        this.plan = plan;
        this.question = question;
        this.hypothesis = question.hypothesis();
        this.measure = plan.asked().measure(question.endpoint());
    }

    String text() {
        String what =
                measure.map(m -> m.endpoint().name()).orElse(question.endpoint().value());
        Claim claim = hypothesis.claim();
        String said = what + ": " + claim.label() + " " + (claim.fixed() ? figure() + " in " + who() : "in " + sides());
        return said + margin() + look() + "?";
    }

    private String sides() {
        Step step = hypothesis.step();
        String asked = step == null ? who() : String.join(" or ", step.levels());
        String with = step == null
                ? plan.comparator(question).map(PlannedTreatment::name).orElse("the control")
                : step.beside();
        return asked + " " + than() + " " + with + (step == null ? "" : everywhere(step));
    }

    private String than() {
        return switch (hypothesis.claim()) {
            case HIGHER, LOWER, AT_LEAST, AT_MOST -> "than in";
            case DIFFERENT -> "from";
            case AS_GOOD, ALIKE -> "as in";
        };
    }

    private String who() {
        List<PlannedTreatment> all = plan.treatments().all();
        return question.treatments().isEmpty()
                ? hypothesis.claim().fixed() ? "every treatment" : "any other treatment"
                : question.treatments().stream()
                        .filter(number -> number <= all.size())
                        .map(number -> all.get(number - 1).name())
                        .collect(Collectors.joining(" or "));
    }

    /** ", in each crop and over all"; nothing where no other factor is. */
    private String everywhere(Step step) {
        List<Factor> factors = plan.treatments().factors();
        String others = IntStream.range(0, factors.size())
                .filter(at -> at != step.factor() - 1)
                .mapToObj(at -> factors.get(at).name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(" and "));
        return others.isEmpty() ? "" : ", in each " + others + " and over all";
    }

    private String figure() {
        double figure = Objects.requireNonNull(hypothesis.figure());
        return Decimals.upTo(figure, 6) + unit(figure);
    }

    private String unit(double of) {
        String symbol = measure.map(m -> m.endpoint().unit().symbol(of)).orElse("");
        return symbol.isEmpty() ? "" : " " + symbol;
    }

    private String margin() {
        if (question.margin().isEmpty()) {
            return "";
        }
        double matters = question.matters();
        String amount = Decimals.upTo(matters, 3) + (question.inPercent() ? " %" : unit(matters));
        return switch (hypothesis.claim()) {
            case HIGHER, LOWER, DIFFERENT -> ", by " + amount + " or more";
            case AS_GOOD -> ", not worse by " + amount + " or more";
            case ALIKE, AT_LEAST, AT_MOST -> ", to within " + amount;
        };
    }

    private String look() {
        return hypothesis.look() == 0
                        || hypothesis.look() > plan.schedule().looks().size()
                ? ""
                : ", at "
                        + Sentence.inside(plan.schedule()
                                .looks()
                                .get(hypothesis.look() - 1)
                                .name());
    }
}
