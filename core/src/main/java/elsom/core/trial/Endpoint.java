package elsom.core.trial;

import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Value;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Something measured.
 *
 * @param name in a grower's words
 * @param unit what values are stored in
 * @param size how many sub-readings, or the k in "of k"; 1 for a single value
 * @param lowest the lowest value that can be true
 * @param highest the highest value that can be true
 * @param decimals how many decimals the usual instrument shows
 * @param readOf the count whose things this is read of, as roots are of rooted cuttings: nothing is read of none; null
 *     when it is read of the unit itself
 */
public record Endpoint(
        EndpointCode code,
        String name,
        UnitOfMeasure unit,
        Counting counting,
        int size,
        double lowest,
        double highest,
        int decimals,
        @Nullable EndpointCode readOf) {
    public Endpoint {
        Bounds.present("an endpoint's code", code);
        Bounds.name("an endpoint's name", name, Bounds.NAME);
        Bounds.present("an endpoint's unit", unit);
        Bounds.count("the size of endpoint " + code, size, 1, Bounds.present("counting", counting).largest);
        Bounds.number("the lowest value of " + code, lowest, -Bounds.LARGEST, Bounds.LARGEST);
        Bounds.number("the highest value of " + code, highest, -Bounds.LARGEST, Bounds.LARGEST);
        Bounds.count("decimals of " + code, decimals, 0, Bounds.DECIMALS);
        if (code.equals(readOf)) {
            throw new IllegalArgumentException("endpoint " + code + " can't be read of itself");
        }
        if (!(lowest < highest)) {
            throw new IllegalArgumentException(
                    "endpoint " + code + " needs lowest below highest, got " + lowest + " and " + highest);
        }
    }

    public static Endpoint single(
            EndpointCode code, String name, UnitOfMeasure unit, double lowest, double highest, int decimals) {
        return new Endpoint(code, name, unit, Counting.SINGLE, 1, lowest, highest, decimals, null);
    }

    /** A count of so many of a known number. */
    public static Endpoint counted(EndpointCode code, String name, int among) {
        return new Endpoint(code, name, UnitOfMeasure.COUNT, Counting.COUNT_OF, among, 0, among, 0, null);
    }

    /** A place among units that are ranked side by side, 1 the best. */
    public static Endpoint place(EndpointCode code, String name) {
        return new Endpoint(code, name, UnitOfMeasure.COUNT, Counting.PLACE, 1, 1, Bounds.COUNTED, 0, null);
    }

    /** What is seen, in words: the value only says that there are some. */
    public static Endpoint words(EndpointCode code, String name) {
        return new Endpoint(code, name, UnitOfMeasure.COUNT, Counting.WORDS, 1, 0, 1, 0, null);
    }

    /** Whether something can be worked out from its values. */
    public boolean measured() {
        return counting.form != ReadingForm.WORDS;
    }

    /** Whether its units are put in order side by side. */
    public boolean ranked() {
        return counting.form == ReadingForm.PLACE;
    }

    /** Whether somebody reads it: neither a sensor's series nor a formula gives it. */
    public boolean byHand() {
        return counting.source == Counting.Source.HAND;
    }

    /** Whether a sensor's series gives it. */
    public boolean bySensor() {
        return counting.source == Counting.Source.SENSOR;
    }

    /** Whether a formula gives it. */
    public boolean byFormula() {
        return counting.source == Counting.Source.FORMULA;
    }

    /**
     * Reads what somebody typed, at the bench or in a file: "48.5 g", a total with its tare, "1.85 at 18 °C", "7 of 10"
     * for a count, or words; refuses what the endpoint can't have, with the range it can.
     */
    public Typed typed(String text) {
        return counting.form.typed(text, this);
    }

    /** What may be typed. */
    public String example() {
        return counting.form.example(this);
    }

    /**
     * What a unit's readings at one look say together: the mean of sub-readings, a count of what there was.
     *
     * @param readings that stand, with values
     * @return empty where nothing was read, or nothing that can be
     */
    public Optional<Value> seen(List<Reading> readings) {
        return readings.isEmpty() ? Optional.empty() : counting.form.seen(readings, this);
    }

    /** What sort of thing statistics take it for. */
    public EndpointKind judged() {
        return counting.form.judged(unit);
    }

    /** How many it is counted among; 0 for what is no count. */
    public int among() {
        return counting.form.among(this);
    }

    /** The least step between two values. */
    public double resolution() {
        return counting.form.resolution(this);
    }

    /** A difference in what is read, as it is judged: of a count, the share. */
    public double judged(double difference) {
        return among() > 0 ? difference / among() : difference;
    }

    /** What speaks against a value beside those of other units. */
    public Optional<String> problem(TrialRecord record, ReadingRef ref, double value) {
        return counting.form.problem(record, ref, value);
    }

    /** Units that have the same value where each should have its own: places given twice. */
    public Optional<String> shared(TrialRecord record, ReadingRef ref, double value) {
        return counting.form.shared(record, ref, value);
    }

    /** What a unit that died has, where its death is an end of the scale: injury is whole, of its plants none live. */
    public Optional<Value> whenDead() {
        if (takesSymptoms()) {
            return Optional.of(new Value.Measured(highest));
        }
        return EndpointCode.LIVING.contains(code) && among() > 0
                ? Optional.of(new Value.CountOf(0, among()))
                : Optional.empty();
    }

    /** Whether what was typed says more than the value. */
    public boolean keepsText() {
        return takesSymptoms() || !measured();
    }

    /** How many readings one unit has at a look. */
    public int readingsEach() {
        return among() > 0 ? 1 : size;
    }

    /**
     * The endpoint as a trial of so many plants and seeds a unit reads it: counts know what they are of.
     *
     * @return itself where there is nothing to count among
     */
    public Endpoint counted(int plants, int seeds) {
        int among = switch (counting.among) {
            case SEEDS -> seeds;
            case PLANTS -> plants;
            case NOTHING, KNOWN -> -1;
        };
        if (among < 0) {
            return this;
        }
        return among > 0
                ? new Endpoint(code, name, unit, Counting.COUNT_OF, among, 0, among, 0, readOf)
                : new Endpoint(code, name, unit, Counting.SINGLE, 1, lowest, highest, decimals, readOf);
    }

    /** Whether symptoms may stand beside its score, as in "7 cupped, twisted". */
    public boolean takesSymptoms() {
        return code.equals(EndpointCode.INJURY) && counting.form == ReadingForm.NUMBER && byHand() && size == 1;
    }

    /** Whether only whole numbers can be: counted things without decimals. */
    public boolean whole() {
        return unit == UnitOfMeasure.COUNT && decimals == 0;
    }

    /** True for a value that can be; false for NaN. */
    public boolean allows(double value) {
        return value >= lowest && value <= highest && (!whole() || value == Math.rint(value));
    }

    /** What can be, in words: "whole numbers from 0 to 8". */
    public String allowed() {
        return (whole() ? "whole numbers from " : "") + Decimals.upTo(lowest, decimals + 2) + " to "
                + (Decimals.upTo(highest, decimals + 2) + " " + unit.symbol(highest)).strip();
    }
}
