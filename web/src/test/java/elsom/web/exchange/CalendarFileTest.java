package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Hours;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.Recurring;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.TemporalAccessor;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.util.CompatibilityHints;
import org.junit.jupiter.api.Test;

class CalendarFileTest {
    private static final Instant NOW = Instant.parse("2026-05-20T10:00:00.5Z");

    private final Plan plan = ExchangeFixture.plan()
            .with(ExchangeFixture.plan()
                    .schedule()
                    .with(
                            ExchangeFixture.plan().schedule().looks(),
                            List.of(new Recurring(
                                    Recurring.Kind.WATER,
                                    "to the refill weight; not the rim,\nnot the saucer",
                                    Duration.ofDays(1),
                                    Duration.ofDays(1),
                                    Duration.ofDays(4))),
                            new Hours(
                                    java.time.LocalTime.MIN,
                                    java.time.LocalTime.MAX,
                                    java.util.EnumSet.allOf(java.time.DayOfWeek.class),
                                    List.of(new Hours.Away(LocalDate.of(2026, 6, 3), LocalDate.of(2026, 6, 3))))));

    /** Reads as the standard says, forgiving nothing. */
    private static Calendar parsed(String text) throws IOException, ParserException {
        for (String hint : List.of(
                CompatibilityHints.KEY_RELAXED_PARSING,
                CompatibilityHints.KEY_RELAXED_UNFOLDING,
                CompatibilityHints.KEY_RELAXED_VALIDATION)) {
            assertThat(CompatibilityHints.isHintEnabled(hint)).isFalse();
        }
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        assertThat(calendar.validate(true).getEntries()).isEmpty();
        return calendar;
    }

    private static String value(VEvent event, String property) {
        return event.<Property>getProperty(property).orElseThrow().getValue();
    }

    @Test
    void aStrictReaderFindsEveryEventAtItsTime() throws Exception {
        Calendar calendar = parsed(CalendarFile.of(plan, 7, "http://127.0.0.1:8080/trials/7", NOW));
        List<VEvent> events = calendar.getComponents("VEVENT");
        List<PlanEvent> planned = PlanEvents.of(plan);
        assertThat(planned).hasSizeGreaterThan(8);
        assertThat(events)
                .extracting(event -> event.getDateTimeStart().getDate())
                .map(at -> Instant.from((TemporalAccessor) at))
                .containsExactlyElementsOf(planned.stream().map(PlanEvent::at).toList());
        assertThat(events).extracting(event -> value(event, "UID")).doesNotHaveDuplicates();
        assertThat(value(events.get(0), "DESCRIPTION")).contains("http://127.0.0.1:8080/trials/7");
        assertThat(events)
                .filteredOn(event -> value(event, "DESCRIPTION").contains("Nobody is there"))
                .isNotEmpty();
    }

    @Test
    void anEventKeepsItsNameWhenItIsReadInAgain() throws Exception {
        Calendar first = parsed(CalendarFile.of(plan, 7, "http://a/trials/7", NOW));
        Calendar again = parsed(CalendarFile.of(plan, 7, "http://b/trials/7", NOW.plusSeconds(90)));
        List<VEvent> before = first.getComponents("VEVENT");
        List<VEvent> after = again.getComponents("VEVENT");
        assertThat(after)
                .extracting(event -> value(event, "UID"))
                .containsExactlyElementsOf(
                        before.stream().map(event -> value(event, "UID")).toList());
    }

    private static Recurring feed(String note) {
        return new Recurring(Recurring.Kind.FEED, note, Duration.ofDays(1), Duration.ofDays(7), Duration.ofDays(8));
    }

    @Test
    void twoFeedsAtOneHourAreTwoEvents() throws Exception {
        Plan twice = plan.with(plan.schedule()
                .with(
                        plan.schedule().looks(),
                        List.of(feed("half strength"), feed("kelp")),
                        plan.schedule().hours()));
        assertThat(parsed(CalendarFile.of(twice, 7, "http://a/trials/7", NOW)).<VEvent>getComponents("VEVENT"))
                .filteredOn(event -> value(event, "SUMMARY").startsWith(Recurring.Kind.FEED.label()))
                .hasSize(4)
                .extracting(event -> value(event, "UID"))
                .doesNotHaveDuplicates();
    }

    @Test
    void linesAreFoldedAndEndedAsTheStandardWants() {
        String text = CalendarFile.of(plan, 7, "http://127.0.0.1:8080/trials/7", NOW);
        assertThat(text.replace("\r\n", "")).doesNotContain("\n", "\r");
        assertThat(text.split("\r\n")).allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
    }
}
