package elsom.core.results;

import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.MainEffect;
import elsom.core.quantity.Sentence;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Says what became of what was stated, place by place: "held over all and in cress; can't tell in basil". */
final class Standing {
    private static final int MOST_NAMED = 8;

    private final JudgedQuestion question;
    private final Map<Held, List<String>> places = new EnumMap<>(Held.class);

    private Standing(JudgedQuestion question) {
        this.question = question;
        if (leveled()) {
            question.judgement()
                    .mainEffects()
                    .forEach(effect -> add(
                            Held.of(question.claim(), effect, question.observations()),
                            several() ? effect.level() + " over all" : "over all"));
        }
        question.judgement()
                .comparisons()
                .forEach(c -> add(Held.of(question.claim(), c, question.observations()), place(c)));
    }

    /** The sentence; empty where nobody stated anything. */
    static String of(JudgedQuestion question) {
        return question.number() == 0 ? "" : new Standing(question).sentence();
    }

    private void add(Held held, String place) {
        places.computeIfAbsent(held, key -> new ArrayList<>()).add(place);
    }

    private boolean leveled() {
        return question.ask().against() instanceof Ask.Against.Level;
    }

    private boolean several() {
        return question.judgement().mainEffects().stream()
                        .map(MainEffect::level)
                        .distinct()
                        .count()
                > 1;
    }

    private String place(Comparison c) {
        if (leveled()) {
            return LevelWording.place(question, c, several());
        }
        boolean same = question.judgement().comparisons().stream()
                        .map(Comparison::comparator)
                        .distinct()
                        .count()
                == 1;
        return question.name(c.treatment()) + (same ? "" : " beside " + question.name(c.comparator()));
    }

    /** "Held for 2 %; not held for 1 %: “Injury: higher in any other than in 0 %?”". */
    private String sentence() {
        String said = (question.coverage().soFar() ? "so far " : "") + became();
        return Sentence.capital(said) + ": “" + question.asked() + "”";
    }

    private String became() {
        int all = places.values().stream().mapToInt(List::size).sum();
        if (all <= 1 || places.size() == 1) {
            Held only = places.isEmpty()
                    ? Held.CANT_TELL
                    : places.keySet().iterator().next();
            return only.label() + (all > 1 ? (leveled() ? " in all " : " for all ") + all : "");
        }
        return places.entrySet().stream()
                .map(entry -> entry.getKey().label() + " " + named(entry.getValue(), all))
                .collect(Collectors.joining("; "));
    }

    private String named(List<String> where, int all) {
        if (where.size() > MOST_NAMED) {
            return (leveled() ? "in " : "for ") + where.size() + " of " + all;
        }
        if (!leveled()) {
            return "for " + String.join(", ", where);
        }
        return where.stream()
                .map(place -> place.endsWith("over all") ? place : "in " + Sentence.inside(place))
                .collect(Collectors.joining(", "));
    }
}
