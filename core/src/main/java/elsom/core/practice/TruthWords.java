package elsom.core.practice;

import elsom.core.analysis.Comparison;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a practice bench tells when its truth is known, as sentences. */
public final class TruthWords {
    private static final double PERCENT = 100;

    private TruthWords() {}

    /** Parts of a tally's reruns, in whole percent. */
    public static int percent(Rerun.Tally tally, int of) {
        return (int) Math.round(PERCENT * tally.share(of));
    }

    /** A plan in short: units, places, days, treatments. */
    public static String plan(Trialled plan) {
        String names =
                String.join("; ", plan.treatments().stream().map(Draft::shown).toList());
        return plan.units() + " of each, " + plan.placing().label() + ", up to day "
                + Decimals.upTo(plan.lastDay(), 1) + ": " + names
                + (plan.best() > 0 ? "; only the best " + plan.best() + " measured" : "");
    }

    /** What one decision cost, in reruns of a hundred. */
    public static String decision(Decisions.Decision decision, Trialled own, Rerun.Tally told) {
        int now = percent(told, told.right());
        long then = Math.round(now + PERCENT * decision.gained());
        Trialled instead = decision.instead();
        String what = switch (decision.what()) {
            case UNITS -> own.units() + " of each. With " + instead.units() + " of each";
            case PLACING ->
                "Placed " + own.placing().label() + ". Placed "
                        + (instead.placing() == Trialled.Placing.BLOCKS
                                ? "in blocks"
                                : instead.placing().label());
            case TREATMENTS -> "Without " + missing(own, instead) + ". With it";
            case LAST_DAY ->
                "Looked up to day " + Decimals.upTo(own.lastDay(), 1) + ". Up to day "
                        + Decimals.upTo(instead.lastDay(), 1);
            case PICKING -> "Only the best " + own.best() + " measured. With all of them";
        };
        return what + ", and nothing else changed, it would have told in " + Math.max(0, Math.min(100, then))
                + " of 100 reruns instead of " + now + ".";
    }

    private static String missing(Trialled own, Trialled instead) {
        List<String> missing = new ArrayList<>(instead.treatments());
        missing.removeAll(own.treatments());
        return "“" + String.join("”, “", missing.stream().map(Draft::shown).toList()) + "”";
    }

    /** Whether a plan is off on average; empty where what is asked about is not in it. */
    public static String bias(Brief.Measured measured, Rerun.Tally told) {
        if (told.bias().isEmpty()) {
            return "";
        }
        return !told.biased(measured.inPercent())
                ? "Over many reruns your plan is right on average: what it gets wrong is chance."
                : "Over many reruns your plan is off by " + signed(told.bias().getAsDouble())
                        + (measured.inPercent() ? " %" : "")
                        + " on average: that is bias, and more units don’t mend it.";
    }

    /** What a plan took of the budget. */
    public static String spent(Brief.Budget budget, Planned.Costs costs) {
        return "It took " + costs.places() + " of " + budget.places() + " places, " + Decimals.fixed(costs.hours(), 1)
                + " of "
                + Decimals.fixed(budget.hours(), 0) + " hours and " + Decimals.fixed(costs.money(), 2) + " of "
                + Decimals.fixed(budget.money(), 0) + " in money"
                + (costs.within(budget) ? "." : ": more than there was.");
    }

    /** The trial's own difference; empty before both were read. */
    public static String difference(Brief.Measured measured, PracticeOutcome seen) {
        return seen.difference()
                .map(difference -> "Your trial’s own difference, “" + Draft.shown(difference.treatment()) + "” beside “"
                        + Draft.shown(difference.comparator()) + "”: " + spanned(measured, difference.comparison())
                        + ".")
                .orElse("");
    }

    private static String spanned(Brief.Measured measured, Comparison difference) {
        boolean percent = measured.inPercent() && difference.percent().isPresent();
        double middle = percent ? difference.percent().getAsDouble() : difference.difference();
        Optional<Interval> interval = percent ? difference.percentInterval() : difference.interval();
        return signed(middle)
                + (percent ? " %" : "")
                + interval.map(i -> " (95 % interval " + signed(i.low()) + " to " + signed(i.high())
                                + (percent ? " %" : "") + ")")
                        .orElse(", without an interval: one unit of each");
    }

    private static String signed(double value) {
        return (value < 0 ? "−" : "+") + Decimals.fixed(Math.abs(value), 1);
    }

    /** What a call scores. */
    public static String score(Judged judged) {
        return judged.brier().isEmpty()
                ? "“Can’t tell” has no score: it is right where the plan could not tell."
                : "Brier score " + Decimals.fixed(judged.brier().getAsDouble(), 2)
                        + ": 0 is best, 0.25 is what a coin gets.";
    }
}
