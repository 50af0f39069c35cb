package elsom.core.design;

import elsom.core.trial.BenchPosition;
import elsom.core.trial.Chore;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Turn;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Where units stand after they were moved on within their blocks: each to the place of the next along the rows, the last
 * to the front. Blocks stay whole, so a comparison within blocks stays fair.
 */
public final class Rotation {
    private static final Comparator<BenchPosition> ALONG_ROWS = Comparator.comparing(BenchPosition::bench)
            .thenComparing(BenchPosition::row)
            .thenComparing(BenchPosition::column);

    private Rotation() {}

    /**
     * A trial with its units where they stand by now: moved on as often as was written down; where nothing was, as often
     * as was planned so far.
     */
    public static TrialRecord at(TrialRecord record, Instant now) {
        int turns = record.turns().isEmpty() ? planned(record, now) : written(record, now);
        return turns == 0 ? record : record.standing(after(record.units(), turns));
    }

    private static int planned(TrialRecord record, Instant now) {
        return (int) record.chores().stream()
                .filter(chore -> chore.kind() == Chore.Kind.TURN)
                .filter(chore ->
                        !record.trial().start().plus(chore.afterStart()).isAfter(now))
                .count();
    }

    private static int written(TrialRecord record, Instant now) {
        return record.turns().stream()
                .filter(turn -> !turn.at().isAfter(now))
                .mapToInt(Turn::number)
                .max()
                .orElse(0);
    }

    /**
     * A turn about to be made.
     *
     * @param number the turn's
     * @param from units where they stand before it
     * @param to units where they stand after it
     */
    public record Next(int number, TrialRecord from, TrialRecord to) {}

    /** The turn to be made now: the one that is due, as long as none was written down, or the one after the last. */
    public static Next next(TrialRecord record, Instant now) {
        int made = record.turns().isEmpty() ? Math.max(0, planned(record, now) - 1) : written(record, now);
        return new Next(
                made + 1,
                record.standing(after(record.units(), made)),
                record.standing(after(record.units(), made + 1)));
    }

    /** Units in their order, each that many places further on in its block. */
    static List<ExperimentalUnit> after(List<ExperimentalUnit> units, int turns) {
        Map<Integer, List<BenchPosition>> blocks = units.stream()
                .collect(Collectors.groupingBy(
                        ExperimentalUnit::block,
                        LinkedHashMap::new,
                        Collectors.mapping(ExperimentalUnit::position, Collectors.toList())));
        Map<BenchPosition, BenchPosition> next = new LinkedHashMap<>();
        for (List<BenchPosition> block : blocks.values()) {
            List<BenchPosition> places = new ArrayList<>(block);
            places.sort(ALONG_ROWS);
            List<BenchPosition> onward = new ArrayList<>(places);
            Collections.rotate(onward, -turns);
            for (int i = 0; i < places.size(); i++) {
                next.put(places.get(i), onward.get(i));
            }
        }
        return units.stream()
                .map(unit -> unit.at(next.getOrDefault(unit.position(), unit.position()), unit.block()))
                .toList();
    }
}
