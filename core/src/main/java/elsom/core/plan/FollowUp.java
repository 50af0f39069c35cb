package elsom.core.plan;

import java.util.Locale;

/** Why a trial follows another. */
public enum FollowUp {
    SHARPER("More units, without what is settled"),
    BRACKET("Doses between and around"),
    LONGER("Look longer"),
    DRAWN("Drawn again, in blocks"),
    SPLIT("One thing at a time"),
    BLIND("The same, blind"),
    AGAIN("The same question, asked beforehand"),
    OTHER_LOT("Another lot"),
    OTHER_CROP("Another crop"),
    /** Not a follow-up of a trial: it was done without Elsom. */
    NOTEBOOK("Copied from a notebook");

    private final String label;

    FollowUp(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** In addresses. */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
