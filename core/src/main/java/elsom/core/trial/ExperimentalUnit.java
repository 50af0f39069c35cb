package elsom.core.trial;

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
    public static final double LARGEST_ML = 1_000_000;

    public ExperimentalUnit {
        if (!(filledVolumeMl > 0 && filledVolumeMl <= LARGEST_ML)) {
            throw new IllegalArgumentException("filled volume of " + code + " must be above 0 and at most " + LARGEST_ML
                    + " mL, got " + filledVolumeMl);
        }
        if (replicate < 1 || block < 1 || treatment < 1) {
            throw new IllegalArgumentException("treatment, replicate and block of " + code + " start at 1");
        }
    }

    /** The same unit on another place. */
    public ExperimentalUnit at(BenchPosition place, int inBlock) {
        return new ExperimentalUnit(code, treatment, replicate, container, filledVolumeMl, inBlock, place);
    }

    ExperimentalUnit as(int otherTreatment, int otherReplicate) {
        return new ExperimentalUnit(code, otherTreatment, otherReplicate, container, filledVolumeMl, block, position);
    }
}
