package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.EndpointCode;
import java.time.Duration;
import java.util.List;

/** A look before it is numbered: when it is, from the trial's start, and what is measured. */
public record PlannedLook(String name, Duration after, List<EndpointCode> endpoints) {
    public static final int MOST = 40;

    public PlannedLook {
        Bounds.name("a look's name", name, Bounds.SHORT_NAME);
        Bounds.span("when look “" + name + "” is planned", after);
        endpoints = Bounds.list("endpoints of look “" + name + "”", endpoints, 1, Bounds.ENDPOINTS);
    }
}
