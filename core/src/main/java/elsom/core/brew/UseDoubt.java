package elsom.core.brew;

import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What speaks against putting a brew on plants as it is: it was stopped, went on against the stop rule, or its hours are
 * over. A brew without air is used within {@link BrewReading#KEEPS}.
 */
public final class UseDoubt {
    private UseDoubt() {}

    /**
     * Doubts about the brews of some treatments, in words, brew by brew.
     *
     * @param treatments numbers of those that are to be used
     * @param log of all visits, in any order
     */
    public static List<String> of(TrialRecord record, List<Integer> treatments, List<BrewReading> log, Instant now) {
        List<String> doubts = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            if (treatments.contains(unit.treatment())) {
                of(unit.code(), log, now)
                        .ifPresent(doubt -> doubts.add(
                                unit.code() + ", " + record.treatment(unit).name() + ": " + doubt));
            }
        }
        return List.copyOf(doubts);
    }

    private static Optional<String> of(UnitCode unit, List<BrewReading> log, Instant now) {
        List<BrewReading> visits = log.stream()
                .filter(visit -> visit.unit().equals(unit))
                .sorted(Comparator.comparing(BrewReading::at))
                .toList();
        Optional<BrewReading> last = visits.isEmpty() ? Optional.empty() : Optional.of(visits.get(visits.size() - 1));
        if (last.filter(visit -> visit.decision() == BrewReading.Decision.STOPPED)
                .isPresent()) {
            return Optional.of("it was thrown away");
        }
        Optional<String> broken = visits.stream()
                .flatMap(visit -> visit.whyStop().stream())
                .reduce((first, second) -> second)
                .map(why -> "it met the stop rule, " + why);
        Optional<String> old = last.flatMap(BrewReading::useBy)
                .filter(now::isAfter)
                .map(by ->
                        "its " + BrewReading.KEEPS.toHours() + " h are over, by " + hours(Duration.between(by, now)));
        return broken.isPresent() && old.isPresent()
                ? Optional.of(broken.get() + "; and " + old.get())
                : broken.or(() -> old);
    }

    private static String hours(Duration over) {
        return over.toHours() < 48 ? Math.max(1, over.toHours()) + " h" : over.toDays() + " days";
    }
}
