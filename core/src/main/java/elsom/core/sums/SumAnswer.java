package elsom.core.sums;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a sum comes to.
 *
 * @param sentence the answer
 * @param lines further figures in words
 * @param steps how it was worked out, to be followed on paper
 * @param mind what to mind, and who to defer to
 * @param numbers unrounded, by name, for scripts
 */
public record SumAnswer(
        String sentence, List<Line> lines, List<String> steps, List<String> mind, Map<String, Double> numbers) {
    /** A figure in words. */
    public record Line(String label, String value) {}

    public SumAnswer {
        lines = List.copyOf(lines);
        steps = List.copyOf(steps);
        mind = List.copyOf(mind);
        numbers = Map.copyOf(numbers);
    }

    /** An answer while its parts are named one by one. */
    public static SumAnswer of(String sentence) {
        return new SumAnswer(sentence, List.of(), List.of(), List.of(), Map.of());
    }

    public SumAnswer line(String label, String value) {
        return new SumAnswer(sentence, plus(lines, new Line(label, value)), steps, mind, numbers);
    }

    public SumAnswer step(String words) {
        return new SumAnswer(sentence, lines, plus(steps, words), mind, numbers);
    }

    public SumAnswer mind(String words) {
        return new SumAnswer(sentence, lines, steps, plus(mind, words), numbers);
    }

    public SumAnswer number(String name, double value) {
        Map<String, Double> more = new LinkedHashMap<>(numbers);
        more.put(name, value);
        return new SumAnswer(sentence, lines, steps, mind, more);
    }

    private static <T> List<T> plus(List<T> all, T one) {
        List<T> more = new ArrayList<>(all);
        more.add(one);
        return more;
    }
}
