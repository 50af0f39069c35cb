package elsom.core.trial;

import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * A planned observation of all units.
 *
 * @param number 1-based within the trial, in order of time
 * @param name short, for the time bar: "drained", "6 h", "day 3"
 * @param afterStart when it is planned, from the trial's start; negative for preparation
 * @param endpoints what is measured
 */
public record Look(int number, String name, Duration afterStart, List<EndpointCode> endpoints) {
    public Look {
        if (number < 1 || endpoints.isEmpty()) {
            throw new IllegalArgumentException("look " + number + " needs a number from 1 and an endpoint");
        }
        endpoints = List.copyOf(endpoints);
    }

    public Instant plannedAt(Instant start) {
        return start.plus(afterStart);
    }

    public double hoursAfterStart() {
        return afterStart.toSeconds() / 3600.0;
    }
}
