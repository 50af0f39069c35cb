package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ExperimentalUnit;
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
        Bounds.name("a treatment's name", name, Bounds.NAME);
        Bounds.line("a mix", mix, Bounds.MIX);
        Bounds.line("a treatment's class", kind, Bounds.STATION);
        Bounds.present("whether it is a control", control);
        Bounds.number("filled volume in mL", volumeMl, 0, ExperimentalUnit.LARGEST_ML);
        properties = Map.copyOf(properties);
        levels = Bounds.list("levels", levels, 0, Factor.MOST);
    }

    /** A treatment of which nothing but its name and material is special. */
    public static PlannedTreatment of(String name, String mix, ControlKind control) {
        return new PlannedTreatment(name, mix, "", control, Map.of(), null, 0, List.of());
    }

    public boolean isControl() {
        return control == ControlKind.CONTROL;
    }

    PlannedTreatment called(String other) {
        return new PlannedTreatment(other, mix, kind, control, properties, container, volumeMl, levels);
    }

    public PlannedTreatment in(@Nullable Container other, double volume) {
        return new PlannedTreatment(name, mix, kind, control, properties, other, volume, levels);
    }

    public PlannedTreatment with(String newKind, Map<TreatmentProperty, Double> known) {
        return new PlannedTreatment(name, mix, newKind, control, known, container, volumeMl, levels);
    }
}
