package elsom.core.results;

import elsom.core.plan.Measure;
import elsom.core.quantity.Sentence;
import elsom.core.trial.Look;
import java.util.List;
import java.util.Optional;

/** What is said of a question while nothing was read that could answer it. */
final class Unread {
    private Unread() {}

    static Findings.Answered of(Posed posed, Measure measure, Evidence evidence) {
        String what = Sentence.inside(measure.endpoint().name());
        int named = posed.hypothesis().look();
        Optional<Look> look = named == 0 ? Optional.empty() : evidence.record().look(named);
        boolean gone = named > 0 && look.isEmpty();
        String why = gone
                ? "the look that it names is not planned any more"
                : "it has not been read" + look.map(one -> " at " + one.said()).orElse("");
        return new Findings.Answered(
                posed.number(),
                posed.words(),
                posed.stated().label(),
                new Verdict(
                        Verdict.Firmness.CANT_TELL,
                        "Can't tell yet about " + what + ": " + why + ".",
                        gone ? "Name another look under “Question and endpoints”." : "Read it at its look."),
                List.of("Can't tell: “" + posed.words() + "”"),
                Optional.of(measure.endpoint().code()));
    }
}
