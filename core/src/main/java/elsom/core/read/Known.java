package elsom.core.read;

import elsom.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/**
 * What a reader knows of who types.
 *
 * @param today the day on which it is typed
 * @param gallons which gallons, quarts and fluid ounces are meant; empty while nobody said
 * @param measures a person's own, weighed or measured once: "capful" with what one holds
 */
public record Known(LocalDate today, Optional<Gallons> gallons, Map<String, Quantity> measures) {
    /** Whose liquid measures. */
    public enum Gallons {
        US,
        IMPERIAL
    }

    public Known {
        measures = Map.copyOf(measures);
    }

    /** Nothing but the day. */
    public static Known on(LocalDate today) {
        return new Known(today, Optional.empty(), Map.of());
    }
}
