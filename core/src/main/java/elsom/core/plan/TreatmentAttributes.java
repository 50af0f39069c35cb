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
    private static final List<String> NAMES = List.of("container", "pot", "vessel", "tray", "bowl", "tub", "cell");

    private final Plan plan;

    private TreatmentAttributes(Plan plan) {
        this.plan = plan;
    }

    /** Medium or factors, container, filled depth, pre-wetting and running time, those that are the same for all too. */
    public static List<Attribute> of(Plan plan) {
        return new TreatmentAttributes(plan).attributes();
    }

    /** Those that nobody varies on purpose: where the container is a factor, it and its depth are not among them. */
    public static List<Attribute> beside(Plan plan) {
        return new TreatmentAttributes(plan).unplanned();
    }

    private List<Attribute> attributes() {
        List<Attribute> attributes = new ArrayList<>();
        List<Factor> factors = plan.treatments().factors();
        if (factors.isEmpty()) {
            attributes.add(attribute("medium", PlannedTreatment::mix));
        }
        for (int i = 0; i < factors.size(); i++) {
            Factor factor = factors.get(i);
            int at = i;
            attributes.add(attribute(
                    factor.name().toLowerCase(Locale.ROOT),
                    t -> factor.levels().get(t.levels().get(at)).name()));
        }
        attributes.addAll(unplanned());
        return List.copyOf(attributes);
    }

    private List<Attribute> unplanned() {
        List<Attribute> attributes = new ArrayList<>();
        List<Factor> factors = plan.treatments().factors();
        if (factors.stream().noneMatch(this::ofContainers)) {
            attributes.add(attribute("container", t -> plan.container(t).name()));
            attributes.add(attribute(
                    "filled depth",
                    t -> Decimals.fixed(plan.volumeMl(t) / plan.container(t).volumeMl(), 2) + " of "
                            + plan.container(t).depthCm()));
        }
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

    /** Whether a factor is what the treatments stand in: by its name, or because its levels are called as containers are. */
    private boolean ofContainers(Factor factor) {
        List<String> containers = plan.treatments().all().stream()
                .map(t -> plan.container(t).name().toLowerCase(Locale.ROOT))
                .distinct()
                .toList();
        boolean named = NAMES.stream().anyMatch(factor.name().toLowerCase(Locale.ROOT)::contains);
        boolean levels = factor.levels().stream()
                .allMatch(level -> containers.contains(level.name().toLowerCase(Locale.ROOT)));
        return containers.size() > 1 && (named || levels);
    }

    private Attribute attribute(String name, Function<PlannedTreatment, String> level) {
        return new Attribute(name, plan.treatments().all().stream().map(level).toList());
    }
}
