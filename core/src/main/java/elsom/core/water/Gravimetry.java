package elsom.core.water;

import elsom.core.stats.Outcome;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Gravimetric retention of one unit: the water in it by weighing, 1 g taken as 1 mL. Masses in g, volumes in mL,
 * fractions 0–1 of the filled volume unless named otherwise.
 *
 * @param tareG the empty container
 * @param dryG container and dry medium
 * @param wet container and wet medium; the first is after soaking and free drainage, the rest in order of time
 * @param filledVolumeMl volume of medium
 * @param organicMatter fraction of the dry mass, where known
 */
public record Gravimetry(
        double tareG, double dryG, List<TimedMass> wet, double filledVolumeMl, OptionalDouble organicMatter) {
    /** Densities of organic matter and of minerals in g/cm³ that EN 13041 computes particle density from. */
    public static final double ORGANIC_DENSITY = 1.55;

    public static final double MINERAL_DENSITY = 2.65;

    public Gravimetry {
        if (!(tareG >= 0) || !(dryG > tareG)) {
            throw new IllegalArgumentException("the dry weight (" + dryG
                    + " g) must be above that of the empty container (" + tareG + " g), which must be 0 or more");
        }
        if (!(filledVolumeMl > 0) || Double.isInfinite(filledVolumeMl)) {
            throw new IllegalArgumentException("filled volume must be above 0 mL, got " + filledVolumeMl);
        }
        if (organicMatter.isPresent() && !(organicMatter.getAsDouble() >= 0 && organicMatter.getAsDouble() <= 1)) {
            throw new IllegalArgumentException(
                    "organic matter is a fraction from 0 to 1, got " + organicMatter.getAsDouble());
        }
        wet = List.copyOf(wet);
    }

    public double dryMassG() {
        return dryG - tareG;
    }

    /** Water in the unit at a weighing; negative if it weighs less than when dry. */
    public double waterMl(TimedMass weighing) {
        return weighing.grams() - dryG;
    }

    /** Water held after free drainage. */
    public Outcome<Double> heldMl() {
        return wet.isEmpty()
                ? Outcome.notEstimable("Not weighed after draining yet")
                : Outcome.found(waterMl(wet.get(0)));
    }

    /** Water by volume at a weighing, θ. */
    public double waterByVolume(TimedMass weighing) {
        return waterMl(weighing) / filledVolumeMl;
    }

    /** θ at the end of free drainage. */
    public Outcome<Double> containerCapacity() {
        return heldMl().then(held -> Outcome.found(held / filledVolumeMl));
    }

    /** Water held after draining over dry mass. */
    public Outcome<Double> waterByDryMass() {
        return heldMl().then(held -> Outcome.found(held / dryMassG()));
    }

    /** Dry mass over filled volume, g/mL. */
    public double bulkDensity() {
        return dryMassG() / filledVolumeMl;
    }

    /** Particle density in g/cm³ from the organic matter fraction (EN 13041). */
    public static double particleDensity(double organicMatter) {
        return 1 / (organicMatter / ORGANIC_DENSITY + (1 - organicMatter) / MINERAL_DENSITY);
    }

    /** The share of the volume that is not solid. */
    public Outcome<Double> totalPorosity() {
        if (organicMatter.isEmpty()) {
            return Outcome.notEstimable("The share of organic matter is not known, so neither is the pore space");
        }
        double porosity = 1 - bulkDensity() / particleDensity(organicMatter.getAsDouble());
        return porosity > 0
                ? Outcome.found(porosity)
                : Outcome.notEstimable("Heavier than solid: check the filled volume and the weights");
    }

    /** Total porosity less container capacity. */
    public Outcome<Double> airFilledPorosity() {
        return totalPorosity()
                .then(porosity -> containerCapacity().then(held -> {
                    double air = porosity - held;
                    return air >= 0
                            ? Outcome.found(air)
                            : Outcome.notEstimable(
                                    "More water than pore space: the organic matter or the filled volume is off");
                }));
    }

    /** The share of the water held after draining that is gone by a weighing. */
    public Outcome<Double> lostBy(TimedMass weighing) {
        return heldMl().then(held -> held > 0
                ? Outcome.found((held - waterMl(weighing)) / held)
                : Outcome.notEstimable("It held no water to lose"));
    }

    /** The weight at which a share of the water first held is left: water when below this. */
    public Outcome<Double> refillWeightG(double share) {
        if (!(share > 0 && share < 1)) {
            throw new IllegalArgumentException("refill share must be above 0 and below 1, got " + share);
        }
        return heldMl().then(held ->
                held > 0 ? Outcome.found(dryG + share * held) : Outcome.notEstimable("It held no water to lose"));
    }
}
