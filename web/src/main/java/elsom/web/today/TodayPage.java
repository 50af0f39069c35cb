package elsom.web.today;

import elsom.core.care.CareStep;
import elsom.core.plan.PlanEvent;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Decimals;
import elsom.core.trial.GivenKind;
import elsom.core.trial.LookState;
import elsom.core.trial.Standing;
import elsom.web.kit.Times;
import elsom.web.trial.Digest;
import elsom.web.trial.TrialLists;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** What to do now, what comes next, what is still a plan, and what is finished. */
record TodayPage(
        boolean empty,
        Tasks due,
        List<Care> late,
        List<Care> care,
        int moreCare,
        List<Care> prepare,
        List<WeekDay> week,
        Tasks coming,
        Tasks plans,
        Tasks finished,
        int unreadable) {
    private static final Duration TWO_DAYS = Duration.ofDays(2);
    private static final int DAYS = 7;
    private static final int MOST_CARE = 30;
    private static final double TALLEST = 44;
    /** The tallest bar is an hour, or the longest day of the week. */
    private static final int AN_HOUR = 60;

    /**
     * Trials of one sort.
     *
     * @param more how many there are besides those shown
     */
    record Tasks(List<Task> shown, int more) {
        static Tasks of(List<Task> shown, int inAll) {
            return new Tasks(shown, Math.max(0, inAll - shown.size()));
        }
    }

    /** One look of one trial. */
    record Task(String question, String what, String when, String state, String progress, String href, String action) {}

    /**
     * Something of today or of tomorrow's preparations.
     *
     * @param says how far it is done, or how long it takes
     * @param tick how it is written down from here; null where it is not
     */
    record Care(
            String when,
            String what,
            String question,
            String href,
            String says,
            boolean done,
            @Nullable Tick tick) {}

    /**
     * A step that is written down by one press.
     *
     * @param same what all units get as last time; empty where that can't be said
     * @param byWeight whether each unit goes back to its own weight
     */
    record Tick(String href, String kind, String same, boolean byWeight, UUID token) {}

    /**
     * A day of the strip.
     *
     * @param height of its bar in px
     */
    record WeekDay(String name, boolean today, String load, String says, double height) {}

    /**
     * The page.
     *
     * @param agenda from the start of today for a week
     * @param late steps whose time has passed, that are still to be done
     * @param here where the days are counted
     */
    static TodayPage of(
            TrialLists.Day day, List<TrialLists.Due> agenda, List<TrialLists.Due> late, Instant now, ZoneId here) {
        LocalDate today = LocalDate.ofInstant(now, here);
        Map<ZoneId, LocalDate> days = new HashMap<>();
        agenda.forEach(due -> days.computeIfAbsent(due.zone(), zone -> LocalDate.ofInstant(now, zone)));
        List<TrialLists.Due> care = agenda.stream()
                .filter(due -> due.day().equals(days.get(due.zone())))
                .filter(due -> due.kind() != PlanEvent.Kind.LOOK || due.at().isAfter(now))
                .filter(due -> due.care().state(now) != CareStep.State.LATE)
                .toList();
        return new TodayPage(
                day.dueInAll() + day.comingInAll() + day.plansInAll() + day.finishedInAll() == 0
                        && day.unreadable().isEmpty(),
                Tasks.of(day.due().stream().map(digest -> look(digest, now)).toList(), day.dueInAll()),
                late.stream().map(due -> care(due, now)).toList(),
                care.stream().limit(MOST_CARE).map(due -> care(due, now)).toList(),
                Math.max(0, care.size() - MOST_CARE),
                prepared(agenda.stream()
                        .filter(due -> !due.prepare().isEmpty())
                        .filter(due -> due.day().minusDays(1).equals(days.get(due.zone())))
                        .toList()),
                week(today, agenda.stream().collect(Collectors.groupingBy(TrialLists.Due::day))),
                Tasks.of(day.coming().stream().map(digest -> look(digest, now)).toList(), day.comingInAll()),
                Tasks.of(day.plans().stream().map(digest -> plan(digest, now)).toList(), day.plansInAll()),
                Tasks.of(day.finished().stream().map(TodayPage::finished).toList(), day.finishedInAll()),
                day.unreadable().size());
    }

    private static List<WeekDay> week(LocalDate today, Map<LocalDate, List<TrialLists.Due>> agenda) {
        int longest = IntStream.range(0, DAYS)
                .map(ahead -> agenda.getOrDefault(today.plusDays(ahead), List.of()).stream()
                        .mapToInt(TrialLists.Due::minutes)
                        .sum())
                .max()
                .orElse(0);
        return IntStream.range(0, DAYS)
                .mapToObj(ahead -> weekDay(
                        today.plusDays(ahead),
                        ahead == 0,
                        agenda.getOrDefault(today.plusDays(ahead), List.of()),
                        Math.max(AN_HOUR, longest)))
                .toList();
    }

    private static WeekDay weekDay(LocalDate date, boolean today, List<TrialLists.Due> due, int full) {
        int minutes = due.stream().mapToInt(TrialLists.Due::minutes).sum();
        String name = date.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH) + " " + date.getDayOfMonth();
        return new WeekDay(
                name,
                today,
                minutes == 0 ? "" : minutes < AN_HOUR ? minutes(minutes) : Decimals.upTo(minutes / 60.0, 1) + " h",
                name + ": "
                        + (due.isEmpty()
                                ? "nothing is planned"
                                : due.size()
                                        + (due.size() == 1 ? " thing, about " : " things, about ")
                                        + minutes(minutes)),
                TALLEST * minutes / full);
    }

    private static String minutes(int minutes) {
        return minutes < 60
                ? minutes + " min"
                : minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
    }

    /** What is prepared once for several trials is said once, with the first of them. */
    private static List<Care> prepared(List<TrialLists.Due> due) {
        Map<String, List<TrialLists.Due>> byText = new LinkedHashMap<>();
        due.forEach(one ->
                byText.computeIfAbsent(one.prepare(), none -> new ArrayList<>()).add(one));
        return byText.entrySet().stream()
                .map(entry -> {
                    TrialLists.Due first = entry.getValue().get(0);
                    long others = entry.getValue().stream()
                                    .map(TrialLists.Due::trial)
                                    .distinct()
                                    .count()
                            - 1;
                    return new Care(
                            "",
                            entry.getKey(),
                            first.question() + (others == 0 ? "" : " · and for " + others + " more"),
                            "/trials/" + first.trial() + "/plan/dates",
                            "",
                            false,
                            null);
                })
                .toList();
    }

    private static Care care(TrialLists.Due due, Instant now) {
        String base = "/trials/" + due.trial();
        CareStep.State state = due.care().state(now);
        return new Care(
                state == CareStep.State.LATE
                        ? Times.dayAndTime(due.at(), due.zone())
                        : Times.time(due.at(), due.zone()),
                due.title() + (due.kind() == PlanEvent.Kind.LOOK || due.detail().isBlank() ? "" : ": " + due.detail()),
                due.question(),
                switch (due.kind()) {
                    case LOOK -> base + "/bench";
                    case START -> base + "/plan";
                    case STEP -> base + (due.care().kind().given().isPresent() ? "/water" : "/plan/dates");
                    case TURN -> base + "/turn";
                    case PREPARE -> base + "/plan/dates";
                },
                says(due, state, now),
                state == CareStep.State.DONE,
                tick(due, state, base + "/water"));
    }

    private static @Nullable Tick tick(TrialLists.Due due, CareStep.State state, String href) {
        Optional<GivenKind> kind =
                due.kind() == PlanEvent.Kind.STEP ? due.care().kind().given() : Optional.empty();
        boolean open = state == CareStep.State.LATE
                || state == CareStep.State.COMING
                || (state == CareStep.State.UNKNOWN && due.care().of() > 0);
        return kind.isEmpty() || !open
                ? null
                : new Tick(
                        href,
                        kind.get().name(),
                        due.lastTime(),
                        due.detail().startsWith("by weight"),
                        UUID.randomUUID());
    }

    private static String says(TrialLists.Due due, CareStep.State state, Instant now) {
        String progress = due.care().progress();
        return switch (state) {
            case DONE -> "done";
            case LATE -> late(due.care().late(now)) + " late" + (progress.isEmpty() ? "" : ": " + progress);
            case MISSED -> "not in the log";
            case PARTLY -> "only " + progress;
            case COMING, UNKNOWN -> progress.isEmpty() ? minutes(due.minutes()) : progress;
        };
    }

    private static String late(Duration by) {
        return by.compareTo(TWO_DAYS) < 0 ? minutes((int) by.toMinutes()) : by.toDays() + " days";
    }

    private static Task plan(Digest digest, Instant now) {
        return new Task(
                digest.question(),
                Protocols.find(digest.protocol()).map(Protocol::name).orElse("") + " · start planned",
                Times.dayAndTime(digest.start(), digest.zone()) + " · " + Times.away(digest.start(), now),
                "plan",
                digest.units() == 0 ? "nothing drawn yet" : digest.units() + " units",
                "/trials/" + digest.id() + "/plan",
                "Open the plan");
    }

    private static Task look(Digest digest, Instant now) {
        Standing.Next next = digest.standing().next();
        if (next == null) {
            return finished(digest);
        }
        return new Task(
                digest.question(),
                digest.step() + " · “" + next.name() + "”",
                Times.dayAndTime(next.plannedAt(), digest.zone()) + " · " + Times.away(next.plannedAt(), now),
                digest.standing().state(now).label(),
                next.done() + " of " + next.expected(),
                "/trials/" + digest.id() + "/bench?look=" + next.number(),
                (next.begun() ? "Go on " : "Start ") + (next.weighs() ? "weighing" : "measuring"));
    }

    private static Task finished(Digest digest) {
        return new Task(
                digest.question(),
                Protocols.find(digest.protocol()).map(Protocol::name).orElse(""),
                Times.day(digest.standing().endsAt(), digest.zone()),
                LookState.DONE.label(),
                digest.units() + " units",
                "/trials/" + digest.id() + "/findings",
                "Read the findings");
    }
}
