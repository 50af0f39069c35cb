package elsom.core.trial;

/** The drawn pattern that tells treatments apart in black and white; paired with a {@link Tint}. */
public enum Texture {
    FIBRES,
    BRICKS,
    DOTS,
    HATCH,
    WAVES,
    GRAINS,
    CROSSES,
    RINGS,
    FLECKS,
    CHEVRONS,
    LATTICE,
    BARS,
    /** No pattern: what every unit looks like while a trial is blind. */
    PLAIN;

    static final int PATTERNS = 12;

    /** How a pattern is drawn when it comes back, so that black and white print tells it from the first. */
    public enum Weave {
        DARK_ON_LIGHT,
        LIGHT_ON_DARK,
        LARGE;

        /** The weave of the n-th treatment, 1-based. */
        public static Weave forTreatment(int number) {
            return values()[(number - 1) / PATTERNS % values().length];
        }
    }

    /** The texture of the n-th treatment, 1-based; each is used once before any comes back. */
    public static Texture forTreatment(int number) {
        return values()[(number - 1) % PATTERNS];
    }
}
