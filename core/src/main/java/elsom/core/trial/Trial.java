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
 * @param blind whether bench, labels and files show codes only, until somebody unblinds it
 */
public record Trial(
        TrialId id,
        String question,
        ProtocolCode protocol,
        ZoneId zone,
        Instant start,
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
        Bounds.present("the stage", stage);
    }

    public boolean started() {
        return stage == TrialStage.STARTED;
    }

    public Trial with(TrialId number) {
        return new Trial(number, question, protocol, zone, start, seed, stage, blind);
    }

    /** The same trial as it stands after it was started. */
    public Trial begun(boolean staysBlind) {
        return new Trial(id, question, protocol, zone, start, seed, TrialStage.STARTED, staysBlind);
    }
}
