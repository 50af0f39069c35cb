package elsom.core.chain;

import elsom.core.analysis.Answer;
import elsom.core.audit.Grade;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Verdict;
import elsom.core.results.Wording;
import elsom.core.stats.Interval;
import elsom.core.stats.RandomEffects;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What several trials of the same comparison say together.
 *
 * @param repeats in order of time, two or more
 * @param percent whether {@code effects} are logarithms of ratios, told in percent; else differences in the endpoint's unit
 */
public record Pooled(
        Repeat.Key key,
        String treatment,
        String comparator,
        Direction better,
        List<Repeat> repeats,
        boolean percent,
        RandomEffects effects) {
    /** As many lots, and seasons, as it takes to hold. */
    public static final int LOTS = 3;

    public static final int SEASONS = 2;

    /** Of so few trials nobody can tell how much trials differ. */
    private static final int FEW = 4;

    private static final double MUCH = 0.5;
    private static final double TAIL = 0.975;
    private static final double PERCENT = 100;

    public Pooled {
        repeats = List.copyOf(repeats);
    }

    /** Repeats of one comparison put together. */
    static Pooled of(String treatment, String comparator, Direction better, List<Repeat> repeats) {
        boolean percent = repeats.stream().allMatch(Repeat::positive);
        double[] estimates = repeats.stream()
                .mapToDouble(repeat -> percent ? repeat.logRatio() : repeat.difference())
                .toArray();
        double[] variances = repeats.stream()
                .mapToDouble(repeat -> percent ? repeat.varianceOfLogRatio() : repeat.varianceOfDifference())
                .toArray();
        return new Pooled(
                repeats.get(0).key(),
                treatment,
                comparator,
                better,
                repeats,
                percent,
                RandomEffects.of(estimates, variances));
    }

    public FigureKind kind() {
        return repeats.get(0).kind();
    }

    /** Lots it was tried with: other mixes, and trials that were begun with another lot. */
    public int lots() {
        Set<String> mixes = new HashSet<>();
        int lots = 0;
        for (Repeat repeat : repeats) {
            lots += mixes.add(repeat.mix()) || repeat.otherLot() ? 1 : 0;
        }
        return lots;
    }

    public int seasons() {
        return (int) repeats.stream().mapToInt(Repeat::season).distinct().count();
    }

    /**
     * What they say together: what holds of trials like them; where that can't be told and each of them tells the same by
     * itself, that, since put together they never say less than each does.
     */
    public Answer answer() {
        Answer ofAll = answer(effects.interval95());
        return ofAll == Answer.CANT_TELL ? eachAlone().orElse(Answer.CANT_TELL) : ofAll;
    }

    private Optional<Answer> eachAlone() {
        List<Answer> alone = repeats.stream()
                .map(repeat -> answer(interval(repeat)))
                .distinct()
                .toList();
        return alone.size() == 1 ? Optional.of(alone.get(0)) : Optional.empty();
    }

    /** What these very trials say, whatever others would; empty where there are so many that it adds nothing. */
    public Optional<Interval> ofThese() {
        return repeats.size() > FEW
                ? Optional.empty()
                : Optional.of(effects.common()
                        .interval95(repeats.stream().mapToInt(Pooled::free).sum()));
    }

    private static int free(Repeat repeat) {
        return Math.min(repeat.treatment().n(), repeat.comparator().n()) - 1;
    }

    /** What an interval of the difference says. */
    public Answer answer(Interval interval) {
        if (interval.low() <= 0 && interval.high() >= 0) {
            return Answer.CANT_TELL;
        }
        return interval.low() > 0 == (better != Direction.LOWER) ? Answer.BETTER : Answer.WORSE;
    }

    /** Whether it holds over three lots and two seasons, each trial pointing the same way and none unfair. */
    public boolean holds() {
        boolean sameWay = repeats.stream()
                        .map(repeat -> Math.signum(repeat.difference()))
                        .distinct()
                        .count()
                == 1;
        return answer(effects.interval95()) != Answer.CANT_TELL
                && sameWay
                && lots() >= LOTS
                && seasons() >= SEASONS
                && repeats.stream().noneMatch(repeat -> repeat.grade() == Grade.UNFAIR);
    }

    public Verdict verdict() {
        Answer answer = answer();
        Verdict.Firmness firmness = holds()
                ? Verdict.Firmness.HOLDS
                : switch (answer) {
                    case BETTER -> better == Direction.EITHER ? Verdict.Firmness.DIFFERENT : Verdict.Firmness.BETTER;
                    case WORSE -> better == Direction.EITHER ? Verdict.Firmness.DIFFERENT : Verdict.Firmness.WORSE;
                    case NO_DIFFERENCE, AS_GOOD, NOT_AS_GOOD, CANT_TELL -> Verdict.Firmness.CANT_TELL;
                };
        String said = Sentence.inside(kind().label()) + " of " + treatment + " beside " + comparator + ": "
                + told(effects.estimate()) + " over " + repeats.size() + " trials (95 %: "
                + told(effects.interval95()) + ")"
                + ofThese()
                        .map(interval -> "; of these very trials "
                                + told(effects.common().estimate()) + " (95 %: " + told(interval) + ")")
                        .orElse("")
                + ".";
        return new Verdict(firmness, said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1), wouldChange());
    }

    private String wouldChange() {
        if (holds()) {
            return "Shown with " + lots() + " lots in " + seasons() + " seasons, every trial the same way.";
        }
        if (answer() != Answer.CANT_TELL && answer(effects.interval95()) == Answer.CANT_TELL) {
            return "Each of them tells it by itself; of other trials like them " + repeats.size() + " say too little.";
        }
        if (answer() == Answer.CANT_TELL) {
            return repeats.size() == 2
                    ? "Two trials say little about how trials differ; a third narrows it most."
                    : "Trials differ too much, or have too few units; another lot or more units would tell.";
        }
        int lots = Math.max(0, LOTS - lots());
        int seasons = Math.max(0, SEASONS - seasons());
        return "It holds when shown with " + LOTS + " lots in " + SEASONS + " seasons, every trial the same way"
                + (lots + seasons == 0
                        ? "."
                        : ": " + (lots > 0 ? lots + (lots == 1 ? " lot" : " lots") : "")
                                + (lots > 0 && seasons > 0 ? " and " : "")
                                + (seasons > 0 ? seasons + (seasons == 1 ? " season" : " seasons") : "")
                                + " to go.");
    }

    /** How much trials differ beyond chance, as a sentence. */
    public String heterogeneity() {
        double share = effects.inconsistency();
        String of = "I² " + Decimals.percent(share, 0) + " %, Q " + Decimals.fixed(effects.q(), 1) + ", p "
                + Decimals.significant(effects.qP(), 2);
        String much = share == 0
                ? "Trials differ no more than their units scatter"
                : share < MUCH
                        ? "Trials differ a little more than their units scatter"
                        : "Trials differ clearly more than their units scatter: what was not alike between them matters";
        String next = effects.prediction95()
                .map(interval -> " The next one likely lies within " + told(interval) + ".")
                .orElse(" With two trials nothing can be said of the next one.");
        int below = repeats.stream().mapToInt(Repeat::below).sum();
        String limits = below == 0
                ? ""
                : " Of " + below + (below == 1 ? " reading" : " readings")
                        + " only a limit is known: half of it was taken, and another share might say something else.";
        return much + " (" + of + ")." + next + limits;
    }

    /** One trial's difference: the logarithm of a ratio, or in the endpoint's unit. */
    public double effect(Repeat repeat) {
        return percent ? repeat.logRatio() : repeat.difference();
    }

    /** What one trial alone says: Student's t with the units of both, no two trials' scatter pooled. */
    public Interval interval(Repeat repeat) {
        double effect = effect(repeat);
        double error = Math.sqrt(percent ? repeat.varianceOfLogRatio() : repeat.varianceOfDifference());
        double half = TDistribution.of(free(repeat)).inverseCumulativeProbability(TAIL) * error;
        return new Interval(effect - half, effect + half);
    }

    /** An effect as it is drawn: in percent, or in the endpoint's unit, a share in points. */
    public double shown(double effect) {
        return percent
                ? PERCENT * Math.expm1(effect)
                : kind().unit() == UnitOfMeasure.FRACTION ? PERCENT * effect : effect;
    }

    /** One effect in words: "+12 %", "−0.8 points". */
    public String told(double effect) {
        return percent ? percent(effect) + " %" : Wording.difference(kind(), effect);
    }

    public String told(Interval interval) {
        return percent
                ? percent(interval.low()) + " to " + percent(interval.high()) + " %"
                : Wording.interval(kind(), interval);
    }

    private static String percent(double logRatio) {
        double value = PERCENT * Math.expm1(logRatio);
        return (value < 0 ? "−" : "+") + Decimals.fixed(Math.abs(value), Math.abs(value) < 10 ? 1 : 0);
    }
}
