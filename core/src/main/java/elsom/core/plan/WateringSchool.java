package elsom.core.plan;

/** Growers disagree on what is fair: the same water for all, or each to its own need. Both are supported. */
public enum WateringSchool {
    SAME_FOR_ALL("The same for all", "fair on what is given; a medium that dries faster goes short"),
    EACH_TO_REFILL_WEIGHT("Each to its own refill weight", "fair on dryness; some get more water, and more feed");

    private final String label;
    private final String consequence;

    WateringSchool(String label, String consequence) {
        this.label = label;
        this.consequence = consequence;
    }

    public String label() {
        return label;
    }

    /** What this choice is fair on, and what it gives up. */
    public String consequence() {
        return consequence;
    }
}
