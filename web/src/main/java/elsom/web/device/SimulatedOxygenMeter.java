package elsom.web.device;

import elsom.core.quantity.Decimals;
import elsom.core.sim.BrewTruth;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Shows what a simulated brew does since it was begun: more food eats more oxygen, a stone gives more back. */
@Component
class SimulatedOxygenMeter implements OxygenMeter {
    private static final double SECONDS_AN_HOUR = 3600;

    private final Clock clock;

    SimulatedOxygenMeter(Clock clock) {
        this.clock = clock;
    }

    @Override
    public Optional<Shown> read(TrialRecord record, UnitCode brew, Instant begun) {
        double hours = Duration.between(begun, clock.instant()).toSeconds() / SECONDS_AN_HOUR;
        if (hours < 0) {
            return Optional.empty();
        }
        String treatment = record.unit(brew)
                .map(unit -> record.treatment(unit).name().toLowerCase(Locale.ROOT))
                .orElse("");
        BrewTruth truth = new BrewTruth(
                treatment.contains("stone"),
                treatment.contains("kelp") || treatment.contains("molasses"),
                record.trial().seed() + brew.value().hashCode());
        return Optional.of(new Shown(truth.shows(hours), Decimals.fixed(truth.temperature(hours), 1) + " °C"));
    }
}
