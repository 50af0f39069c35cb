package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.MainEffect;
import elsom.core.results.Verdict.Firmness;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Tells what levels of factors do: over all levels of the others first, then at each of them. */
final class LevelWording {
    private final JudgedQuestion question;
    private final Wording wording;

    LevelWording(JudgedQuestion question, Wording wording) {
        this.question = question;
        this.wording = wording;
    }

    /** Whether a question names levels, or its main effects lead because no interaction shows. */
    static boolean leads(JudgedQuestion question) {
        boolean named = question.ask().against() instanceof Ask.Against.Level;
        boolean alike = question.judgement()
                .interaction()
                .filter(found -> !found.shown())
                .isPresent();
        boolean over = !question.judgement().mainEffects().isEmpty();
        boolean several = question.judgement().comparisons().size() > 1;
        return (over && (named || alike)) || (named && several);
    }

    Verdict verdict() {
        List<MainEffect> effects = question.judgement().mainEffects();
        List<String> parts = new ArrayList<>();
        effects.forEach(effect -> parts.add(overAll(effect)));
        boolean named = question.ask().against() instanceof Ask.Against.Level;
        if (named) {
            parts.addAll(byPlace());
        }
        List<Answer> decide = (effects.isEmpty()
                        ? question.judgement().comparisons().stream().map(Comparison::answer)
                        : effects.stream().map(MainEffect::answer))
                .distinct()
                .toList();
        Firmness firmness = decide.size() == 1 && !bothWays()
                ? wording.firmness(decide.get(0))
                : decide.contains(Answer.CANT_TELL) ? Firmness.PARTLY : Firmness.SETTLED;
        return new Verdict(
                firmness,
                question.kind().label() + " at " + question.look().said() + ", " + String.join("; ", parts) + ".",
                wording.next(question.judgement().comparisons(), effects));
    }

    /** Better here and worse there: no one word says it. */
    private boolean bothWays() {
        List<Answer> answers = question.judgement().comparisons().stream()
                .map(Comparison::answer)
                .toList();
        return answers.contains(Answer.BETTER) && answers.contains(Answer.WORSE);
    }

    private String overAll(MainEffect effect) {
        return effect.level() + " beside " + effect.against() + " over all: " + wording.words(effect.answer()) + " ("
                + Wording.difference(question.kind(), effect.difference()) + ", " + wording.intervalName() + " "
                + Wording.interval(question.kind(), effect.interval()) + ")";
    }

    /** "better in cress (+1.2 cm), pea; can't tell in basil". */
    private List<String> byPlace() {
        Map<Answer, List<String>> places = new LinkedHashMap<>();
        boolean several = question.judgement().comparisons().stream()
                        .map(c -> level(c.treatment()))
                        .distinct()
                        .count()
                > 1;
        for (Answer answer : Wording.CLEAR_FIRST) {
            question.judgement().comparisons().stream()
                    .filter(c -> c.answer() == answer)
                    .forEach(c -> places.computeIfAbsent(answer, key -> new ArrayList<>())
                            .add(place(question, c, several) + size(c)));
        }
        return places.entrySet().stream()
                .map(entry -> wording.words(entry.getKey()) + " in " + String.join(", ", entry.getValue()))
                .toList();
    }

    private String size(Comparison c) {
        boolean clear = c.answer() == Answer.BETTER || c.answer() == Answer.WORSE;
        Optional<Interval> interval = c.interval();
        return clear && interval.isPresent() && Double.isFinite(c.difference())
                ? " (" + Wording.difference(question.kind(), c.difference()) + ")"
                : "";
    }

    private String level(int arm) {
        int factor = ((Ask.Against.Level) question.ask().against()).factor();
        return question.observations().arms().get(arm).levels().get(factor);
    }

    /** At which levels of the other factors a comparison stands, and of which level it is where there are several. */
    static String place(JudgedQuestion question, Comparison c, boolean several) {
        int factor = ((Ask.Against.Level) question.ask().against()).factor();
        List<String> levels = question.observations().arms().get(c.treatment()).levels();
        String others = IntStream.range(0, levels.size())
                .filter(at -> at != factor)
                .mapToObj(levels::get)
                .collect(Collectors.joining(", "));
        return several || others.isEmpty() ? levels.get(factor) + (others.isEmpty() ? "" : " in " + others) : others;
    }
}
