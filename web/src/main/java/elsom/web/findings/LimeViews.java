package elsom.web.findings;

import elsom.core.chemistry.LimeDose;
import elsom.core.chemistry.Titration;
import elsom.core.quantity.Decimals;
import elsom.core.results.DoseResult;
import elsom.core.results.TitrationAnswers;
import elsom.core.results.TitrationResult;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Turns pH over amounts into what a page shows. */
final class LimeViews {
    private static final int SAMPLES = 60;
    private static final double STEP = 0.5;
    private static final double DIGITS = 1000;

    private LimeViews() {}

    static SectionView of(TrialRecord record, TitrationResult result, Links links) {
        return new SectionView.Lime(
                "pH by " + result.product().toLowerCase(Locale.ROOT),
                result.look().name(),
                result.unit().symbol(),
                targets(result),
                links.liming(),
                Json.of(chart(record, result)));
    }

    /** Every half pH that was reached. */
    private static List<SectionView.Lime.Target> targets(TitrationResult result) {
        List<SectionView.Lime.Target> targets = new ArrayList<>();
        result.range().ifPresent(range -> {
            for (double ph = Math.ceil(range.low() / STEP) * STEP; ph <= range.high(); ph += STEP) {
                double target = ph;
                result.dose(target).asOptional().ifPresent(dose -> targets.add(target(result, target, dose)));
            }
        });
        return targets;
    }

    private static SectionView.Lime.Target target(TitrationResult result, double ph, LimeDose dose) {
        return new SectionView.Lime.Target(
                Decimals.fixed(ph, 1),
                DoseResult.number(dose.gramsPerLitre()),
                TitrationAnswers.within(dose).orElse("–"),
                DoseResult.number(dose.gramsFor(result.unitMl())) + " g",
                dose.nearEnd() ? "near the end of what was tested" : "");
    }

    record Chart(String product, String unit, List<Point> points, List<double[]> curve) {}

    record Point(String unit, int number, double x, double y) {}

    private static Chart chart(TrialRecord record, TitrationResult result) {
        return new Chart(
                result.product(),
                result.unit().symbol(),
                result.jars().stream()
                        .map(jar -> new Point(
                                jar.unit(),
                                Swatch.of(record.treatment(jar.arm() + 1)).number(),
                                jar.amount(),
                                jar.ph()))
                        .toList(),
                result.curve().asOptional().map(LimeViews::samples).orElse(List.of()));
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
