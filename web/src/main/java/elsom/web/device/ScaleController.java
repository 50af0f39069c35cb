package elsom.web.device;

import elsom.core.quantity.Dimension;
import elsom.core.sim.ScaleFault;
import elsom.core.sim.ScaleReading;
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

/** The scale's buttons and display. */
@RestController
@RequestMapping("/device/scale")
class ScaleController {
    private final Scale scale;
    private final Trials trials;

    ScaleController(Scale scale, Trials trials) {
        this.scale = scale;
        this.trials = trials;
    }

    /** How the display stands. */
    enum Stands {
        STEADY,
        MOVING,
        OVERLOAD,
        SILENT
    }

    /**
     * What the scale shows.
     *
     * @param display as on its display; empty when it is dark
     * @param message what that means and what to do; empty for a steady weight
     */
    record Shown(Stands stands, String display, String message) {}

    @PostMapping("/weigh")
    Shown weigh(
            @RequestParam long trial,
            @RequestParam String unit,
            @RequestParam int look,
            @RequestParam String endpoint) {
        TrialRecord record = trials.key(new TrialId(trial));
        ReadingRef ref;
        try {
            ref = new ReadingRef(new UnitCode(unit), look, new EndpointCode(endpoint));
        } catch (IllegalArgumentException malformed) {
            throw new Refusal("There is no such unit to weigh.");
        }
        if (!record.has(ref)) {
            throw new Refusal("There is no such unit to weigh.");
        }
        if (record.endpoint(ref.endpoint()).unit().dimension() != Dimension.MASS) {
            throw new Refusal("That is not weighed; type it.");
        }
        return shown(scale.weigh(record, ref));
    }

    private static Shown shown(ScaleReading reading) {
        if (reading instanceof ScaleReading.Steady steady) {
            return new Shown(Stands.STEADY, steady.display(), "");
        }
        if (reading instanceof ScaleReading.Moving moving) {
            return new Shown(
                    Stands.MOVING,
                    moving.display(),
                    "Still moving: shield it from wind, hands off, and take it again.");
        }
        if (reading instanceof ScaleReading.Overload overload) {
            return new Shown(
                    Stands.OVERLOAD,
                    overload.display(),
                    "Overload: more than the scale can weigh. Take it off at once; nothing was read.");
        }
        return new Shown(
                Stands.SILENT,
                "",
                "The scale does not answer. Is it plugged in and on? You can type the weight instead.");
    }

    @PostMapping("/tare")
    Shown tare(@RequestParam(defaultValue = "true") boolean panCleared) {
        scale.tare(panCleared);
        return scale.fault() == ScaleFault.UNPLUGGED
                ? new Shown(Stands.SILENT, "", "The scale does not answer, so nothing was tared.")
                : new Shown(
                        Stands.STEADY, "0.0", panCleared ? "Zeroed with nothing on it." : "Tared with the pot on it.");
    }

    @PostMapping("/fault")
    Shown fault(@RequestParam ScaleFault fault) {
        scale.setFault(fault);
        return new Shown(Stands.STEADY, "", "The scale is now: " + fault.label() + ".");
    }
}
