package elsom.core.diagnosis;

/** What may have hurt seedlings. The code stands in the table of likelihoods. */
public enum Cause {
    AUXIN("auxin", "auxin-type weedkiller residue", true),
    CONTACT("contact", "contact or bleaching weedkiller residue", true),
    ROOT("root", "root-inhibiting residue", true),
    SALTS("salts", "soluble salts", true),
    AMMONIA("ammonia", "ammonia or immature compost", true),
    NITROGEN("nitrogen", "nitrogen draw-down", false),
    LOW_PH("low-ph", "low pH", false),
    HIGH_PH("high-ph", "high pH", false),
    WATERLOGGED("waterlogged", "waterlogging", false),
    DAMPING_OFF("damping-off", "damping-off", false),
    DRY("dry", "drying out", false),
    /** Slugs, cold, old seed, a virus, or what nobody thought of: it grows as no other cause explains what was seen. */
    OTHER("other", "something else, not on this list", false),
    NONE("none", "nothing of these", false);

    private final String code;
    private final String label;
    private final boolean contaminant;

    Cause(String code, String label, boolean contaminant) {
        this.code = code;
        this.label = label;
        this.contaminant = contaminant;
    }

    public String code() {
        return code;
    }

    public String label() {
        return label;
    }

    /** Whether it is in the lot and goes with it wherever it is used. */
    public boolean contaminant() {
        return contaminant;
    }

    /** Whether it is what a sprayed crop or hay leaves behind. */
    public boolean residue() {
        return this == AUXIN || this == CONTACT || this == ROOT;
    }
}
