package elsom.core.read;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A nutrient or ion that a strength may be of. Atomic weights: IUPAC 2021, abridged.
 *
 * @param molar g in a mole
 * @param charge of its ion
 */
record Ion(String symbol, double molar, int charge) {
    private static final Map<String, Ion> BY_NAME = Map.ofEntries(
            entry("n", "N", 14.007, 1),
            entry("nitrogen", "N", 14.007, 1),
            entry("p", "P", 30.974, 1),
            entry("phosphorus", "P", 30.974, 1),
            entry("k", "K", 39.0983, 1),
            entry("potassium", "K", 39.0983, 1),
            entry("ca", "Ca", 40.078, 2),
            entry("calcium", "Ca", 40.078, 2),
            entry("mg", "Mg", 24.305, 2),
            entry("magnesium", "Mg", 24.305, 2),
            entry("na", "Na", 22.98977, 1),
            entry("sodium", "Na", 22.98977, 1),
            entry("cl", "Cl", 35.453, 1),
            entry("chloride", "Cl", 35.453, 1),
            entry("s", "S", 32.06, 2),
            entry("sulphur", "S", 32.06, 2),
            entry("sulfur", "S", 32.06, 2),
            entry("so4", "SO4", 96.06, 2),
            entry("sulphate", "SO4", 96.06, 2),
            entry("sulfate", "SO4", 96.06, 2),
            entry("no3", "NO3", 62.005, 1),
            entry("nitrate", "NO3", 62.005, 1),
            entry("nh4", "NH4", 18.039, 1),
            entry("ammonium", "NH4", 18.039, 1),
            entry("hco3", "HCO3", 61.017, 1),
            entry("bicarbonate", "HCO3", 61.017, 1),
            entry("po4", "PO4", 94.971, 3),
            entry("phosphate", "PO4", 94.971, 3),
            entry("fe", "Fe", 55.845, 2),
            entry("iron", "Fe", 55.845, 2),
            entry("mn", "Mn", 54.938, 2),
            entry("manganese", "Mn", 54.938, 2),
            entry("zn", "Zn", 65.38, 2),
            entry("zinc", "Zn", 65.38, 2),
            entry("cu", "Cu", 63.546, 2),
            entry("copper", "Cu", 63.546, 2),
            entry("b", "B", 10.81, 3),
            entry("boron", "B", 10.81, 3));

    private static Map.Entry<String, Ion> entry(String name, String symbol, double molar, int charge) {
        return Map.entry(name, new Ion(symbol, molar, charge));
    }

    /** The unit of a strength whose note begins with an ion: "ppm N", which is mg/L of it. */
    static Optional<String> said(String note) {
        String first = note.split(" ", 2)[0];
        return BY_NAME.values().stream()
                .map(Ion::symbol)
                .filter(first::equals)
                .findFirst()
                .map(symbol -> "ppm " + symbol);
    }

    /** The ion a piece names. */
    static Optional<Ion> at(List<Token> tokens, int at) {
        return at >= 0 && at < tokens.size()
                ? Optional.ofNullable(BY_NAME.get(tokens.get(at).word()))
                : Optional.empty();
    }
}
