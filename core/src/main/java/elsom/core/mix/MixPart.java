package elsom.core.mix;

import elsom.core.quantity.Bounds;
import java.util.Map;

/**
 * A material that may go into a mix.
 *
 * @param properties what is known of it; a property that is not known keeps it out of a mix judged by it
 * @param price of a litre, in any money
 * @param least and {@code most}: its share of the volume, 0 to 1
 */
public record MixPart(String name, Map<Property, Double> properties, double price, double least, double most) {
    public MixPart {
        Bounds.name("a material", name, Bounds.NAME);
        properties = Map.copyOf(properties);
        properties.forEach(
                (property, value) -> Bounds.number(property.label() + " of " + name, value, 0, property.most()));
        Bounds.number("the price of " + name, price, 0, Bounds.LARGEST);
        if (!(least >= 0 && least <= most && most <= 1)) {
            throw new IllegalArgumentException(
                    "the share of " + name + " is 0 to 1, its least not above its most, got " + least + " and " + most);
        }
    }
}
