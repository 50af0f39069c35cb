package elsom.core.practice;

import elsom.core.truth.Living;

/** What is read of a unit, before its instrument rounds it. */
final class PlantReading {
    private static final double POT_G = 34;
    private static final double EYE = 0.45;

    private PlantReading() {}

    /** Of the shoots of a unit at the end, g. */
    static double freshMass(Living living, double deviate, Setting setting) {
        return POT_G * living.growth() * Math.exp(setting.scatter() * deviate);
    }

    /** By eye, 0 to 10: what is there differs from unit to unit, most where half is hurt; and eyes differ. */
    static double injury(Living living, double days, double deviate, Setting setting) {
        double truly = living.injury(days);
        double spread = EYE + 3 * setting.scatter() * truly * (10 - truly) / 25;
        return Math.max(0, Math.min(10, truly + 0.2 + spread * deviate));
    }
}
