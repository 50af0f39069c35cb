package elsom.web.exchange;

import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
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
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Elsom//Bench trials//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        for (PlanEvent event : PlanEvents.of(plan)) {
            calendar.add(event(event, plan, trial, address, now));
        }
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter().output(calendar, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static VEvent event(PlanEvent event, Plan plan, long trial, String address, Instant now) {
        VEvent entry = new VEvent(event.at(), event.at().plus(event.takes()), event.title() + " · " + plan.question());
        String name = trial + "/" + event.kind() + "/" + event.at() + "/" + event.title();
        entry.add(new Uid(UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)) + "@elsom"));
        entry.add(new Description(
                event.detail() + (event.clashes() ? " Nobody is there: " + event.clash() + "." : "") + "\n" + address));
        entry.getProperty("DTSTAMP").ifPresent(stamp -> entry.remove(stamp));
        entry.add(new DtStamp(now.truncatedTo(ChronoUnit.SECONDS)));
        return entry;
    }
}
