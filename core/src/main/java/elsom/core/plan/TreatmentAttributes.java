package elsom.core.plan;

import elsom.core.design.Association;
import elsom.core.design.Association.Attribute;
import elsom.core.quantity.Decimals;
import elsom.core.trial.TreatmentProperty;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** What differs between the treatments of a plan, each with its level in every treatment. */
public final class TreatmentAttributes {
    private final Plan plan;

    private TreatmentAttributes(Plan plan) {
        this.plan = plan;
    }

    /** Medium or factors, container, filled depth, pre-wetting and running time, those that are the same for all too. */
    public static List<Attribute> of(Plan plan) {
        return new TreatmentAttributes(plan).attributes();
    }

    private List<Attribute> attributes() {
        List<Attribute> attributes = new ArrayList<>();
        List<Factor> factors = plan.treatments().factors();
        if (factors.isEmpty()) {
            attributes.add(attribute("medium", PlannedTreatment::mix));
        }
        for (int i = 0; i < factors.size(); i++) {
            int factor = i;
            attributes.add(attribute(
                    factors.get(i).name().toLowerCase(Locale.ROOT),
                    t -> t.levels().get(factor).toString()));
        }
        attributes.add(attribute("container", t -> plan.container(t).name()));
        attributes.add(attribute(
                "filled depth",
                t -> Decimals.fixed(plan.volumeMl(t) / plan.container(t).volumeMl(), 2) + " of "
                        + plan.container(t).depthCm()));
        attributes.add(
                attribute("pre-wetting", t -> String.valueOf(t.properties().get(TreatmentProperty.PREWETTED))));
        // Where time is the factor, how long each runs is that factor.
        boolean timed = factors.stream().anyMatch(factor -> factor.kind() == FactorKind.TIME);
        if (!timed && plan.schedule().runs().size() == plan.treatments().all().size()) {
            attributes.add(new Attribute(
                    "running time",
                    plan.schedule().runs().stream().map(Object::toString).toList()));
        }
        // A container's depth is the container's: one line says it.
        Attribute container = attribute("container", t -> plan.container(t).name());
        attributes.removeIf(a -> a.name().equals("filled depth")
                && !Association.tied(List.of(container, a)).isEmpty());
        return List.copyOf(attributes);
    }

    private Attribute attribute(String name, Function<PlannedTreatment, String> level) {
        return new Attribute(name, plan.treatments().all().stream().map(level).toList());
    }
}
