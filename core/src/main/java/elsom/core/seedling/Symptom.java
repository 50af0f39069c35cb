package elsom.core.seedling;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

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
    SEED_BURNT("burnt seed leaves", "seed leaves burnt", "no burnt seed leaves", BURNT),
    SEED_BLEACHED("bleached seed leaves", "seed leaves bleached", "no bleached seed leaves", BLEACHED),
    SEED_YELLOW("yellow seed leaves", "seed leaves yellow", "no yellow seed leaves", YELLOW),
    SEED_CURLED("curled seed leaves", "seed leaves curled", "no curled seed leaves", CUPPED),
    SEED_CHEWED("chewed seed leaves", "seed leaves chewed", "no chewed seed leaves", CHEWED),
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
    private final @Nullable Symptom like;

    /** On the seed leaves, what speaks for a cause as it does on the leaves. */
    Symptom(String code, String label, String absent, Symptom like) {
        this(code, label, absent, SeedlingPart.COTYLEDON, like);
    }

    Symptom(String code, String label, String absent, SeedlingPart part) {
        this(code, label, absent, part, null);
    }

    Symptom(String code, String label, String absent, SeedlingPart part, @Nullable Symptom like) {
        this.like = like;
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

    /** The symptom whose evidence it is: its own, or that of leaves for what is seen on seed leaves. */
    public Symptom like() {
        return like == null ? this : like;
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
