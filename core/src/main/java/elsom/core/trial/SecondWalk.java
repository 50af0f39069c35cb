package elsom.core.trial;

import elsom.core.quantity.Dimension;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Units that a station may score again at a look: those another station scored first, in a random order of this station's
 * own, so that nothing of the first walk is repeated.
 *
 * @param done how many it has scored
 * @param ownFirst whether there are first scores, and all are its own
 */
public record SecondWalk(List<ExperimentalUnit> units, int done, Optional<ExperimentalUnit> next, boolean ownFirst) {
    public SecondWalk {
        units = List.copyOf(units);
    }

    /** Whether an endpoint is scored by eye, so that a second pair of eyes can tell something. */
    public static boolean scored(Endpoint endpoint) {
        return endpoint.unit().dimension() == Dimension.SCORE && endpoint.readingsEach() == 1;
    }

    public static SecondWalk of(TrialRecord record, Look look, EndpointCode endpoint, String station) {
        List<ExperimentalUnit> others = new ArrayList<>();
        boolean any = false;
        for (ExperimentalUnit unit : record.units()) {
            Optional<Reading> first = record.current(new ReadingRef(unit.code(), look.number(), endpoint));
            any |= first.isPresent();
            if (first.isPresent() && !first.get().eyes().equals(station)) {
                others.add(unit);
            }
        }
        BlindOrder.shuffle(others, record.trial().seed(), "again " + look.number() + " " + station);
        List<UnitCode> scored = record.scoredAgain().stream()
                .filter(score -> score.look() == look.number()
                        && score.endpoint().equals(endpoint)
                        && score.station().equals(station))
                .map(SecondScore::unit)
                .toList();
        return new SecondWalk(
                others,
                (int) others.stream()
                        .filter(unit -> scored.contains(unit.code()))
                        .count(),
                others.stream().filter(unit -> !scored.contains(unit.code())).findFirst(),
                any && others.isEmpty());
    }
}
