package elsom.core.diagnosis;

/** What may have hurt seedlings. The code stands in the table of likelihoods. */
public enum Cause {
    AUXIN("auxin", "auxin-type weedkiller residue", true, 1),
    CONTACT("contact", "contact or bleaching weedkiller residue", true, 1),
    ROOT("root", "root-inhibiting residue", true, 1),
    SALTS("salts", "soluble salts", true, 1),
    AMMONIA("ammonia", "ammonia or immature compost", true, 1),
    NITROGEN("nitrogen", "nitrogen draw-down", false, 1),
    LOW_PH("low-ph", "low pH", false, 1),
    HIGH_PH("high-ph", "high pH", false, 1),
    WATERLOGGED("waterlogged", "waterlogging", false, 1),
    DAMPING_OFF("damping-off", "damping-off", false, 1),
    DRY("dry", "drying out", false, 1),
    EATEN("eaten", "slugs or other eaters", false, 0.5),
    COLD("cold", "cold", false, 0.4),
    SEED("seed", "old or weak seed", false, 0.4),
    /** A disease, a virus, another substance, or what nobody thought of: it grows as no other cause explains what was seen. */
    OTHER("other", "something else, not on this list", false, 2.4),
    NONE("none", "nothing of these", false, 1);

    private final String code;
    private final String label;
    private final boolean contaminant;
    private final double weight;

    Cause(String code, String label, boolean contaminant, double weight) {
        this.code = code;
        this.label = label;
        this.contaminant = contaminant;
        this.weight = weight;
    }

    /** How likely it is beforehand beside the usual causes, which have 1: what strikes the clean medium too is seldom a lot's. */
    double weight() {
        return weight;
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
