package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.brew.BrewFindings.Counted;
import elsom.core.brew.FactorEffects.Brew;
import elsom.core.brew.FactorEffects.Named;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What brews tell, in words. */
class BrewFindingsTest {
    private static final Named STONE = new Named("Air stone", List.of("none", "stone"));
    private static final double[] CHANCE = {0.9, 1, 1.1, 1.05};

    private static Counted counted(String name, double without, double with) {
        List<Brew> brews = new ArrayList<>();
        for (double chance : CHANCE) {
            brews.add(new Brew(List.of(0), 24, without * chance));
            brews.add(new Brew(List.of(1), 24, with * chance));
        }
        return new Counted(name, brews);
    }

    @Test
    void whatIsShownIsASentenceAFactor() {
        BrewFindings findings = BrewFindings.of(
                List.of(STONE),
                List.of(
                        counted("Active fungi", 1, 2),
                        counted("Active bacteria", 40, 40),
                        counted("Total fungi", 4, 6)),
                List.of());
        assertThat(findings.shown()).containsExactly("Air stone, stone: active fungi ×2; total fungi ×1.5.");
        assertThat(findings.counts().get(1).words().get(0)).contains("×1 ").endsWith("can’t tell.");
        assertThat(findings.next())
                .hasSize(2)
                .first()
                .satisfies(words -> assertThat(words).startsWith("Go on with stone: active fungi rose ×2."));
        assertThat(findings.next().get(1)).contains("brews of each level would show a rise of active bacteria by half");
    }

    @Test
    void fewerIsSaidAsFewerAndNotGoneOnWith() {
        BrewFindings findings = BrewFindings.of(List.of(STONE), List.of(counted("Active fungi", 4, 1)), List.of());
        assertThat(findings.counts().get(0).words().get(0)).contains("×0.25").endsWith("fewer.");
        assertThat(findings.next()).noneMatch(words -> words.startsWith("Go on"));
    }

    @Test
    void nothingShownIsSaidByNothing() {
        BrewFindings findings = BrewFindings.of(List.of(STONE), List.of(counted("Active fungi", 1, 1.02)), List.of());
        assertThat(findings.shown()).isEmpty();
    }

    @Test
    void brewsThatRanShortOfAirComeFirst() {
        List<String> next = BrewFindings.of(
                        List.of(STONE), List.of(counted("Active fungi", 1, 2)), List.of("K34", "T27"))
                .next();
        assertThat(next.get(0))
                .startsWith("Give more air or half the food")
                .contains("2 brews fell below or smelled off");
        assertThat(next).hasSizeLessThanOrEqualTo(3);
    }

    @Test
    void oneBrewIsNothingToCompare() {
        BrewFindings findings = BrewFindings.of(
                List.of(STONE), List.of(new Counted("Active fungi", List.of(new Brew(List.of(0), 24, 1)))), List.of());
        assertThat(findings.counts().get(0).effects()).isEmpty();
        assertThat(findings.counts().get(0).words())
                .containsExactly("One brew has this count: nothing can be compared.");
    }
}
