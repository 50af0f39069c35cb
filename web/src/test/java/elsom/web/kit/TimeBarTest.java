package elsom.web.kit;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.LookState;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.GrowthPlan;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class TimeBarTest {
    private final TrialRecord draft = GrowthPlan.plan().draw(new TrialId(4));
    private final TrialRecord running = draft.with(draft.trial().begun(false));

    @Test
    void looksStandInOrderAndApart() {
        TimeBar bar = TimeBar.of(running, GrowthPlan.START.plus(Duration.ofDays(8)), 2);
        List<Double> at = bar.ticks().stream().map(TimeBar.Tick::at).toList();
        assertThat(at).isSorted().doesNotHaveDuplicates().allMatch(place -> place >= 0 && place <= 100);
        assertThat(bar.ticks()).extracting(TimeBar.Tick::here).containsExactly(false, true, false, false);
        assertThat(bar.nowInside()).isTrue();
        assertThat(bar.nowAt()).isBetween(at.get(0), at.get(1));
    }

    @Test
    void aPlanSaysThatItHasNotStarted() {
        TimeBar bar = TimeBar.of(draft, GrowthPlan.START.plus(Duration.ofDays(30)), 0);
        assertThat(bar.summary()).isEqualTo("a plan, not started yet; start planned Mon 1 Jun, 09:00");
        assertThat(bar.ticks()).allMatch(tick -> tick.state() == LookState.PLANNED);
        assertThat(bar.ticks()).allMatch(tick -> tick.href().endsWith("/plan/dates"));
    }

    @Test
    void careIsDrawnUpToTheLastLook() {
        TimeBar bar = TimeBar.of(running, GrowthPlan.START, 0);
        assertThat(bar.drops()).isNotEmpty();
        assertThat(bar.drops()).extracting(TimeBar.Drop::at).allMatch(at -> at <= 97.1);
    }
}
