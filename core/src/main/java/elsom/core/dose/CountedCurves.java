package elsom.core.dose;

import elsom.core.curve.LackOfFit;
import elsom.core.curve.QuantalFit;
import elsom.core.curve.QuantalLevel;
import elsom.core.curve.QuantalLink;
import elsom.core.curve.QuantalProfile;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Curves through counts, with the background estimated (Abbott 1925), averaged over the shapes of tolerance. Units of one
 * dose that scatter by more than chance, as plants of a tray share its luck, widen all errors by the square root of the
 * heterogeneity (Finney 1971, ch. 4).
 */
public final class CountedCurves implements DoseCurve {
    private static final double LEAST_WEIGHT = 0.04;
    private static final double HUNDRED = 100;
    private static final double LOG_10 = Math.log(10);
    private static final double END = 0.025;
    private static final double SMALLEST = 1e-3;

    private final List<Weighed> curves;
    private final List<QuantalLevel> units;
    private final boolean affectedIsShown;
    private final double heterogeneity;
    private final double df;

    private record Weighed(QuantalFit fit, double weight) {
        private double level(double dose) {
            return fit.line().intercept() + fit.line().slope() * Math.log10(dose);
        }

        /** The share affected, of all. */
        private double affected(double level) {
            return fit.background() + (1 - fit.background()) * fit.link().share(level);
        }
    }

    private CountedCurves(List<QuantalFit> fits, List<QuantalLevel> units, boolean affectedIsShown) {
        this.units = List.copyOf(units);
        this.affectedIsShown = affectedIsShown;
        QuantalFit best = fits.get(0);
        double off = 0;
        double chance = 0;
        double chances = 0;
        for (QuantalLevel unit : units) {
            double share = expected(best, unit.dose());
            double variance = unit.n() * share * (1 - share);
            off += Math.pow(unit.affected() - unit.n() * share, 2);
            chance += variance;
            chances += variance * variance;
        }
        // Trays that are nearly all or nothing say little of how plants go together, so each counts by its chance.
        double trays = chance * chance / chances;
        double left = (double) (units.size() - parameters(best)) / units.size();
        this.df = Math.max(1, trays * left);
        this.heterogeneity = left > 0 ? Math.max(1, off / chance / left) : 1;
        this.curves = weighed(fits, heterogeneity);
    }

    private static int parameters(QuantalFit fit) {
        return fit.backgroundError().isPresent() ? 3 : 2;
    }

    private static double expected(QuantalFit fit, double dose) {
        double level = fit.line().intercept() + fit.line().slope() * Math.log10(dose);
        return fit.background()
                + (dose == 0 ? 0 : (1 - fit.background()) * fit.link().share(level));
    }

    /** Units of a dose put together: they tell the curve as much. */
    private static List<QuantalLevel> together(List<QuantalLevel> units) {
        return units.stream()
                .collect(Collectors.groupingBy(QuantalLevel::dose, TreeMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(here -> new QuantalLevel(
                        here.get(0).dose(),
                        here.stream().mapToInt(QuantalLevel::n).sum(),
                        here.stream().mapToInt(QuantalLevel::affected).sum()))
                .toList();
    }

    private static List<Weighed> weighed(List<QuantalFit> fits, double heterogeneity) {
        double best = fits.get(0).kernelLikelihood();
        List<Weighed> all = fits.stream()
                .map(fit -> new Weighed(fit, Math.exp((fit.kernelLikelihood() - best) / heterogeneity)))
                .filter(one -> one.weight() >= LEAST_WEIGHT)
                .toList();
        double whole = all.stream().mapToDouble(Weighed::weight).sum();
        return all.stream()
                .map(one -> new Weighed(one.fit(), one.weight() / whole))
                .toList();
    }

    /**
     * Curves through the units' counts; not estimable with the reason in words.
     *
     * @param affectedIsShown whether the share that is read is the affected one; else it is what is left
     */
    static Outcome<DoseCurve> of(List<QuantalLevel> units, boolean affectedIsShown) {
        List<Outcome<QuantalFit>> outcomes = Arrays.stream(QuantalLink.values())
                .map(link -> QuantalFit.fit(together(units), link, true))
                .toList();
        List<QuantalFit> fits = outcomes.stream()
                .flatMap(outcome -> outcome.asOptional().stream())
                .filter(fit -> fit.line().slope() > 0 && Double.isFinite(fit.kernelLikelihood()))
                .sorted(Comparator.comparingDouble(fit -> -fit.kernelLikelihood()))
                .toList();
        return fits.isEmpty()
                ? Outcome.notEstimable(outcomes.get(0).whyNot().orElse("Nothing rises with the dose: no response"))
                : Outcome.found(new CountedCurves(fits, units, affectedIsShown));
    }

    @Override
    public List<Part> parts() {
        return curves.stream()
                .map(one -> new Part(one.fit().link().label(), one.weight()))
                .toList();
    }

    private double shown(double affected) {
        return affectedIsShown ? affected : 1 - affected;
    }

    @Override
    public double at(double dose) {
        return shown(curves.stream()
                .mapToDouble(one -> one.weight() * (dose == 0 ? one.fit().background() : one.affected(one.level(dose))))
                .sum());
    }

    @Override
    public Optional<Interval> bandAt(double dose) {
        if (dose == 0) {
            return Optional.empty();
        }
        double reach = TDistribution.of(df).inverseSurvivalProbability(END) * Math.sqrt(heterogeneity);
        double low = 0;
        double high = 0;
        for (Weighed one : curves) {
            double half = reach * one.fit().line().standardErrorAt(Math.log10(dose));
            low += one.weight() * shown(one.affected(one.level(dose) - half));
            high += one.weight() * shown(one.affected(one.level(dose) + half));
        }
        return Double.isFinite(low + high)
                ? Optional.of(new Interval(Math.min(low, high), Math.max(low, high)))
                : Optional.empty();
    }

    @Override
    public Optional<Effective> effective(double percent) {
        List<Double> tested = together(units).stream()
                .map(QuantalLevel::dose)
                .filter(dose -> dose > 0)
                .toList();
        List<AveragedDose.Part> parts = curves.stream()
                .map(one -> {
                    QuantalProfile profile = new QuantalProfile(one.fit(), percent / HUNDRED);
                    return new AveragedDose.Part(
                            one.weight(), df, logDose -> profile.root(logDose / LOG_10) / Math.sqrt(heterogeneity));
                })
                .toList();
        return new AveragedDose(parts, tested).effective(percent);
    }

    /** Doses' shares beside the curve, judged by the scatter of units within doses, which is chance's at least. */
    @Override
    public OptionalDouble lackOfFitP() {
        List<QuantalLevel> doses = together(units);
        Map<Double, Double> shares = doses.stream().collect(Collectors.toMap(QuantalLevel::dose, QuantalLevel::share));
        double between = doses.stream()
                .mapToDouble(dose -> squares(dose.n(), dose.affected(), shown(at(dose.dose()))))
                .sum();
        double within = units.stream()
                .mapToDouble(unit -> squares(unit.n(), unit.affected(), shares.getOrDefault(unit.dose(), 0.0)))
                .sum();
        int left = doses.size() - parameters(curves.get(0).fit());
        int inner = units.size() - doses.size();
        return LackOfFit.p(between, left, Math.max(inner, within), inner);
    }

    private static double squares(int n, int hit, double share) {
        double variance = n * share * (1 - share);
        double off = hit - n * share;
        return off == 0 ? 0 : off * off / Math.max(variance, SMALLEST);
    }

    @Override
    public Meaning meaning() {
        return affectedIsShown ? Meaning.TO_THE_END : Meaning.BELOW_CONTROL;
    }

    @Override
    public String source() {
        return "Finney 1971, background after Abbott 1925; averaged after Burnham & Anderson 2002";
    }
}
