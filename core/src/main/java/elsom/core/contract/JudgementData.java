package elsom.core.contract;

import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.MainEffect;
import elsom.core.analysis.Observations;
import elsom.core.flag.Flag;
import elsom.core.stats.Interval;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * A judgement as files and scripts have it: docs/calc.md describes each field. Numbers that can't be had, and open ends of
 * intervals, are null.
 */
public record JudgementData(
        String analysis,
        @Nullable String refused,
        List<Compared> comparisons,
        Map<String, String> letters,
        @Nullable Acting interaction,
        List<Main> mainEffects,
        List<String> checked,
        List<String> flags) {

    /** A treatment beside its comparator, by their codes. */
    public record Compared(
            String treatment,
            String comparator,
            @Nullable Double difference,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double percent,
            @Nullable Double percentLow,
            @Nullable Double percentHigh,
            @Nullable Double p,
            @Nullable Double rankP,
            String answer,
            @Nullable Integer unitsThatWouldTell) {}

    /** Whether factors act together; pairs as "treatment-comparator". */
    public record Acting(
            boolean shown,
            double p,
            double estimate,
            @Nullable Double low,
            @Nullable Double high,
            String factor,
            String first,
            String second) {}

    /** What a level does over all levels of the other factors. */
    public record Main(
            String factor,
            String level,
            String against,
            double difference,
            double low,
            double high,
            @Nullable Double p,
            String answer) {}

    /** The data of a judgement. */
    public static JudgementData of(Observations observations, Judgement judgement, List<Flag> flags) {
        Map<String, String> letters = new LinkedHashMap<>();
        for (int arm = 0; arm < judgement.letters().size(); arm++) {
            letters.put(code(observations, arm), judgement.letters().get(arm));
        }
        return new JudgementData(
                judgement.method().code(),
                judgement.refused().orElse(null),
                judgement.comparisons().stream()
                        .map(c -> compared(observations, c))
                        .toList(),
                letters,
                judgement
                        .interaction()
                        .map(found -> new Acting(
                                found.shown(),
                                found.p(),
                                found.estimate(),
                                finite(found.interval().low()),
                                finite(found.interval().high()),
                                observations.factors().get(found.factor()),
                                code(observations, found.first().treatment()) + "-"
                                        + code(observations, found.first().comparator()),
                                code(observations, found.second().treatment()) + "-"
                                        + code(observations, found.second().comparator())))
                        .orElse(null),
                judgement.mainEffects().stream()
                        .map(effect -> main(observations, effect))
                        .toList(),
                judgement.checked(),
                flags.stream().map(flag -> flag.code().code()).toList());
    }

    private static String code(Observations observations, int arm) {
        return observations.arms().get(arm).code();
    }

    private static Compared compared(Observations observations, Comparison c) {
        return new Compared(
                code(observations, c.treatment()),
                code(observations, c.comparator()),
                finite(c.difference()),
                end(c, Interval::low),
                end(c, Interval::high),
                known(c.percent()),
                c.percentInterval().map(i -> finite(i.low())).orElse(null),
                c.percentInterval().map(i -> finite(i.high())).orElse(null),
                known(c.p()),
                known(c.rankP()),
                c.answer().name().toLowerCase(Locale.ROOT),
                c.unitsThatWouldTell().isPresent() ? c.unitsThatWouldTell().getAsInt() : null);
    }

    private static Main main(Observations observations, MainEffect effect) {
        return new Main(
                observations.factors().get(effect.factor()),
                effect.level(),
                effect.against(),
                effect.difference(),
                effect.interval().low(),
                effect.interval().high(),
                known(effect.p()),
                effect.answer().name().toLowerCase(Locale.ROOT));
    }

    private static @Nullable Double end(Comparison c, ToDoubleFunction<Interval> which) {
        return c.interval().map(i -> finite(which.applyAsDouble(i))).orElse(null);
    }

    private static @Nullable Double known(OptionalDouble value) {
        return value.isPresent() ? finite(value.getAsDouble()) : null;
    }

    private static @Nullable Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
