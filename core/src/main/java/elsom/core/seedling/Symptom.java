package elsom.core.seedling;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What is seen on an injured seedling. The code is what is written beside its score, in files and by hand. */
public enum Symptom {
    CUPPED("cupped", "cupped leaf", "no cupped leaf", SeedlingPart.LEAF),
    STRAP("strap", "strap or fern leaf", "no strap or fern leaf", SeedlingPart.LEAF),
    YELLOW("yellow", "yellow all over", "not yellow", SeedlingPart.LEAF),
    YELLOW_VEINS("veins", "yellow between veins", "not yellow between veins", SeedlingPart.LEAF),
    BLEACHED("bleached", "bleached white", "nothing bleached", SeedlingPart.LEAF),
    BURNT("burnt", "margin or tip burn", "no margin or tip burn", SeedlingPart.LEAF),
    PURPLE("purple", "purple tint", "no purple tint", SeedlingPart.LEAF),
    CHEWED("chewed", "chewed", "not chewed", SeedlingPart.LEAF),
    TWISTED("twisted", "twisted stem or petiole", "no twisted stem or petiole", SeedlingPart.STEM),
    SWOLLEN("swollen", "swollen or split stem", "no swollen or split stem", SeedlingPart.STEM),
    COLLAPSED("collapsed", "collapsed at soil line", "none collapsed", SeedlingPart.STEM),
    LEGGY("leggy", "leggy", "not leggy", SeedlingPart.STEM),
    BROWN_ROOTS("brown roots", "brown roots", "no brown roots", SeedlingPart.ROOT),
    STUBBY_ROOTS("stubby roots", "stubby roots", "no stubby roots", SeedlingPart.ROOT),
    STUNTED("stunted", "stunted", "not stunted", SeedlingPart.WHOLE),
    WILTED("wilted", "wilted", "none wilted", SeedlingPart.WHOLE),
    MISSING("missing", "not emerged or rotted", "all came up", SeedlingPart.WHOLE),
    MOULD("mould", "surface mould", "no surface mould", SeedlingPart.SURFACE),
    ALGAE("algae", "algae", "no algae", SeedlingPart.SURFACE);

    private final String code;
    private final String label;
    private final String absent;
    private final SeedlingPart part;

    Symptom(String code, String label, String absent, SeedlingPart part) {
        this.absent = absent;
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

    /** In words, that it was not seen. */
    public String absent() {
        return absent;
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
