package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Water or feed that units were given, as an entry of the log.
 *
 * @param number 1-based within the trial, in order of entry
 * @param what of feed, with its strength: "kelp feed, 2 mL/L"; may be empty for water
 * @param millilitres by unit, above 0
 * @param withdrawnAt when it was taken back; null while it stands
 */
public record Given(
        int number,
        GivenKind kind,
        String what,
        Map<UnitCode, Double> millilitres,
        Instant happenedAt,
        String station,
        @Nullable Instant withdrawnAt) {
    public static final double LEAST_ML = 0.01;

    /** More than any unit takes at a time, mL. */
    public static final double MOST_ML = 50_000;

    public Given {
        Bounds.count("the number of an entry", number, 1, Integer.MAX_VALUE);
        Bounds.present("what was given", kind);
        Bounds.line("what was given", what, Bounds.NAME);
        millilitres = Collections.unmodifiableMap(new LinkedHashMap<>(millilitres));
        Bounds.count("units that were given something", millilitres.size(), 1, Bounds.UNITS);
        millilitres.forEach((unit, ml) -> Bounds.number("mL given to " + unit, ml, LEAST_ML, MOST_ML));
        Bounds.instant("when it was given", happenedAt);
        Bounds.name("the station", station, Bounds.STATION);
        if (withdrawnAt != null) {
            Bounds.instant("when it was taken back", withdrawnAt);
        }
    }

    public boolean stands() {
        return withdrawnAt == null;
    }
}
