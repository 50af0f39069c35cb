package elsom.core.seedling;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What is seen on an injured seedling. The code is what is written beside its score, in files and by hand. */
public enum Symptom {
    CUPPED("cupped", "cupped leaf", SeedlingPart.LEAF),
    STRAP("strap", "strap or fern leaf", SeedlingPart.LEAF),
    YELLOW("yellow", "yellow all over", SeedlingPart.LEAF),
    YELLOW_VEINS("veins", "yellow between veins", SeedlingPart.LEAF),
    BLEACHED("bleached", "bleached white", SeedlingPart.LEAF),
    BURNT("burnt", "margin or tip burn", SeedlingPart.LEAF),
    PURPLE("purple", "purple tint", SeedlingPart.LEAF),
    CHEWED("chewed", "chewed", SeedlingPart.LEAF),
    TWISTED("twisted", "twisted stem or petiole", SeedlingPart.STEM),
    SWOLLEN("swollen", "swollen or split stem", SeedlingPart.STEM),
    COLLAPSED("collapsed", "collapsed at soil line", SeedlingPart.STEM),
    LEGGY("leggy", "leggy", SeedlingPart.STEM),
    BROWN_ROOTS("brown roots", "brown roots", SeedlingPart.ROOT),
    STUBBY_ROOTS("stubby roots", "stubby roots", SeedlingPart.ROOT),
    STUNTED("stunted", "stunted", SeedlingPart.WHOLE),
    WILTED("wilted", "wilted", SeedlingPart.WHOLE),
    MISSING("missing", "not emerged or rotted", SeedlingPart.WHOLE),
    MOULD("mould", "surface mould", SeedlingPart.SURFACE),
    ALGAE("algae", "algae", SeedlingPart.SURFACE);

    private final String code;
    private final String label;
    private final SeedlingPart part;

    Symptom(String code, String label, SeedlingPart part) {
        this.code = code;
        this.label = label;
        this.part = part;
    }

    public String code() {
        return code;
    }

    public String label() {
        return label;
    }

    public SeedlingPart part() {
        return part;
    }

    /** Whether it needs no living plant: what never came up, fell over, or grows on the surface. */
    public boolean ofTheDead() {
        return this == MISSING || this == COLLAPSED || part == SeedlingPart.SURFACE;
    }

    /** The symptom of a code or label; empty for anything else. */
    public static Optional<Symptom> called(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values())
                .filter(symptom -> symptom.code.equals(wanted) || symptom.label.equals(wanted))
                .findFirst();
    }
}
