package elsom.core.formula;

import elsom.core.quantity.UnitOfMeasure;
import java.util.Arrays;
import java.util.Optional;

/** What a unit has besides what is read of it. */
public enum Known {
    AREA("area", "the container's opening", UnitOfMeasure.SQUARE_CENTIMETRE),
    VOLUME("volume", "the medium filled in", UnitOfMeasure.MILLILITRE),
    PLANTS("plants", "plants of a unit, by the plan", UnitOfMeasure.COUNT),
    SEEDS("seeds", "seeds sown in a unit, by the plan", UnitOfMeasure.COUNT),
    SEED_MASS("seed-mass", "seed sown in a unit, by the mass of a thousand", UnitOfMeasure.GRAM),
    AGE("days", "time since the trial's start", UnitOfMeasure.HOUR);

    private final String word;
    private final String meaning;
    private final UnitOfMeasure unit;

    Known(String word, String meaning, UnitOfMeasure unit) {
        this.word = word;
        this.meaning = meaning;
        this.unit = unit;
    }

    /** How it is written. */
    public String word() {
        return word;
    }

    public String meaning() {
        return meaning;
    }

    /** What its values are in. */
    public UnitOfMeasure unit() {
        return unit;
    }

    public static Optional<Known> named(String word) {
        return Arrays.stream(values()).filter(one -> one.word.equals(word)).findFirst();
    }
}
