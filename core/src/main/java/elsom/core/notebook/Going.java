package elsom.core.notebook;

import elsom.core.plan.PlannedLook;
import elsom.core.quantity.Bounds;
import elsom.core.read.Box;
import elsom.core.read.Moments;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What is still to come of a trial that is under way, and where its units stand.
 *
 * @param coming days of looks that are still to come, from today on; none of a trial that is over
 * @param stands empty where nobody wrote it down
 * @param takenUp the day it is copied in
 */
public record Going(List<LocalDate> coming, Optional<Stands> stands, LocalDate takenUp) {
    private static final String ACCEPTED = " Accepted: 12 June 2026";

    public Going {
        coming = Bounds.list("looks to come", coming, 0, PlannedLook.MOST);
    }

    /** It has run: nothing is to come, and nobody knows where units stood. */
    public static Going over(LocalDate today) {
        return new Going(List.of(), Optional.empty(), today);
    }

    public boolean goesOn() {
        return !coming.isEmpty();
    }

    /**
     * Reads days, one a line, in any order.
     *
     * @throws IllegalArgumentException saying which can't be read, is over, or stands there twice
     */
    public static List<LocalDate> days(String text, LocalDate today) {
        List<LocalDate> days = new ArrayList<>();
        Arrays.stream(text.split("\\R|;"))
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .forEach(line -> days.add(day(line, today, days)));
        return days.stream().sorted().toList();
    }

    private static LocalDate day(String line, LocalDate today, List<LocalDate> before) {
        LocalDate day = Moments.day(line, Box.DAY_PLANNED, today);
        if (day.isBefore(today)) {
            throw new IllegalArgumentException(Notebook.DAY.format(day)
                    + " is over: what was read then is a line above. Here stand days that are still to come."
                    + ACCEPTED);
        }
        if (before.contains(day)) {
            throw new IllegalArgumentException(Notebook.DAY.format(day) + " stands there twice.");
        }
        return day;
    }
}
