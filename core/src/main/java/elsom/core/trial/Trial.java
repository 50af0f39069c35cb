package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Instant;
import java.time.ZoneId;

/**
 * What a trial asks and how it was set up.
 *
 * @param question the question as a sentence, written before readings
 * @param start the instant that looks are planned from
 * @param seed what the layout and the codes were drawn from, so that the draw can be repeated
 * @param refillFraction the share of the water first held at which a unit is due for watering, 0 to 1
 * @param blind whether bench, labels and files show codes only, until somebody unblinds it
 */
public record Trial(
        TrialId id,
        String question,
        ProtocolCode protocol,
        ZoneId zone,
        Instant start,
        WateringSchool watering,
        double refillFraction,
        long seed,
        TrialStage stage,
        boolean blind) {
    public static final int LONGEST_QUESTION = Bounds.QUESTION;

    public Trial {
        Bounds.present("the trial's number", id);
        Bounds.name("a question", question, LONGEST_QUESTION);
        Bounds.present("the kind of trial", protocol);
        Bounds.present("the time zone", zone);
        Bounds.instant("the start", start);
        Bounds.present("the way of watering", watering);
        Bounds.present("the stage", stage);
        if (!(refillFraction > 0 && refillFraction < 1)) {
            throw new IllegalArgumentException("refill fraction must be above 0 and below 1, got " + refillFraction);
        }
    }

    public boolean started() {
        return stage == TrialStage.STARTED;
    }

    public Trial with(TrialId number) {
        return new Trial(number, question, protocol, zone, start, watering, refillFraction, seed, stage, blind);
    }

    /** The same trial as it stands after it was started. */
    public Trial begun(boolean staysBlind) {
        return new Trial(
                id, question, protocol, zone, start, watering, refillFraction, seed, TrialStage.STARTED, staysBlind);
    }
}
