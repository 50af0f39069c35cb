package elsom.web.exchange;

import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.quantity.Sentence;
import elsom.web.trial.TrialLists;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** A plan's dates as a calendar by RFC 5545. Times are in UTC, so that every calendar shows them in its own zone. */
final class CalendarFile {
    private CalendarFile() {}

    /**
     * The calendar.
     *
     * @param trial the trial's number, which keeps an event the same when it is read in again
     * @param address where the trial is found
     */
    static String of(Plan plan, long trial, String address, Instant now) {
        Calendar calendar = empty();
        Names names = new Names();
        for (PlanEvent event : PlanEvents.of(plan)) {
            calendar.add(event(event, plan, names.once(trial, event.kind(), event.at(), event.title()), address, now));
        }
        return written(calendar);
    }

    /**
     * What several trials have to be done, to be subscribed to.
     *
     * @param host where Elsom is found, without a path
     */
    static String of(List<TrialLists.Due> agenda, String host, Instant now) {
        Calendar calendar = empty();
        Names names = new Names();
        for (TrialLists.Due due : agenda) {
            VEvent entry = new VEvent(
                    due.at(),
                    due.at().plus(Duration.ofMinutes(Math.max(10, due.minutes()))),
                    due.title() + " · " + due.question());
            described(
                    entry,
                    names.once(due.trial().value(), due.kind(), due.at(), due.title()),
                    due.detail()
                            + (due.care().progress().isEmpty()
                                    ? ""
                                    : "\n" + Sentence.capital(due.care().progress()) + ".")
                            + "\n" + host + "/trials/" + due.trial(),
                    now);
            calendar.add(entry);
        }
        return written(calendar);
    }

    /** What tells events apart: the second of two that are alike, as two feeds at one hour, is another. */
    private static final class Names {
        private final Map<String, Integer> given = new HashMap<>();

        String once(long trial, PlanEvent.Kind kind, Instant at, String title) {
            String name = trial + "/" + kind + "/" + at + "/" + title;
            int times = given.merge(name, 1, Integer::sum);
            return times == 1 ? name : name + "/" + times;
        }
    }

    private static Calendar empty() {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Elsom//Bench trials//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        return calendar;
    }

    private static String written(Calendar calendar) {
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter().output(calendar, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static void described(VEvent entry, String name, String text, Instant now) {
        entry.add(new Uid(UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)) + "@elsom"));
        entry.add(new Description(text));
        entry.getProperty("DTSTAMP").ifPresent(stamp -> entry.remove(stamp));
        entry.add(new DtStamp(now.truncatedTo(ChronoUnit.SECONDS)));
    }

    private static VEvent event(PlanEvent event, Plan plan, String name, String address, Instant now) {
        VEvent entry = new VEvent(event.at(), event.at().plus(event.takes()), event.title() + " · " + plan.question());
        described(
                entry,
                name,
                event.detail() + (event.clashes() ? " Nobody is there: " + event.clash() + "." : "") + "\n" + address,
                now);
        return entry;
    }
}
