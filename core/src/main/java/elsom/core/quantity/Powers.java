package elsom.core.quantity;

/**
 * What a measure is made of, as powers of what it is built from: a density is mass 1, length −3. A bare number, a share and
 * a count have no power at all.
 */
public record Powers(
        int mass, int length, int time, int temperature, int conductivity, int acidity, int score, int light) {
    public static final Powers NONE = new Powers(0, 0, 0, 0, 0, 0, 0, 0);
    static final Powers MASS = new Powers(1, 0, 0, 0, 0, 0, 0, 0);
    static final Powers LENGTH = new Powers(0, 1, 0, 0, 0, 0, 0, 0);
    static final Powers TIME = new Powers(0, 0, 1, 0, 0, 0, 0, 0);
    static final Powers TEMPERATURE = new Powers(0, 0, 0, 1, 0, 0, 0, 0);
    static final Powers CONDUCTIVITY = new Powers(0, 0, 0, 0, 1, 0, 0, 0);
    static final Powers ACIDITY = new Powers(0, 0, 0, 0, 0, 1, 0, 0);
    static final Powers SCORE = new Powers(0, 0, 0, 0, 0, 0, 1, 0);
    static final Powers LIGHT = new Powers(0, 0, 0, 0, 0, 0, 0, 1);

    public Powers times(Powers other) {
        return plus(other, 1);
    }

    public Powers over(Powers other) {
        return plus(other, -1);
    }

    Powers to(int power) {
        return NONE.plus(this, power);
    }

    private Powers plus(Powers other, int factor) {
        return new Powers(
                mass + factor * other.mass,
                length + factor * other.length,
                time + factor * other.time,
                temperature + factor * other.temperature,
                conductivity + factor * other.conductivity,
                acidity + factor * other.acidity,
                score + factor * other.score,
                light + factor * other.light);
    }
}
