package elsom.core.brew;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One visit to a brew: what was measured, how it smelled, and what was decided.
 *
 * @param oxygen dissolved, mg/L
 * @param temperature °C
 * @param ec mS/cm
 * @param foam cm above the surface
 * @param decision null while the stop rule was not met, or is not answered yet
 * @param reason why it goes on against the rule; may be empty
 */
public record BrewReading(
        int number,
        UnitCode unit,
        Instant at,
        String station,
        @Nullable Double temperature,
        @Nullable Double oxygen,
        @Nullable Double ph,
        @Nullable Double ec,
        @Nullable Double foam,
        @Nullable Smell smell,
        @Nullable Decision decision,
        String reason) {
    /** Below this aerobic organisms begin to give way, mg/L. */
    public static final double LEAST_OXYGEN = 6;

    /** How long a brew without air keeps its oxygen. */
    public static final Duration KEEPS = Duration.ofHours(4);

    static final int LONGEST_REASON = 200;

    /** What becomes of a brew. */
    public enum Decision {
        /** Air off as planned: to be used within {@link #KEEPS}. */
        DONE,
        /** Thrown away. */
        STOPPED,
        /** Goes on against the rule. */
        GOES_ON
    }

    public BrewReading {
        Bounds.present("which brew", unit);
        Bounds.instant("when", at);
        Bounds.name("the station", station, Bounds.STATION);
        within("temperature", temperature, -5, 60);
        within("dissolved oxygen", oxygen, 0, 20);
        within("pH", ph, 0, 14);
        within("EC", ec, 0, 60);
        within("foam", foam, 0, 100);
        Bounds.note("the reason", reason, LONGEST_REASON);
    }

    private static void within(String what, @Nullable Double value, double least, double most) {
        if (value != null) {
            Bounds.number(what, value, least, most);
        }
    }

    /** Why a brew like this should be stopped, in words; empty when it may go on. */
    public Optional<String> whyStop() {
        List<String> why = new ArrayList<>();
        if (oxygen != null && oxygen < LEAST_OXYGEN) {
            why.add("its oxygen is " + Decimals.fixed(oxygen, 1) + " mg/L, below " + Decimals.upTo(LEAST_OXYGEN, 1));
        }
        if (smell != null && smell.stops()) {
            why.add("it smells " + smell.label());
        }
        return why.isEmpty() ? Optional.empty() : Optional.of(String.join(" and ", why));
    }

    /** Whether the rule was met and nobody has said yet what becomes of the brew. */
    public boolean asks() {
        return decision == null && whyStop().isPresent();
    }

    /** Whether the brew ended with it. */
    public boolean ends() {
        return decision == Decision.DONE || decision == Decision.STOPPED;
    }

    /** Until when it should be used; empty unless it is done. */
    public Optional<Instant> useBy() {
        return decision == Decision.DONE ? Optional.of(at.plus(KEEPS)) : Optional.empty();
    }

    public BrewReading numbered(int other) {
        return new BrewReading(other, unit, at, station, temperature, oxygen, ph, ec, foam, smell, decision, reason);
    }

    public BrewReading decided(@Nullable Decision other, String why) {
        return new BrewReading(number, unit, at, station, temperature, oxygen, ph, ec, foam, smell, other, why);
    }
}
