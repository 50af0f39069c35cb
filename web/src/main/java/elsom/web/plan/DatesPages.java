package elsom.web.plan;

import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.Spans;
import elsom.web.kit.Times;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** The page of dates, and what is due when. */
final class DatesPages {
    private DatesPages() {}

    /** The page of dates. */
    public record DatesPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Measure> measures,
            String unread,
            int lookLines,
            int stepLines,
            int awayLines,
            DatesPreview preview) {
        static DatesPage of(PlanFrame frame, Plan plan, Form form, Problems problems) {
            return new DatesPage(
                    frame,
                    form,
                    problems,
                    plan.asked().measures().stream().filter(Measure::taken).toList(),
                    plan.unread().stream()
                            .map(measure -> Sentence.inside(measure.endpoint().name()))
                            .collect(Collectors.joining(", ")),
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
        private static final int MOST_EVENTS = 80;

        static DatesPreview of(Plan plan, Problems problems) {
            List<PlanEvent> events = PlanEvents.of(plan);
            ZoneId zone = plan.schedule().zone();
            Instant start = plan.schedule().start();
            return new DatesPreview(
                    folded(events, zone, start).stream().limit(MOST_EVENTS).toList(),
                    (int) events.stream().filter(PlanEvent::clashes).count(),
                    Spans.words(plan.schedule().length().toMinutes() / 60.0),
                    problems);
        }

        /** What comes back is told once, with how often and until when; a clash is told each time. */
        private static List<EventLine> folded(List<PlanEvent> events, ZoneId zone, Instant start) {
            Map<String, List<PlanEvent>> again =
                    events.stream().filter(event -> recurs(event)).collect(Collectors.groupingBy(DatesPreview::what));
            List<EventLine> lines = new ArrayList<>();
            for (PlanEvent event : events) {
                List<PlanEvent> all = again.getOrDefault(what(event), List.of());
                if (!recurs(event) || all.size() < 2) {
                    lines.add(EventLine.of(event, zone, start, ""));
                } else if (all.get(0).equals(event)) {
                    Instant last = all.get(all.size() - 1).at();
                    lines.add(EventLine.of(
                            event,
                            zone,
                            start,
                            all.size() + " times in all, the last " + Times.dayAndTime(last, zone) + "."));
                }
            }
            return lines;
        }

        private static boolean recurs(PlanEvent event) {
            boolean comesBack = event.kind() == PlanEvent.Kind.STEP || event.kind() == PlanEvent.Kind.TURN;
            return comesBack && !event.clashes();
        }

        private static String what(PlanEvent event) {
            return event.title() + "\n" + event.detail();
        }
    }

    /** One thing that is due. */
    public record EventLine(
            String when,
            String day,
            String title,
            String takes,
            String detail,
            String again,
            String clash,
            String css) {
        static EventLine of(PlanEvent event, ZoneId zone, Instant start, String again) {
            double days = Duration.between(start, event.at()).toMinutes() / 1440.0;
            return new EventLine(
                    Times.dayAndTime(event.at(), zone),
                    "day " + Decimals.upTo(Math.floor(days), 0),
                    event.title(),
                    Spans.words(event.takes().toMinutes() / 60.0),
                    event.detail(),
                    again,
                    event.clash(),
                    event.kind().name().toLowerCase(Locale.ROOT));
        }
    }
}
