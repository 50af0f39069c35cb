package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A planned observation of all units.
 *
 * @param number 1-based within the trial, in order of time
 * @param name short, for the time bar: "drained", "6 h", "day 3"
 * @param afterStart when it is planned, from the trial's start; negative for preparation
 * @param endpoints what is measured
 */
public record Look(int number, String name, Duration afterStart, List<EndpointCode> endpoints) {
    /** Names that are a time by themselves. */
    private static final Pattern OF_ITSELF =
            Pattern.compile("\\d|(?:day|week|month|hour|year|harvest)\\b", Pattern.CASE_INSENSITIVE);

    public Look {
        Bounds.count("a look's number", number, 1, Bounds.LOOKS);
        Bounds.name("a look's name", name, Bounds.SHORT_NAME);
        Bounds.span("when look " + number + " is planned", afterStart);
        endpoints = Bounds.list("endpoints of look " + number, endpoints, 1, Bounds.ENDPOINTS);
        if (Set.copyOf(endpoints).size() < endpoints.size()) {
            throw new IllegalArgumentException("look " + number + " measures an endpoint twice");
        }
    }

    /** The same look at which one thing more is known. */
    Look plus(EndpointCode endpoint) {
        List<EndpointCode> more = new ArrayList<>(endpoints);
        more.add(endpoint);
        return new Look(number, name, afterStart, more);
    }

    public Instant plannedAt(Instant start) {
        return start.plus(afterStart);
    }

    /** Its name as a sentence has it behind "at": "day 14", "the end, day 28", "the look “up”". */
    public String said() {
        return OF_ITSELF.matcher(name).lookingAt()
                ? name
                : name.toLowerCase(Locale.ROOT).startsWith("end") ? "the " + name : "the look “" + name + "”";
    }

    public double hoursAfterStart() {
        return afterStart.toSeconds() / 3600.0;
    }
}
