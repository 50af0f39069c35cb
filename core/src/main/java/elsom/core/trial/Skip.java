package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** An endpoint that is not read at a look because it does not apply there, with the reason why. */
public record Skip(int look, EndpointCode endpoint, String reason, Instant at, String station) {
    public static final int LONGEST_REASON = 120;

    public Skip {
        Bounds.count("the look of what is skipped", look, 1, Bounds.LOOKS);
        Bounds.present("the endpoint that is skipped", endpoint);
        Bounds.name("why it is skipped", reason, LONGEST_REASON);
        Bounds.instant("when it was skipped", at);
        Bounds.name("the station that skipped it", station, Bounds.SHORT_NAME);
    }

    /** Why an endpoint can't be skipped at a look; empty when it can. */
    public static Optional<String> problem(TrialRecord record, Look look, EndpointCode endpoint) {
        List<EndpointCode> read = Walk.byHand(record, look);
        if (!read.contains(endpoint)) {
            return Optional.of("That is not read at “" + look.name() + "”.");
        }
        String name = record.endpoint(endpoint).name();
        if (read.size() == 1) {
            return Optional.of(name + " is all that is read at “" + look.name()
                    + "”. Write down a missed look under “Something went wrong” instead.");
        }
        long taken = record.units().stream()
                .filter(unit -> record.current(new ReadingRef(unit.code(), look.number(), endpoint))
                        .isPresent())
                .count();
        return taken == 0
                ? Optional.empty()
                : Optional.of(name + " was read of " + taken + (taken == 1 ? " unit" : " units") + " at “" + look.name()
                        + "” already, so it does apply. Take those readings back first.");
    }
}
