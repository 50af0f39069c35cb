package elsom.core.read;

import elsom.core.quantity.Powers;

/**
 * One meaning of a unit's spelling.
 *
 * @param name said back, and read as this meaning alone
 * @param powers of g, cm and h that it is made of
 * @param factor one of it in g, cm and h
 * @param nature what else it is: a plain amount, or one that needs more to be one
 * @param kitchen whether spoons and cups vary, so that the size is said back
 */
record Unit(String name, Powers powers, double factor, Nature nature, boolean kitchen) {
    /** What kind of unit it is beside its powers. */
    enum Nature {
        PLAIN,
        CELSIUS,
        FAHRENHEIT,
        KELVIN,
        /** Degrees of nobody says which scale. */
        DEGREES,
        CONDUCTIVITY,
        PERCENT,
        PPM,
        /** Milliequivalents and millimoles: mass with their ion. */
        MEQ,
        MMOL,
        MONTH,
        YEAR,
        PH,
        COUNT
    }

    Unit per(Unit other) {
        return new Unit(
                name + "/" + other.name,
                powers.over(other.powers),
                factor / other.factor,
                nature,
                kitchen || other.kitchen);
    }
}
