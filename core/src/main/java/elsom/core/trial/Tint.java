package elsom.core.trial;

/** A colour that stays apart from its neighbours for people with any common colour vision. */
public enum Tint {
    WATER,
    BRICK,
    SLATE,
    OCHRE,
    MOSS,
    PLUM;

    /** The tint of the n-th treatment, 1-based; a texture that comes back does so in another tint. */
    public static Tint forTreatment(int number) {
        int round = (number - 1) / Texture.PATTERNS;
        return values()[(number - 1 + round * values().length / 2) % values().length];
    }
}
