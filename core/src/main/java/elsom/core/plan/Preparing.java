package elsom.core.plan;

import elsom.core.quantity.Dimension;
import elsom.core.trial.Chore;
import elsom.core.trial.Endpoint;
import java.util.List;
import java.util.Optional;

/** What is best done the day before something is due, so that it can begin at once. */
public final class Preparing {
    private Preparing() {}

    /** The day before an event, in a sentence; empty where nothing is to be prepared. */
    public static Optional<String> dayBefore(Plan plan, PlanEvent event) {
        return switch (event.kind()) {
            case START -> Optional.of("Set out containers, media and labels; pre-wet what floats.");
            case STEP ->
                event.chore() == Chore.Kind.WATER || event.chore() == Chore.Kind.FEED
                        ? Optional.of(
                                "Stand tap water overnight, so that it is as warm as the room and free of chlorine.")
                        : Optional.empty();
            case LOOK -> looking(plan, event);
            case PREPARE, TURN -> Optional.empty();
        };
    }

    private static Optional<String> looking(Plan plan, PlanEvent event) {
        List<Dimension> read = plan.schedule().looks().stream()
                .filter(look -> event.at().equals(plan.schedule().start().plus(look.after())))
                .flatMap(look -> look.endpoints().stream())
                .flatMap(code -> plan.asked().measure(code).stream())
                .map(Measure::endpoint)
                .map(Endpoint::unit)
                .map(unit -> unit.dimension())
                .toList();
        if (read.contains(Dimension.ACIDITY) || read.contains(Dimension.CONDUCTIVITY)) {
            return Optional.of("Take the buffers out, so that they are as warm as the room; charge the meter.");
        }
        return read.contains(Dimension.MASS) ? Optional.of("Charge the scale.") : Optional.empty();
    }
}
