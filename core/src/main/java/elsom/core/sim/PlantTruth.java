package elsom.core.sim;

import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Bench;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.LightMap;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Growth;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * What plants on the simulated bench live in, by the medium, the dose and the light of each unit, and what instruments
 * held to them see: the model of {@link Growth} with this trial's figures. What was read goes before what the model says:
 * the model only carries it on.
 */
final class PlantTruth {
    private static final EndpointCode STEM = new EndpointCode("stem-diameter");
    private static final EndpointCode GREENNESS = new EndpointCode("greenness");
    private static final double HEIGHT_MM = 260;
    private static final double STEM_MM = 5;
    private static final double GREEN = 40;

    /** Watered each morning; a medium that dries fast has less of its water on average. */
    private static final double MEAN_HOURS_DRYING = 12;

    private static final double ORGANIC_G_PER_ML = 1.55;
    private static final double MINERAL_G_PER_ML = 2.65;

    /** Most doses dissolve; the strongest of a series adds so much to what is in the water. */
    private static final double STRONGEST_ADDS_MS = 3;

    private static final double DRAINED_FOR_SATURATED = 1.3;
    private static final double VIGOUR_SPREAD = 0.08;
    private static final double PLANT_SPREAD = 0.05;
    private static final double CONSTANT_SPREAD = 0.02;

    private final TrialRecord record;
    private final Function<String, MediumTruth> media;

    PlantTruth(TrialRecord record, Function<String, MediumTruth> media) {
        this.record = record;
        this.media = media;
    }

    /** What the plants of a unit live in. */
    Living living(ExperimentalUnit unit) {
        Treatment treatment = record.treatment(unit);
        MediumTruth medium = media.apply(treatment.material());
        SolutionTruth solution = SolutionTruth.of(treatment.material());
        double held = medium.capacity(record.container(unit).depthCm());
        double particles = ORGANIC_G_PER_ML + (MINERAL_G_PER_ML - ORGANIC_G_PER_ML) * Math.min(1, medium.bulkDensity());
        Surroundings at = new Surroundings(
                Math.exp(-medium.ratePerHour() * MEAN_HOURS_DRYING),
                Math.max(0.01, 1 - medium.bulkDensity() / particles - held),
                solution.ph(),
                solution.ecMs() + STRONGEST_ADDS_MS * strength(treatment),
                solution.nitrogenPpm(),
                light(unit),
                solution.residue());
        boolean charcoal = treatment.name().toLowerCase(Locale.ROOT).contains("with charcoal");
        return Living.in(species(treatment), charcoal ? at.withCharcoal() : at);
    }

    private Species species(Treatment treatment) {
        return IndicatorGroup.of(treatment.name())
                .or(() -> IndicatorGroup.of(record.trial().question()))
                .map(group -> switch (group) {
                    case LEGUME -> Species.LEGUME;
                    case GRASS -> Species.GRASS;
                    case BROADLEAF -> Species.BROADLEAF;
                })
                .orElse(Species.BROADLEAF);
    }

    /** The dose as a share of the series' strongest; 0 where nothing is dosed. */
    private double strength(Treatment treatment) {
        double strongest = record.treatments().stream()
                .mapToDouble(one -> one.property(TreatmentProperty.DOSE).orElse(0))
                .max()
                .orElse(0);
        return strongest > 0 ? treatment.property(TreatmentProperty.DOSE).orElse(0) / strongest : 0;
    }

    private double light(ExperimentalUnit unit) {
        Bench bench = record.bench(unit.position().bench());
        return bench.lightMap().equals(LightMap.NONE)
                ? Surroundings.GOOD.light()
                : Surroundings.dayOf(bench.lightAt(unit.position()));
    }

    /**
     * What an instrument held to the unit sees, in the endpoint's unit, on from what was read of it before, or of its
     * neighbours now.
     *
     * @return empty for what no instrument is held to
     */
    OptionalDouble of(ReadingRef what) {
        OptionalDouble model = model(what);
        return model.isEmpty() ? model : OptionalDouble.of(before(what).orElseGet(() -> beside(what, model)));
    }

    private OptionalDouble before(ReadingRef what) {
        return IntStream.iterate(what.look(), look -> look >= 1, look -> look - 1)
                .mapToObj(look -> new ReadingRef(what.unit(), look, what.endpoint(), what.subReading()))
                .flatMap(ref -> carried(ref, what).stream())
                .mapToDouble(Double::doubleValue)
                .findFirst();
    }

    private double beside(ReadingRef what, OptionalDouble model) {
        int treatment = record.unit(what.unit()).orElseThrow().treatment();
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .map(unit -> new ReadingRef(unit.code(), what.look(), what.endpoint(), what.subReading()))
                .flatMap(ref -> carried(ref, what).stream())
                .mapToDouble(Double::doubleValue)
                .average()
                .orElseGet(model::getAsDouble);
    }

    /** A reading carried on to another unit or look as the model goes; pH by its difference, all else by its factor. */
    private Optional<Double> carried(ReadingRef from, ReadingRef to) {
        return record.current(from).flatMap(reading -> {
            Double read = reading.value();
            double there = model(from).orElse(0);
            double here = model(to).orElse(0);
            if (read == null) {
                return Optional.empty();
            }
            return Optional.of(
                    record.endpoint(to.endpoint()).unit().dimension() == Dimension.ACIDITY
                            ? read + here - there
                            : there > 0 ? read * here / there : read);
        });
    }

    private OptionalDouble model(ReadingRef what) {
        ExperimentalUnit unit = record.unit(what.unit()).orElseThrow();
        Look look = record.look(what.look()).orElseThrow();
        Endpoint endpoint = record.endpoint(what.endpoint());
        Living living = living(unit);
        Random random = new Random(record.trial().seed() * 31 + unit.code().hashCode() * 7L + what.subReading());
        double deviate = random.nextGaussian();
        double grown = 1 + Math.hypot(VIGOUR_SPREAD, PLANT_SPREAD) * deviate;
        double steady = 1 + CONSTANT_SPREAD * deviate;
        if (endpoint.code().equals(GREENNESS)) {
            return OptionalDouble.of(GREEN * greenness(living) * steady);
        }
        return switch (endpoint.unit().dimension()) {
            case LENGTH -> {
                double full = endpoint.code().equals(STEM) ? STEM_MM : HEIGHT_MM;
                yield in(endpoint, living.stature(full, days(look), lastDay()) * grown, UnitOfMeasure.MILLIMETRE);
            }
            case ACIDITY -> OptionalDouble.of(living.at().ph() * steady);
            case CONDUCTIVITY ->
                in(
                        endpoint,
                        living.at().ecMs() * DRAINED_FOR_SATURATED * steady,
                        UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE);
            case LIGHT -> OptionalDouble.of(living.at().photonFlux() * steady);
            default -> OptionalDouble.empty();
        };
    }

    /** Leaves are pale where nitrogen is short. */
    private static double greenness(Living living) {
        double asked = Surroundings.GOOD.nitrogenPpm();
        return 0.5 + 0.5 * Math.min(1, living.at().nitrogenPpm() / asked);
    }

    private static OptionalDouble in(Endpoint endpoint, double value, UnitOfMeasure unit) {
        return OptionalDouble.of(new Quantity(value, unit).in(endpoint.unit()).value());
    }

    private static double days(Look look) {
        return Math.max(1, look.hoursAfterStart() / 24);
    }

    private double lastDay() {
        return days(record.looks().get(record.looks().size() - 1));
    }
}
