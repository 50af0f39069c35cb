package elsom.core.design;

import elsom.core.trial.BenchPosition;
import elsom.core.trial.Chore;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
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

    /** A trial with its units where they stand by now, when every turn that was planned so far was made. */
    public static TrialRecord at(TrialRecord record, Instant now) {
        int turns = (int) record.chores().stream()
                .filter(chore -> chore.kind() == Chore.Kind.TURN)
                .filter(chore ->
                        !record.trial().start().plus(chore.afterStart()).isAfter(now))
                .count();
        return turns == 0 ? record : record.standing(after(record.units(), turns));
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
