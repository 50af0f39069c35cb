package elsom.web.plan;

import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.web.kit.Times;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;

/** The page of dates, and what is due when. */
final class DatesPages {
    private DatesPages() {}

    /** The page of dates. */
    public record DatesPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Measure> measures,
            int lookLines,
            int stepLines,
            int awayLines,
            DatesPreview preview) {
        static DatesPage of(PlanFrame frame, Plan plan, Form form, Problems problems) {
            return new DatesPage(
                    frame,
                    form,
                    problems,
                    plan.asked().measures(),
                    form.lines(DatesPart.LOOKS) + Pages.BLANK_LINES,
                    form.lines(DatesPart.STEPS) + 1,
                    form.lines(DatesPart.AWAY) + 1,
                    DatesPreview.of(plan, problems));
        }
    }

    /**
     * When everything is due.
     *
     * @param clashes how many fall on a time when nobody is there
     */
    public record DatesPreview(List<EventLine> events, int clashes, String length, Problems problems) {
        private static final int MOST_EVENTS = 60;

        static DatesPreview of(Plan plan, Problems problems) {
            List<PlanEvent> events = PlanEvents.of(plan);
            ZoneId zone = plan.schedule().zone();
            Instant start = plan.schedule().start();
            List<PlanEvent> first = events.stream()
                    .filter(event ->
                            event.kind() != PlanEvent.Kind.STEP || event.clashes() || events.size() <= MOST_EVENTS)
                    .limit(MOST_EVENTS)
                    .toList();
            return new DatesPreview(
                    first.stream()
                            .map(event -> EventLine.of(event, zone, start))
                            .toList(),
                    (int) events.stream().filter(PlanEvent::clashes).count(),
                    Spans.words(plan.schedule().length().toMinutes() / 60.0),
                    problems);
        }
    }

    /** One thing that is due. */
    public record EventLine(
            String when, String day, String title, String takes, String detail, String clash, String css) {
        static EventLine of(PlanEvent event, ZoneId zone, Instant start) {
            double days = Duration.between(start, event.at()).toMinutes() / 1440.0;
            return new EventLine(
                    Times.dayAndTime(event.at(), zone),
                    "day " + Decimals.upTo(Math.floor(days), 0),
                    event.title(),
                    Spans.words(event.takes().toMinutes() / 60.0),
                    event.detail(),
                    event.clash(),
                    event.kind().name().toLowerCase(Locale.ROOT));
        }
    }
}
