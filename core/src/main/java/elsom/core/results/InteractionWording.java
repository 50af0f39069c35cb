package elsom.core.results;

import elsom.core.analysis.Interaction;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.results.Verdict.Firmness;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Tells whether one factor does the same at all levels of the others. */
final class InteractionWording {
    private final JudgedQuestion question;

    private InteractionWording(JudgedQuestion question) {
        this.question = question;
    }

    /** What a factor does at the levels of the others. */
    static Verdict of(JudgedQuestion question, Interaction found) {
        InteractionWording wording = new InteractionWording(question);
        String factor = Sentence.inside(question.observations().factors().get(found.factor()));
        String first = wording.at(found.first(), found.factor());
        String second = wording.at(found.second(), found.factor());
        String size = Wording.difference(question.kind(), found.estimate()) + " (95 % interval "
                + Wording.interval(question.kind(), found.interval()) + ")";
        String odds = found.odds().map(InteractionWording::odds).orElse("");
        if (!found.shown()) {
            return new Verdict(
                    Firmness.CANT_TELL,
                    "Whether " + factor + " does the same in " + first + " as in " + second
                            + " can't be told: its effect on " + Wording.what(question) + " differs between them by "
                            + size
                            + ".",
                    odds,
                    "Whether " + factor + " does the same in " + first + " as in " + second + " can't be told in "
                            + Wording.what(question) + ".");
        }
        return Wording.soFar(
                question,
                new Verdict(
                        Firmness.DIFFERENT,
                        Sentence.capital(factor) + " does not do the same everywhere: " + wording.does(found.first())
                                + " in "
                                + first
                                + ", "
                                + wording.does(found.second()) + " in " + second + "; the two differ by " + size
                                + " in "
                                + Wording.what(question) + ".",
                        ("So there is no one effect to speak of: read each row by itself. " + odds).strip()));
    }

    private static String odds(Interaction.Odds odds) {
        return "By odds, with a penalised logistic (Firth): one odds ratio is " + ratio(odds.ratio())
                + " times the other (95 % interval " + ratio(odds.interval().low()) + " to "
                + (Double.isInfinite(odds.interval().high())
                        ? "no upper end"
                        : ratio(odds.interval().high()))
                + ", p " + (odds.p() < 0.001 ? "below 0.001" : Decimals.significant(odds.p(), 2)) + ").";
    }

    private static String ratio(double value) {
        return Decimals.significant(value, 2);
    }

    /** The levels of the other factors at which a pair stands. */
    private String at(Interaction.Cells cells, int factor) {
        List<String> levels =
                question.observations().arms().get(cells.treatment()).levels();
        return IntStream.range(0, levels.size())
                .filter(i -> i != factor)
                .mapToObj(levels::get)
                .collect(Collectors.joining(", "));
    }

    private String does(Interaction.Cells cells) {
        return question.judgement().comparisons().stream()
                .filter(c -> c.treatment() == cells.treatment() && c.comparator() == cells.comparator())
                .findFirst()
                .map(c -> Wording.difference(question.kind(), c.difference()))
                .orElse("something else");
    }
}
