package elsom.core.trial;

/** A colour that stays apart from its neighbours for people with any common colour vision. */
public enum Tint {
    WATER,
    BRICK,
    SLATE,
    OCHRE,
    MOSS,
    PLUM;

    /** The tint of the n-th treatment, 1-based. */
    public static Tint forTreatment(int number) {
        return values()[(number - 1) % values().length];
    }
}
