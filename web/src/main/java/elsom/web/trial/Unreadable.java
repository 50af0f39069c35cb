package elsom.web.trial;

import elsom.core.trial.TrialId;
import elsom.web.platform.Refusal;

/** A trial is stored, but something in it can't be: its files can still be taken out, and the rest works. */
public final class Unreadable extends Refusal {
    private final String reason;

    Unreadable(TrialId id, String reason) {
        super("Trial " + id + " can't be read: " + reason + ". Its files can be taken out at /trials/" + id
                + "/raw.zip, and it can be put away or deleted from the list of trials.");
        this.reason = reason;
    }

    String reason() {
        return reason;
    }
}
