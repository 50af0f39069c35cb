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
import java.util.stream.IntStream;

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

    private String sentence() {
        String before = question.coverage().soFar() ? "As stated, so far: " : "As stated: ";
        int all = places.values().stream().mapToInt(List::size).sum();
        if (all <= 1 || places.size() == 1) {
            Held only = places.isEmpty()
                    ? Held.CANT_TELL
                    : places.keySet().iterator().next();
            return before + only.label() + (all > 1 ? " in all " + all : "") + ".";
        }
        return before
                + places.entrySet().stream()
                        .map(entry -> entry.getKey().label() + " " + named(entry.getValue(), all))
                        .collect(Collectors.joining("; "))
                + ".";
    }

    private String named(List<String> where, int all) {
        if (where.size() > MOST_NAMED) {
            return "in " + where.size() + " of " + all;
        }
        return IntStream.range(0, where.size())
                .mapToObj(i -> where.get(i).endsWith("over all") ? where.get(i) : "in " + Sentence.inside(where.get(i)))
                .collect(Collectors.joining(", "));
    }
}
