package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.brew.FactorEffects.Brew;
import elsom.core.brew.FactorEffects.Effect;
import elsom.core.brew.FactorEffects.Named;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class FactorEffectsTest {
    private static final Named STONE = new Named("Air stone", List.of("none", "stone"));
    private static final Named KELP = new Named("Kelp", List.of("none", "kelp"));

    private static Effect effect(FactorEffects effects, String factor) {
        return effects.effects().stream()
                .filter(one -> one.factor().equals(factor))
                .findFirst()
                .orElseThrow();
    }

    /**
     * Two groups of three: logs 0, ln 2, ln 4 and ln 4, ln 8, ln 16. By hand: difference of means ln 4; s² = (ln 2)²; standard error
     * ln 2 · √(2/3); t of 4 df 2.776.
     */
    @Test
    void oneFactorIsATTestOfLogs() {
        List<Brew> brews = new ArrayList<>();
        for (double count : new double[] {1, 2, 4}) {
            brews.add(new Brew(List.of(0), 24, count));
            brews.add(new Brew(List.of(1), 24, 4 * count));
        }
        FactorEffects effects = FactorEffects.of(List.of(STONE), brews).orElseThrow();
        Effect stone = effect(effects, "Air stone");
        double half = 2.7764451 * Math.log(2) * Math.sqrt(2 / 3.0);
        assertThat(stone.ratio()).isEqualTo(4, within(1e-9));
        assertThat(stone.interval().orElseThrow().low()).isEqualTo(4 / Math.exp(half), within(1e-6));
        assertThat(stone.shown()).isFalse();
        assertThat(effects.df()).isEqualTo(4);
    }

    @Test
    void twoFactorsAndHoursAreToldBesideEachOther() {
        List<Brew> brews = new ArrayList<>();
        for (int stone = 0; stone < 2; stone++) {
            for (int kelp = 0; kelp < 2; kelp++) {
                for (int run = 0; run < 3; run++) {
                    double hours = (stone + kelp) % 2 == 0 ? 36 : 24;
                    double chance = List.of(0.95, 1.0, 1.05).get(run);
                    double count = 2 * Math.pow(3, stone) * Math.pow(2, kelp) * (hours > 30 ? 1.5 : 1) * chance;
                    brews.add(new Brew(List.of(stone, kelp), hours, count));
                }
            }
        }
        FactorEffects effects = FactorEffects.of(List.of(STONE, KELP), brews).orElseThrow();
        assertThat(effects.confounded()).isEmpty();
        assertThat(effect(effects, "Air stone").ratio()).isEqualTo(3, within(1e-9));
        assertThat(effect(effects, "Kelp").ratio()).isEqualTo(2, within(1e-9));
        assertThat(effect(effects, FactorEffects.HOURS).ratio()).isEqualTo(1.5, within(1e-9));
        assertThat(effects.effects()).allMatch(Effect::shown);
    }

    @Test
    void longerAndMoreFoodThatChangedTogetherAreNotParted() {
        List<Brew> brews = List.of(
                new Brew(List.of(0), 24, 2), new Brew(List.of(0), 24, 2.2),
                new Brew(List.of(1), 36, 5), new Brew(List.of(1), 36, 5.5));
        FactorEffects effects = FactorEffects.of(List.of(KELP), brews).orElseThrow();
        assertThat(effects.confounded()).containsExactly("Kelp and Hours brewed");
        assertThat(effects.effects()).isEmpty();
        BrewFindings findings =
                BrewFindings.of(List.of(KELP), List.of(new BrewFindings.Counted("Active fungi", brews)), List.of());
        assertThat(findings.counts().get(0).words().get(0)).contains("changed together");
        assertThat(findings.next().get(0)).contains("Brew kelp and hours brewed apart");
    }

    @Test
    void oneBrewEachCantTell() {
        List<Brew> brews = List.of(new Brew(List.of(0), 24, 2), new Brew(List.of(1), 24, 5));
        FactorEffects effects = FactorEffects.of(List.of(STONE), brews).orElseThrow();
        assertThat(effects.df()).isZero();
        assertThat(effect(effects, "Air stone").ratio()).isEqualTo(2.5, within(1e-9));
        assertThat(effect(effects, "Air stone").interval()).isEmpty();
        BrewFindings findings = BrewFindings.of(
                List.of(STONE), List.of(new BrewFindings.Counted("Active fungi", brews)), List.of("K34"));
        assertThat(findings.counts().get(0).words()).anyMatch(words -> words.startsWith("One brew each"));
        assertThat(findings.next()).anyMatch(words -> words.contains("three brews or more"));
        assertThat(findings.next().get(0)).startsWith("Give more air");
    }

    @Test
    void tooLittleIsSaidAndNonsenseRefused() {
        assertThat(FactorEffects.of(List.of(STONE), List.of(new Brew(List.of(0), 24, 2))))
                .isEmpty();
        List<Brew> nothing = List.of(new Brew(List.of(0), 24, 0), new Brew(List.of(1), 24, 2));
        assertThatThrownBy(() -> FactorEffects.of(List.of(STONE), nothing)).hasMessageContaining("above 0");
    }
}
