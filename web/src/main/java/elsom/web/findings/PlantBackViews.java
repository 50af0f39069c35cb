package elsom.web.findings;

import elsom.core.quantity.Decimals;
import elsom.core.results.PlantBackResult;
import elsom.core.results.PlantBackWording;
import elsom.core.seedling.HalfLives;
import elsom.core.seedling.InjuryDecline;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Turns sowings after a treatment into what a page shows. */
final class PlantBackViews {
    private static final int SAMPLES = 40;
    private static final double POINTS = 10;
    private static final double DIGITS = 1000;

    private PlantBackViews() {}

    static SectionView.PlantBack of(TrialRecord record, PlantBackResult result, HalfLives halfLives) {
        return new SectionView.PlantBack(
                "Injury by days between treatment and sowing",
                result.look().name(),
                result.sowings().stream()
                        .map(sowing -> row(result, sowing, halfLives))
                        .toList(),
                days(halfLives.shortestDays()),
                days(halfLives.longestDays()),
                "/trials/" + record.trial().id() + "/residue",
                Json.of(chart(record, result, halfLives)));
    }

    private static String days(double days) {
        return Decimals.upTo(days, 2);
    }

    private static SectionView.PlantBack.Sowing row(
            PlantBackResult result, PlantBackResult.Sowing sowing, HalfLives halfLives) {
        HalfLives.Left left = halfLives.after(sowing.days());
        return new SectionView.PlantBack.Sowing(
                PlantBackWording.days(sowing.days()),
                result.kind().finer().show(sowing.treated()),
                sowing.untreated().isPresent()
                        ? result.kind().finer().show(sowing.untreated().getAsDouble())
                        : "none",
                sowing.difference()
                        .map(interval -> result.kind().finer().number(interval.low()) + " to "
                                + result.kind().finer().show(interval.high()))
                        .orElse("–"),
                sowing.clean().label(),
                switch (sowing.clean()) {
                    case YES -> "better";
                    case INJURED -> "worse";
                    case NOT_SHOWN, NO_TWIN -> "cant_tell";
                },
                Decimals.percent(left.least(), 0) + " to " + Decimals.percent(left.most(), 0) + " %");
    }

    record Chart(
            String label,
            String unit,
            double limit,
            @Nullable Double cleanFrom,
            List<Sown> sowings,
            List<double[]> curve,
            List<double[]> left,
            String halfLives) {}

    record Sown(double days, String clean, List<Point> points) {}

    record Point(String unit, int number, boolean treated, double value) {}

    private static Chart chart(TrialRecord record, PlantBackResult result, HalfLives halfLives) {
        double last = result.sowings().get(result.sowings().size() - 1).days();
        List<double[]> curve = new ArrayList<>();
        List<double[]> left = new ArrayList<>();
        for (int i = 0; i <= SAMPLES; i++) {
            double day = last * i / SAMPLES;
            result.decline()
                    .asOptional()
                    .ifPresent(found -> curve.add(new double[] {rounded(day), rounded(at(found, day))}));
            HalfLives.Left here = halfLives.after(day);
            left.add(new double[] {rounded(day), rounded(here.least()), rounded(here.most())});
        }
        return new Chart(
                result.kind().label(),
                result.kind().unitSymbol(),
                result.limit(),
                result.cleanFrom().isPresent() ? result.cleanFrom().getAsDouble() : null,
                result.sowings().stream()
                        .map(sowing -> new Sown(
                                sowing.days(),
                                sowing.clean().label(),
                                sowing.points().stream()
                                        .map(point -> new Point(
                                                point.unit(),
                                                Swatch.of(record.treatment(point.arm() + 1))
                                                        .number(),
                                                point.treated(),
                                                point.value()))
                                        .toList()))
                        .toList(),
                curve,
                left,
                days(halfLives.shortestDays()) + " to " + days(halfLives.longestDays()) + " days");
    }

    private static double at(InjuryDecline decline, double day) {
        return decline.at(day) / POINTS;
    }

    private static double rounded(double value) {
        return Math.round(value * DIGITS) / DIGITS;
    }
}
