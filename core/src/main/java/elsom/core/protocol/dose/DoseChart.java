package elsom.core.protocol.dose;

import elsom.core.dose.DoseCurve;
import elsom.core.dose.DoseEffect;
import elsom.core.dose.DoseUnit;
import elsom.core.dose.WorkingRate;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Chart;
import elsom.core.stats.Interval;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Response over dose at each look: every unit at its dose, the curve with its band, and the doses that were found. */
record DoseChart(
        String name,
        String label,
        String unit,
        String factor,
        String doseUnit,
        @Nullable Double labelRate,
        List<AtLook> looks)
        implements Chart {
    private static final int SAMPLES = 48;
    private static final double PERCENT = 100;

    /**
     * What is drawn of a look.
     *
     * @param curve dose, response, and its band's ends, rising; the first is the control
     */
    record AtLook(
            String look,
            double days,
            List<Point> points,
            List<double[]> curve,
            @Nullable Mark ec10,
            @Nullable Mark ec50,
            @Nullable Double noec,
            @Nullable Double loec,
            @Nullable Double rate) {}

    /** A unit. */
    record Point(String unit, int number, double dose, double value) {}

    /** A dose with its interval, as far as it lies within what was tested. */
    record Mark(double dose, double low, double high) {}

    static DoseChart of(TrialRecord record, DoseResult result, DoseResult.Line line) {
        double factor = result.kind().unit() == UnitOfMeasure.FRACTION ? PERCENT : 1;
        return new DoseChart(
                line.name(),
                result.kind().label(),
                result.kind().unitSymbol(),
                result.factor(),
                result.unit().symbol(),
                value(result.labelRate()),
                line.atLooks().stream().map(at -> look(record, at, factor)).toList());
    }

    private static AtLook look(TrialRecord record, DoseResult.AtLook at, double factor) {
        DoseEffect effect = at.effect();
        return new AtLook(
                at.look().name(),
                at.look().hoursAfterStart() / 24,
                effect.units().stream().map(unit -> point(record, unit, factor)).toList(),
                effect.curve()
                        .asOptional()
                        .map(curve -> samples(curve, effect, factor))
                        .orElse(List.of()),
                mark(effect, 10),
                mark(effect, 50),
                value(effect.tested().noec()),
                value(effect.tested().loec()),
                at.rate().asOptional().map(WorkingRate::rate).orElse(null));
    }

    private static Point point(TrialRecord record, DoseUnit unit, double factor) {
        return new Point(
                unit.unit(), record.treatment(unit.arm() + 1).number(), unit.dose(), rounded(unit.value() * factor));
    }

    private static List<double[]> samples(DoseCurve curve, DoseEffect effect, double factor) {
        List<Double> doses = effect.levels().stream()
                .map(DoseEffect.Level::dose)
                .filter(dose -> dose > 0)
                .toList();
        double low = doses.get(0);
        double high = doses.get(doses.size() - 1);
        List<double[]> samples = new ArrayList<>();
        samples.add(sample(curve, 0, factor));
        for (int i = 0; i < SAMPLES; i++) {
            samples.add(sample(curve, low * Math.pow(high / low, i / (SAMPLES - 1.0)), factor));
        }
        return samples;
    }

    private static double[] sample(DoseCurve curve, double dose, double factor) {
        double at = curve.at(dose) * factor;
        Optional<Interval> band = curve.bandAt(dose);
        return new double[] {
            rounded(dose),
            rounded(at),
            rounded(band.map(i -> i.low() * factor).orElse(at)),
            rounded(band.map(i -> i.high() * factor).orElse(at))
        };
    }

    /** As fine as a chart can show. */
    static double rounded(double value) {
        return value == 0 ? 0 : Double.parseDouble(String.format(Locale.ROOT, "%.5g", value));
    }

    static @Nullable Mark mark(DoseEffect effect, double percent) {
        return effect.effective(percent)
                .filter(found -> !found.outside())
                .map(found -> new Mark(
                        rounded(found.dose()),
                        rounded(Math.max(effect.lowest(), found.interval95().low())),
                        rounded(Math.min(effect.highest(), found.interval95().high()))))
                .orElse(null);
    }

    static @Nullable Double value(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    @Override
    public String script() {
        return "doses";
    }
}
