package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.Plan;
import elsom.core.practice.Decisions.Decision;
import elsom.core.practice.Decisions.What;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What each decision of a plan cost. */
class DecisionsTest {
    private static List<Decision> of(String code, Call call, Trialled own) {
        Level level = Levels.find(code).orElseThrow();
        for (long seed = 1; seed < 100; seed++) {
            Truth truth = level.truth(level.setting(), seed);
            if (truth.right() == call) {
                return Decisions.of(level, truth, level.setting(), own, seed);
            }
        }
        throw new AssertionError("no seed gives " + call);
    }

    private static Level level(String code) {
        return Levels.find(code).orElseThrow();
    }

    @Test
    void onePotEachLacksUnits() {
        Level level = level("one-pot-each");
        assertThat(of("one-pot-each", Call.BETTER, level.trap()).get(0)).satisfies(decision -> {
            assertThat(decision.what()).isEqualTo(What.UNITS);
            assertThat(decision.gained()).isGreaterThan(0.8);
            assertThat(decision.instead().units()).isEqualTo(12);
        });
    }

    @Test
    void aSideEachCostsThePlacing() {
        Level level = level("light-from-one-side");
        assertThat(of("light-from-one-side", Call.NO_DIFFERENCE, level.trap())
                        .get(0)
                        .what())
                .isEqualTo(What.PLACING);
    }

    @Test
    void anUntestedDoseAndAnEarlyEndAreNamed() {
        assertThat(of(
                        "label-rate-untested",
                        Call.HARMFUL,
                        level("label-rate-untested").trap()))
                .extracting(Decision::what)
                .contains(What.TREATMENTS);
        assertThat(of("delayed-injury", Call.HARMFUL, level("delayed-injury").trap())
                        .get(0)
                        .what())
                .isEqualTo(What.LAST_DAY);
        assertThat(of("best-plants", Call.NO_DIFFERENCE, level("best-plants").trap()))
                .extracting(Decision::what)
                .contains(What.PICKING);
    }

    @Test
    void aFairPlanHasNothingToRegret() {
        Level level = level("two-things-changed");
        assertThat(of("two-things-changed", Call.NO_DIFFERENCE, level.fair())).isEmpty();
    }

    @Test
    void whatAPlanTakesIsCountedByHand() {
        Level level = level("label-rate-untested");
        Plan plan = Draft.of(level, level.fair(), ZoneOffset.UTC, Instant.parse("2026-03-01T08:00:00Z"), 1);
        Planned.Costs costs = Planned.costs(plan);
        // 40 units: 40 · 4 min; six looks of 10 min; injury 20 s at six, fresh mass 40 s at one.
        double hours = (40 * 4 + 6 * 10) / 60.0 + 40 * (6 * 20 + 40) / 3600.0;
        assertThat(costs.places()).isEqualTo(40);
        assertThat(costs.hours()).isCloseTo(hours, within(1e-9));
        assertThat(costs.money()).isCloseTo(36, within(1e-9));
        assertThat(costs.within(new Brief.Budget(39, 100, 100))).isFalse();
        assertThat(costs.within(new Brief.Budget(40, 100, 36))).isTrue();
    }

    @Test
    void settingsAreKeptWithinWhatABenchCanBe() {
        assertThatThrownBy(() -> new Setting(0.9, 0.1, 0, 0)).hasMessageContaining("effect");
        assertThatThrownBy(() -> new Setting(0, 0, 0, 0)).hasMessageContaining("scatter");
        assertThatThrownBy(() -> new Trialled(List.of(), 3, Trialled.Placing.BLOCKS, 1, 0))
                .hasMessageContaining("treatments");
        assertThat(Levels.free().fair().units(3).best(0).units()).isEqualTo(3);
    }
}
