package elsom.core.plan;

/** What a question states of a treatment beside what it is held against. */
public enum Claim {
    HIGHER("higher", Direction.HIGHER),
    LOWER("lower", Direction.LOWER),
    DIFFERENT("different", Direction.EITHER),
    /** Not worse by what matters: judged from one side (non-inferiority). */
    AS_GOOD("as good", Direction.EITHER),
    /** No difference that matters, either way (equivalence). */
    ALIKE("the same", Direction.EITHER),
    AT_LEAST("at least", Direction.HIGHER),
    AT_MOST("at most", Direction.LOWER);

    private final String label;
    private final Direction direction;

    Claim(String label, Direction direction) {
        this.label = label;
        this.direction = direction;
    }

    public String label() {
        return label;
    }

    /** The way it is hoped to go; either where the endpoint itself says which way is better. */
    public Direction direction() {
        return direction;
    }

    /** Whether it holds treatments against a figure that is fixed beforehand. */
    public boolean fixed() {
        return this == AT_LEAST || this == AT_MOST;
    }

    /** Whether it can't be judged before somebody says which difference matters. */
    public boolean needsMargin() {
        return this == AS_GOOD || this == ALIKE;
    }

    static Claim of(Direction direction) {
        return switch (direction) {
            case HIGHER -> HIGHER;
            case LOWER -> LOWER;
            case EITHER -> DIFFERENT;
        };
    }
}
