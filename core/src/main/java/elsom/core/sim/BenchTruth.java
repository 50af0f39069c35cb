package elsom.core.sim;

import elsom.core.protocol.growth.GrowthInPots;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.trial.Container;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;

/**
 * What each unit on a simulated bench really weighs and is, so that the simulated scale and meters have something to
 * see. Follows the readings already taken, so that typed and taken values go on from each other; else drawn from the
 * trial's seed, plants by the shared model of growth.
 */
public final class BenchTruth {
    private static final double WALL_G_PER_CM2 = 0.07;
    private static final double TARE_SPREAD = 0.02;
    private static final double FILL_SPREAD = 0.02;
    private static final double HELD_SPREAD = 0.035;
    private static final double RATE_SPREAD = 0.07;
    private static final double SHADE = 0.55;

    /** Plants that are cut and weighed grow with the room they have, less than in proportion. */
    private static final double PLANT_G = 0.12;

    /** Growth of what wants nothing that a good potting medium has. */
    private static final double PROSPERING =
            Living.in(Species.BROADLEAF, Surroundings.GOOD).growth();

    private static final double PLANT_POWER = 0.75;
    private static final double PLANT_SPREAD = 0.15;
    private static final double PLANT_DRY_SHARE = 0.11;

    private final TrialRecord record;
    private final Function<String, MediumTruth> media;
    private final PlantTruth plants;

    public BenchTruth(TrialRecord record) {
        this(record, MediumTruth::of);
    }

    /**
     * With media of one's own.
     *
     * @param media what each material is truly like
     */
    public BenchTruth(TrialRecord record, Function<String, MediumTruth> media) {
        this.record = record;
        this.media = media;
        this.plants = new PlantTruth(record, media);
    }

    /** What the plants of a unit live in. */
    public Living living(ExperimentalUnit unit) {
        return plants.living(unit);
    }

    /**
     * The true value of an observation in its endpoint's unit, as far as an instrument sees it.
     *
     * @throws java.util.NoSuchElementException if the trial has no such unit or look
     */
    public double of(ReadingRef what) {
        return plants.of(what)
                .orElseGet(() -> of(
                        record.unit(what.unit()).orElseThrow(),
                        record.look(what.look()).orElseThrow(),
                        what.endpoint()));
    }

    /** What is weighed of a unit, g, or how long its water drops, s. */
    public double of(ExperimentalUnit unit, Look look, EndpointCode endpoint) {
        Draw draw = new Draw(unit);
        if (endpoint.equals(WaterHolding.TARE)) {
            return draw.tare;
        }
        if (endpoint.equals(WaterHolding.DRY)) {
            return read(unit, WaterHolding.DRY).orElse(tare(unit, draw) + draw.dryMedium);
        }
        if (endpoint.equals(WaterHolding.DROP)) {
            return draw.dropSeconds;
        }
        if (!endpoint.equals(WaterHolding.WET)) {
            double fresh = draw.plantsG * plants.living(unit).growth() / PROSPERING;
            return endpoint.equals(GrowthInPots.SHOOT_DRY_MASS) ? fresh * PLANT_DRY_SHARE : fresh;
        }
        double dry = read(unit, WaterHolding.DRY).orElse(tare(unit, draw) + draw.dryMedium);
        double held = firstWet(unit).map(wet -> wet - dry).orElse(draw.held);
        double hours = Math.max(0, look.hoursAfterStart());
        double left = draw.medium.keeps() + (1 - draw.medium.keeps()) * Math.exp(-draw.rate * hours);
        return dry + held * left;
    }

    private double tare(ExperimentalUnit unit, Draw draw) {
        return read(unit, WaterHolding.TARE).orElse(draw.tare);
    }

    private Optional<Double> read(ExperimentalUnit unit, EndpointCode endpoint) {
        return record.looks().stream()
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look.number(), endpoint)).stream())
                .flatMap(reading -> Optional.ofNullable(reading.value()).stream())
                .findFirst();
    }

    private Optional<Double> firstWet(ExperimentalUnit unit) {
        return record.looks().stream()
                .filter(look -> look.hoursAfterStart() == 0)
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look.number(), WaterHolding.WET)).stream())
                .flatMap(reading -> Optional.ofNullable(reading.value()).stream())
                .findFirst();
    }

    /** What chance gave one unit. */
    private final class Draw {
        private final MediumTruth medium;
        private final double tare;
        private final double dryMedium;
        private final double held;
        private final double rate;
        private final double dropSeconds;
        private final double plantsG;

        Draw(ExperimentalUnit unit) {
            Random random = new Random(record.trial().seed() * 31 + unit.code().hashCode());
            Container container = record.container(unit);
            medium = media.apply(record.treatment(unit).material());
            double wall = container.areaCm2(container.depthCm())
                    + 2 * (container.topLengthCm() + container.topWidthCm()) * container.depthCm();
            tare = wall * WALL_G_PER_CM2 * (1 + TARE_SPREAD * random.nextGaussian());
            dryMedium = unit.filledVolumeMl() * medium.bulkDensity() * (1 + FILL_SPREAD * random.nextGaussian());
            held = unit.filledVolumeMl()
                    * medium.capacity(container.depthCm())
                    * (1 + HELD_SPREAD * random.nextGaussian());
            double exposure = unit.position().bench() == 1 ? 1 : SHADE;
            double depth = Math.sqrt(6 / container.depthCm());
            rate = medium.ratePerHour() * exposure * depth * (1 + RATE_SPREAD * random.nextGaussian());
            dropSeconds = Math.max(1, 12 * (1 + 0.4 * random.nextGaussian()));
            plantsG = PLANT_G
                    * Math.pow(unit.filledVolumeMl(), PLANT_POWER)
                    * Math.exp(PLANT_SPREAD * random.nextGaussian());
        }
    }
}
