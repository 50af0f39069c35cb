package elsom.web.plan;

import elsom.core.dose.Stock;
import elsom.core.plan.AskedAnew;
import elsom.core.plan.DoseUnits;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Known;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What is compared, in what, and what goes into a unit. */
final class TreatmentsPart implements PartOfForm {
    static final String FACTORS = "factors";
    static final String LIST = "list";
    static final String AS_GRID = "grid";
    private static final int LONGEST_MIX = Bounds.MIX;
    private static final double BRIM = 1.02;

    private final List<Container> offered;
    private final Known known;

    /** Of somebody of whom nothing is known. */
    TreatmentsPart(List<Container> offered) {
        this(offered, Known.on(LocalDate.EPOCH));
    }

    TreatmentsPart(List<Container> offered, Known known) {
        this.offered = offered;
        this.known = known;
    }

    /**
     * Containers that can be chosen: the plan's own as they are in it, whether they are on the shelf or not, and those of
     * the shelf.
     */
    static List<Container> offered(Plan plan, List<Container> shelf) {
        Map<String, Container> byName = new LinkedHashMap<>();
        byName.put(plan.pots().container().name(), plan.pots().container());
        plan.treatments().all().stream()
                .flatMap(treatment -> Optional.ofNullable(treatment.container()).stream())
                .forEach(own -> byName.putIfAbsent(own.name(), own));
        shelf.forEach(one -> byName.putIfAbsent(one.name(), one));
        return List.copyOf(byName.values());
    }

    @Override
    public Form of(Plan plan) {
        Treatments treatments = plan.treatments();
        Pots pots = plan.pots();
        Form.UnitFill filling = new Form.UnitFill()
                .put("as", treatments.factorial() || opensAsSeries(plan) ? AS_GRID : "list")
                .put("base", treatments.base())
                .put("container", pots.container().name())
                .put("volume", pots.volumeMl() == 0 ? "" : Decimals.upTo(pots.volumeMl(), 1) + " mL")
                .put("plants", number(pots.plants()))
                .put("seeds", number(pots.seeds()))
                .put("tsw", number(pots.thousandSeedG()))
                .put("settling", Decimals.upTo(pots.settling() * 100, 1))
                .put("spare", Decimals.upTo(pots.spare() * 100, 1))
                .put("dose", pots.doseMl() == 0 ? "" : Decimals.upTo(pots.doseMl(), 1) + " mL")
                .put(
                        "struck",
                        treatments.struck().stream().map(TreatmentsPart::cell).collect(Collectors.joining(" ")));
        for (int i = 0; i < treatments.factors().size(); i++) {
            Factor factor = treatments.factors().get(i);
            filling.put(FACTORS, i, "name", factor.name())
                    .put(FACTORS, i, "kind", factor.kind())
                    .put(FACTORS, i, "levels", LevelsText.text(factor))
                    .put(FACTORS, i, "control", named(factor))
                    .put(FACTORS, i, "label", amount(factor.labelRate()))
                    .put(FACTORS, i, "effect", amount(factor.expectedEffect()))
                    .put(
                            FACTORS,
                            i,
                            "stock",
                            factor.stock() == null ? "" : factor.stock().label());
        }
        if (opensAsSeries(plan)) {
            filling.put(FACTORS, 0, "kind", FactorKind.DOSE);
        }
        for (int i = 0; i < treatments.list().size(); i++) {
            line(filling, i, treatments.list().get(i));
        }
        return filling.form();
    }

    private static boolean opensAsSeries(Plan plan) {
        return plan.treatments().size() == 0
                && Protocols.find(plan.protocol()).map(Protocol::series).orElse(false);
    }

    private static void line(Form.UnitFill filling, int i, PlannedTreatment t) {
        filling.put(LIST, i, "name", t.name())
                .put(LIST, i, "mix", t.mix().equals(t.name()) ? "" : t.mix())
                .put(LIST, i, "kind", t.kind())
                .put(
                        LIST,
                        i,
                        "container",
                        t.container() == null ? "" : t.container().name())
                .put(LIST, i, "volume", t.volumeMl() == 0 ? "" : Decimals.upTo(t.volumeMl(), 1) + " mL")
                .put(LIST, i, "organic", percent(t, TreatmentProperty.ORGANIC_MATTER))
                .put(LIST, i, "nitrogen", percent(t, TreatmentProperty.NITROGEN))
                .put(LIST, i, "rate", amount(t.properties().get(TreatmentProperty.PRODUCT_RATE)))
                .tick(Form.name(LIST, i, "control"), t.isControl())
                .tick(Form.name(LIST, i, "prewetted"), t.properties().containsKey(TreatmentProperty.PREWETTED));
    }

    private static String number(double value) {
        return value == 0 ? "" : Decimals.upTo(value, 3);
    }

    private static String amount(@Nullable Double value) {
        return value == null ? "" : Decimals.upTo(value, 4);
    }

    private static String percent(PlannedTreatment treatment, TreatmentProperty property) {
        Double value = treatment.properties().get(property);
        return value == null ? "" : Decimals.upTo(value * 100, 2);
    }

    /** The control level where it is not the usual one: none of a dose, the least of a time. */
    private static String named(Factor factor) {
        boolean amounts = factor.measured() && factor.unit() != UnitOfMeasure.COUNT;
        double usual = factor.kind() == FactorKind.TIME
                ? factor.levels().stream()
                        .mapToDouble(level -> level.amount() == null ? 0 : level.amount())
                        .min()
                        .orElse(0)
                : 0;
        return factor.levels().stream()
                .filter(Factor.Level::control)
                .filter(level -> !amounts || level.amount() == null || level.amount() != usual)
                .map(Factor.Level::name)
                .findFirst()
                .orElse("");
    }

    /** A cell's name in the form: its levels from 0, joined by points. */
    static String cell(List<Integer> levels) {
        return levels.stream().map(String::valueOf).collect(Collectors.joining("."));
    }

    @Override
    public Plan read(Form form, Plan plan, Problems problems) {
        Pots pots = pots(form, plan.pots(), problems);
        boolean grid = form.text("as").equals(AS_GRID);
        Treatments treatments = grid ? grid(form, problems) : list(form, plan, problems);
        if (problems.none() && treatments.size() > Treatment.MOST) {
            problems.add(
                    grid ? "factors[0].levels" : "list[0].name",
                    "That makes " + treatments.size() + " treatments; a trial has at most " + Treatment.MOST
                            + ". Strike cells out, or take fewer.");
        }
        return problems.none()
                ? problems.tried(
                                grid ? "factors[0].levels" : "list[0].name",
                                () -> AskedAnew.with(plan, treatments, pots))
                        .orElse(plan)
                : plan;
    }

    private Pots pots(Form form, Pots before, Problems problems) {
        Container container =
                container("container", form.text("container"), problems).orElse(before.container());
        double volume = volume("volume", form.text("volume"), container, problems);
        int plants = problems.whole(
                "plants", form.text("plants"), 0, 1000, 0, "Plants measured in a unit, 0 to 1000. Accepted: 6.");
        int seeds = problems.whole(
                "seeds", form.text("seeds"), 0, 10_000, 0, "Seeds sown in a unit, 0 to 10000. Accepted: 8.");
        double thousand = problems.amount(
                "tsw",
                form.text("tsw"),
                UnitOfMeasure.GRAM,
                0,
                5000,
                0,
                "The mass of a thousand seeds in g. Accepted: 3.2.");
        double settling = problems.amount(
                "settling",
                form.text("settling"),
                UnitOfMeasure.PERCENT,
                0,
                60,
                0,
                "How much mixing and tapping shrink it, 0 to 60 %. Accepted: 15.");
        double spare = problems.amount(
                "spare",
                form.text("spare"),
                UnitOfMeasure.PERCENT,
                0,
                100,
                0,
                "Made in addition, 0 to 100 %. Accepted: 10.");
        double dose = problems.amount(
                "dose",
                form.text("dose"),
                UnitOfMeasure.MILLILITRE,
                0,
                1e6,
                0,
                "What a unit gets at a time. Accepted: 50 mL, or nothing.");
        return new Pots(container, volume, plants, seeds, thousand, settling / 100, spare / 100, dose);
    }

    private Optional<Container> container(String field, String name, Problems problems) {
        Optional<Container> found =
                offered.stream().filter(c -> c.name().equals(name)).findFirst();
        if (found.isEmpty()) {
            problems.add(field, "Choose a container from the shelf.");
        }
        return found;
    }

    private static double volume(String field, String text, Container container, Problems problems) {
        double brim = container.volumeMl();
        return problems.amount(
                field,
                text,
                UnitOfMeasure.MILLILITRE,
                1e-3,
                Math.min(brim * BRIM, ExperimentalUnit.LARGEST_ML),
                0,
                "Above 0 and at most what the container holds, " + Decimals.upTo(brim, 0)
                        + " mL. Accepted: 1500 mL, 1.5 L, or nothing for full.");
    }

    private Treatments grid(Form form, Problems problems) {
        List<Factor> factors = new ArrayList<>();
        for (int i = 0; i < Math.min(form.lines(FACTORS), Factor.MOST); i++) {
            int line = i;
            String name = form.text(FACTORS, i, "name");
            String levels = form.text(FACTORS, i, "levels");
            if (name.isEmpty() && levels.isEmpty()) {
                continue;
            }
            String field = Form.name(FACTORS, i, "levels");
            if (name.isEmpty()) {
                problems.add(Form.name(FACTORS, i, "name"), "Name the factor. Accepted: Dip.");
                continue;
            }
            FactorKind kind = Problems.choice(FactorKind.class, form.text(FACTORS, i, "kind"), FactorKind.HANDLING);
            problems.tried(
                            field,
                            () -> factor(form, line, problems.limited(field, name, Treatment.LONGEST_NAME), kind, null))
                    .flatMap(plain -> labelled(form, line, plain, problems))
                    .ifPresent(factors::add);
        }
        if (factors.isEmpty() && problems.none()) {
            problems.add("factors[0].name", "Name what you vary, and its levels. Accepted: Dip, and none, seaweed.");
            return Treatments.NONE;
        }
        Treatments whole =
                Treatments.crossed(factors, problems.limited("base", form.text("base"), LONGEST_MIX), List.of());
        List<List<Integer>> struck = whole.cells().stream()
                .filter(cell -> form.values("struck").contains(cell(cell)))
                .toList();
        if (problems.none() && struck.size() == whole.cells().size()) {
            problems.add("factors[0].levels", "Every cell is struck out. Leave at least two.");
        }
        return Treatments.crossed(factors, whole.base(), struck);
    }

    private Factor factor(Form form, int line, String name, FactorKind kind, @Nullable Double label) {
        return LevelsText.parse(
                new LevelsText.Typist(name, kind, known),
                form.text(FACTORS, line, "levels"),
                form.text(FACTORS, line, "control"),
                label,
                null);
    }

    /** With the label's rate, which is read in the unit of the levels, and where an effect is expected. */
    private Optional<Factor> labelled(Form form, int line, Factor plain, Problems problems) {
        Optional<Double> rate = rate(Form.name(FACTORS, line, "label"), form, plain, problems);
        Optional<Double> effect = rate(Form.name(FACTORS, line, "effect"), form, plain, problems);
        String stockField = Form.name(FACTORS, line, "stock");
        Optional<Stock> stock = plain.kind() == FactorKind.DOSE
                ? problems.tried(
                                stockField,
                                () -> Stock.read(problems.limited(stockField, form.text(stockField), Bounds.NAME)))
                        .flatMap(found -> found)
                : Optional.empty();
        return problems.tried(
                        Form.name(FACTORS, line, "levels"),
                        () -> factor(form, line, plain.name(), plain.kind(), rate.orElse(null)))
                .map(whole -> new Factor(
                        whole.name(),
                        whole.kind(),
                        whole.unit(),
                        whole.levels(),
                        whole.labelRate(),
                        effect.orElse(null),
                        stock.orElse(null)));
    }

    private Optional<Double> rate(String field, Form form, Factor factor, Problems problems) {
        return form.text(field).isEmpty()
                ? Optional.empty()
                : problems.tried(field, () -> DoseUnits.labelRate(form.text(field), factor.unit(), known));
    }

    private Treatments list(Form form, Plan plan, Problems problems) {
        List<PlannedTreatment> list = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (int i = 0; i < form.lines(LIST); i++) {
            if (!form.text(LIST, i, "name").isEmpty()) {
                list.add(treatment(form, i, plan, names, problems));
            }
        }
        if (list.isEmpty()) {
            problems.add("list[0].name", "Name at least one treatment. Accepted: wood fibre.");
        }
        return Treatments.listed(list);
    }

    private PlannedTreatment treatment(Form form, int i, Plan plan, Set<String> names, Problems problems) {
        String field = Form.name(LIST, i, "name");
        String name = problems.limited(field, form.text(LIST, i, "name"), Treatment.LONGEST_NAME);
        if (!names.add(name.toLowerCase(Locale.ROOT))) {
            problems.add(field, "“" + name + "” is there twice. Give one another name.");
        }
        String mix = problems.limited(field, form.text(LIST, i, "mix"), LONGEST_MIX);
        String own = form.text(LIST, i, "container");
        @Nullable
        Container container =
                own.isEmpty() ? null : container(field, own, problems).orElse(null);
        double volume = container == null ? 0 : volume(field, form.text(LIST, i, "volume"), container, problems);
        List<String> kinds =
                Protocols.find(plan.protocol()).map(Protocol::kinds).orElse(List.of());
        String kind = form.text(LIST, i, "kind");
        return new PlannedTreatment(
                name,
                mix.isEmpty() ? name : mix,
                kinds.contains(kind) ? kind : "",
                form.ticked(LIST, i, "control") ? ControlKind.CONTROL : ControlKind.NONE,
                properties(form, i, field, problems),
                container,
                volume,
                List.of());
    }

    private static Map<TreatmentProperty, Double> properties(Form form, int i, String field, Problems problems) {
        Map<TreatmentProperty, Double> properties = new EnumMap<>(TreatmentProperty.class);
        share(
                        form.text(LIST, i, "organic"),
                        field,
                        "Organic matter is a share of the dry weight from 0 to 100 %. Accepted: 85.",
                        problems)
                .ifPresent(value -> properties.put(TreatmentProperty.ORGANIC_MATTER, value));
        share(
                        form.text(LIST, i, "nitrogen"),
                        field,
                        "Nitrogen is a share of the product from 0 to 100 %. Accepted: 6.",
                        problems)
                .ifPresent(value -> properties.put(TreatmentProperty.NITROGEN, value));
        String rate = form.text(LIST, i, "rate");
        if (!rate.isEmpty()) {
            properties.put(
                    TreatmentProperty.PRODUCT_RATE,
                    problems.amount(
                            field,
                            rate,
                            UnitOfMeasure.GRAM_PER_LITRE,
                            0,
                            1e6,
                            0,
                            "Product in g a litre. Accepted: 2 g/L."));
        }
        if (form.ticked(LIST, i, "prewetted")) {
            properties.put(TreatmentProperty.PREWETTED, 1.0);
        }
        return properties;
    }

    private static Optional<Double> share(String text, String field, String ask, Problems problems) {
        return text.isEmpty()
                ? Optional.empty()
                : Optional.of(problems.amount(field, text, UnitOfMeasure.PERCENT, 0, 100, 0, ask) / 100);
    }
}
