package elsom.core.plan;

import elsom.core.quantity.Bounds;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * When somebody is there to work.
 *
 * @param from start of the working day
 * @param to its end
 * @param days working days; all seven when nobody said
 * @param away days on which nobody is there
 */
public record Hours(LocalTime from, LocalTime to, Set<DayOfWeek> days, List<Away> away) {
    /** Any hour of any day. */
    public static final Hours ANY =
            new Hours(LocalTime.MIN, LocalTime.of(23, 59), EnumSet.allOf(DayOfWeek.class), List.of());

    /** From the first to the last day, both away. */
    public record Away(LocalDate from, LocalDate to) {
        public Away {
            Bounds.instant("the first day away", from.atStartOfDay().toInstant(ZoneOffset.UTC));
            Bounds.instant("the last day away", to.atStartOfDay().toInstant(ZoneOffset.UTC));
            if (to.isBefore(from)) {
                throw new IllegalArgumentException("days away end on " + to + ", before they begin on " + from);
            }
        }
    }

    public Hours {
        Bounds.present("the start of the working day", from);
        Bounds.present("the end of the working day", to);
        Bounds.present("working days", days);
        days = Set.copyOf(days);
        away = Bounds.list("spells away", away, 0, Bounds.DAYS_AWAY);
        if (!from.isBefore(to)) {
            throw new IllegalArgumentException("the working day ends after it begins, got " + from + " to " + to);
        }
    }

    /** Why nobody is there at a time; empty when somebody is. */
    public Optional<String> clash(ZonedDateTime at) {
        LocalDate day = at.toLocalDate();
        @Nullable
        Away gone = away.stream()
                .filter(days -> !day.isBefore(days.from()) && !day.isAfter(days.to()))
                .findFirst()
                .orElse(null);
        if (gone != null) {
            return Optional.of("you are away until " + gone.to());
        }
        if (!days.contains(at.getDayOfWeek())) {
            return Optional.of("not a working day");
        }
        LocalTime time = at.toLocalTime();
        return time.isBefore(from) || time.isAfter(to)
                ? Optional.of("outside working hours, " + from + " to " + to)
                : Optional.empty();
    }
}
