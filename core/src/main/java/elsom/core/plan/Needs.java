package elsom.core.plan;

import elsom.core.mix.Mix;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What a trial uses up: media for each mix, seed, feeds and stocks, containers, labels; each with its working. */
public final class Needs {
    private static final String GUARDS = "guard units";

    private final Plan plan;
    private final List<PlannedTreatment> treatments;
    private final Map<Integer, Integer> unitsOf;
    private final int guards;
    private final List<Need> needs = new ArrayList<>();

    private Needs(Plan plan, TrialRecord drawn) {
        this.plan = plan;
        this.treatments = plan.treatments().all();
        this.unitsOf = drawn.units().stream()
                .collect(Collectors.groupingBy(
                        ExperimentalUnit::treatment, TreeMap::new, Collectors.summingInt(unit -> 1)));
        this.guards = (int) drawn.benches().stream()
                .mapToLong(bench -> bench.guards().count())
                .sum();
    }

    /**
     * The list, in the order things are got.
     *
     * @param drawn the plan's trial
     */
    public static List<Need> of(Plan plan, TrialRecord drawn) {
        Needs made = new Needs(plan, drawn);
        if (plan.kept().isEmpty()) {
            made.media();
            made.seed();
        }
        made.liquids();
        made.dosesByPlace();
        made.containers(drawn.units().size());
        return List.copyOf(made.needs);
    }

    private int units(int treatment) {
        return unitsOf.getOrDefault(treatment, 0);
    }

    /** Treatments of one mix share a batch, so that they share its chance too; guard units get the control's. */
    private void media() {
        Map<String, Double> batches = new LinkedHashMap<>();
        for (int i = 0; i < treatments.size(); i++) {
            PlannedTreatment treatment = treatments.get(i);
            if (!treatment.mix().isBlank()) {
                batches.merge(treatment.mix(), units(i + 1) * plan.volumeMl(treatment), Double::sum);
            }
        }
        PlannedTreatment plain = plan.control().orElse(treatments.get(0));
        if (guards > 0 && !plain.mix().isBlank()) {
            batches.merge(plain.mix(), guards * plan.volumeMl(plain), Double::sum);
        }
        batches.forEach((text, filled) -> {
            Mix batch = Mix.read(text).orElseGet(() -> new Mix(List.of(new Mix.Part(text, 1))));
            batch.parts().forEach(part -> medium(text, batch, part, filled));
        });
        totals();
    }

    /** Each material over all batches it is in. */
    private void totals() {
        Map<String, List<Need>> byMaterial =
                needs.stream().collect(Collectors.groupingBy(Need::name, LinkedHashMap::new, Collectors.toList()));
        List<Need> totals = new ArrayList<>();
        byMaterial.forEach((material, batches) -> {
            double total = batches.stream().mapToDouble(Need::amount).sum();
            List<Term> terms = batches.stream()
                    .map(batch -> Term.given(
                            batch.forWhat().isEmpty() ? "by itself" : "for " + batch.forWhat(),
                            batch.amount(),
                            UnitOfMeasure.LITRE,
                            2))
                    .toList();
            totals.add(need(
                    Need.Kind.SHOPPING,
                    material,
                    total,
                    UnitOfMeasure.LITRE,
                    "sum of its batches, loose",
                    terms,
                    "= " + Decimals.upTo(total, 2) + " L"));
        });
        needs.addAll(0, totals);
    }

    private void medium(String text, Mix mix, Mix.Part part, double filledMl) {
        Pots pots = plan.pots();
        double settling = pots.settling();
        double batch = filledMl * (1 + pots.spare());
        double loose = mix.looseMl(part, batch, settling) / 1000;
        List<Term> terms = List.of(
                Term.given("filled volume of all its units", filledMl / 1000, UnitOfMeasure.LITRE, 2),
                Term.given("spare", pots.spare(), UnitOfMeasure.FRACTION, 0),
                Term.given("share of the mix", part.parts() / mix.total(), UnitOfMeasure.FRACTION, 1),
                Term.given("settling", settling, UnitOfMeasure.FRACTION, 0));
        needs.add(new Need(
                Need.Kind.MEDIUM,
                part.material(),
                mix.parts().size() > 1 ? text : "",
                loose,
                UnitOfMeasure.LITRE,
                new Working(
                        part.material() + ", loose",
                        "filled volume · (1 + spare) · share of the mix ÷ (1 − settling)",
                        terms,
                        List.of(Decimals.upTo(filledMl / 1000, 2) + " L · " + Decimals.upTo(1 + pots.spare(), 2) + " · "
                                + Decimals.upTo(part.parts() / mix.total(), 3) + " ÷ " + Decimals.upTo(1 - settling, 2)
                                + " = " + Decimals.upTo(loose, 2) + " L"),
                        Source.DEFINITION,
                        List.of("Mixing and tapping down shrink loose media; make all of one mix in one batch."))));
    }

    private void seed() {
        Pots pots = plan.pots();
        if (pots.seeds() == 0) {
            return;
        }
        int units = unitsOf.values().stream().mapToInt(n -> n).sum() + guards;
        double count = Math.ceil(units * pots.seeds() * (1 + pots.spare()) - 1e-9);
        String crop = plan.asked().crop().isBlank() ? "seed" : plan.asked().crop() + " seed";
        List<Term> terms = List.of(
                Term.given("units, guards too", units, UnitOfMeasure.COUNT, 0),
                Term.given("seeds a unit", pots.seeds(), UnitOfMeasure.COUNT, 0),
                Term.given("spare", pots.spare(), UnitOfMeasure.FRACTION, 0));
        needs.add(need(
                Need.Kind.SEED,
                crop,
                count,
                UnitOfMeasure.COUNT,
                "units · seeds a unit · (1 + spare), rounded up",
                terms,
                units + " · " + pots.seeds() + " · " + Decimals.upTo(1 + pots.spare(), 2) + " → "
                        + Decimals.upTo(count, 0)));
        if (pots.thousandSeedG() > 0) {
            needs.add(need(
                    Need.Kind.SEED,
                    crop + ", by mass",
                    count * pots.thousandSeedG() / 1000,
                    UnitOfMeasure.GRAM,
                    "seeds · mass of a thousand ÷ 1000",
                    List.of(
                            Term.given("seeds", count, UnitOfMeasure.COUNT, 0),
                            Term.given("mass of a thousand", pots.thousandSeedG(), UnitOfMeasure.GRAM, 2)),
                    Decimals.upTo(count, 0) + " · " + Decimals.upTo(pots.thousandSeedG(), 2) + " g ÷ 1000"));
        }
    }

    /** What is mixed into the medium: so much a litre of it, by the filled volume. */
    private void additions() {
        for (int i = 0; i < treatments.size(); i++) {
            PlannedTreatment treatment = treatments.get(i);
            for (int f = 0; f < treatment.levels().size(); f++) {
                Factor factor = plan.treatments().factors().get(f);
                Double strength = factor.levels().get(treatment.levels().get(f)).amount();
                boolean aLitre = factor.unit() == UnitOfMeasure.GRAM_PER_LITRE
                        || factor.unit() == UnitOfMeasure.MILLILITRE_PER_LITRE
                        || factor.unit() == UnitOfMeasure.PERCENT;
                if (factor.kind() == FactorKind.DOSE && strength != null && strength > 0 && aLitre) {
                    addition(treatment, factor, strength, units(i + 1) * plan.volumeMl(treatment) / 1000);
                }
            }
        }
    }

    private void addition(PlannedTreatment treatment, Factor factor, double strength, double litres) {
        double batch = litres * (1 + plan.pots().spare());
        double each = factor.unit() == UnitOfMeasure.PERCENT ? strength * 10 : strength;
        boolean grams = factor.unit() == UnitOfMeasure.GRAM_PER_LITRE;
        needs.add(need(
                Need.Kind.ADDITION,
                factor.name() + " in " + treatment.name() + factor.active(strength),
                batch * each,
                grams ? UnitOfMeasure.GRAM : UnitOfMeasure.MILLILITRE,
                grams
                        ? "litres of medium · (1 + spare) · grams a litre of the product as it is sold"
                        : "litres of medium · (1 + spare) · millilitres a litre; a percentage is by volume of the product as"
                                + " it is sold",
                List.of(
                        Term.given("medium", litres, UnitOfMeasure.LITRE, 2),
                        Term.given("spare", plan.pots().spare(), UnitOfMeasure.FRACTION, 0),
                        Term.given("dose", strength, factor.unit(), 3)),
                Decimals.upTo(batch, 2) + " L · " + Decimals.upTo(each, 3) + (grams ? " g/L" : " mL/L")));
    }

    /** Doses that are so much for each unit, or for its surface: they have no litre to be in. */
    private void dosesByPlace() {
        for (int i = 0; i < treatments.size(); i++) {
            PlannedTreatment treatment = treatments.get(i);
            for (int f = 0; f < treatment.levels().size(); f++) {
                Factor factor = plan.treatments().factors().get(f);
                Double dose = factor.levels().get(treatment.levels().get(f)).amount();
                if (factor.kind() == FactorKind.DOSE && dose != null && dose > 0) {
                    doseByPlace(treatment, factor, dose, units(i + 1));
                }
            }
        }
    }

    private void doseByPlace(PlannedTreatment treatment, Factor factor, double dose, int units) {
        Container container = plan.container(treatment);
        double squareMetres = container.areaCm2(container.depthCm()) / 10_000;
        Quantity each = switch (factor.unit()) {
            case GRAM_PER_SQUARE_METRE -> new Quantity(dose * squareMetres, UnitOfMeasure.GRAM);
            case KILOGRAM_PER_SQUARE_METRE -> new Quantity(dose * squareMetres, UnitOfMeasure.KILOGRAM);
            case LITRE_PER_SQUARE_METRE -> new Quantity(dose * squareMetres, UnitOfMeasure.LITRE);
            default -> new Quantity(dose, factor.unit());
        };
        boolean weighed = each.unit().dimension() == Dimension.MASS;
        if (!weighed && each.unit().dimension() != Dimension.VOLUME) {
            return;
        }
        boolean byArea = each.unit() != factor.unit();
        UnitOfMeasure unit = weighed ? UnitOfMeasure.GRAM : UnitOfMeasure.MILLILITRE;
        double measure = each.in(unit).value();
        List<Term> terms = new ArrayList<>(List.of(
                Term.given("units", units, UnitOfMeasure.COUNT, 0), Term.given("dose", dose, factor.unit(), 3)));
        if (byArea) {
            terms.add(Term.given("surface of a unit", squareMetres, UnitOfMeasure.SQUARE_METRE, 4));
        }
        terms.add(Term.given("spare", plan.pots().spare(), UnitOfMeasure.FRACTION, 0));
        needs.add(need(
                weighed ? Need.Kind.ADDITION : Need.Kind.LIQUID,
                factor.name() + " in " + treatment.name(),
                units * measure * (1 + plan.pots().spare()),
                unit,
                (byArea ? "units · dose · surface at the brim" : "units · dose") + " · (1 + spare), given once",
                terms,
                units + " · " + Decimals.upTo(measure, 3) + " " + unit.symbol() + " · "
                        + Decimals.upTo(1 + plan.pots().spare(), 2)));
    }

    private void liquids() {
        double doseMl = plan.pots().doseMl();
        if (doseMl == 0) {
            additions();
            return;
        }
        int times = Math.max(
                1,
                plan.schedule().steps().stream()
                        .filter(step -> step.kind() == Recurring.Kind.FEED || step.kind() == Recurring.Kind.SOLUTION)
                        .mapToInt(step -> step.times().size())
                        .sum());
        for (int i = 0; i < treatments.size(); i++) {
            PlannedTreatment treatment = treatments.get(i);
            double litres = units(i + 1) * doseMl * times * (1 + plan.pots().spare()) / 1000;
            List<Term> terms = List.of(
                    Term.given("units", units(i + 1), UnitOfMeasure.COUNT, 0),
                    Term.given("a unit, each time", doseMl, UnitOfMeasure.MILLILITRE, 0),
                    Term.given("times", times, UnitOfMeasure.COUNT, 0),
                    Term.given("spare", plan.pots().spare(), UnitOfMeasure.FRACTION, 0));
            needs.add(need(
                    Need.Kind.LIQUID,
                    treatment.name(),
                    litres,
                    UnitOfMeasure.LITRE,
                    "units · volume · times · (1 + spare)",
                    terms,
                    units(i + 1) + " · " + Decimals.upTo(doseMl, 1) + " mL · " + times));
            stock(treatment, litres);
        }
    }

    /** The stock in a solution whose strength is a share of it, or the product in grams a litre. */
    private void stock(PlannedTreatment treatment, double litres) {
        List<Factor> factors = plan.treatments().factors();
        for (int i = 0; i < factors.size(); i++) {
            Factor factor = factors.get(i);
            Double strength = factor.levels().get(treatment.levels().get(i)).amount();
            if (factor.kind() != FactorKind.DOSE || strength == null || strength == 0) {
                continue;
            }
            boolean share =
                    factor.unit() == UnitOfMeasure.PERCENT || factor.unit() == UnitOfMeasure.MILLILITRE_PER_LITRE;
            if (share || factor.unit() == UnitOfMeasure.GRAM_PER_LITRE) {
                double millilitresPerLitre = factor.unit() == UnitOfMeasure.PERCENT ? strength * 10 : strength;
                needs.add(need(
                        Need.Kind.LIQUID,
                        factor.name() + " in " + treatment.name() + factor.active(strength),
                        litres * millilitresPerLitre,
                        share ? UnitOfMeasure.MILLILITRE : UnitOfMeasure.GRAM,
                        share
                                ? "litres · strength · 1000, as a share of the stock as it is sold"
                                : "litres · grams a litre",
                        List.of(
                                Term.given("solution", litres, UnitOfMeasure.LITRE, 2),
                                Term.given("strength", strength, factor.unit(), 3)),
                        Decimals.upTo(litres, 2) + " L · " + Decimals.upTo(millilitresPerLitre, 3)
                                + (share ? " mL/L" : " g/L")));
            }
        }
        Double rate = treatment.properties().get(TreatmentProperty.PRODUCT_RATE);
        if (rate != null && rate > 0) {
            needs.add(need(
                    Need.Kind.LIQUID,
                    "product in " + treatment.name(),
                    litres * rate,
                    UnitOfMeasure.GRAM,
                    "litres · grams a litre",
                    List.of(
                            Term.given("solution", litres, UnitOfMeasure.LITRE, 2),
                            Term.given("rate", rate, UnitOfMeasure.GRAM_PER_LITRE, 2)),
                    Decimals.upTo(litres, 2) + " L · " + Decimals.upTo(rate, 2) + " g/L"));
        }
    }

    private void containers(int units) {
        Map<Container, Integer> wanted = new LinkedHashMap<>();
        for (int i = 0; i < treatments.size(); i++) {
            wanted.merge(plan.container(treatments.get(i)), units(i + 1), Integer::sum);
        }
        wanted.forEach((container, count) -> needs.add(need(
                Need.Kind.CONTAINER,
                container.name(),
                count,
                UnitOfMeasure.COUNT,
                "one a unit",
                List.of(Term.given("units", count, UnitOfMeasure.COUNT, 0)),
                "= " + count)));
        if (guards > 0) {
            needs.add(need(
                    Need.Kind.CONTAINER,
                    GUARDS + ", " + plan.pots().container().name(),
                    guards,
                    UnitOfMeasure.COUNT,
                    "one on every place of the outer ring",
                    List.of(),
                    "= " + guards));
        }
        needs.add(need(
                Need.Kind.CONTAINER,
                "labels",
                units,
                UnitOfMeasure.COUNT,
                "one a unit",
                List.of(Term.given("units", units, UnitOfMeasure.COUNT, 0)),
                "= " + units));
    }

    private static Need need(
            Need.Kind kind,
            String name,
            double amount,
            UnitOfMeasure unit,
            String formula,
            List<Term> terms,
            String onPaper) {
        return new Need(
                kind,
                name,
                "",
                amount,
                unit,
                new Working(name, formula, terms, List.of(onPaper), Source.DEFINITION, List.of()));
    }
}
