package elsom.core.sim;

import elsom.core.mix.Mix;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;

/**
 * What is true of materials on the simulated bench, by name: of those that are known, of mixes by their parts, and of any
 * other by chance that is always the same.
 *
 * @param known by name in small letters
 */
record Materials<T>(Map<String, T> known, Function<Mix, T> mixed, Function<Random, T> drawn) {
    T of(String material) {
        String name = material.toLowerCase(Locale.ROOT).strip();
        T found = known.get(name);
        if (found != null) {
            return found;
        }
        Optional<Mix> mix = Mix.read(name).filter(read -> read.parts().size() > 1);
        return mix.isPresent() ? mixed.apply(mix.get()) : drawn.apply(new Random(name.hashCode()));
    }
}
