package elsom.core.plan;

import elsom.core.mix.Mix;
import elsom.core.quantity.Bounds;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What is compared: the cells of one to three factors, or a plain list.
 *
 * @param factors empty for a plain list
 * @param base the material everything is grown in, when no factor is about the material; may be empty
 * @param struck cells that are left out, each as a level of every factor from 0
 * @param list the treatments of a plain list; empty with factors
 */
public record Treatments(List<Factor> factors, String base, List<List<Integer>> struck, List<PlannedTreatment> list) {
    private static final int MOST_CELLS = Factor.MOST_LEVELS * Factor.MOST_LEVELS * Factor.MOST_LEVELS;
    private static final int MOST_LISTED = 60;
    public static final Treatments NONE = new Treatments(List.of(), "", List.of(), List.of());

    public Treatments {
        factors = Bounds.list("factors", factors, 0, Factor.MOST);
        Bounds.line("the base material", base, Bounds.MIX);
        struck = Bounds.list("cells left out", struck, 0, MOST_CELLS).stream()
                .map(List::copyOf)
                .toList();
        list = Bounds.list("treatments", list, 0, MOST_LISTED);
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

    /**
     * With a mix as one more treatment.
     *
     * @throws IllegalArgumentException in a grid of factors, or when one has that name
     */
    public Treatments and(String name, String mix) {
        if (factorial()) {
            throw new IllegalArgumentException(
                    "its treatments are a grid of factors: there a mix is a level of a factor about the medium");
        }
        if (list.stream().anyMatch(one -> one.name().equalsIgnoreCase(name.strip()))) {
            throw new IllegalArgumentException("it has a treatment called “" + name.strip() + "” already");
        }
        List<PlannedTreatment> longer = new ArrayList<>(list);
        longer.add(PlannedTreatment.of(name.strip(), mix, ControlKind.NONE));
        return listed(longer);
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
                ? parted(cells().stream()
                        .filter(cell -> !struck.contains(cell))
                        .map(this::treatment)
                        .toList())
                : list;
    }

    /** Long names of levels are clipped, and may then be alike: a number parts them. */
    private static List<PlannedTreatment> parted(List<PlannedTreatment> all) {
        Map<String, Integer> times = new HashMap<>();
        List<PlannedTreatment> parted = new ArrayList<>();
        for (PlannedTreatment treatment : all) {
            int time = times.merge(treatment.name().toLowerCase(Locale.ROOT), 1, Integer::sum);
            String number = " " + time;
            String name = treatment.name();
            parted.add(
                    time == 1
                            ? treatment
                            : treatment.called(
                                    name.substring(0, Math.min(name.length(), Treatment.LONGEST_NAME - number.length()))
                                            + number));
        }
        return parted;
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
            if (factor.dosed() && level.amount() != null) {
                properties.putIfAbsent(TreatmentProperty.DOSE, Objects.requireNonNull(level.amount()));
            }
        }
        String name = clipped(
                levels.stream().map(Factor.Level::name).collect(Collectors.joining(" · ")), Treatment.LONGEST_NAME);
        boolean control = controls(levels);
        return new PlannedTreatment(
                name,
                materials.isEmpty() ? base : clipped(mixed(String.join(" + ", materials), levels), Bounds.MIX),
                "",
                control ? ControlKind.CONTROL : ControlKind.NONE,
                properties,
                null,
                0,
                cell);
    }

    /** At the control level of every factor; a share of nothing is one, whatever it is nothing of. */
    private boolean controls(List<Factor.Level> levels) {
        boolean none = IntStream.range(0, levels.size())
                .anyMatch(i -> factors.get(i).kind() == FactorKind.SHARE
                        && levels.get(i).control());
        return IntStream.range(0, levels.size())
                .allMatch(
                        i -> levels.get(i).control() || (none && factors.get(i).kind() == FactorKind.MATERIAL));
    }

    /** The material thinned with the base as far as a factor of shares says. */
    private String mixed(String material, List<Factor.Level> levels) {
        OptionalDouble share = IntStream.range(0, levels.size())
                .filter(i -> factors.get(i).kind() == FactorKind.SHARE
                        && levels.get(i).amount() != null)
                .mapToDouble(i -> Objects.requireNonNull(levels.get(i).amount()) / 100)
                .findFirst();
        if (share.isEmpty() || base.isBlank() || share.getAsDouble() > 1) {
            return material;
        }
        try {
            return Mix.parse(material).in(Mix.parse(base), share.getAsDouble()).text();
        } catch (IllegalArgumentException unreadable) {
            return material;
        }
    }

    private static String clipped(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
    }
}
