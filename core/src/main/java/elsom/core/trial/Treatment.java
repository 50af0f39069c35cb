package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * One level under test, the control included.
 *
 * @param number 1-based within the trial
 * @param code one letter, as on labels and charts
 * @param name what it is, unique within the trial
 * @param material what it is made of; two treatments may share it and differ in container or preparation
 * @param kind the class it is ranked within, such as mineral or organic; empty when there is none
 */
public record Treatment(
        int number,
        String code,
        String name,
        String material,
        String kind,
        ControlKind control,
        Texture texture,
        Tint tint,
        Map<TreatmentProperty, Double> properties) {
    public static final int LONGEST_NAME = Bounds.NAME;
    public static final int MOST = Bounds.TREATMENTS;

    public Treatment {
        if (number < 1 || number > MOST) {
            throw new IllegalArgumentException("treatment number must be 1 to " + MOST + ", got " + number);
        }
        if (!code.equals(codeFor(number))) {
            throw new IllegalArgumentException(
                    "treatment " + number + " has code " + codeFor(number) + ", got " + code);
        }
        Bounds.name("a treatment's name", name, LONGEST_NAME);
        Bounds.line("a treatment's material", material, Bounds.MIX);
        Bounds.line("a treatment's class", kind, Bounds.STATION);
        Bounds.present("whether it is a control", control);
        Bounds.present("texture", texture);
        Bounds.present("tint", tint);
        properties = Map.copyOf(properties);
        properties.forEach((property, value) -> {
            if (!property.allows(value)) {
                throw new IllegalArgumentException(property.label() + " can't be " + value);
            }
        });
    }

    /** A for the first treatment, B for the second. */
    public static String codeFor(int number) {
        return String.valueOf((char) ('A' + number - 1));
    }

    public OptionalDouble property(TreatmentProperty property) {
        Double value = properties.get(property);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** Whether it stands for all treatments of a trial that is blind. */
    public boolean hidden() {
        return texture == Texture.PLAIN;
    }

    public boolean isControl() {
        return control == ControlKind.CONTROL;
    }
}
