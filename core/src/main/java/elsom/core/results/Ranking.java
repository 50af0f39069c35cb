package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Sentence;
import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Treatments from best to worst. A place is shared by all that the readings can't part: its first number counts those
 * that are certainly better, its last those that are not certainly worse. Alike is said only where a difference that
 * matters is ruled out.
 *
 * @param kind what is ranked
 * @param look the look's name, and beside what
 * @param places the best first
 */
public record Ranking(FigureKind kind, String look, List<Placed> places) implements Section {
    @Override
    public Account account(TrialRecord record) {
        return Account.of("ranking", "Best to worst by " + Sentence.inside(kind.label()))
                .about(look)
                .part(Part.of(Table.of(
                        "places",
                        "Best to worst by " + Sentence.inside(kind.label()),
                        List.of(
                                Column.<Placed>numbers("Place", placed -> Cell.none(placed.show())),
                                Column.cells(
                                        "Treatment",
                                        placed -> Cell.of(record.treatment(placed.arm() + 1))
                                                .with(
                                                        placed.alike().isEmpty()
                                                                ? ""
                                                                : "as good as " + String.join(", ", placed.alike()))),
                                Column.numbers(
                                        "Mean",
                                        placed -> Double.isFinite(placed.mean())
                                                ? Cell.shown(kind.finer(), placed.mean())
                                                : Cell.none("not yet")),
                                Column.words("Letters", Placed::letters)),
                        places)))
                .note("A place such as 1–3 says that these units can't part the first from the third. “As good as” is"
                        + " said only where a difference that matters is ruled out.")
                .build();
    }

    /**
     * A treatment's place.
     *
     * @param arm index of the treatment
     * @param first best place it may have, 1-based
     * @param last worst place it may have
     * @param letters shared by those that are not shown to differ
     * @param alike names of those from which no difference that matters is left open
     */
    public record Placed(int arm, String name, int first, int last, double mean, String letters, List<String> alike) {
        /** "2", or "1–3" when they can't be parted. */
        public String show() {
            return first == last ? Integer.toString(first) : first + "–" + last;
        }
    }

    public Ranking {
        places = List.copyOf(places);
    }

    /**
     * Ranks the arms of a judged question; all of them when it asks about all.
     *
     * @param among indexes of arms; 2 or more
     * @param margin of the question, in the endpoint's unit
     */
    public static Ranking of(JudgedQuestion question, List<Integer> among, OptionalDouble margin) {
        Observations observations = question.observations();
        Judgement all = Judge.of(
                observations,
                new Ask(
                        among.stream()
                                .map(arm -> observations.arms().get(arm).code())
                                .toList(),
                        new Ask.Against.AllPairs(),
                        margin,
                        false,
                        0.05));
        double sign = observations.better() == Observations.Better.HIGHER ? 1 : -1;
        List<Integer> order = among.stream()
                .filter(arm -> !Double.isNaN(all.means().get(arm)))
                .sorted(Comparator.comparing(arm -> -sign * all.means().get(arm)))
                .toList();
        List<Placed> places = new ArrayList<>();
        for (int arm : order) {
            places.add(placed(question, all, arm, order.size()));
        }
        return new Ranking(question.kind(), question.look().name() + question.besideOne(), places);
    }

    private static Placed placed(JudgedQuestion question, Judgement all, int arm, int of) {
        int better = 0;
        int worse = 0;
        List<String> alike = new ArrayList<>();
        for (Comparison c : all.comparisons()) {
            if (c.treatment() != arm && c.comparator() != arm) {
                continue;
            }
            int other = c.treatment() == arm ? c.comparator() : c.treatment();
            if (c.answer() == Answer.NO_DIFFERENCE) {
                alike.add(question.name(other));
            }
            if (c.clear()) {
                boolean higher = c.difference() > 0 == (c.treatment() == arm);
                boolean ahead = higher == (question.observations().better() == Observations.Better.HIGHER);
                better += ahead ? 0 : 1;
                worse += ahead ? 1 : 0;
            }
        }
        return new Placed(
                arm,
                question.name(arm),
                1 + better,
                of - worse,
                all.means().get(arm),
                all.letters().isEmpty() ? "" : all.letters().get(arm),
                alike);
    }

    /** Arms a question is about: those asked about and what they are compared with. */
    static List<Integer> among(JudgedQuestion question) {
        return question.judgement().comparisons().stream()
                .flatMapToInt(c -> IntStream.of(c.treatment(), c.comparator()))
                .distinct()
                .sorted()
                .boxed()
                .toList();
    }
}
