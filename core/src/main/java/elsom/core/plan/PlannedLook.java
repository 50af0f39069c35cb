package elsom.core.plan;

import elsom.core.trial.EndpointCode;
import java.time.Duration;
import java.util.List;

/** A look before it is numbered: when it is, from the trial's start, and what is measured. */
public record PlannedLook(String name, Duration after, List<EndpointCode> endpoints) {
    public static final int MOST = 40;

    public PlannedLook {
        endpoints = List.copyOf(endpoints);
        if (endpoints.isEmpty()) {
            throw new IllegalArgumentException("look “" + name + "” measures nothing");
        }
    }
}
