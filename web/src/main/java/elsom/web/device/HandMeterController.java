package elsom.web.device;

import elsom.core.sim.HandMeter;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.platform.Refusal;
import elsom.web.trial.Trials;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What an instrument shows that is held to a unit. */
@RestController
@RequestMapping("/device/hand")
class HandMeterController {
    private final HandMeters meters;
    private final Trials trials;

    HandMeterController(HandMeters meters, Trials trials) {
        this.meters = meters;
        this.trials = trials;
    }

    /**
     * What the display shows.
     *
     * @param display with its unit; empty when it is dark
     * @param message what to do then; empty otherwise
     */
    record Shown(String display, String message) {}

    @PostMapping("/read")
    Shown read(
            @RequestParam long trial,
            @RequestParam String unit,
            @RequestParam int look,
            @RequestParam String endpoint,
            @RequestParam(defaultValue = "1") int sub) {
        TrialRecord record = trials.key(new TrialId(trial));
        ReadingRef what = what(record, unit, look, endpoint, sub);
        HandMeter meter = meter(record, what);
        return meters.read(meter, record, what)
                .map(display -> new Shown(display, ""))
                .orElseGet(() -> new Shown(
                        "",
                        "The " + meter.label() + " does not answer. Is there power in it? You can type the value."));
    }

    /** Makes something wrong with the simulated instrument that reads this. */
    @PostMapping("/fault")
    Shown fault(
            @RequestParam long trial,
            @RequestParam String unit,
            @RequestParam int look,
            @RequestParam String endpoint,
            @RequestParam(defaultValue = "1") int sub,
            @RequestParam HandMeter.Fault fault) {
        TrialRecord record = trials.key(new TrialId(trial));
        HandMeter meter = meter(record, what(record, unit, look, endpoint, sub));
        meters.setFault(meter, fault);
        return new Shown("", "The " + meter.label() + " is now: " + fault.label() + ".");
    }

    private static ReadingRef what(TrialRecord record, String unit, int look, String endpoint, int sub) {
        try {
            ReadingRef what = new ReadingRef(new UnitCode(unit), look, new EndpointCode(endpoint), sub);
            if (record.has(what)) {
                return what;
            }
        } catch (IllegalArgumentException malformed) {
            throw new Refusal("There is no such unit to measure.");
        }
        throw new Refusal("There is no such unit to measure.");
    }

    private static HandMeter meter(TrialRecord record, ReadingRef what) {
        return HandMeter.of(record.endpoint(what.endpoint()))
                .orElseThrow(() -> new Refusal("No instrument reads that; type it."));
    }
}
