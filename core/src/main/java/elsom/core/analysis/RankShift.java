package elsom.core.analysis;

import elsom.core.stats.Holm;
import elsom.core.stats.Interval;
import elsom.core.stats.LogRank;
import elsom.core.stats.TimeShift;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Predicate;

/**
 * Times that are known between two looks only, or from below where it has not come. The shift between two treatments is the
 * middle of all differences of pairs within blocks ({@link TimeShift}), each at a share of alpha (Bonferroni); an end of its
 * interval may be open. Blocks are left in where they hold too few units for any interval: that depends on the layout alone,
 * not on what was seen. Chances are those of the log-rank test within blocks.
 */
final class RankShift {
    private static final int FEWEST = 2;

    private RankShift() {}

    static Judgement judge(Observations all, Ask ask, Pairing pairing, List<String> checked) {
        if (all.seen().stream().anyMatch(unit -> unit.value() instanceof Value.NotYet)) {
            checked.add("Some had not come to it when last looked at: they count as later than all that had.");
        }
        if (all.seen().stream().anyMatch(unit -> unit.value() instanceof Value.Came)) {
            checked.add("What a look found came after the look before it: intervals are as wide as that leaves open.");
        }
        List<Pairing.Pair> possible = pairing.pairs().stream()
                .filter(pair -> all.seen(pair.treatment()) >= FEWEST && all.seen(pair.comparator()) >= FEWEST)
                .toList();
        if (possible.isEmpty()) {
            return Judge.refused(all, pairing, checked, "No pair that is asked about has two units left on both sides");
        }
        double alpha = ask.bothEnds() / possible.size();
        if (all.design() != Design.COMPLETELY_RANDOM) {
            checked.add(
                    possible.stream().allMatch(pair -> withinBlocks(all, pair, alpha))
                            ? "Only units of one block are compared with each other."
                            : "Chances are worked out within blocks (log-rank test); blocks hold too few units for the"
                                    + " intervals, which leave them in and so are wider than they need be.");
        }
        double[] p = Holm.adjust(
                possible.stream().mapToDouble(pair -> logRank(all, pair).p()).toArray());
        List<Comparison> comparisons = new ArrayList<>();
        List<Double> medians = medians(all);
        for (Pairing.Pair pair : pairing.pairs()) {
            int at = possible.indexOf(pair);
            comparisons.add(
                    at < 0
                            ? Judge.unjudged(pair, medians.get(pair.treatment()) - medians.get(pair.comparator()))
                            : compared(all, ask, pair, alpha, p[at]));
        }
        return new Judgement(
                Method.RANK_SHIFT,
                checked,
                medians,
                comparisons,
                List.of(),
                Optional.empty(),
                List.of(),
                OptionalDouble.empty(),
                List.of(),
                Optional.empty());
    }

    private static LogRank logRank(Observations all, Pairing.Pair pair) {
        double last = last(all);
        boolean blocks = all.design() != Design.COMPLETELY_RANDOM;
        return LogRank.of(all.seen().stream()
                .filter(unit -> unit.arm() == pair.treatment() || unit.arm() == pair.comparator())
                .map(unit -> new LogRank.Timed(
                        unit.arm() == pair.treatment(),
                        blocks ? String.valueOf(unit.block()) : "",
                        unit.value() instanceof Value.NotYet waiting
                                ? waiting.by().orElse(last)
                                : Observations.number(unit),
                        !(unit.value() instanceof Value.NotYet)))
                .toList());
    }

    /** The latest that was seen: whatever has not come is later. */
    private static double last(Observations all) {
        return all.seen().stream()
                .mapToDouble(Observations::number)
                .filter(Double::isFinite)
                .max()
                .orElse(0);
    }

    private static List<Double> medians(Observations all) {
        List<Double> medians = new ArrayList<>();
        for (int arm = 0; arm < all.arms().size(); arm++) {
            medians.add(middle(all, arm));
        }
        return medians;
    }

    /** NaN for no units, infinite where the middle has not come. */
    private static double middle(Observations all, int arm) {
        double[] sorted = all.seen().stream()
                .filter(unit -> unit.arm() == arm)
                .mapToDouble(Observations::number)
                .sorted()
                .toArray();
        return sorted.length == 0 ? Double.NaN : (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }

    private static TimeShift.Block block(Observations all, Pairing.Pair pair, Predicate<Observed> of) {
        return new TimeShift.Block(spans(all, pair.comparator(), of), spans(all, pair.treatment(), of));
    }

    private static List<TimeShift.Span> spans(Observations all, int arm, Predicate<Observed> of) {
        double last = last(all);
        return all.seen().stream()
                .filter(unit -> unit.arm() == arm && of.test(unit))
                .map(unit -> unit.value() instanceof Value.NotYet waiting
                        ? TimeShift.Span.notYet(waiting.by().orElse(last))
                        : unit.value() instanceof Value.Came came
                                ? new TimeShift.Span(came.after(), came.by())
                                : TimeShift.Span.at(Observations.number(unit)))
                .toList();
    }

    private static TimeShift shift(Observations all, Pairing.Pair pair, double alpha) {
        if (all.design() != Design.COMPLETELY_RANDOM) {
            TimeShift within = within(all, pair, alpha);
            if (within.order() > 0) {
                return within;
            }
        }
        return TimeShift.of(List.of(block(all, pair, any -> true)), alpha);
    }

    private static boolean withinBlocks(Observations all, Pairing.Pair pair, double alpha) {
        return within(all, pair, alpha).order() > 0;
    }

    private static TimeShift within(Observations all, Pairing.Pair pair, double alpha) {
        return TimeShift.of(
                all.seen().stream()
                        .map(Observed::block)
                        .distinct()
                        .sorted()
                        .map(number -> block(all, pair, unit -> unit.block() == number))
                        .toList(),
                alpha);
    }

    private static Comparison compared(Observations all, Ask ask, Pairing.Pair pair, double alpha, double p) {
        TimeShift shift = shift(all, pair, alpha);
        Interval interval = shift.interval();
        double comparator = middle(all, pair.comparator());
        OptionalDouble margin = Double.isFinite(comparator) ? Margins.of(ask, comparator) : OptionalDouble.empty();
        double difference = difference(shift);
        return new Comparison(
                pair.treatment(),
                pair.comparator(),
                difference,
                Optional.of(interval),
                comparator > 0 && Double.isFinite(comparator) && Double.isFinite(difference)
                        ? OptionalDouble.of(100 * difference / comparator)
                        : OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.of(p),
                OptionalDouble.of(p),
                margin,
                Answer.asked(ask, judged(shift), all.better(), margin),
                OptionalInt.empty());
    }

    /** Its interval, without the 0 that spans between looks leave out. */
    private static Interval judged(TimeShift shift) {
        Interval interval = shift.interval();
        return new Interval(
                shift.later() ? Math.max(interval.low(), Double.MIN_VALUE) : interval.low(),
                shift.sooner() ? Math.min(interval.high(), -Double.MIN_VALUE) : interval.high());
    }

    /** The middle of what it can be; infinite where only one side of it is known, NaN where neither is. */
    private static double difference(TimeShift shift) {
        if (shift.shiftFrom().isPresent() && shift.shiftTo().isPresent()) {
            return (shift.shiftFrom().getAsDouble() + shift.shiftTo().getAsDouble()) / 2;
        }
        return shift.shiftFrom().isPresent()
                ? Double.POSITIVE_INFINITY
                : shift.shiftTo().isPresent() ? Double.NEGATIVE_INFINITY : Double.NaN;
    }
}
