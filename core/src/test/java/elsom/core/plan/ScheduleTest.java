package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.protocol.water.WaterHolding;
import elsom.core.protocol.water.WaterTrial;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialRecord;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When a trial starts, is looked at and ends, and who is there. */
class ScheduleTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final Instant END = Instant.parse("2026-06-20T09:00:00Z");

    private final Schedule together =
            APlan.ofGrowth().list("a", "b", "c").plan().schedule();

    @Test
    void theLongestRunStartsTheTrial() {
        Schedule ending =
                together.endingTogether(END, List.of(Duration.ofDays(5), Duration.ofDays(9), Duration.ofHours(36)));
        assertThat(ending.start()).isEqualTo(END.minus(Duration.ofDays(9)));
        assertThat(ending.startOf(1)).isEqualTo(END.minus(Duration.ofDays(5)));
        assertThat(ending.startOf(3)).isEqualTo(END.minus(Duration.ofHours(36)));
        assertThat(ending.endsTogether()).isTrue();
        assertThat(ending.startingTogether(END).endsTogether()).isFalse();
        assertThat(ending.startingTogether(END).startOf(2)).isEqualTo(END);
    }

    @Test
    void aTrialIsAsLongAsItsLastLookOrItsCommonEnd() {
        List<PlannedLook> one =
                List.of(new PlannedLook("day 3", Duration.ofDays(3), List.of(new EndpointCode("height"))));
        Schedule looked = together.with(one, List.of(), Hours.ANY);
        assertThat(looked.length()).isEqualTo(Duration.ofDays(3));
        assertThat(looked.endingTogether(END, List.of(Duration.ofDays(9))).length())
                .isEqualTo(Duration.ofDays(9));
        assertThat(looked.endingTogether(END, List.of(Duration.ofDays(1))).length())
                .isEqualTo(Duration.ofDays(3));
    }

    /** Pots are weighed empty four hours before they are soaked: who starts now weighs now and soaks in four hours. */
    @Test
    void whatComesBeforeTheStartIsDueFirst() {
        Schedule water = APlan.of("water-holding").list("a", "b").plan().schedule();
        Schedule now = water.beginningAt(END);
        assertThat(now.start()).isEqualTo(END.plus(Duration.ofHours(4)));
        assertThat(together.beginningAt(END).start()).isEqualTo(END);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            2026-06-10T09:00 | ''
            2026-06-10T07:00 | ''
            2026-06-10T18:30 | ''
            2026-06-10T06:59 | outside working hours, 07:00 to 18:30
            2026-06-10T22:00 | outside working hours, 07:00 to 18:30
            2026-06-14T09:00 | not a working day
            2026-06-17T09:00 | you are away until 2026-06-18
            2026-06-18T23:00 | you are away until 2026-06-18
            """)
    void nobodyIsThereAtNightOnSundaysAndWhenAway(String at, String why) {
        Hours hours = new Hours(
                LocalTime.of(7, 0),
                LocalTime.of(18, 30),
                EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
                List.of(new Hours.Away(LocalDate.of(2026, 6, 16), LocalDate.of(2026, 6, 18))));
        ZonedDateTime when = java.time.LocalDateTime.parse(at).atZone(LONDON);
        assertThat(hours.clash(when).orElse("")).isEqualTo(why);
        assertThat(Hours.ANY.clash(when)).isEmpty();
    }

    @Test
    void hoursThatCannotBeAreRefused() {
        assertThatThrownBy(() -> new Hours.Away(LocalDate.of(2026, 6, 2), LocalDate.of(2026, 6, 1)))
                .hasMessageContaining("before they begin");
        assertThatThrownBy(() ->
                        new Hours(LocalTime.of(18, 0), LocalTime.of(7, 0), EnumSet.allOf(DayOfWeek.class), List.of()))
                .hasMessageContaining("ends after it begins");
    }

    /** What is told from the records of a trial draws the same looks and treatments, at the same time. */
    @Test
    void aPlanIsToldFromRecordsOfATrialThatHadNone() {
        TrialRecord record = WaterTrial.aTrial()
                .medium("Wood fibre")
                .inTub("Leaf mould")
                .replicates(3)
                .drawn();
        Plan plan = PlanRecovery.of(record, new WaterHolding().measures(), Rules.USUAL);
        assertThat(plan.question()).isEqualTo(record.trial().question());
        assertThat(plan.arrangement().replicates()).isEqualTo(3);
        assertThat(plan.schedule().start()).isEqualTo(record.trial().start());
        TrialRecord drawn = plan.draw(record.trial().id());
        assertThat(drawn.looks()).isEqualTo(record.looks());
        assertThat(drawn.treatments()).isEqualTo(record.treatments());
        assertThat(drawn.units()).hasSameSizeAs(record.units());
        assertThat(drawn.endpoints()).isEqualTo(record.endpoints());
    }
}
