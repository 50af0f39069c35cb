package elsom.core.trial;

import elsom.core.quantity.Dimension;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How far a trial has come: what lists of trials show, without its readings.
 *
 * @param next the first look with something left to do; null when all looks are done
 * @param endsAt when the last look is planned
 */
public record Standing(boolean started, @Nullable Next next, Instant endsAt) {
    /**
     * A look with something left to do.
     *
     * @param followingAt when the look after it is planned, from which on this one is late; null for the last one
     * @param done units measured
     * @param expected units to measure
     * @param weighs whether something is weighed at it
     */
    public record Next(
            int number,
            String name,
            Instant plannedAt,
            @Nullable Instant followingAt,
            int done,
            int expected,
            boolean weighs) {
        public boolean begun() {
            return done > 0;
        }
    }

    public static Standing of(TrialRecord record) {
        List<Look> looks = record.looks();
        Instant start = record.trial().start();
        Instant end = looks.isEmpty() ? start : looks.get(looks.size() - 1).plannedAt(start);
        return new Standing(
                record.trial().started(),
                record.nextLook().map(look -> next(record, look)).orElse(null),
                end);
    }

    private static Next next(TrialRecord record, Look look) {
        Instant start = record.trial().start();
        TrialRecord.Progress progress = record.progress(look);
        return new Next(
                look.number(),
                look.name(),
                look.plannedAt(start),
                record.look(look.number() + 1)
                        .map(following -> following.plannedAt(start))
                        .orElse(null),
                progress.done(),
                progress.expected(),
                look.endpoints().stream()
                        .anyMatch(code -> record.endpoint(code).unit().dimension() == Dimension.MASS));
    }

    /** How the next look stands at an instant; done when there is none. */
    public LookState state(Instant now) {
        return next == null ? LookState.DONE : LookState.of(started, next.plannedAt(), next.followingAt(), now);
    }
}
