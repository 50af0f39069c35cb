package elsom.core.care;

import elsom.core.trial.Chore;
import elsom.core.trial.Given;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * A trial's planned steps with the entries that answer them. An entry answers the step of its kind that is nearest in time, and
 * none that is more than half the time between two steps away, or 12 h, whichever is more. A unit is cared for when an entry
 * names it; moving on moves all.
 */
public final class CareAccount {
    private static final Duration LEEWAY = Duration.ofHours(12);

    private final List<CareStep> steps;

    private CareAccount(List<CareStep> steps) {
        this.steps = List.copyOf(steps);
    }

    /** When units were cared for, and which. */
    private record Entry(Instant at, Set<UnitCode> units) {}

    /** The account of a trial as it stands. */
    public static CareAccount of(TrialRecord record) {
        List<CareStep> steps = new ArrayList<>();
        Instant start = record.trial().start();
        Units units = new Units(record);
        for (Chore.Kind kind : Chore.Kind.values()) {
            List<Entry> entries = entries(record, units, kind);
            NavigableSet<Instant> times = new TreeSet<>();
            record.chores().stream()
                    .filter(chore -> chore.kind() == kind)
                    .forEach(chore -> times.add(start.plus(chore.afterStart())));
            for (Instant at : times) {
                steps.add(step(units, kind, at, opens(times, at), closes(times, at), entries));
            }
        }
        steps.sort((a, b) -> a.at().compareTo(b.at()));
        return new CareAccount(steps);
    }

    /** What the account would say of a step that no plan has, such as water that is due by weight. */
    public static CareStep one(TrialRecord record, Chore.Kind kind, Instant at) {
        Units units = new Units(record);
        return step(units, kind, at, at.minus(LEEWAY), at.plus(LEEWAY), entries(record, units, kind));
    }

    private static Instant opens(NavigableSet<Instant> times, Instant at) {
        Instant before = times.lower(at);
        Instant after = times.higher(at);
        return before != null ? middle(before, at) : at.minus(leeway(after == null ? at : after, at));
    }

    private static Instant closes(NavigableSet<Instant> times, Instant at) {
        Instant before = times.lower(at);
        Instant after = times.higher(at);
        return after != null ? middle(at, after) : at.plus(leeway(before == null ? at : before, at));
    }

    private static Instant middle(Instant one, Instant next) {
        return one.plus(Duration.between(one, next).dividedBy(2));
    }

    private static Duration leeway(Instant one, Instant other) {
        Duration half = Duration.between(one, other).abs().dividedBy(2);
        return half.compareTo(LEEWAY) > 0 ? half : LEEWAY;
    }

    private static List<Entry> entries(TrialRecord record, Units units, Chore.Kind kind) {
        if (kind == Chore.Kind.TURN) {
            return record.turns().stream()
                    .map(turn -> new Entry(turn.at(), units.all))
                    .toList();
        }
        return record.given().stream()
                .filter(Given::stands)
                .filter(given -> kind.given().filter(given.kind()::equals).isPresent())
                .map(given -> new Entry(given.happenedAt(), given.millilitres().keySet()))
                .toList();
    }

    private static CareStep step(
            Units units, Chore.Kind kind, Instant at, Instant opens, Instant closes, List<Entry> entries) {
        Set<UnitCode> standing = kind.logged() ? units.standing(at) : Set.of();
        Set<UnitCode> cared = new HashSet<>();
        Instant last = null;
        for (Entry entry : entries) {
            boolean answers = !entry.at().isBefore(opens) && entry.at().isBefore(closes);
            if (answers && entry.units().stream().anyMatch(standing::contains)) {
                cared.addAll(entry.units());
                last = last == null || entry.at().isAfter(last) ? entry.at() : last;
            }
        }
        cared.retainAll(standing);
        return new CareStep(
                kind, at, opens, closes, !entries.isEmpty(), cared.size(), standing.size(), Optional.ofNullable(last));
    }

    /** The units of a trial with when those ended that did: pages ask for the account of many units again and again. */
    private static final class Units {
        private final Set<UnitCode> all = new HashSet<>();
        private final Map<UnitCode, Instant> ends = new HashMap<>();

        Units(TrialRecord record) {
            record.units().forEach(unit -> {
                all.add(unit.code());
                record.ended(unit.code()).ifPresent(mishap -> ends.put(unit.code(), mishap.happenedAt()));
            });
        }

        /** Those that had not ended by then. */
        Set<UnitCode> standing(Instant at) {
            if (ends.values().stream().allMatch(end -> end.isAfter(at))) {
                return all;
            }
            Set<UnitCode> standing = new HashSet<>(all);
            ends.forEach((unit, end) -> {
                if (!end.isAfter(at)) {
                    standing.remove(unit);
                }
            });
            return standing;
        }
    }

    /** Steps in order of time. */
    public List<CareStep> steps() {
        return steps;
    }

    public List<CareStep> steps(Chore.Kind kind) {
        return steps.stream().filter(step -> step.kind() == kind).toList();
    }

    /** The step of a kind at a time; empty where none was planned. */
    public Optional<CareStep> at(Chore.Kind kind, Instant at) {
        return steps.stream()
                .filter(step -> step.kind() == kind && step.at().equals(at))
                .findFirst();
    }
}
