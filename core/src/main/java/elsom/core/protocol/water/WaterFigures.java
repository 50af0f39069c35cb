package elsom.core.protocol.water;

import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.figure.UnitResult;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.TrialRecord;
import elsom.core.water.ExponentialDryDown;
import elsom.core.water.Gravimetry;
import elsom.core.water.RefillTime;
import elsom.core.water.TimedMass;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.ArrayList;
import java.util.List;

/** The figures of one unit, each with its working. */
final class WaterFigures {
    private static final Source EN_13041 =
            new Source("EN 13041: particle densities 1.55 g/cm³ organic, 2.65 g/cm³ mineral.");
    private static final Source EXPONENTIAL = new Source(
            "Exponential dry-down M(t) = Mr + (M0 − Mr)·e^(−k·t), nonlinear least squares (Levenberg–Marquardt).");

    private final WaterUnit unit;
    private final Gravimetry gravimetry;
    private final double refillShare;
    private final List<Figure> figures = new ArrayList<>();

    private WaterFigures(WaterUnit unit, double refillShare) {
        this.unit = unit;
        this.gravimetry = unit.gravimetry();
        this.refillShare = refillShare;
    }

    /**
     * All figures the unit's weighings support.
     *
     * @param refillShare of the water first held at which the unit is due for watering, 0 to 1
     * @param compareAt the look at which units are compared; 0 for none
     */
    static UnitResult of(TrialRecord record, double refillShare, WaterUnit unit, int compareAt) {
        WaterFigures made = new WaterFigures(unit, refillShare);
        made.density();
        if (!unit.wetLooks().isEmpty()) {
            made.held();
            made.pores();
            made.compared(record, compareAt);
            made.drying();
        }
        return new UnitResult(unit.unit(), made.figures);
    }

    private void add(FigureKind kind, double value, String formula, Source source, List<Term> terms, String... steps) {
        String title = kind.label() + ", " + unit.unit().code();
        figures.add(new Figure(kind, value, new Working(title, formula, terms, List.of(steps), source, List.of())));
    }

    private Term dryTerm() {
        return Term.read("container and dry medium", gravimetry.dryG(), UnitOfMeasure.GRAM, 1, unit.dry());
    }

    private Term tareTerm() {
        return Term.read("empty container", gravimetry.tareG(), UnitOfMeasure.GRAM, 1, unit.tare());
    }

    private Term drainedTerm() {
        return Term.read(
                "after soaking and draining",
                gravimetry.wet().get(0).grams(),
                UnitOfMeasure.GRAM,
                1,
                unit.drainedRef());
    }

    private Term volumeTerm() {
        return Term.given("filled volume", gravimetry.filledVolumeMl(), UnitOfMeasure.MILLILITRE, 0);
    }

    private void density() {
        add(
                WaterKinds.BULK_DENSITY,
                gravimetry.bulkDensity(),
                "dry medium ÷ filled volume",
                Source.DEFINITION,
                List.of(dryTerm(), tareTerm(), volumeTerm()),
                g(gravimetry.dryG()) + " − " + g(gravimetry.tareG()) + " = " + g(gravimetry.dryMassG()) + " dry medium",
                g(gravimetry.dryMassG()) + " ÷ " + ml(gravimetry.filledVolumeMl()) + " = "
                        + WaterKinds.BULK_DENSITY.show(gravimetry.bulkDensity()));
    }

    private void held() {
        double held = gravimetry.heldMl().asOptional().orElseThrow();
        double drained = gravimetry.wet().get(0).grams();
        String subtraction = g(drained) + " − " + g(gravimetry.dryG()) + " = " + g(held) + ", which is " + ml1(held);
        add(
                WaterKinds.HELD,
                held,
                "weight after draining − weight when dry; 1 g of water is 1 mL",
                Source.DEFINITION,
                List.of(drainedTerm(), dryTerm()),
                subtraction);
        gravimetry
                .containerCapacity()
                .asOptional()
                .ifPresent(theta -> add(
                        WaterKinds.CAPACITY,
                        theta,
                        "water held after draining ÷ filled volume",
                        Source.DEFINITION,
                        List.of(drainedTerm(), dryTerm(), volumeTerm()),
                        subtraction,
                        ml1(held) + " ÷ " + ml(gravimetry.filledVolumeMl()) + " = " + WaterKinds.CAPACITY.show(theta)));
        gravimetry
                .waterByDryMass()
                .asOptional()
                .ifPresent(ratio -> add(
                        WaterKinds.BY_DRY_MASS,
                        ratio,
                        "water held after draining ÷ dry medium",
                        Source.DEFINITION,
                        List.of(drainedTerm(), dryTerm(), tareTerm()),
                        subtraction,
                        g(held) + " ÷ " + g(gravimetry.dryMassG()) + " = " + WaterKinds.BY_DRY_MASS.show(ratio)));
    }

    private void pores() {
        gravimetry.totalPorosity().asOptional().ifPresent(porosity -> {
            double matter = gravimetry.organicMatter().getAsDouble();
            double particle = Gravimetry.particleDensity(matter);
            String density = "1 ÷ (" + Decimals.fixed(matter, 2) + " ÷ 1.55 + " + Decimals.fixed(1 - matter, 2)
                    + " ÷ 2.65) = " + Decimals.fixed(particle, 3) + " g/mL of solid";
            String pores = "1 − " + Decimals.fixed(gravimetry.bulkDensity(), 3) + " ÷ " + Decimals.fixed(particle, 3)
                    + " = " + WaterKinds.POROSITY.show(porosity);
            List<Term> terms = List.of(
                    Term.given("organic matter", matter, UnitOfMeasure.FRACTION, 0),
                    Term.given("bulk density", gravimetry.bulkDensity(), UnitOfMeasure.GRAM_PER_MILLILITRE, 3));
            add(WaterKinds.POROSITY, porosity, "1 − bulk density ÷ particle density", EN_13041, terms, density, pores);
            gravimetry
                    .airFilledPorosity()
                    .asOptional()
                    .ifPresent(air -> add(
                            WaterKinds.AIR,
                            air,
                            "pore space − container capacity; pore space computed, not measured",
                            EN_13041,
                            terms,
                            density,
                            pores,
                            WaterKinds.POROSITY.show(porosity) + " − " + WaterKinds.CAPACITY.show(porosity - air)
                                    + " = " + WaterKinds.AIR.show(air)));
        });
    }

    private void compared(TrialRecord record, int compareAt) {
        unit.at(compareAt).ifPresent(weighing -> {
            String name = record.look(compareAt).orElseThrow().name();
            Term then = Term.read("weight at " + name, weighing.grams(), UnitOfMeasure.GRAM, 1, unit.wetRef(compareAt));
            double water = gravimetry.waterMl(weighing);
            double theta = gravimetry.waterByVolume(weighing);
            String left = g(weighing.grams()) + " − " + g(gravimetry.dryG()) + " = " + ml1(water) + " left";
            add(
                    WaterKinds.STILL_HELD,
                    theta,
                    "(weight at " + name + " − weight when dry) ÷ filled volume",
                    Source.DEFINITION,
                    List.of(then, dryTerm(), volumeTerm()),
                    left,
                    ml1(water) + " ÷ " + ml(gravimetry.filledVolumeMl()) + " = " + WaterKinds.STILL_HELD.show(theta));
            gravimetry.lostBy(weighing).asOptional().ifPresent(lost -> {
                double held = gravimetry.heldMl().asOptional().orElseThrow();
                add(
                        WaterKinds.LOST,
                        lost,
                        "(water after draining − water at " + name + ") ÷ water after draining",
                        Source.DEFINITION,
                        List.of(drainedTerm(), then, dryTerm()),
                        left,
                        "(" + ml1(held) + " − " + ml1(water) + ") ÷ " + ml1(held) + " = " + WaterKinds.LOST.show(lost));
            });
        });
    }

    private void drying() {
        gravimetry.refillWeightG(refillShare).asOptional().ifPresent(trigger -> {
            double held = gravimetry.heldMl().asOptional().orElseThrow();
            add(
                    WaterKinds.REFILL_WEIGHT,
                    trigger,
                    "dry weight + " + percent(refillShare) + " of the water held after draining",
                    new Source("The refill share is the trial's own setting."),
                    List.of(
                            dryTerm(),
                            drainedTerm(),
                            Term.given("refill share", refillShare, UnitOfMeasure.FRACTION, 0)),
                    g(gravimetry.dryG()) + " + " + Decimals.upTo(refillShare, 2) + " × " + g(held) + " = "
                            + g(trigger));
        });
        RefillTime.of(gravimetry, refillShare).asOptional().ifPresent(this::refillAfter);
        RefillTime.trusted(gravimetry).asOptional().ifPresent(this::rate);
    }

    private void refillAfter(RefillTime time) {
        double trigger = gravimetry.refillWeightG(refillShare).asOptional().orElseThrow();
        List<String> steps = new ArrayList<>();
        steps.add("refill weight " + g(trigger));
        if (time.method() == RefillTime.Method.CURVE) {
            ExponentialDryDown curve =
                    RefillTime.trusted(gravimetry).asOptional().orElseThrow();
            steps.add(curveText(curve));
            steps.add("ln((" + g(curve.startMassG()) + " − " + g(curve.residualMassG()) + ") ÷ (" + g(trigger) + " − "
                    + g(curve.residualMassG()) + ")) ÷ " + Decimals.fixed(curve.ratePerHour(), 5) + " per h = "
                    + Decimals.fixed(time.hours(), 1) + " h");
        } else {
            steps.add("straight line between the two weighings around it: " + Decimals.fixed(time.hours(), 1) + " h");
        }
        steps.add(Decimals.fixed(time.hours(), 1) + " h ÷ 24 = " + WaterKinds.REFILL_AFTER.show(time.hours() / 24));
        String formula = "time until the weight falls to its refill weight, by the "
                + time.method().label();
        add(
                WaterKinds.REFILL_AFTER,
                time.hours() / 24,
                formula,
                EXPONENTIAL,
                weighings(),
                steps.toArray(String[]::new));
        if (time.extrapolated()) {
            Figure last = figures.remove(figures.size() - 1);
            figures.add(new Figure(
                    last.kind(),
                    last.value(),
                    last.working().with("This lies after the last weighing: the curve was carried on, not measured.")));
        }
    }

    private void rate(ExponentialDryDown curve) {
        double perDay = curve.ratePerHour() * 24;
        add(
                WaterKinds.RATE,
                perDay,
                "k of the curve through this unit's weighings, per day",
                EXPONENTIAL,
                weighings(),
                curveText(curve),
                Decimals.fixed(curve.ratePerHour(), 5) + " per h × 24 = " + WaterKinds.RATE.show(perDay));
    }

    private List<Term> weighings() {
        List<Term> terms = new ArrayList<>();
        for (int i = 0; i < gravimetry.wet().size(); i++) {
            TimedMass weighing = gravimetry.wet().get(i);
            String after = i == 0 ? "drained" : "after " + Spans.words(weighing.hours());
            int look = unit.wetLooks().get(i);
            terms.add(Term.read(after, weighing.grams(), UnitOfMeasure.GRAM, 1, unit.wetRef(look)));
        }
        return terms;
    }

    private static String curveText(ExponentialDryDown curve) {
        return "fitted: M0 " + g(curve.startMassG()) + ", Mr " + g(curve.residualMassG()) + ", k "
                + Decimals.fixed(curve.ratePerHour(), 5) + " per h; misses the weighings by "
                + g(Math.sqrt(curve.fit().residualVariance()));
    }

    private static String g(double grams) {
        return Decimals.fixed(grams, 1) + " g";
    }

    private static String ml1(double millilitres) {
        return Decimals.fixed(millilitres, 1) + " mL";
    }

    private static String ml(double millilitres) {
        return Decimals.upTo(millilitres, 1) + " mL";
    }

    private static String percent(double fraction) {
        return Decimals.upTo(fraction * 100, 0) + " %";
    }
}
