package elsom.core.protocol.salt;

import elsom.core.curve.ProfileInterval;
import elsom.core.curve.SalinityResponse;
import elsom.core.plan.Factor;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.results.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Says how yield goes with salinity. */
public final class ThresholdWording {
    private static final double CLEAR = 0.05;
    private static final double RISES = 1.15;
    private static final double TENTH = 10;

    private ThresholdWording() {}

    static Verdict of(ThresholdResult result) {
        String what = result.yield().label() + " at " + result.look().said();
        Optional<SalinityResponse> fit = result.fit().asOptional();
        if (fit.isEmpty() && result.risesThenFalls()) {
            return seen(result, what);
        }
        if (fit.isEmpty()) {
            return new Verdict(
                    Verdict.Firmness.CANT_TELL,
                    what + ": no threshold can be told: "
                            + Sentence.inside(result.fit().whyNot().orElse("")) + ".",
                    "Five strengths or more, one without loss and one with plain loss, would tell.");
        }
        SalinityResponse found = fit.get();
        boolean falls = found.againstMean().p() < CLEAR;
        return new Verdict(
                falls ? Verdict.Firmness.SETTLED : Verdict.Firmness.CANT_TELL,
                falls
                        ? what + " holds up to " + shown(result, found.threshold(), found.thresholdInterval()) + " in "
                                + Sentence.inside(result.axis().label()) + ", then falls by "
                                + Decimals.upTo(found.slopePercent(), 1) + " % of itself for each further "
                                + ("1 " + result.axis().unitSymbol()).strip()
                                + span(found.slopeInterval(), 1) + "; half is left at "
                                + shown(result, found.halfYieldAt(), found.halfYieldInterval()) + "."
                        : what
                                + " does not fall with salinity by more than chance, up to the highest that was reached.",
                "It holds for this crop and this season: heat makes salt worse. What drains tells more than what is given.");
    }

    /** What was seen, where no threshold goes through it. */
    private static Verdict seen(ThresholdResult result, String what) {
        ThresholdResult.Strength most = result.best();
        return new Verdict(
                result.tested().loec().isPresent() ? Verdict.Firmness.SETTLED : Verdict.Firmness.CANT_TELL,
                what + " rises before it falls, so that it has no one threshold: it was highest, "
                        + result.yield().show(most.yield()) + ", at " + most.name() + " ("
                        + result.axis().show(most.salinity()) + "), beside "
                        + result.yield().show(result.without().orElseThrow())
                        + (result.beside().equals(ThresholdAnswers.NONE)
                                ? " without."
                                : " at " + result.beside() + "."),
                "What salts feed and what they cost are mixed here. It holds for this crop and this season: heat makes"
                        + " salt worse. What drains tells more than what is given.");
    }

    static List<String> details(ThresholdResult result, Factor strengths) {
        List<String> details = new ArrayList<>();
        result.fit()
                .asOptional()
                .filter(SalinityResponse::atLowerBound)
                .ifPresent(
                        found -> details.add(
                                "Yield fell from the lowest salinity on: the threshold lies there or below, and was not reached."));
        if (rises(result)) {
            details.add(
                    "Yield rose at first, as what salts may also feed: the level part is a mean over that rise, and the"
                            + " threshold is less sharp than it looks.");
        }
        if (result.tested().refused().isPresent()) {
            return details;
        }
        String unit = strengths.unit().symbol();
        OptionalDouble noec = result.tested().noec();
        OptionalDouble loec = result.tested().loec();
        boolean none = result.beside().equals(ThresholdAnswers.NONE);
        details.add(
                loec.isEmpty()
                        ? "No strength that was given shows a loss beside " + result.beside() + ", up to "
                                + amount(noec, unit) + "."
                        : (noec.isPresent()
                                        ? "The strongest given without a loss is " + amount(noec, unit)
                                        : none ? "Even the weakest given shows a loss" : "The next shows a loss")
                                + (none ? "" : " beside " + result.beside()) + "; a loss shows from "
                                + amount(loec, unit) + " on.");
        result.effect()
                .effective(TENTH)
                .filter(found -> none && !found.outside())
                .ifPresent(found -> details.add("A tenth less than"
                        + " without is reached at " + amount(OptionalDouble.of(found.dose()), unit)
                        + " given (95 % interval "
                        + Decimals.threeDigits(found.interval95().low())
                        + (Double.isFinite(found.interval95().high())
                                ? " to "
                                        + Decimals.threeDigits(
                                                found.interval95().high())
                                : " or more")
                        + "; curves averaged)."));
        if (result.tested().died().isPresent()) {
            details.add("From " + amount(result.tested().died(), unit) + " on more died than "
                    + (none ? "without" : "at " + result.beside())
                    + ", so few that it may be chance: that strength is not called harmless.");
        }
        return details;
    }

    private static boolean rises(ThresholdResult result) {
        return result.fit().asOptional().isPresent()
                && result.strengths().stream()
                        .filter(strength -> strength.salinity()
                                <= result.fit().asOptional().orElseThrow().threshold())
                        .mapToDouble(ThresholdResult.Strength::yield)
                        .max()
                        .stream()
                        .anyMatch(
                                most -> most > RISES * result.strengths().get(0).yield());
    }

    private static String amount(OptionalDouble dose, String unit) {
        return (Decimals.threeDigits(dose.orElse(0)) + " " + unit).strip();
    }

    /** "2.9 mS/cm (95 % interval 2.6 to 3.1)"; an end that lies beyond what was tested in words. */
    public static String shown(ThresholdResult result, double value, ProfileInterval interval) {
        return result.axis().show(value) + span(interval, result.axis().decimals());
    }

    private static String span(ProfileInterval interval, int decimals) {
        if (interval.low().isEmpty() && interval.high().isEmpty()) {
            return " (its interval goes beyond what was tested)";
        }
        return " (95 % interval "
                + (interval.low().isPresent()
                        ? Decimals.fixed(interval.low().getAsDouble(), decimals)
                                + (interval.high().isPresent() ? " to " : " or more")
                        : "up to ")
                + (interval.high().isPresent() ? Decimals.fixed(interval.high().getAsDouble(), decimals) : "") + ")";
    }
}
