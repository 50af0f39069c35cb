package elsom.core.material;

import elsom.core.mix.CheapestMix;
import elsom.core.mix.MixPart;
import elsom.core.mix.MixWindow;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.stats.Outcome;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** The cheapest mix of a shelf that is fit for a use. */
public final class CheapestFit {
    private CheapestFit() {}

    /**
     * What somebody wants of a lot in the mix.
     *
     * @param least and {@code most}: its share of the volume, 0 to 1
     */
    public record Limit(String lot, double least, double most) {
        public Limit {
            if (!(least >= 0 && least <= most && most <= 1)) {
                throw new IllegalArgumentException("the least share of " + lot + " is above its most");
            }
        }
    }

    /**
     * Of what fills a pot, is not kept apart, and has a price and all that the use asks for. pH does not add up by volume: a
     * part that is unfit by its own pH is left out.
     *
     * @param shelf at the depth of the use
     * @param limits of single lots; the others may have any share
     * @return not estimable when none is fit, with what rules it out, or when a lot that must be in it can't be
     */
    public static Outcome<CheapestMix> of(List<OnShelf> shelf, List<Quarantine> apart, Use use, List<Limit> limits) {
        List<MixPart> parts = shelf.stream()
                .filter(lot -> usable(lot, apart, use))
                .map(lot -> part(lot, limits))
                .toList();
        for (Limit limit : limits) {
            boolean among = parts.stream().anyMatch(part -> part.name().equalsIgnoreCase(limit.lot()));
            if (limit.least() > 0 && !among) {
                return Outcome.notEstimable(
                        limit.lot() + " can't be in it: it is not on the shelf, has no price, is kept"
                                + " apart, or is unfit by its own pH");
            }
        }
        List<MixWindow> windows = use.bounds().stream()
                .filter(bound -> Property.mixing().contains(bound.property()))
                .map(bound -> new MixWindow(bound.property(), bound.leastOk(), bound.mostOk()))
                .toList();
        return CheapestMix.of(parts, windows);
    }

    private static boolean usable(OnShelf lot, List<Quarantine> apart, Use use) {
        return lot.lot().kind().fills()
                && lot.lot().kind() != MaterialKind.MIX
                && lot.value(Property.PRICE).isPresent()
                && Quarantine.among(apart, List.of(lot.lot().name())).isEmpty()
                && !soured(lot, use);
    }

    private static boolean soured(OnShelf lot, Use use) {
        OptionalDouble ph = lot.value(Property.PH);
        return ph.isPresent()
                && use.bounds().stream()
                        .filter(bound -> bound.property() == Property.PH)
                        .anyMatch(bound -> ph.getAsDouble() < bound.least() || ph.getAsDouble() > bound.most());
    }

    private static MixPart part(OnShelf lot, List<Limit> limits) {
        Map<Property, Double> known = new EnumMap<>(Property.class);
        Property.mixing().forEach(property -> lot.value(property).ifPresent(value -> known.put(property, value)));
        Limit limit = limits.stream()
                .filter(one -> lot.lot().isCalled(one.lot()))
                .findFirst()
                .orElse(new Limit(lot.lot().name(), 0, 1));
        return new MixPart(
                lot.lot().name(), known, lot.value(Property.PRICE).orElseThrow(), limit.least(), limit.most());
    }
}
