package elsom.core.brew;

import elsom.core.brew.FactorEffects.Effect;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What brews tell: for each count what every factor did, what can't be told, and what the next brew should try.
 *
 * @param counts one for each kind of count, and for ratios of counts
 * @param next at most three, the most telling first
 */
public record BrewFindings(List<Count> counts, List<String> next) {
    private static final int MOST_NEXT = 3;
    private static final double MATTERS = 1.5;
    private static final double Z = 2.8;
    private static final double MUCH = 1.25;

    /**
     * A count, or a ratio of two.
     *
     * @param effects what was worked out; empty where too few brews have it
     */
    public record Count(String name, Optional<FactorEffects> effects, List<String> words) {
        public Count {
            words = List.copyOf(words);
        }
    }

    public BrewFindings {
        counts = List.copyOf(counts);
        next = List.copyOf(next);
    }

    /** A kind of count with the brews that have it. */
    public record Counted(String name, List<FactorEffects.Brew> brews) {}

    /**
     * Works them out.
     *
     * @param stops sentences of brews that met the stop rule
     */
    public static BrewFindings of(List<FactorEffects.Named> factors, List<Counted> counted, List<String> stops) {
        List<Count> counts = counted.stream()
                .map(one -> {
                    Optional<FactorEffects> effects = FactorEffects.of(factors, one.brews());
                    return new Count(one.name(), effects, words(effects));
                })
                .toList();
        return new BrewFindings(counts, next(counts, stops));
    }

    private static List<String> words(Optional<FactorEffects> effects) {
        if (effects.isEmpty()) {
            return List.of("One brew has this count: nothing can be compared.");
        }
        List<String> words = new ArrayList<>();
        effects.get().effects().forEach(effect -> words.add(sentence(effect)));
        effects.get()
                .confounded()
                .forEach(names ->
                        words.add(names + " changed together in these brews: what one did can’t be told from what the"
                                + " other did."));
        if (effects.get().df() == 0) {
            words.add(
                    "One brew each: how much brews treated alike differ can’t be seen, so these ratios may be chance.");
        }
        return words;
    }

    private static String sentence(Effect effect) {
        boolean hours = effect.factor().equals(FactorEffects.HOURS);
        String what = hours ? "12 h longer" : effect.factor() + ", " + effect.level() + " beside " + effect.beside();
        String ratio = "×" + Decimals.significant(effect.ratio(), 2);
        String interval = effect.interval().map(BrewFindings::span).orElse("");
        String says = effect.interval().isEmpty()
                ? "may be chance"
                : effect.shown() ? (effect.ratio() > 1 ? "more" : "fewer") : "can’t tell";
        return what + ": " + ratio + interval + ", " + says + ".";
    }

    private static String span(Interval interval) {
        return " (95 % interval ×" + Decimals.significant(interval.low(), 2) + " to ×"
                + Decimals.significant(interval.high(), 2) + ")";
    }

    private static List<String> next(List<Count> counts, List<String> stops) {
        List<String> next = new ArrayList<>();
        List<String> confounded = counts.stream()
                .flatMap(count -> count.effects().stream())
                .flatMap(effects -> effects.confounded().stream())
                .distinct()
                .toList();
        confounded.forEach(names -> next.add("Brew " + names.toLowerCase(Locale.ROOT)
                + " apart: each with and without the other, so that both can be told."));
        if (!stops.isEmpty()) {
            next.add("Give more air or half the food, and feed again only while oxygen stays above "
                    + Decimals.upTo(BrewReading.LEAST_OXYGEN, 1) + " mg/L: " + stops.size()
                    + (stops.size() == 1 ? " brew" : " brews") + " fell below or smelled off.");
        }
        counts.stream()
                .flatMap(count -> count.effects().stream()
                        .flatMap(effects -> effects.effects().stream())
                        .filter(effect -> effect.shown() && effect.ratio() > MUCH)
                        .map(effect -> "Go on with " + effect.level() + ": " + inside(count.name()) + " rose ×"
                                + Decimals.significant(effect.ratio(), 2)
                                + ". Then see on plants whether that matters."))
                .findFirst()
                .ifPresent(next::add);
        counts.stream()
                .flatMap(count -> count.effects().stream()
                        .flatMap(effects -> effects.effects().stream()
                                .filter(effect -> !effect.shown())
                                .limit(1)
                                .flatMap(effect -> more(count, effects, effect).stream())))
                .findFirst()
                .ifPresent(next::add);
        return next.stream().distinct().limit(MOST_NEXT).toList();
    }

    /** How many brews of each level would likely show a rise by half, by what brews treated alike differ here. */
    private static Optional<String> more(Count count, FactorEffects effects, Effect effect) {
        if (effects.df() == 0) {
            return Optional.of(
                    "Make three brews or more of each, drawn at random: one each tells nothing for certain.");
        }
        double needed = 2 * Math.pow(Z * effects.scatter() / Math.log(MATTERS), 2);
        int each = (int) Math.max(2, Math.ceil(needed));
        return each > 50
                ? Optional.empty()
                : Optional.of("About " + each + " brews of each level would show a rise of "
                        + inside(count.name()) + " by half; "
                        + effect.factor().toLowerCase(Locale.ROOT) + " can’t be told from these.");
    }

    private static String inside(String name) {
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    /** What is shown, a sentence a factor: the counts that rose or fell with it; empty when nothing is. */
    public List<String> shown() {
        Map<String, List<String>> byLevel = new LinkedHashMap<>();
        for (Count count : counts) {
            count.effects().stream()
                    .flatMap(effects -> effects.effects().stream())
                    .filter(Effect::shown)
                    .forEach(effect -> byLevel.computeIfAbsent(
                                    effect.factor().equals(FactorEffects.HOURS)
                                            ? "12 h longer"
                                            : effect.factor() + ", " + effect.level(),
                                    level -> new ArrayList<>())
                            .add(inside(count.name()) + " ×" + Decimals.significant(effect.ratio(), 2)));
        }
        return byLevel.entrySet().stream()
                .map(entry -> entry.getKey() + ": " + String.join("; ", entry.getValue()) + ".")
                .toList();
    }
}
