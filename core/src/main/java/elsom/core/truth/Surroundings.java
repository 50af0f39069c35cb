package elsom.core.truth;

/**
 * What a plant lives in, on average over its time.
 *
 * @param water share of what the medium holds after draining, 0 to 1
 * @param air air-filled porosity, fraction
 * @param ph of the medium
 * @param ecMs of the saturated medium, mS/cm
 * @param nitrogenPpm of the root's water, mg/L
 * @param light mol/m² a day
 * @param residue auxin-type, in shares of a badly loaded lot
 */
public record Surroundings(
        double water, double air, double ph, double ecMs, double nitrogenPpm, double light, double residue) {
    /** A good potting medium in a bright place, watered every day. */
    public static final Surroundings GOOD = new Surroundings(0.8, 0.22, 6.2, 1.2, 120, 14, 0);

    private static final double CHARCOAL_LEAVES = 0.12;
    private static final double DAY_LENGTH_H = 14;
    private static final double SECONDS_PER_HOUR = 3600;
    private static final double MICRO = 1e6;

    public Surroundings water(double other) {
        return new Surroundings(other, air, ph, ecMs, nitrogenPpm, light, residue);
    }

    public Surroundings salty(double other) {
        return new Surroundings(water, air, ph, other, nitrogenPpm, light, residue);
    }

    public Surroundings nitrogen(double other) {
        return new Surroundings(water, air, ph, ecMs, other, light, residue);
    }

    public Surroundings light(double other) {
        return new Surroundings(water, air, ph, ecMs, nitrogenPpm, other, residue);
    }

    public Surroundings residue(double other) {
        return new Surroundings(water, air, ph, ecMs, nitrogenPpm, light, other);
    }

    /** The same with activated charcoal in the medium, which binds most of a residue. */
    public Surroundings withCharcoal() {
        return residue(residue * CHARCOAL_LEAVES);
    }

    /** The light as a meter shows it by day, µmol/m²/s. */
    public double photonFlux() {
        return light * MICRO / (DAY_LENGTH_H * SECONDS_PER_HOUR);
    }

    /** The day's light, mol/m², of what a meter shows. */
    public static double dayOf(double photonFlux) {
        return photonFlux * DAY_LENGTH_H * SECONDS_PER_HOUR / MICRO;
    }
}
