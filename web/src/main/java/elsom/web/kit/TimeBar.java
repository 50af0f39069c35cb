package elsom.web.kit;

import elsom.core.care.CareAccount;
import elsom.core.care.CareStep;
import elsom.core.trial.Chore;
import elsom.core.trial.Look;
import elsom.core.trial.LookState;
import elsom.core.trial.Mishap;
import elsom.core.trial.Standing;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The strip at the top of every trial page: looks from first to last, what is done and due, mishaps, now. Positions
 * are percent of its width; looks keep a least distance, so that early ones an hour apart can be told apart.
 */
public record TimeBar(
        List<Tick> ticks, List<Mark> marks, List<Drop> drops, double nowAt, boolean nowInside, String summary) {
    private static final double LEAST_GAP = 7;
    private static final int MOST_DROPS = 80;
    private static final double LEFT_END = 3;

    /** A look on the strip. */
    public record Tick(double at, String label, String when, LookState state, boolean here, String href) {
        private static final int LONG = 9;

        /** Long labels at an end grow inwards. */
        public String anchor() {
            boolean longLabel = label.length() > LONG;
            return at > 96 || (longLabel && at > 94) ? "end" : at < 3 || (longLabel && at < 6) ? "start" : "middle";
        }

        public int textX() {
            return switch (anchor()) {
                case "end" -> 9;
                case "start" -> -16;
                default -> 0;
            };
        }
    }

    /** A watering, feed or other step on the strip. */
    public record Drop(double at, Chore.Kind kind, String label, CareStep.State state) {
        private static final String DROP = "M0 4c3 4 4 6 4 8a4 4 0 0 1-8 0c0-2 1-4 4-8z";
        private static final String FLAG = "M-1 4h9l-3 3 3 3h-7v6h-2z";

        /** A drop for care, a flag for a start. */
        public String shape() {
            return kind == Chore.Kind.START ? FLAG : DROP;
        }
    }

    /** A mishap on the strip. */
    public record Mark(double at, String label) {}

    /**
     * The strip of a trial.
     *
     * @param hereLook the look being shown; 0 for none
     */
    public static TimeBar of(TrialRecord record, Instant now, int hereLook) {
        List<Double> places = places(hours(record.looks()));
        List<Tick> ticks = new ArrayList<>();
        for (int i = 0; i < record.looks().size(); i++) {
            Look look = record.looks().get(i);
            Instant planned = look.plannedAt(record.trial().start());
            ticks.add(new Tick(
                    places.get(i),
                    look.name(),
                    Times.dayAndTime(planned, record.trial().zone()),
                    LookState.of(record, look, now),
                    look.number() == hereLook,
                    "/trials/" + record.trial().id()
                            + (record.trial().started() ? "/bench?look=" + look.number() : "/plan/dates")));
        }
        double nowHours = Duration.between(record.trial().start(), now).toSeconds() / 3600.0;
        double first = Math.min(0, record.looks().get(0).hoursAfterStart());
        double last = record.looks().get(record.looks().size() - 1).hoursAfterStart();
        return new TimeBar(
                ticks,
                marks(record, places),
                drops(record, places, now),
                at(nowHours, hours(record.looks()), places),
                nowHours >= first && nowHours <= last,
                summary(
                        Standing.of(record),
                        record.trial().start(),
                        record.trial().zone(),
                        now));
    }

    /** Where looks are; the strip runs from the start, or from a look before it. */
    static List<Double> places(List<Double> hours) {
        double first = Math.min(0, hours.get(0));
        double span = Math.max(1e-9, hours.get(hours.size() - 1) - first);
        List<Double> places = new ArrayList<>();
        double before = hours.get(0) > 0 ? 0 : -LEAST_GAP;
        for (double hour : hours) {
            before = Math.max(100 * (hour - first) / span, before + LEAST_GAP);
            places.add(before);
        }
        double end = Math.max(100, before);
        return places.stream()
                .map(place -> Math.round(place / end * 9400) / 100.0 + LEFT_END)
                .toList();
    }

    private static List<Double> hours(List<Look> looks) {
        return looks.stream().map(Look::hoursAfterStart).toList();
    }

    /** Between looks, in proportion; before the first and after the last, at the ends. */
    static double at(double hours, List<Double> looks, List<Double> places) {
        double from = Math.min(0, looks.get(0));
        double fromPlace = LEFT_END;
        for (int i = 0; i < looks.size(); i++) {
            double to = looks.get(i);
            if (hours < to) {
                double share = to > from ? Math.max(0, (hours - from) / (to - from)) : 0;
                double place = fromPlace + share * (places.get(i) - fromPlace);
                return Math.round(place * 100) / 100.0;
            }
            from = to;
            fromPlace = places.get(i);
        }
        return places.get(places.size() - 1);
    }

    private static List<Mark> marks(TrialRecord record, List<Double> places) {
        return record.mishaps().stream()
                .filter(Mishap::stands)
                .map(mishap -> new Mark(
                        at(
                                Duration.between(record.trial().start(), mishap.happenedAt())
                                                .toSeconds()
                                        / 3600.0,
                                hours(record.looks()),
                                places),
                        mishap.kind().label().toLowerCase(Locale.ROOT) + " "
                                + mishap.units().stream().map(UnitCode::value).collect(Collectors.joining(" "))))
                .toList();
    }

    private static List<Drop> drops(TrialRecord record, List<Double> places, Instant now) {
        Look last = record.looks().get(record.looks().size() - 1);
        CareAccount care = CareAccount.of(record);
        return record.chores().stream()
                .filter(chore -> chore.afterStart().compareTo(last.afterStart()) <= 0)
                .limit(MOST_DROPS)
                .map(chore -> drop(
                        chore,
                        at(chore.afterStart().toSeconds() / 3600.0, hours(record.looks()), places),
                        care.at(chore.kind(), record.trial().start().plus(chore.afterStart())),
                        now))
                .toList();
    }

    private static Drop drop(Chore chore, double place, Optional<CareStep> care, Instant now) {
        CareStep.State state = care.map(step -> step.state(now)).orElse(CareStep.State.UNKNOWN);
        String progress = care.map(CareStep::progress).orElse("");
        return new Drop(
                place,
                chore.kind(),
                chore.name()
                        + switch (state) {
                            case MISSED -> ", not in the log";
                            case LATE, PARTLY, DONE -> progress.isEmpty() ? ", late" : ", " + progress;
                            case COMING, UNKNOWN -> "";
                        },
                state);
    }

    /** How far a trial has come, in words. */
    public static String summary(Standing standing, Instant start, ZoneId zone, Instant now) {
        if (!standing.started()) {
            return "a plan, not started yet; start planned " + Times.dayAndTime(start, zone);
        }
        Standing.Next next = standing.next();
        if (next == null) {
            return "finished";
        }
        return switch (standing.state(now)) {
            case DUE, LATE -> "“" + next.name() + "” is due: " + next.done() + " of " + next.expected() + " measured";
            default ->
                "next look: " + next.name() + ", " + Times.dayAndTime(next.plannedAt(), zone) + " ("
                        + Times.away(next.plannedAt(), now) + ")";
        };
    }
}
