package elsom.web.findings;

import elsom.core.dose.DoseCurve;
import elsom.core.dose.DoseEffect;
import elsom.core.dose.DoseUnit;
import elsom.core.dose.WorkingRate;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.DoseResult;
import elsom.core.results.DoseWording;
import elsom.core.results.FigureKind;
import elsom.core.stats.Interval;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Turns what doses did into what a page shows. */
final class DoseViews {
    private static final int SAMPLES = 48;
    private static final String NONE = "–";
    private static final double FINEST_P = 0.0001;
    private static final double MISSES = 0.05;

    private final TrialRecord record;
    private final DoseResult result;
    private final double factor;

    private DoseViews(TrialRecord record, DoseResult result) {
        this.record = record;
        this.result = result;
        this.factor = result.kind().unit() == UnitOfMeasure.FRACTION ? 100 : 1;
    }

    static SectionView of(TrialRecord record, DoseResult result, Links links) {
        DoseViews views = new DoseViews(record, result);
        return new SectionView.Doses(
                result.kind().label() + " by "
                        + (result.by() == DoseResult.By.SHARE
                                ? Sentence.inside(result.factor())
                                : result.by().label()),
                result.factor(),
                result.look().name(),
                result.lines().get(0).atLooks().stream()
                        .map(at -> at.look().name())
                        .toList(),
                result.lines().stream().map(views::line).toList(),
                result.lines().stream()
                                .anyMatch(line -> line.rate().asOptional().isPresent())
                        ? links.mixing(result.kind())
                        : "",
                Json.of(views.chart()));
    }

    private SectionView.Doses.Series line(DoseResult.Line line) {
        FigureKind finer = result.kind().finer();
        return new SectionView.Doses.Series(
                line.name(),
                line.atLooks().stream().map(this::atLook).toList(),
                line.effect().levels().stream()
                        .map(level -> new SectionView.Doses.Level(
                                result.dose(level.dose()),
                                level.n(),
                                finer.show(level.mean()),
                                line.areas().stream()
                                        .filter(area -> area.dose() == level.dose())
                                        .findFirst()
                                        .map(area -> Decimals.fixed(area.mean(), 1))
                                        .orElse(NONE)))
                        .toList(),
                !line.areas().isEmpty());
    }

    private SectionView.Doses.AtLook atLook(DoseResult.AtLook at) {
        DoseEffect effect = at.effect();
        Optional<WorkingRate> rate = at.rate().asOptional();
        return new SectionView.Doses.AtLook(
                at.look().name(),
                effect.tested().refused().isPresent()
                        ? "can't tell"
                        : dose(effect.tested().noec(), "none: the lowest harms"),
                effect.tested().refused().isPresent()
                        ? "can't tell"
                        : dose(effect.tested().loec(), "none tested"),
                effective(effect, 10),
                effective(effect, 20),
                effective(effect, 50),
                rate.map(found -> result.dose(found.rate())).orElse("none"),
                rate.map(found -> DoseWording.standing(result, found))
                        .orElseGet(() -> at.rate().whyNot().orElse("") + "."),
                how(effect));
    }

    private String dose(OptionalDouble dose, String without) {
        return dose.isPresent() ? result.dose(dose.getAsDouble()) : without;
    }

    private String effective(DoseEffect effect, double percent) {
        return effect.effective(percent)
                .map(found -> DoseWording.shown(result, found))
                .orElse(effect.curve().asOptional().isPresent() ? "can't be told" : NONE);
    }

    private static String how(DoseEffect effect) {
        String curve = effect.curve()
                .asOptional()
                .map(found ->
                        "Curve: " + found.model().label() + " (" + found.model().source() + ")"
                                + (found.lackOfFitP().isPresent()
                                        ? fits(found.lackOfFitP().getAsDouble())
                                        : "")
                                + ".")
                .orElseGet(() -> "No curve: " + effect.curve().whyNot().orElse("") + ".");
        return effect.tested().test().isEmpty()
                ? curve
                : curve + " NOEC and LOEC: " + effect.tested().test() + ", each dose beside the control.";
    }

    private static String fits(double p) {
        return p < MISSES
                ? "; it misses the means by more than chance (lack of fit, p " + p(p)
                        + "), so read its figures with care"
                : "; it goes through the means (lack of fit, p " + p(p) + ")";
    }

    private static String p(double p) {
        return p < FINEST_P ? "< 0.0001" : Decimals.fixed(p, p < 0.01 ? 4 : 2);
    }

    record Chart(
            String label,
            String unit,
            String factor,
            String doseUnit,
            @Nullable Double labelRate,
            List<String> looks,
            List<ChartLine> lines) {}

    record ChartLine(String name, List<ChartLook> looks) {}

    record ChartLook(
            double days,
            List<Point> points,
            List<double[]> curve,
            @Nullable Mark ec10,
            @Nullable Mark ec50,
            @Nullable Double noec,
            @Nullable Double loec,
            @Nullable Double rate,
            SectionView.Doses.AtLook words) {}

    record Point(String unit, int number, double dose, double value) {}

    record Mark(double dose, double low, double high) {}

    private Chart chart() {
        return new Chart(
                result.kind().label(),
                result.kind().unitSymbol(),
                result.factor(),
                result.unit().symbol(),
                value(result.labelRate()),
                result.lines().get(0).atLooks().stream()
                        .map(DoseResult.AtLook::look)
                        .map(Look::name)
                        .toList(),
                result.lines().stream()
                        .map(line -> new ChartLine(
                                line.name(),
                                line.atLooks().stream().map(this::look).toList()))
                        .toList());
    }

    private ChartLook look(DoseResult.AtLook at) {
        DoseEffect effect = at.effect();
        return new ChartLook(
                at.look().hoursAfterStart() / 24,
                effect.units().stream().map(this::point).toList(),
                effect.curve().asOptional().map(curve -> samples(curve, effect)).orElse(List.of()),
                mark(effect, 10),
                mark(effect, 50),
                value(effect.tested().noec()),
                value(effect.tested().loec()),
                at.rate().asOptional().map(WorkingRate::rate).orElse(null),
                atLook(at));
    }

    private Point point(DoseUnit unit) {
        Swatch swatch = Swatch.of(record.treatment(unit.arm() + 1));
        return new Point(unit.unit(), swatch.number(), unit.dose(), rounded(unit.value() * factor));
    }

    /** Dose, response and its band, rising; the first is the control. */
    private List<double[]> samples(DoseCurve curve, DoseEffect effect) {
        List<Double> doses = effect.levels().stream()
                .map(DoseEffect.Level::dose)
                .filter(dose -> dose > 0)
                .toList();
        double low = doses.get(0);
        double high = doses.get(doses.size() - 1);
        List<double[]> samples = new ArrayList<>();
        samples.add(sample(curve, 0));
        for (int i = 0; i < SAMPLES; i++) {
            samples.add(sample(curve, low * Math.pow(high / low, i / (SAMPLES - 1.0))));
        }
        return samples;
    }

    private double[] sample(DoseCurve curve, double dose) {
        double at = curve.at(dose) * factor;
        Optional<Interval> band = curve.bandAt(dose);
        return new double[] {
            rounded(dose),
            rounded(at),
            rounded(band.map(i -> i.low() * factor).orElse(at)),
            rounded(band.map(i -> i.high() * factor).orElse(at))
        };
    }

    private static double rounded(double value) {
        return value == 0 ? 0 : Double.parseDouble(String.format(Locale.ROOT, "%.5g", value));
    }

    private static @Nullable Mark mark(DoseEffect effect, double percent) {
        return effect.effective(percent)
                .filter(found -> !found.outside())
                .map(found -> new Mark(
                        rounded(found.dose()),
                        rounded(found.interval95().low()),
                        rounded(found.interval95().high())))
                .orElse(null);
    }

    private static @Nullable Double value(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
