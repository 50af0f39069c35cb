package elsom.core.dose;

import elsom.core.curve.CurveFit;
import elsom.core.curve.CurveModel;
import elsom.core.curve.CurveProfile;
import elsom.core.curve.DoseLevels;
import elsom.core.curve.DoseResponse;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Curves through measurements, averaged by the weights that Akaike's criterion gives them (Burnham &amp; Anderson 2002), each
 * dose counting by its scatter.
 */
public final class MeasuredCurves implements DoseCurve {
    private static final double LEAST_WEIGHT = 0.04;
    private static final double HUNDRED = 100;

    private final Course course;
    private final List<Weighed> curves;
    private final DoseLevels levels;
    private final Map<Double, Optional<Effective>> found = new ConcurrentHashMap<>();

    /**
     * Which way readings go, and how far they can.
     *
     * @param end of the scale they rise towards; not a number where they fall or rise without end
     */
    public record Course(Meaning meaning, double end) {
        /** Readings that fall, to 0 at most. */
        public static Course falls() {
            return new Course(Meaning.BELOW_CONTROL, Double.NaN);
        }

        /** Readings that rise towards the end of their scale. */
        public static Course risesTo(double end) {
            return new Course(Meaning.TO_THE_END, end);
        }

        /** Readings that rise, nobody knows how far. */
        public static Course rises() {
            return new Course(Meaning.ABOVE_CONTROL, Double.NaN);
        }

        /** What a curve is fitted to: a reading, or the room left to the end of its scale. */
        private double fitted(double reading) {
            return meaning == Meaning.TO_THE_END ? end - reading : reading;
        }

        private double read(double fitted) {
            return fitted(fitted);
        }

        private OptionalDouble most() {
            return meaning == Meaning.TO_THE_END ? OptionalDouble.of(end) : OptionalDouble.empty();
        }

        /** What is left of the control's at an effect. */
        private double kept(double percent) {
            return meaning == Meaning.ABOVE_CONTROL ? 1 + percent / HUNDRED : 1 - percent / HUNDRED;
        }
    }

    private record Weighed(CurveFit fit, double weight) {}

    private MeasuredCurves(Course course, List<Weighed> curves) {
        this.course = course;
        this.curves = List.copyOf(curves);
        this.levels = curves.get(0).fit().levels();
    }

    /**
     * The curves that the data hold.
     *
     * @return not estimable with the reason in words: no response, too few doses
     */
    public static Outcome<DoseCurve> of(DoseResponse data, Course course) {
        DoseResponse turned = new DoseResponse(data.points().stream()
                .map(point -> new DoseResponse.Point(point.dose(), course.fitted(point.response())))
                .toList());
        return turned.holdsCurve(3).then(held -> {
            DoseLevels alike = DoseLevels.of(turned);
            DoseLevels.Level control = alike.levels().get(0);
            if (control.dose() == 0 && !(control.mean() > 0)) {
                return Outcome.notEstimable(
                        course.meaning() == Meaning.TO_THE_END
                                ? "The control is at the end of the scale itself"
                                : "The control is at 0 on average, and no percent of it can be told");
            }
            List<CurveFit> first = fits(alike, course);
            if (first.isEmpty()) {
                return Outcome.notEstimable("The points don't settle on any curve");
            }
            List<CurveFit> fits = fits(ScatterOfMean.weigh(first.get(0), course.most()), course);
            return fits.isEmpty()
                    ? Outcome.notEstimable("The points don't settle on any curve")
                    : Outcome.found(new MeasuredCurves(course, weighed(fits)));
        });
    }

    /** The best first. */
    private static List<CurveFit> fits(DoseLevels levels, Course course) {
        Stream<CurveModel> models = Arrays.stream(CurveModel.values())
                .filter(model -> model.parameters() < levels.levels().size())
                .filter(model -> course.meaning() != Meaning.ABOVE_CONTROL || !model.lowerHeld())
                .filter(model -> course.meaning() == Meaning.BELOW_CONTROL || model != CurveModel.BC_4);
        return models.flatMap(model -> CurveFit.of(model, levels).asOptional().stream())
                .filter(fit -> goes(fit, course) && Double.isFinite(fit.aicc()))
                .sorted(Comparator.comparingDouble(CurveFit::aicc))
                .toList();
    }

    /** Whether a curve goes where readings can. */
    private static boolean goes(CurveFit fit, Course course) {
        double none = fit.atNone();
        double last = fit.last();
        if (fit.model() == CurveModel.BC_4) {
            return fit.rises() && none > 0;
        }
        return course.meaning() == Meaning.ABOVE_CONTROL ? last > none && none > 0 : last >= 0 && last < none;
    }

    private static List<Weighed> weighed(List<CurveFit> fits) {
        double best = fits.get(0).aicc();
        List<Weighed> all = fits.stream()
                .map(fit -> new Weighed(fit, Math.exp((best - fit.aicc()) / 2)))
                .toList();
        double whole = all.stream().mapToDouble(Weighed::weight).sum();
        List<Weighed> kept =
                all.stream().filter(one -> one.weight() / whole >= LEAST_WEIGHT).toList();
        double sum = kept.stream().mapToDouble(Weighed::weight).sum();
        return kept.stream()
                .map(one -> new Weighed(one.fit(), one.weight() / sum))
                .toList();
    }

    @Override
    public List<Part> parts() {
        return curves.stream()
                .map(one -> new Part(one.fit().model().label(), one.weight()))
                .toList();
    }

    private double fitted(double dose) {
        return curves.stream()
                .mapToDouble(one -> one.weight() * one.fit().at(dose))
                .sum();
    }

    @Override
    public double at(double dose) {
        return course.read(fitted(dose));
    }

    @Override
    public Optional<Interval> bandAt(double dose) {
        double mean = fitted(dose);
        double error = curves.stream()
                .mapToDouble(one -> one.weight()
                        * Math.hypot(one.fit().standardErrorAt(dose), one.fit().at(dose) - mean))
                .sum();
        int df = curves.get(0).fit().fit().degreesOfFreedom();
        double half = error * TDistribution.of(df).inverseSurvivalProbability(0.025);
        return Double.isFinite(half) ? Optional.of(new Interval(at(dose) - half, at(dose) + half)) : Optional.empty();
    }

    @Override
    public Optional<Effective> effective(double percent) {
        return found.computeIfAbsent(percent, this::worked);
    }

    private Optional<Effective> worked(double percent) {
        List<AveragedDose.Part> parts = curves.stream()
                .map(one -> {
                    CurveProfile profile = new CurveProfile(one.fit(), course.kept(percent));
                    return new AveragedDose.Part(one.weight(), profile.df(), profile::root);
                })
                .toList();
        return new AveragedDose(parts, levels.positiveDoses()).effective(percent);
    }

    @Override
    public OptionalDouble lackOfFitP() {
        double squares = levels.levels().stream()
                .mapToDouble(level -> level.n() * level.weight() * Math.pow(level.mean() - fitted(level.dose()), 2))
                .sum();
        return CurveFit.lackOfFitP(levels, squares, curves.get(0).fit().model().parameters());
    }

    @Override
    public Meaning meaning() {
        return course.meaning();
    }

    @Override
    public String source() {
        return "Ritz 2010; averaged after Burnham & Anderson 2002, intervals by profiles after Turek & Fletcher 2012";
    }
}
