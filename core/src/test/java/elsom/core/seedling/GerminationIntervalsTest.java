package elsom.core.seedling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** How sure a germination index is: as often right as it says, and silent where dishes are alone. */
class GerminationIntervalsTest {
    private static Dish dish(int germinated, double... roots) {
        return new Dish(10, germinated, Arrays.stream(roots).boxed().toList());
    }

    /** ln ratio of roots 20.5/41 = ln 0.5; s² of the logarithm's influence by hand, t of the Welch degrees of freedom. */
    @Test
    void rootsByHand() {
        List<Dish> sample = List.of(dish(9, 19), dish(9, 20), dish(9, 21), dish(9, 22));
        List<Dish> control = List.of(dish(10, 38), dish(10, 40), dish(10, 42), dish(10, 44));
        Interval roots = GerminationIntervals.of(sample, control)
                .asOptional()
                .orElseThrow()
                .roots();
        // each side: s/mean = 1.29099/20.5 = 0.062975 and 2.58199/41 = the same; SE = √(2·0.062975²/4) = 0.044530; df
        // 6, t 2.44691
        assertThat(roots.low()).isCloseTo(0.5 * Math.exp(-2.44691 * 0.0445301), within(1e-5));
        assertThat(roots.high()).isCloseTo(0.5 * Math.exp(2.44691 * 0.0445301), within(1e-5));
    }

    @Test
    void oneDishAloneTellsNothingOfChance() {
        assertThat(GerminationIntervals.of(List.of(dish(9, 20)), List.of(dish(9, 40), dish(10, 41)))
                        .whyNot())
                .isPresent();
        assertThat(GerminationIntervals.of(List.of(dish(0), dish(1, 3)), List.of(dish(9, 40), dish(10, 41)))
                        .whyNot())
                .isPresent();
    }

    @Test
    void dishesThatAreAlikeAreNotSureBeyondTheirSeeds() {
        List<Dish> alike = List.of(dish(10, 40, 40), dish(10, 40, 40), dish(10, 40, 40));
        Interval index =
                GerminationIntervals.of(alike, alike).asOptional().orElseThrow().index();
        assertThat(index.low()).isLessThan(0.95);
        assertThat(index.high()).isGreaterThan(1.05);
    }

    @Test
    void theIntervalHoldsTheTruthAsOftenAsItSays() {
        Random chance = new Random(5);
        int runs = 2000;
        int held = 0;
        for (int run = 0; run < runs; run++) {
            List<Dish> sample = dishes(chance, 5, 0.7, 25);
            List<Dish> control = dishes(chance, 5, 0.92, 40);
            Interval index = GerminationIntervals.of(sample, control)
                    .asOptional()
                    .orElseThrow()
                    .index();
            double truth = 0.7 * 25 / (0.92 * 40);
            held += truth >= index.low() && truth <= index.high() ? 1 : 0;
        }
        assertThat(held / (double) runs).isBetween(0.935, 0.99);
    }

    private static List<Dish> dishes(Random chance, int number, double germinates, double length) {
        List<Dish> dishes = new ArrayList<>();
        for (int i = 0; i < number; i++) {
            int k = 0;
            for (int seed = 0; seed < 10; seed++) {
                k += chance.nextDouble() < germinates ? 1 : 0;
            }
            double own = length * (1 + 0.1 * chance.nextGaussian());
            List<Double> roots = new ArrayList<>();
            for (int root = 0; root < Math.min(5, k); root++) {
                roots.add(Math.max(1, own * (1 + 0.25 * chance.nextGaussian())));
            }
            dishes.add(new Dish(10, k, roots));
        }
        return dishes;
    }
}
