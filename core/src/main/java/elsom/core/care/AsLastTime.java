package elsom.core.care;

import elsom.core.quantity.Millilitres;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The same again for all units that stand: what the last entry of a kind gave each of them alike. Where the last entry was for
 * some of them, or gave them unlike amounts, nobody can know what "the same" is, and it is not offered.
 *
 * @param what of feed, with its strength; may be empty for water
 * @param millilitres of each unit
 * @param units in the trial's order
 */
public record AsLastTime(GivenKind kind, String what, double millilitres, List<UnitCode> units) {
    public AsLastTime {
        units = List.copyOf(units);
    }

    /** The same again; empty where the last entry of that kind says no one amount for all that stand. */
    public static Optional<AsLastTime> of(TrialRecord record, GivenKind kind) {
        List<UnitCode> standing = record.units().stream()
                .map(ExperimentalUnit::code)
                .filter(unit -> record.ended(unit).isEmpty())
                .toList();
        return record.given().stream()
                .filter(Given::stands)
                .filter(given -> given.kind() == kind)
                .reduce((one, later) -> later.happenedAt().isBefore(one.happenedAt()) ? one : later)
                .filter(last ->
                        !standing.isEmpty() && last.millilitres().keySet().containsAll(standing))
                .flatMap(last -> alike(last, standing));
    }

    private static Optional<AsLastTime> alike(Given last, List<UnitCode> standing) {
        Set<Double> amounts = Set.copyOf(last.millilitres().values());
        return amounts.size() == 1
                ? Optional.of(new AsLastTime(
                        last.kind(), last.what(), amounts.iterator().next(), standing))
                : Optional.empty();
    }

    /** What each unit gets. */
    public Map<UnitCode, Double> amounts() {
        Map<UnitCode, Double> amounts = new LinkedHashMap<>();
        units.forEach(unit -> amounts.put(unit, millilitres));
        return amounts;
    }

    /** "50 mL each", "30 mL each, kelp 2 mL/L". */
    public String words() {
        return Millilitres.words(millilitres) + " each" + (what.isEmpty() ? "" : ", " + what);
    }
}
