package elsom.core.material;

import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;

/**
 * How a batch of a mix is made.
 *
 * @param volumeMl after settling
 * @param settling share of the loose volume that mixing and tapping down take away, 0 to below 1
 * @param lines in the order of mixing
 * @param cautions what to heed, each once
 */
public record Batch(double volumeMl, double settling, List<Line> lines, List<String> cautions) {
    /** A container that is full but for a rounding is full. */
    private static final double WHOLE = 1e-9;

    /**
     * One part.
     *
     * @param looseMl to measure out, loosely filled
     * @param massG where its bulk density is known
     * @param price where that of a litre is known, in any money
     * @param how "pre-wet it first", or empty
     */
    public record Line(
            String material, double share, double looseMl, OptionalDouble massG, OptionalDouble price, String how) {}

    public Batch {
        lines = List.copyOf(lines);
        cautions = List.copyOf(cautions);
    }

    /**
     * The batch.
     *
     * @param shelf finds the lot of a part; a part without one has no mass and no cautions of its own
     */
    public static Batch of(Mix mix, double volumeMl, double settling, Function<String, Optional<Lot>> shelf) {
        double tapped = mix.parts().size() == 1 ? 0 : settling;
        List<Mix.Part> ordered = mix.parts().stream()
                .sorted(Comparator.<Mix.Part>comparingInt(part -> turn(shelf.apply(part.material())))
                        .thenComparing(Mix.Part::parts, Comparator.reverseOrder()))
                .toList();
        List<Line> lines = new ArrayList<>();
        Set<String> cautions = new LinkedHashSet<>();
        for (Mix.Part part : ordered) {
            Optional<Lot> lot = shelf.apply(part.material());
            double loose = mix.looseMl(part, volumeMl, tapped);
            OptionalDouble density =
                    lot.map(found -> found.value(Property.DENSITY)).orElse(OptionalDouble.empty());
            lines.add(new Line(
                    part.material(),
                    part.parts() / mix.total(),
                    loose,
                    density.isPresent()
                            ? OptionalDouble.of(density.getAsDouble() * loose / 1000)
                            : OptionalDouble.empty(),
                    priced(lot, loose),
                    lot.map(Batch::how).orElse("")));
            lot.ifPresent(found -> heed(found, cautions));
        }
        return new Batch(volumeMl, tapped, lines, List.copyOf(cautions));
    }

    private static OptionalDouble priced(Optional<Lot> lot, double looseMl) {
        return lot.map(found -> found.value(Property.PRICE)).orElse(OptionalDouble.empty()).stream()
                .map(litre -> litre * looseMl / 1000)
                .findFirst();
    }

    /** What it costs, in the money of its lots; empty while the price of a part is not known. */
    public OptionalDouble price() {
        return lines.stream().anyMatch(line -> line.price().isEmpty())
                ? OptionalDouble.empty()
                : OptionalDouble.of(lines.stream()
                        .mapToDouble(line -> line.price().orElseThrow())
                        .sum());
    }

    /** How many containers it fills to the top. */
    public double fills(double containerMl) {
        return Math.floor(volumeMl / containerMl + WHOLE);
    }

    /** What of a part goes into one container, loosely filled, mL. */
    public double looseIn(Line line, double containerMl) {
        return line.looseMl() * containerMl / volumeMl;
    }

    /** Bulky fibres first, so that grit does not sink through them; what is spread thinly goes on last. */
    private static int turn(Optional<Lot> lot) {
        return lot.map(found -> switch (found.kind()) {
                    case ORGANIC -> 0;
                    case COMPOST, MIX -> 1;
                    case MINERAL -> 2;
                    case EXTRACT -> 3;
                    case AMENDMENT, FEED, CHEMICAL -> 4;
                })
                .orElse(1);
    }

    private static String how(Lot lot) {
        if (lot.prepared().contains(Preparation.FLOATS)) {
            return "wet it a day before: dry it floats";
        }
        return switch (lot.kind()) {
            case ORGANIC -> lot.prepared().contains(Preparation.PRE_WETTED) ? "" : "damp it down first";
            case AMENDMENT, FEED, CHEMICAL -> "strew it thinly over the spread heap, then turn three times";
            default -> "";
        };
    }

    private static void heed(Lot lot, Set<String> cautions) {
        switch (lot.kind()) {
            case ORGANIC, MINERAL ->
                cautions.add("Dust harms lungs: damp down, mix outdoors or with the door open, wear a fine-dust mask.");
            case COMPOST ->
                cautions.add(
                        "Composts carry moulds and bacteria, Legionella among them: damp down, mask, gloves, wash hands.");
            case AMENDMENT, CHEMICAL ->
                cautions.add(
                        "Lime and other powders burn eyes and wet skin: goggles and gloves; the label rules over this.");
            case EXTRACT, FEED, MIX -> {
                // Nothing beyond the lot's own cautions.
            }
        }
        if (!lot.cautions().isBlank()) {
            cautions.add(lot.name() + ": " + lot.cautions());
        }
    }
}
