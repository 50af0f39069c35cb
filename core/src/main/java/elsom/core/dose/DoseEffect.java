package elsom.core.dose;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.curve.DoseResponse;
import elsom.core.curve.QuantalLevel;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * What a series of doses did to one endpoint at one look.
 *
 * @param unread doses that were set up and of which no unit was read, rising
 * @param harmIsUp whether a higher reading is the harm, as for injury
 * @param curve not estimable with the reason in words
 * @param tolerated the most harm, in the endpoint's unit (a share for counts), that may hide behind a "none"
 */
public record DoseEffect(
        List<DoseUnit> units,
        List<Double> unread,
        boolean harmIsUp,
        Outcome<DoseCurve> curve,
        Tested tested,
        double tolerated) {
    private static final int FEWEST = 4;
    private static final double MISSES = 0.05;
    private static final double NOTHING = 0.1;
    private static final double ALL = 0.9;

    /**
     * What tests of the single doses beside the control say; tested doses only.
     *
     * @param noec the highest dose below all that did harm or killed more than the control lost; empty when the lowest did
     * @param loec the lowest dose that did harm; empty when none did
     * @param died the lowest dose, below the LOEC, at which more died than in the control, so few that chance may have
     *     done it: it is not called harmless; empty when there is none
     * @param unseen the harm at the NOEC, in the endpoint's unit (a share for counts), that these units could not have
     *     told from none: the end of its interval; empty when there is no NOEC
     * @param test what was used
     * @param refused why nothing can be said; empty when it can
     */
    public record Tested(
            OptionalDouble noec,
            OptionalDouble loec,
            OptionalDouble died,
            OptionalDouble unseen,
            String test,
            Optional<String> refused) {}

    /** What a treatment of the series was given; {@code arm} is its index among the trial's. */
    public record Given(int arm, double dose) {}

    /** The mean of a dose, rising. */
    public record Level(double dose, double mean, int n) {}

    public DoseEffect {
        units = List.copyOf(units);
        unread = List.copyOf(unread);
    }

    /**
     * The effect of the doses.
     *
     * @param observations of all treatments of the trial
     * @param given the treatments of the series with the dose of each; the control has 0
     * @param alpha chance of a false harm over all doses; 0.05 usually
     * @param tolerated the most harm that may hide behind a "none", in the endpoint's unit; a share for counts
     * @param endOfScale where readings can rise to no further, as those of a score; empty where there is no such end
     */
    public static DoseEffect of(
            Observations observations, List<Given> given, double alpha, double tolerated, OptionalDouble endOfScale) {
        List<DoseUnit> units = units(observations, given);
        return new DoseEffect(
                units,
                given.stream()
                        .filter(one -> observations.planned(one.arm()) > 0
                                && observations.seen(one.arm()) == 0
                                && observations.deaths(one.arm()) == 0)
                        .map(Given::dose)
                        .sorted()
                        .toList(),
                observations.better() == Observations.Better.LOWER,
                curve(observations, given, endOfScale, tolerated),
                tested(observations, given, alpha),
                tolerated);
    }

    private static List<DoseUnit> units(Observations observations, List<Given> given) {
        return given.stream()
                .flatMap(one -> observations.seen().stream()
                        .filter(unit -> unit.arm() == one.arm()
                                && Double.isFinite(unit.value().inSums()))
                        .map(unit -> unit(unit, one.dose())))
                .toList();
    }

    /** The curve alone, with what {@link #of} takes. */
    static Outcome<DoseCurve> curve(Observations observations, List<Given> given, OptionalDouble endOfScale) {
        return curve(observations, given, endOfScale, 0);
    }

    private static Outcome<DoseCurve> curve(
            Observations observations, List<Given> given, OptionalDouble endOfScale, double tolerated) {
        return unknown(observations, given)
                .orElseGet(() -> curve(
                        observations.kind(),
                        units(observations, given),
                        observations.better() == Observations.Better.LOWER,
                        endOfScale,
                        tolerated))
                .then(DoseEffect::throughMeans);
    }

    private static DoseUnit unit(Observed unit, double dose) {
        return new DoseUnit(
                unit.unit(),
                unit.arm(),
                dose,
                unit.value().inSums(),
                unit.value() instanceof Value.CountOf count ? count.n() : 0);
    }

    /** Why there can be no curve, whatever was read. */
    private static Optional<Outcome<DoseCurve>> unknown(Observations observations, List<Given> given) {
        List<Double> read =
                units(observations, given).stream().map(DoseUnit::dose).toList();
        if (!read.isEmpty() && !read.contains(0.0)) {
            return Optional.of(
                    Outcome.notEstimable("The untreated control was not read, and the percentages are of it"));
        }
        boolean killed = given.stream()
                .anyMatch(one ->
                        one.dose() > 0 && observations.deaths(one.arm()) > 0 && observations.seen(one.arm()) == 0);
        if (killed) {
            return Optional.of(
                    Outcome.notEstimable("A dose left none alive, which a curve of those that lived does not show"));
        }
        boolean notYet = observations.seen().stream()
                .anyMatch(unit -> unit.value() instanceof Value.NotYet
                        && given.stream().anyMatch(one -> one.arm() == unit.arm()));
        return notYet
                ? Optional.of(Outcome.notEstimable("Some have not come yet, and a curve needs the times of all"))
                : Optional.empty();
    }

    /** A curve that misses the means is no answer: what was seen is. */
    private static Outcome<DoseCurve> throughMeans(DoseCurve curve) {
        double p = curve.lackOfFitP().orElse(1);
        return p < MISSES
                ? Outcome.notEstimable("No curve goes through these means (lack of fit, p " + Decimals.p(p)
                        + "): go by what was seen at each strength")
                : Outcome.found(curve);
    }

    private static Outcome<DoseCurve> curve(
            EndpointKind kind, List<DoseUnit> units, boolean harmIsUp, OptionalDouble endOfScale, double tolerated) {
        List<Level> levels = levels(units);
        if (levels.size() < FEWEST) {
            return Outcome.notEstimable("A curve needs " + FEWEST + " doses or more, the control among them; "
                    + levels.size() + (levels.size() == 1 ? " was read" : " were read"));
        }
        if (kind == EndpointKind.COUNT_OF) {
            return CountedCurves.of(
                    units.stream().map(unit -> counted(unit, harmIsUp)).toList(), harmIsUp);
        }
        Optional<String> allOrNothing = allOrNothing(levels, harmIsUp, tolerated);
        if (allOrNothing.isPresent()) {
            return Outcome.notEstimable(allOrNothing.get());
        }
        return MeasuredCurves.of(
                new DoseResponse(units.stream()
                        .map(unit -> new DoseResponse.Point(unit.dose(), unit.value()))
                        .toList()),
                course(harmIsUp, endOfScale));
    }

    private static MeasuredCurves.Course course(boolean harmIsUp, OptionalDouble endOfScale) {
        if (!harmIsUp) {
            return MeasuredCurves.Course.falls();
        }
        return endOfScale.isPresent()
                ? MeasuredCurves.Course.risesTo(endOfScale.getAsDouble())
                : MeasuredCurves.Course.rises();
    }

    private static QuantalLevel counted(DoseUnit unit, boolean harmIsUp) {
        int k = (int) Math.round(unit.value() * unit.n());
        return new QuantalLevel(unit.dose(), unit.n(), harmIsUp ? k : unit.n() - k);
    }

    /** Means, rising by dose. */
    public List<Level> levels() {
        return levels(units);
    }

    private static List<Level> levels(List<DoseUnit> units) {
        List<Level> levels = new ArrayList<>();
        units.stream()
                .collect(Collectors.groupingBy(DoseUnit::dose, TreeMap::new, Collectors.toList()))
                .forEach((dose, here) -> levels.add(new Level(
                        dose,
                        here.stream().mapToDouble(DoseUnit::value).average().orElseThrow(),
                        here.size())));
        return levels;
    }

    /** Between which doses the whole effect happens, when no dose shows a part of it: then no slope can be told. */
    private static Optional<String> allOrNothing(List<Level> levels, boolean harmIsUp, double tolerated) {
        double none = levels.get(0).mean();
        double most = levels.stream()
                .map(Level::mean)
                .max(harmIsUp ? Comparator.naturalOrder() : Comparator.reverseOrder())
                .orElseThrow();
        double whole = most - none;
        if (whole == 0 || levels.get(0).dose() > 0) {
            return Optional.empty();
        }
        int last = 0;
        for (int i = 0; i < levels.size(); i++) {
            double share = (levels.get(i).mean() - none) / whole;
            // A rise above the control is a response too.
            if (!(Math.abs(share) <= NOTHING || share >= ALL)) {
                return Optional.empty();
            }
            last = share <= NOTHING ? i : last;
        }
        int first = last + 1;
        boolean clean = first < levels.size()
                && levels.subList(1, first).stream().allMatch(l -> (l.mean() - none) / whole <= NOTHING)
                && first > 1;
        if (clean && Math.abs(whole) < tolerated) {
            return Optional.of(
                    "No strength did more than " + Decimals.threeDigits(Math.abs(whole)) + ", too little for a curve");
        }
        return clean
                ? Optional.of(
                        "All or nothing between " + number(levels.get(last).dose()) + " and "
                                + number(levels.get(first).dose()) + ": no dose in between shows how steep it is")
                : Optional.empty();
    }

    private static String number(double dose) {
        return Decimals.upTo(dose, 4);
    }

    private static Tested tested(Observations observations, List<Given> given, double alpha) {
        Optional<Given> control = given.stream()
                .filter(one -> one.dose() == 0 && observations.planned(one.arm()) > 0)
                .findFirst();
        List<Given> treated = given.stream().filter(one -> one.dose() > 0).toList();
        if (control.isEmpty() || treated.isEmpty()) {
            return refused("There is no " + (control.isEmpty() ? "untreated control" : "dose above 0"));
        }
        Judgement judged = Judge.unlettered(
                observations,
                new Ask(
                        treated.stream()
                                .map(one -> observations.arms().get(one.arm()).code())
                                .toList(),
                        new Ask.Against.Treatment(
                                observations.arms().get(control.get().arm()).code()),
                        OptionalDouble.empty(),
                        false,
                        alpha));
        TreeMap<Double, Boolean> harmed = new TreeMap<>();
        Map<Double, Double> unseen = new HashMap<>();
        // A dose that left one or none alive was tested, and its harm was seen.
        treated.stream()
                .filter(one -> observations.deaths(one.arm()) > 0 && observations.seen(one.arm()) < 2)
                .forEach(one -> {
                    harmed.put(one.dose(), true);
                    unseen.put(one.dose(), 0.0);
                });
        if (judged.refused().isPresent() && harmed.isEmpty()) {
            return refused(judged.refused().get());
        }
        boolean up = observations.better() == Observations.Better.LOWER;
        for (Comparison c : judged.comparisons()) {
            treated.stream()
                    .filter(one -> one.arm() == c.treatment() && c.interval().isPresent())
                    .forEach(one -> {
                        harmed.merge(one.dose(), c.answer() == Answer.WORSE, (a, b) -> a || b);
                        Interval interval = c.interval().orElseThrow();
                        unseen.merge(one.dose(), Math.max(0, up ? interval.high() : -interval.low()), Math::max);
                    });
        }
        return harmed.isEmpty()
                ? refused("No dose was read beside the control")
                : found(
                        harmed,
                        unseen,
                        treated.stream()
                                .filter(one -> share(observations, one) > share(observations, control.get()))
                                .mapToDouble(Given::dose)
                                .min(),
                        judged.method().label());
    }

    private static Tested refused(String reason) {
        OptionalDouble none = OptionalDouble.empty();
        return new Tested(none, none, none, none, "", Optional.of(reason));
    }

    /** Of the units whose fate is known, the share that died. */
    private static double share(Observations observations, Given given) {
        int deaths = observations.deaths(given.arm());
        return deaths == 0 ? 0 : (double) deaths / (deaths + observations.seen(given.arm()));
    }

    private static Tested found(
            TreeMap<Double, Boolean> harmed, Map<Double, Double> unseen, OptionalDouble killed, String test) {
        OptionalDouble loec = harmed.entrySet().stream()
                .filter(Map.Entry::getValue)
                .mapToDouble(Map.Entry::getKey)
                .findFirst();
        OptionalDouble noec = harmed.keySet().stream()
                .mapToDouble(Double::doubleValue)
                .filter(dose -> loec.isEmpty() || dose < loec.getAsDouble())
                .filter(dose -> killed.isEmpty() || dose < killed.getAsDouble())
                .max();
        if (noec.isEmpty() && loec.isEmpty()) {
            return refused(
                    "Even at the lowest dose more died than in the control, though so few that it may be chance");
        }
        boolean open = killed.isPresent() && (loec.isEmpty() || killed.getAsDouble() < loec.getAsDouble());
        OptionalDouble missed = noec.isPresent()
                ? OptionalDouble.of(Objects.requireNonNull(unseen.get(noec.getAsDouble())))
                : OptionalDouble.empty();
        return new Tested(noec, loec, open ? killed : OptionalDouble.empty(), missed, test, Optional.empty());
    }

    /** Whether a NOEC is worth its name: at it, more harm than is tolerated would have been told from none. */
    public boolean proven() {
        return tested.unseen().isPresent() && tested.unseen().getAsDouble() <= tolerated;
    }

    /** The dose with so much of the effect; empty where there is no curve, or nothing is told of it. */
    public Optional<DoseCurve.Effective> effective(double percent) {
        return curve.asOptional()
                .flatMap(found -> found.effective(percent))
                .filter(found -> found.tells(lowest(), highest()));
    }

    /** What percentages of the effect are of, whether a curve was found or not. */
    public DoseCurve.Meaning meaning() {
        return curve.asOptional()
                .map(DoseCurve::meaning)
                .orElse(harmIsUp ? DoseCurve.Meaning.TO_THE_END : DoseCurve.Meaning.BELOW_CONTROL);
    }

    private DoubleStream positive() {
        return units.stream().mapToDouble(DoseUnit::dose).filter(dose -> dose > 0);
    }

    /** The lowest dose above 0 that was read. */
    public double lowest() {
        return positive().min().orElse(Double.NaN);
    }

    /** The highest dose that was read. */
    public double highest() {
        return positive().max().orElse(Double.NaN);
    }
}
