package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every level can be solved by a fair plan, and its trap does what it is there for. */
class LevelsTest {
    private static final int SEEDS = 200;
    private static final Instant START = Instant.parse("2026-03-01T08:00:00Z");

    static Stream<Level> levels() {
        return Levels.all().stream();
    }

    private static double solved(Level level, Trialled plan) {
        int right = 0;
        for (long seed = 1; seed <= Simulations.of(SEEDS); seed++) {
            Truth truth = level.truth(level.setting(), seed);
            right += new Rerun(level, truth, level.setting(), plan)
                    .times(1, seed)
                    .right();
        }
        return right / (double) Simulations.of(SEEDS);
    }

    private static Plan draft(Level level, Trialled trialled) {
        return Draft.of(level, trialled, ZoneOffset.UTC, START, 77);
    }

    @ParameterizedTest
    @MethodSource("levels")
    void aFairPlanSolvesFourOfFiveAndTheTrapFailsThreeOfFive(Level level) {
        assertThat(solved(level, level.fair())).as("fair plan").isGreaterThanOrEqualTo(Simulations.least(0.8, SEEDS));
        assertThat(1 - solved(level, level.trap())).as("trap").isGreaterThanOrEqualTo(Simulations.least(0.6, SEEDS));
    }

    @ParameterizedTest
    @MethodSource("levels")
    void whatIsTrueIsAmongWhatMayBeSaidAndNotTheSameOnEveryBench(Level level) {
        Set<Call> right = new HashSet<>();
        for (long seed = 1; seed <= 60; seed++) {
            Truth truth = level.truth(level.setting(), seed);
            right.add(truth.right());
            assertThat(level.brief().options()).extracting(Brief.Option::call).contains(truth.right(), Call.CANT_TELL);
        }
        assertThat(right).hasSizeGreaterThan(1);
    }

    @ParameterizedTest
    @MethodSource("levels")
    void bothPlansCanBeDrawnAndTheFairOneIsPaidFor(Level level) {
        for (Trialled trialled : List.of(level.trap(), level.fair())) {
            Plan plan = draft(level, trialled);
            TrialRecord drawn = plan.draw(new TrialId(1));
            assertThat(Planned.unknown(level, plan)).isEmpty();
            assertThat(Planned.of(level, plan, drawn, trialled.best())).contains(withDay(level, trialled));
        }
        Planned.Costs costs = Planned.costs(draft(level, level.fair()));
        assertThat(costs.within(level.brief().budget()))
                .as("%s of %s", costs, level.brief().budget())
                .isTrue();
    }

    /** Water is decided by the first weighing after draining; later ones are in the plan all the same. */
    private static Trialled withDay(Level level, Trialled trialled) {
        double last = draft(level, trialled).schedule().looks().stream()
                .filter(look ->
                        look.endpoints().contains(level.brief().measured().endpoint()))
                .mapToDouble(look ->
                        look.after().toMinutes() / (double) Duration.ofDays(1).toMinutes())
                .max()
                .orElseThrow();
        return new Trialled(trialled.treatments(), trialled.units(), trialled.placing(), last, trialled.best());
    }

    @Test
    void treatmentsAreKnownByTheirWordsInAnyOrderAndOthersAreNot() {
        Level lots = Levels.find("salts-like-residue").orElseThrow();
        assertThat(lots.meant("Barley in lot D, leached")).contains("lot d leached, barley");
        assertThat(lots.meant("Peas, clean")).contains("clean, peas");
        assertThat(lots.meant("Tomatoes")).isEmpty();
        Level doses = Levels.find("label-rate-untested").orElseThrow();
        assertThat(doses.meant("1,5 % drench")).contains("1.5 %");
        assertThat(doses.meant("12 %")).isEmpty();
        assertThat(Levels.find("two-things-changed").orElseThrow().meant("New mix with kelp"))
                .contains("new mix with kelp");
        assertThat(Levels.find("no such level")).isEmpty();
    }

    @Test
    void namesAreWrittenAsPeopleWriteThem() {
        assertThat(Draft.shown("lot c charcoal, peas")).isEqualTo("Lot C charcoal, peas");
        assertThat(Draft.shown("mix a")).isEqualTo("Mix A");
        assertThat(Draft.shown("0.25 %")).isEqualTo("0.25 %");
    }
}
