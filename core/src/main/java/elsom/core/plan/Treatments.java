package elsom.core.plan;

import elsom.core.trial.ControlKind;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;

/**
 * What is compared: the cells of one to three factors, or a plain list.
 *
 * @param factors empty for a plain list
 * @param base the material everything is grown in, when no factor is about the material; may be empty
 * @param struck cells that are left out, each as a level of every factor from 0
 * @param list the treatments of a plain list; empty with factors
 */
public record Treatments(List<Factor> factors, String base, List<List<Integer>> struck, List<PlannedTreatment> list) {
    public static final Treatments NONE = new Treatments(List.of(), "", List.of(), List.of());

    public Treatments {
        factors = List.copyOf(factors);
        struck = struck.stream().map(List::copyOf).toList();
        list = List.copyOf(list);
        if (factors.size() > Factor.MOST) {
            throw new IllegalArgumentException("at most " + Factor.MOST + " factors, got " + factors.size());
        }
        if (!factors.isEmpty() && !list.isEmpty()) {
            throw new IllegalArgumentException("treatments are a grid of factors or a list, not both");
        }
    }

    public static Treatments listed(List<PlannedTreatment> list) {
        return new Treatments(List.of(), "", List.of(), list);
    }

    public static Treatments crossed(List<Factor> factors, String base, List<List<Integer>> struck) {
        return new Treatments(factors, base, struck, List.of());
    }

    public boolean factorial() {
        return !factors.isEmpty();
    }

    /** Every cell of the factors, struck ones too, the last factor running fastest. */
    public List<List<Integer>> cells() {
        List<List<Integer>> cells = List.of(List.of());
        for (Factor factor : factors) {
            List<List<Integer>> longer = new ArrayList<>();
            for (List<Integer> cell : cells) {
                for (int level = 0; level < factor.levels().size(); level++) {
                    List<Integer> next = new ArrayList<>(cell);
                    next.add(level);
                    longer.add(List.copyOf(next));
                }
            }
            cells = longer;
        }
        return factors.isEmpty() ? List.of() : cells;
    }

    /** The treatments in order; number 1 is the first. */
    public List<PlannedTreatment> all() {
        return factorial()
                ? cells().stream()
                        .filter(cell -> !struck.contains(cell))
                        .map(this::treatment)
                        .toList()
                : list;
    }

    public int size() {
        return all().size();
    }

    private PlannedTreatment treatment(List<Integer> cell) {
        List<Factor.Level> levels = new ArrayList<>();
        Map<TreatmentProperty, Double> properties = new EnumMap<>(TreatmentProperty.class);
        List<String> materials = new ArrayList<>();
        for (int i = 0; i < factors.size(); i++) {
            Factor factor = factors.get(i);
            Factor.Level level = factor.levels().get(cell.get(i));
            levels.add(level);
            if (factor.kind() == FactorKind.MATERIAL) {
                materials.add(level.name());
            }
            if (factor.kind() == FactorKind.DOSE && level.amount() != null) {
                properties.putIfAbsent(TreatmentProperty.DOSE, Objects.requireNonNull(level.amount()));
            }
        }
        String name = clipped(levels.stream().map(Factor.Level::name).collect(Collectors.joining(" · ")));
        boolean control = levels.stream().allMatch(Factor.Level::control);
        return new PlannedTreatment(
                name,
                materials.isEmpty() ? base : String.join(" + ", materials),
                "",
                control ? ControlKind.CONTROL : ControlKind.NONE,
                properties,
                null,
                0,
                cell);
    }

    private static String clipped(String name) {
        return name.length() <= Treatment.LONGEST_NAME ? name : name.substring(0, Treatment.LONGEST_NAME - 1) + "…";
    }
}
