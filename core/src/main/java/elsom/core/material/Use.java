package elsom.core.material;

import elsom.core.mix.Property;
import elsom.core.quantity.Bounds;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * What a medium is wanted for, and what it must be like for that: a window.
 *
 * @param code of the use, in addresses
 * @param depthCm of the medium in the containers of this use
 * @param why what the use is hard on, as a sentence
 */
public record Use(String code, String name, double depthCm, String why, List<UseBound> bounds) {
    private static final int CODE = 16;

    public Use {
        Bounds.name("a use", name, Bounds.NAME);
        Bounds.note("why", why, Bounds.NOTE);
        Bounds.number("the depth", depthCm, 1, 300);
        bounds = List.copyOf(bounds);
    }

    /**
     * A code for a use that a station adds: its name in letters that addresses bear.
     *
     * @return unlike any code that is taken
     */
    public static String codeFor(String name, Collection<String> taken) {
        String plain = "own-" + name.strip().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        String cut = plain.substring(0, Math.min(CODE, plain.length()));
        String code = cut;
        for (int i = 2; taken.contains(code); i++) {
            code = cut + "-" + i;
        }
        return code;
    }

    /**
     * A medium held against one bound.
     *
     * @param value empty when it is not known
     * @param says "air 12 %: at least 20 % is wanted. Small cells …"
     */
    public record Checked(UseBound bound, OptionalDouble value, Fitness fitness, String says) {}

    /** A medium held against a use. */
    public record Judged(Use use, Fitness fitness, List<Checked> checked) {
        public Judged {
            checked = List.copyOf(checked);
        }

        /** What speaks against it, or is not known, the worst first. */
        public List<String> against() {
            return checked.stream()
                    .filter(one -> one.fitness() != Fitness.PASS)
                    .sorted(Comparator.comparing(Checked::fitness).reversed())
                    .map(Checked::says)
                    .toList();
        }
    }

    /**
     * Judges a medium: as its worst property, and not known while any is not known and none fails.
     *
     * @param values at this use's depth
     */
    public Judged judge(Function<Property, OptionalDouble> values) {
        List<Checked> checked = new ArrayList<>();
        for (UseBound bound : bounds) {
            OptionalDouble value = values.apply(bound.property());
            Fitness fitness = value.isEmpty() ? Fitness.UNKNOWN : bound.of(value.getAsDouble());
            checked.add(new Checked(bound, value, fitness, says(bound, value, fitness)));
        }
        return new Judged(this, fitness(values), checked);
    }

    /** The same in a word, for many media. */
    public Fitness fitness(Function<Property, OptionalDouble> values) {
        Fitness worst = bounds.isEmpty() ? Fitness.UNKNOWN : Fitness.PASS;
        for (UseBound bound : bounds) {
            OptionalDouble value = values.apply(bound.property());
            Fitness here = value.isEmpty() ? Fitness.UNKNOWN : bound.of(value.getAsDouble());
            worst = here.compareTo(worst) > 0 ? here : worst;
        }
        return worst;
    }

    private static String says(UseBound bound, OptionalDouble value, Fitness fitness) {
        String label = bound.property().label();
        if (value.isEmpty()) {
            return label + " is not known; " + bound.words() + " is wanted.";
        }
        String shown = label + " " + LotFigure.shown(bound.property(), value.getAsDouble());
        return fitness == Fitness.PASS
                ? shown + ", as wanted (" + bound.words() + ")."
                : (shown + "; " + bound.words() + " is wanted. " + bound.reason(value.getAsDouble())).strip();
    }
}
