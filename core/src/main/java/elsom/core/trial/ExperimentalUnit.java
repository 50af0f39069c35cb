package elsom.core.trial;

import elsom.core.quantity.Bounds;

/**
 * What was randomised: a filled container.
 *
 * @param treatment the treatment's number
 * @param replicate 1-based within the treatment and bench
 * @param filledVolumeMl the volume of medium in it
 * @param block 1-based within the trial
 */
public record ExperimentalUnit(
        UnitCode code,
        int treatment,
        int replicate,
        String container,
        double filledVolumeMl,
        int block,
        BenchPosition position) {
    public static final double SMALLEST_ML = 0.001;
    public static final double LARGEST_ML = 1_000_000;

    public ExperimentalUnit {
        Bounds.present("a unit's code", code);
        Bounds.number("filled volume of " + code + " in mL", filledVolumeMl, SMALLEST_ML, LARGEST_ML);
        Bounds.name("the container of " + code, container, Bounds.NAME);
        Bounds.count("treatment of " + code, treatment, 1, Bounds.TREATMENTS);
        Bounds.count("replicate of " + code, replicate, 1, Bounds.UNITS);
        Bounds.count("block of " + code, block, 1, Bounds.UNITS);
        Bounds.present("the place of " + code, position);
    }

    /** The same unit on another place. */
    public ExperimentalUnit at(BenchPosition place, int inBlock) {
        return new ExperimentalUnit(code, treatment, replicate, container, filledVolumeMl, inBlock, place);
    }

    ExperimentalUnit as(int otherTreatment, int otherReplicate) {
        return new ExperimentalUnit(code, otherTreatment, otherReplicate, container, filledVolumeMl, block, position);
    }
}
