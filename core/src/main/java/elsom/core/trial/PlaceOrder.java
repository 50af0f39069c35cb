package elsom.core.trial;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Whether a place fits those that were given already among the units it is ranked with. */
final class PlaceOrder {
    private PlaceOrder() {}

    /**
     * What speaks against a place.
     *
     * @return empty when nothing does
     */
    static Optional<String> problem(TrialRecord record, ReadingRef ref, double place) {
        int among = among(record, ref).size();
        return place <= among
                ? Optional.empty()
                : Optional.of("There are " + among + " to put in order here, so no place is beyond " + among
                        + ". Accepted: 1 for the best, " + among + " for the last.");
    }

    /** Other units that have the same place; empty when it is free. */
    static Optional<String> shared(TrialRecord record, ReadingRef ref, double place) {
        String others = among(record, ref).stream()
                .filter(unit -> !unit.code().equals(ref.unit()))
                .filter(unit -> record.current(new ReadingRef(unit.code(), ref.look(), ref.endpoint()))
                        .map(reading -> reading.value() != null && reading.value() == place)
                        .orElse(false))
                .map(unit -> unit.code().value())
                .collect(Collectors.joining(", "));
        return others.isEmpty() ? Optional.empty() : Optional.of(others);
    }

    /** The units that are put in order side by side: those of the block, on a bench without blocks all of it. */
    private static List<ExperimentalUnit> among(TrialRecord record, ReadingRef ref) {
        ExperimentalUnit ranked = record.unit(ref.unit()).orElseThrow();
        return record.units().stream()
                .filter(unit -> unit.position().bench() == ranked.position().bench() && unit.block() == ranked.block())
                .toList();
    }
}
