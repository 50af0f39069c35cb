package elsom.web.plan;

import elsom.core.plan.Claim;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.QuestionReader;
import elsom.core.plan.QuestionText;
import elsom.core.plan.Stated;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The questions of the form: a line of boxes each, and any number typed as sentences. */
final class AskedLines {
    static final String TYPED = "typed";
    private static final int MOST_LETTERS = 3000;

    private final Plan plan;
    private final List<Measure> measures;
    private final QuestionReader reader;
    private final Problems problems;

    AskedLines(Plan plan, List<Measure> measures, QuestionReader reader, Problems problems) {
        this.plan = plan;
        this.measures = measures;
        this.reader = reader;
        this.problems = problems;
    }

    List<Question> read(Form form) {
        List<Question> questions = new ArrayList<>();
        for (int i = 0; i < Math.min(form.lines(QuestionPart.ASKED), Question.MOST); i++) {
            if (isAsked(form, i)) {
                line(form, i).ifPresent(questions::add);
            }
        }
        String typed = problems.limited(TYPED, form.text(TYPED), MOST_LETTERS);
        List<String> sentences =
                typed.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
        if (questions.size() + sentences.size() > Question.MOST) {
            problems.add(
                    TYPED,
                    "At most " + Question.MOST + " questions; these are " + (questions.size() + sentences.size())
                            + ". Leave some out.");
            return questions;
        }
        QuestionText text = new QuestionText(plan, measures);
        List<String> wrong = new ArrayList<>();
        for (String sentence : sentences) {
            try {
                questions.add(reader.read(text.read(sentence), Stated.BEFORE_START));
            } catch (IllegalArgumentException refused) {
                wrong.add("Line " + (sentences.indexOf(sentence) + 1) + ": " + refused.getMessage());
            }
        }
        if (!wrong.isEmpty()) {
            problems.add(TYPED, String.join(" ", wrong));
        }
        twice(questions);
        return questions;
    }

    /** Asked twice, a question would share the error with itself. */
    private void twice(List<Question> questions) {
        int running = plan.asked().questions().size();
        List<Question> alike = questions.stream()
                .map(question -> question.as(Stated.BEFORE_START))
                .toList();
        for (int i = running; i < alike.size(); i++) {
            int first = alike.indexOf(alike.get(i));
            if (first < i) {
                problems.add(
                        TYPED,
                        "Question " + (i + 1) + " asks the same as question " + (first + 1) + ". Leave one out.");
            }
        }
    }

    /** A line is a comparison when it has an endpoint, or anything was typed in it; what matters may be left open. */
    private static boolean isAsked(Form form, int i) {
        return Stream.of("endpoint", "who", "comparator", "matters")
                .anyMatch(part -> !form.text(QuestionPart.ASKED, i, part).isEmpty());
    }

    private Optional<Question> line(Form form, int i) {
        String field = Form.name(QuestionPart.ASKED, i, "matters");
        Optional<Measure> measure = measures.stream()
                .filter(m -> m.endpoint().code().value().equals(form.text(QuestionPart.ASKED, i, "endpoint")))
                .findFirst();
        if (measure.isEmpty()) {
            problems.add(field, "Choose the endpoint that is compared; a line without one is left out.");
            return Optional.empty();
        }
        List<Question> before = plan.asked().questions();
        Stated stated = i < before.size() ? before.get(i).stated() : Stated.BEFORE_START;
        Claim claim = Problems.choice(Claim.class, form.text(QuestionPart.ASKED, i, "claim"), Claim.HIGHER);
        Hypothesis.Place place = Problems.choice(
                Hypothesis.Place.class, form.text(QuestionPart.ASKED, i, "place"), Hypothesis.Place.PRIMARY);
        int look = problems.whole(
                field,
                form.text(QuestionPart.ASKED, i, "look"),
                0,
                plan.schedule().looks().size(),
                0,
                "Choose one of the looks, or the newest.");
        return problems.tried(
                field,
                () -> reader.read(
                        new QuestionReader.Parts(
                                measure.get(),
                                claim,
                                form.text(QuestionPart.ASKED, i, "who"),
                                form.text(QuestionPart.ASKED, i, "comparator"),
                                form.text(QuestionPart.ASKED, i, "matters"),
                                look,
                                place),
                        stated));
    }
}
