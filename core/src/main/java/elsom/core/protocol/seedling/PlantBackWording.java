package elsom.core.protocol.seedling;

import elsom.core.quantity.Decimals;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.seedling.HalfLives;
import elsom.core.seedling.InjuryDecline;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says from which day on a crop grew clean; the label and the law always rule over it. */
public final class PlantBackWording {
    private static final String RULES =
            "The label's and the law's waiting times rule over this; it holds for this product, rate, medium, warmth and"
                    + " moisture.";

    /** Of residues that stay in compost and soil for months. */
    private static final HalfLives LASTING = new HalfLives(30, 60);

    private static final double MOST_OF_IT = 0.75;

    private PlantBackWording() {}

    static Findings.Answered of(PlantBackResult result) {
        return Findings.Answered.unasked(new Verdict(firmness(result), sentence(result), RULES))
                .about(result.kind())
                .with(details(result));
    }

    private static Verdict.Firmness firmness(PlantBackResult result) {
        return result.withoutTwins()
                ? Verdict.Firmness.CANT_TELL
                : result.cleanFrom().isPresent() && result.last() ? Verdict.Firmness.SETTLED : Verdict.Firmness.SO_FAR;
    }

    private static String sentence(PlantBackResult result) {
        String at = " at " + result.look().said();
        if (result.withoutTwins()) {
            return "There is no untreated pot, so nothing says what a sowing would have done anyway" + at + ".";
        }
        String within =
                Decimals.upTo(result.limit(), 1) + (result.limit() == 1 ? " point" : " points") + " of the untreated";
        return result.cleanFrom().isPresent()
                ? "What was sown " + days(result.cleanFrom().getAsDouble()) + " after the treatment or later was clean"
                        + at + ": injury within " + within + ", in every later sowing."
                : "No day is shown clean yet" + at + ": the last sowing, "
                        + days(result.sowings().get(result.sowings().size() - 1).days())
                        + " after the treatment, is not shown to be within " + within + ".";
    }

    /** "6 days". */
    public static String days(double days) {
        return Decimals.upTo(days, 1) + (days == 1 ? " day" : " days");
    }

    private static List<String> details(PlantBackResult result) {
        List<String> details = new ArrayList<>();
        of(result, PlantBackResult.Clean.INJURED)
                .ifPresent(days -> details.add("Injured: what was sown after " + days + " days."));
        of(result, PlantBackResult.Clean.NOT_SHOWN)
                .ifPresent(days -> details.add("Not shown clean, more trays would tell: after " + days + " days."));
        of(result, PlantBackResult.Clean.TWIN_FAILED)
                .ifPresent(days ->
                        details.add("Not judged, their untreated pots were injured too: after " + days + " days."));
        of(result, PlantBackResult.Clean.NO_TWIN)
                .filter(days -> !result.withoutTwins())
                .ifPresent(days -> details.add("No untreated pot beside what was sown after " + days + " days."));
        if (!result.last()) {
            details.add("Injury may still come: it is looked at again later.");
        }
        details.add(result.dayAtLimit()
                .asOptional()
                .map(day -> curve(result, day))
                .orElseGet(() -> "No curve over the days: "
                        + Character.toLowerCase(result.dayAtLimit()
                                .whyNot()
                                .orElse("the points hold none")
                                .charAt(0))
                        + result.dayAtLimit()
                                .whyNot()
                                .orElse("the points hold none")
                                .substring(1) + "."));
        if (!result.withoutTwins()) {
            decay(result).ifPresent(details::add);
        }
        return details;
    }

    private static Optional<String> of(PlantBackResult result, PlantBackResult.Clean clean) {
        String days = result.sowings().stream()
                .filter(sowing -> sowing.clean() == clean)
                .map(sowing -> Decimals.upTo(sowing.days(), 1))
                .collect(Collectors.joining(", "));
        return days.isEmpty() ? Optional.empty() : Optional.of(days);
    }

    /** Where most of a lasting residue would still be there, that it went can't be why injury fell. */
    private static Optional<String> decay(PlantBackResult result) {
        double day = result.cleanFrom().orElse(result.lastDay());
        HalfLives.Left left = LASTING.after(day);
        return left.least() < MOST_OF_IT
                ? Optional.empty()
                : Optional.of("A residue with a half-life of " + Decimals.upTo(LASTING.shortestDays(), 0) + " to "
                        + Decimals.upTo(LASTING.longestDays(), 0) + " days would still be there to "
                        + Decimals.percent(left.least(), 0) + " to " + Decimals.percent(left.most(), 0) + " % after "
                        + days(day) + ": its decay can't be why injury fell.");
    }

    /** The day of the curve, bounded by what was sown: beyond the last sowing nothing was tried. */
    private static String curve(PlantBackResult result, InjuryDecline.Day day) {
        double last = result.lastDay();
        if (day.day() > last) {
            return "By the curve injury is not at the limit by day " + Decimals.upTo(last, 1)
                    + ", the last that was sown.";
        }
        String low = Decimals.fixed(Math.max(0, day.interval95().low()), 1);
        return "By the curve injury falls to the limit on day " + Decimals.fixed(Math.max(0, day.day()), 1)
                + " (95 % interval " + low
                + (day.interval95().high() > last
                        ? " or later, beyond day " + Decimals.upTo(last, 1) + ", the last that was sown)."
                        : " to " + Decimals.fixed(day.interval95().high(), 1) + ").");
    }
}
