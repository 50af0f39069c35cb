package elsom.core.plan;

import elsom.core.quantity.Bounds;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * When a trial starts, is looked at, and ends.
 *
 * @param start the instant looks are planned from; the earliest of the treatments' starts
 * @param end when all treatments end together; null when they start together
 * @param runs how long each treatment runs until the common end: one value for all, or one each; empty when they start
 *     together
 */
public record Schedule(
        ZoneId zone,
        Instant start,
        @Nullable Instant end,
        List<Duration> runs,
        List<PlannedLook> looks,
        List<Recurring> steps,
        Hours hours) {
    public Schedule {
        Bounds.present("the time zone", zone);
        Bounds.instant("the start", start);
        if (end != null) {
            Bounds.instant("the end", end);
        }
        runs = Bounds.list("running times", runs, 0, Bounds.TREATMENTS);
        runs.forEach(run -> Bounds.span("a running time", run));
        looks = Bounds.list("looks", looks, 1, Bounds.LOOKS);
        steps = Bounds.list("recurring steps", steps, 0, Bounds.RECURRING_STEPS);
        Bounds.present("working hours", hours);
        if (end != null && runs.isEmpty()) {
            throw new IllegalArgumentException("treatments that end together each run for some time");
        }
    }

    /** Starts computed backwards from a common end: the longest run starts first, and the trial with it. */
    public Schedule endingTogether(Instant commonEnd, List<Duration> lasting) {
        Duration longest = lasting.stream().max(Duration::compareTo).orElse(Duration.ZERO);
        return new Schedule(zone, commonEnd.minus(longest), commonEnd, lasting, looks, steps, hours);
    }

    public Schedule startingTogether(Instant at) {
        return new Schedule(zone, at, null, List.of(), looks, steps, hours);
    }

    /** Moved so that its first event, a look before the start or the start itself, falls on that instant. */
    public Schedule beginningAt(Instant first) {
        Duration before = looks.stream()
                .map(PlannedLook::after)
                .filter(Duration::isNegative)
                .min(Duration::compareTo)
                .orElse(Duration.ZERO);
        return startingTogether(first.minus(before));
    }

    public Schedule with(List<PlannedLook> newLooks, List<Recurring> newSteps, Hours newHours) {
        return new Schedule(zone, start, end, runs, newLooks, newSteps, newHours);
    }

    public Schedule in(ZoneId other) {
        return new Schedule(other, start, end, runs, looks, steps, hours);
    }

    public boolean endsTogether() {
        return end != null;
    }

    /** When a treatment starts, by its number. */
    public Instant startOf(int treatment) {
        if (end == null) {
            return start;
        }
        Duration run = runs.size() == 1 ? runs.get(0) : runs.get(Math.min(treatment, runs.size()) - 1);
        return end.minus(run);
    }

    /** From the start to the last look or the common end, whichever is later. */
    public Duration length() {
        Duration last =
                looks.stream().map(PlannedLook::after).max(Duration::compareTo).orElse(Duration.ZERO);
        Duration whole =
                Optional.ofNullable(end).map(at -> Duration.between(start, at)).orElse(Duration.ZERO);
        return last.compareTo(whole) > 0 ? last : whole;
    }
}
