package elsom.core.protocol;

import elsom.core.plan.Direction;
import elsom.core.plan.Measure;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import org.jspecify.annotations.Nullable;

/** A measure while its parts are named one by one. */
public final class MeasureParts {
    private final EndpointCode code;
    private String label;
    private UnitOfMeasure unit = UnitOfMeasure.COUNT;
    private double highest = 1;
    private int decimals;
    private Counting counting = Counting.SINGLE;
    private int size = 1;
    private Direction better = Direction.EITHER;
    private double cv = 0.1;
    private int seconds;
    private String rule = "";
    private @Nullable EndpointCode readOf;

    private MeasureParts(String code, String label) {
        this.code = new EndpointCode(code);
        this.label = label;
    }

    public static MeasureParts of(String code, String label) {
        return new MeasureParts(code, label);
    }

    public MeasureParts in(UnitOfMeasure measured) {
        this.unit = measured;
        return this;
    }

    /** The highest value that can be true; the lowest is 0. */
    public MeasureParts highest(double value) {
        this.highest = value;
        return this;
    }

    public MeasureParts decimals(int shown) {
        this.decimals = shown;
        return this;
    }

    /** Several readings of a unit, averaged first. */
    public MeasureParts readings(int each) {
        this.counting = Counting.SUB_READINGS;
        this.size = each;
        return this;
    }

    /** A count among the seeds sown. */
    public MeasureParts ofSeeds() {
        this.counting = Counting.OF_SEEDS;
        return this;
    }

    /** A count among the plants of a unit. */
    public MeasureParts ofPlants() {
        this.counting = Counting.OF_PLANTS;
        return this;
    }

    public MeasureParts better(Direction way) {
        this.better = way;
        return this;
    }

    /** What units of one treatment usually scatter, as a fraction of their mean. */
    public MeasureParts typicalCv(double fraction) {
        this.cv = fraction;
        return this;
    }

    public MeasureParts secondsEach(int aUnit) {
        this.seconds = aUnit;
        return this;
    }

    public MeasureParts rule(String words) {
        this.rule = words;
        return this;
    }

    /** Adds to the rule of a measure that several kinds of trial share. */
    public MeasureParts also(String words) {
        return rule(rule + "; " + words);
    }

    /** What it is called in this kind of trial. */
    public MeasureParts named(String words) {
        this.label = words;
        return this;
    }

    /** Read only of what a count counted; nothing is read of none. */
    public MeasureParts readOf(String count) {
        this.readOf = new EndpointCode(count);
        return this;
    }

    public Measure made() {
        return Measure.byHand(
                new Endpoint(code, label, unit, counting, size, 0, highest, decimals, readOf),
                rule,
                "",
                0,
                better,
                cv,
                seconds);
    }
}
