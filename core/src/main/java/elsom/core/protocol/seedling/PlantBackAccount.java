package elsom.core.protocol.seedling;

import elsom.core.figure.FigureKind;
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
import elsom.core.section.Tone;
import elsom.core.seedling.HalfLives;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Tells from which day after a treatment a crop grows clean. */
final class PlantBackAccount {
    private static final int SAMPLES = 40;
    private static final double POINTS = 10;
    private static final double DIGITS = 1000;

    private final TrialRecord record;
    private final PlantBackResult result;
    private final HalfLives halfLives;

    PlantBackAccount(TrialRecord record, PlantBackResult result, HalfLives halfLives) {
        this.halfLives = halfLives;
        this.record = record;
        this.result = result;
    }

    /**
     * Sowings beside their untreated twins, and what is left of a substance.
     *
     * @param curve day and injury
     * @param left day, least and most that is left
     */
    record Decline(
            String label,
            String unit,
            double limit,
            @Nullable Double cleanFrom,
            List<Sown> sowings,
            List<double[]> curve,
            List<double[]> left,
            String halfLives)
            implements Chart {
        @Override
        public String script() {
            return "plantback";
        }
    }

    /** What was sown on a day. */
    record Sown(double days, String clean, List<Point> points) {}

    /** A pot. */
    record Point(String unit, int number, boolean treated, double value) {}

    Account account() {
        Account.Builder account = Account.of("plant-back", "Injury by days between treatment and sowing")
                .about(result.look().name())
                .part(Part.drawn(chart(), sowings()))
                .note("Intervals hold for all sowings together. A sowing is clean when its interval stays within the"
                        + " limit. Left: of a substance with a half-life of " + days(halfLives.shortestDays()) + " to "
                        + days(halfLives.longestDays())
                        + " days, 0.5^(t/DT50); which one yours has, its label or data sheet says.")
                .caution("The product's label and local law say when you may sow or plant; they rule over this trial.");
        return (halfLives.equals(HalfLives.USUAL) ? account.door(Door.RESIDUE) : account).build();
    }

    private static String days(double days) {
        return Decimals.upTo(days, 2);
    }

    private Table sowings() {
        FigureKind finer = result.kind().finer();
        return Table.of(
                "sowings",
                "Sowings after the treatment",
                List.of(
                        Column.<PlantBackResult.Sowing>cells(
                                "Sown after",
                                sowing -> Cell.number(
                                        PlantBackWording.days(sowing.days()),
                                        Amount.of(sowing.days(), UnitOfMeasure.DAY))),
                        Column.values("Treated", finer, PlantBackResult.Sowing::treated),
                        Column.numbers("Untreated", sowing -> twin(finer, sowing.untreated())),
                        Column.numbers("Difference, 95 %", sowing -> difference(finer, sowing)),
                        Column.cells(
                                "Clean?", sowing -> Cell.verdict(sowing.clean().label(), tone(sowing.clean()))),
                        Column.numbers("Left", this::left)),
                result.sowings());
    }

    private static Cell twin(FigureKind finer, OptionalDouble untreated) {
        return untreated.isPresent() ? Cell.shown(finer, untreated.getAsDouble()) : Cell.none("none");
    }

    private static Cell difference(FigureKind finer, PlantBackResult.Sowing sowing) {
        return sowing.difference()
                .map(interval -> Cell.number(
                        finer.number(interval.low()) + " to " + finer.show(interval.high()),
                        Amount.of(sowing.treated() - sowing.untreated().orElse(Double.NaN), finer.unit())
                                .within(interval)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static Tone tone(PlantBackResult.Clean clean) {
        return switch (clean) {
            case YES -> Tone.BETTER;
            case INJURED -> Tone.WORSE;
            case NOT_SHOWN, NO_TWIN, TWIN_FAILED -> Tone.CANT_TELL;
        };
    }

    private Cell left(PlantBackResult.Sowing sowing) {
        HalfLives.Left left = halfLives.after(sowing.days());
        return Cell.number(
                Decimals.percent(left.least(), 0) + " to " + Decimals.percent(left.most(), 0) + " %",
                Amount.of((left.least() + left.most()) / 2, UnitOfMeasure.FRACTION)
                        .within(OptionalDouble.of(left.least()), OptionalDouble.of(left.most())));
    }

    private Decline chart() {
        double last = result.sowings().get(result.sowings().size() - 1).days();
        List<double[]> curve = new ArrayList<>();
        List<double[]> left = new ArrayList<>();
        for (int i = 0; i <= SAMPLES; i++) {
            double day = last * i / SAMPLES;
            result.decline()
                    .asOptional()
                    .ifPresent(found -> curve.add(new double[] {rounded(day), rounded(found.at(day) / POINTS)}));
            HalfLives.Left here = halfLives.after(day);
            left.add(new double[] {rounded(day), rounded(here.least()), rounded(here.most())});
        }
        return new Decline(
                result.kind().label(),
                result.kind().unitSymbol(),
                result.limit(),
                result.cleanFrom().isPresent() ? result.cleanFrom().getAsDouble() : null,
                result.sowings().stream().map(this::sown).toList(),
                curve,
                left,
                days(halfLives.shortestDays()) + " to " + days(halfLives.longestDays()) + " days");
    }

    private Sown sown(PlantBackResult.Sowing sowing) {
        return new Sown(
                sowing.days(),
                sowing.clean().label(),
                sowing.points().stream()
                        .map(point -> new Point(
                                point.unit(),
                                record.treatment(point.arm() + 1).number(),
                                point.treated(),
                                point.value()))
                        .toList());
    }

    private static double rounded(double value) {
        return Math.round(value * DIGITS) / DIGITS;
    }
}
