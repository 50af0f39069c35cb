package elsom.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** The same again is offered only where everybody knows what "the same" was. */
class AsLastTimeTest {
    private final Measured trial =
            Measured.started(APlan.ofGrowth().list("none", "kelp").replicates(2).plan());

    private TrialRecord record = trial.record();

    private void given(GivenKind kind, String what, int day, boolean takenBack, double... ml) {
        Map<UnitCode, Double> amounts = new LinkedHashMap<>();
        for (int i = 0; i < ml.length; i++) {
            amounts.put(record.units().get(i).code(), ml[i]);
        }
        Instant at = record.trial().start().plus(Duration.ofDays(day));
        @Nullable Instant back = takenBack ? at.plusSeconds(60) : null;
        List<Given> entries = new ArrayList<>(record.given());
        entries.add(new Given(entries.size() + 1, kind, what, amounts, at, "Bench A", back));
        record = record.with(record.beside().given(entries));
    }

    private String same(GivenKind kind) {
        return AsLastTime.of(record, kind).map(AsLastTime::words).orElse("none");
    }

    @Test
    void asMuchForAllIsGivenAgain() {
        assertThat(same(GivenKind.WATER)).as("nothing was ever given").isEqualTo("none");
        given(GivenKind.WATER, "", 1, false, 50, 50, 50, 50);
        given(GivenKind.FEED, "kelp 2 mL/L", 2, false, 30.5, 30.5, 30.5, 30.5);
        assertThat(same(GivenKind.WATER)).isEqualTo("50 mL each");
        assertThat(same(GivenKind.FEED)).isEqualTo("30.5 mL each, kelp 2 mL/L");
        assertThat(AsLastTime.of(record, GivenKind.WATER).orElseThrow().amounts())
                .hasSize(4)
                .containsValue(50.0);
    }

    @Test
    void unlikeAmountsOrSomeUnitsOnlyAreNobodysLastTime() {
        given(GivenKind.WATER, "", 1, false, 50, 50, 50, 50);
        given(GivenKind.WATER, "", 2, false, 50, 40, 50, 50);
        assertThat(same(GivenKind.WATER)).isEqualTo("none");
        given(GivenKind.WATER, "", 3, false, 60, 60, 60, 60);
        given(GivenKind.WATER, "", 4, false, 20);
        assertThat(same(GivenKind.WATER)).isEqualTo("none");
    }

    @Test
    void whatWasTakenBackOrGivenEarlierDoesNotCount() {
        given(GivenKind.WATER, "", 3, false, 60, 60, 60, 60);
        given(GivenKind.WATER, "", 1, false, 10, 10, 10, 10);
        given(GivenKind.WATER, "", 5, true, 90, 90, 90, 90);
        assertThat(same(GivenKind.WATER)).isEqualTo("60 mL each");
    }

    @Test
    void aUnitThatEndedGetsNoMoreAndWhereAllDidNobodyDoes() {
        Look first = record.looks().get(0);
        List<Given> kept = List.of();
        trial.end(MishapKind.DIED, trial.unit(1, 1), first);
        record = trial.record().with(trial.record().beside().given(kept));
        given(GivenKind.WATER, "", 1, false, 50, 50, 50, 50);
        assertThat(AsLastTime.of(record, GivenKind.WATER).orElseThrow().units()).hasSize(3);
        for (int treatment = 1; treatment <= 2; treatment++) {
            trial.end(MishapKind.DIED, trial.unit(treatment, 2), first);
        }
        trial.end(MishapKind.DIED, trial.unit(2, 1), first);
        record = trial.record().with(trial.record().beside().given(record.given()));
        assertThat(same(GivenKind.WATER)).isEqualTo("none");
    }
}
