package elsom.web.today;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class TodayPageTest {
    private final TrialRecord draft = GrowthPlan.plan().draw(new TrialId(4));
    private final TrialRecord running = draft.with(draft.trial().begun(false));

    private static TodayPage at(Instant now, TrialRecord... trials) {
        return TodayPage.of(List.of(trials), now);
    }

    @Test
    void aPlanIsNothingThatIsDue() {
        TodayPage page = at(GrowthPlan.START.plus(Duration.ofDays(40)), draft);
        assertThat(page.due()).isEmpty();
        assertThat(page.care()).isEmpty();
        assertThat(page.plans()).singleElement().satisfies(task -> {
            assertThat(task.action()).isEqualTo("Open the plan");
            assertThat(task.what()).isEqualTo("Growth in trays or pots · start planned");
        });
    }

    @Test
    void todaysCareIsListedByTheTrialsOwnClock() {
        Instant noonOfDayThree = GrowthPlan.START.plus(Duration.ofDays(3)).plus(Duration.ofHours(3));
        TodayPage page = at(noonOfDayThree, running);
        assertThat(page.care()).extracting(TodayPage.Care::what).contains("Water");
        assertThat(page.care()).extracting(TodayPage.Care::when).containsOnly("09:00");
        assertThat(page.coming())
                .singleElement()
                .satisfies(task -> assertThat(task.action()).isEqualTo("Start measuring"));
    }

    @Test
    void whatIsWeighedSaysSo() {
        TodayPage page = at(ExchangeFixture.START, ExchangeFixture.drawn());
        assertThat(page.due())
                .singleElement()
                .satisfies(task -> assertThat(task.action()).isEqualTo("Start weighing"));
        TodayPage done = at(ExchangeFixture.START.plus(Duration.ofDays(9)), ExchangeFixture.measured());
        assertThat(done.finished()).hasSize(1);
    }
}
