package elsom.core.protocol.liming;

import elsom.core.chemistry.LimeDose;
import elsom.core.chemistry.Titration;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Door;
import elsom.core.section.Part;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Tells pH over the amount of lime or sulfur. */
final class TitrationAccount {
    private static final int SAMPLES = 60;
    private static final double STEP = 0.5;
    private static final double DIGITS = 1000;

    private final TrialRecord record;
    private final TitrationResult result;

    TitrationAccount(TrialRecord record, TitrationResult result) {
        this.record = record;
        this.result = result;
    }

    /** Every jar, and the curve through their means. */
    record LimeCurve(String product, String unit, List<Point> points, List<double[]> curve) implements Chart {
        @Override
        public String script() {
            return "lime";
        }
    }

    /** A jar. */
    record Point(String unit, int number, double x, double y) {}

    private record Target(double ph, LimeDose dose) {}

    Account account() {
        return Account.of("lime", "pH by " + result.product().toLowerCase(Locale.ROOT))
                .about(result.look().name())
                .part(Part.drawn(chart(), targets()))
                .note(
                        "A monotone curve through the mean pH of each amount (Fritsch & Carlson 1980). Good for: the amounts"
                                + " for a pH as far off as the mean of the jars can be, in 95 of 100 trials. Nothing outside what"
                                + " was tested.")
                .door(Door.LIMING)
                .build();
    }

    private Table targets() {
        return Table.of(
                "amounts",
                "Amounts for a pH",
                List.of(
                        Column.<Target>words("For pH", target -> Decimals.fixed(target.ph(), 1)),
                        Column.numbers("Amount", "", result.unit().symbol(), this::amount),
                        Column.numbers(
                                "good for",
                                target -> Cell.none(
                                        TitrationAnswers.within(target.dose()).orElse(Cell.NONE))),
                        Column.numbers("a container", this::each),
                        Column.words("", target -> target.dose().nearEnd() ? "near the end of what was tested" : "")),
                reached());
    }

    private Cell amount(Target target) {
        LimeDose dose = target.dose();
        return Cell.number(
                Decimals.threeDigits(dose.gramsPerLitre()),
                Amount.of(dose.gramsPerLitre(), result.unit()).within(dose.low(), dose.high()));
    }

    private Cell each(Target target) {
        double grams = target.dose().gramsFor(result.unitMl());
        return Cell.number(Decimals.threeDigits(grams) + " g", Amount.of(grams, UnitOfMeasure.GRAM));
    }

    /** Every half pH that was reached. */
    private List<Target> reached() {
        List<Target> targets = new ArrayList<>();
        result.range().ifPresent(range -> {
            for (double ph = Math.ceil(range.low() / STEP) * STEP; ph <= range.high(); ph += STEP) {
                double target = ph;
                result.dose(target).asOptional().ifPresent(dose -> targets.add(new Target(target, dose)));
            }
        });
        return targets;
    }

    private LimeCurve chart() {
        return new LimeCurve(
                result.product(),
                result.unit().symbol(),
                result.jars().stream()
                        .map(jar -> new Point(
                                jar.unit(), record.treatment(jar.arm() + 1).number(), jar.amount(), jar.ph()))
                        .toList(),
                result.curve().asOptional().map(TitrationAccount::samples).orElse(List.of()));
    }

    private static List<double[]> samples(Titration titration) {
        double from = titration.amounts().get(0);
        double to = titration.amounts().get(titration.amounts().size() - 1);
        List<double[]> samples = new ArrayList<>();
        for (int i = 0; i <= SAMPLES; i++) {
            double amount = from + (to - from) * i / SAMPLES;
            titration
                    .curve()
                    .at(amount)
                    .asOptional()
                    .ifPresent(ph -> samples.add(new double[] {rounded(amount), rounded(ph)}));
        }
        return samples;
    }

    private static double rounded(double value) {
        return Math.round(value * DIGITS) / DIGITS;
    }
}
