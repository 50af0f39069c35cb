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
    BARS;

    /** The texture of the n-th treatment, 1-based; each is used once before any comes back. */
    public static Texture forTreatment(int number) {
        return values()[(number - 1) % values().length];
    }
}
