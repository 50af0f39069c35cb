package elsom.core.plan;

import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TreatmentProperty;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One treatment as planned.
 *
 * @param name unique within the plan
 * @param mix the material, or parts of several as {@link elsom.core.mix.Mix} reads them
 * @param kind the class it is ranked within; empty when there is none
 * @param container null for the trial's usual one
 * @param volumeMl filled volume of a unit; 0 for the usual one
 * @param levels its level of each factor, from 0; empty in a plain list
 */
public record PlannedTreatment(
        String name,
        String mix,
        String kind,
        ControlKind control,
        Map<TreatmentProperty, Double> properties,
        @Nullable Container container,
        double volumeMl,
        List<Integer> levels) {
    public PlannedTreatment {
        properties = Map.copyOf(properties);
        levels = List.copyOf(levels);
    }

    /** A treatment of which nothing but its name and material is special. */
    public static PlannedTreatment of(String name, String mix, ControlKind control) {
        return new PlannedTreatment(name, mix, "", control, Map.of(), null, 0, List.of());
    }

    public boolean isControl() {
        return control == ControlKind.CONTROL;
    }

    public PlannedTreatment in(@Nullable Container other, double volume) {
        return new PlannedTreatment(name, mix, kind, control, properties, other, volume, levels);
    }

    public PlannedTreatment with(String newKind, Map<TreatmentProperty, Double> known) {
        return new PlannedTreatment(name, mix, newKind, control, known, container, volumeMl, levels);
    }
}
