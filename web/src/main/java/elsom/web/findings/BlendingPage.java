package elsom.web.findings;

import elsom.core.chemistry.Leaching;
import elsom.core.chemistry.SaltLimit;
import elsom.core.chemistry.WaterBlend;
import elsom.core.protocol.salt.ThresholdResult;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import elsom.web.kit.TrialHeader;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How two waters are blended so that a crop keeps its yield.
 *
 * @param answer the shares of both; empty when there is no answer
 * @param refused why there is none; empty when there is
 * @param working the steps, in words
 */
public record BlendingPage(
        TrialHeader header, String title, BlendingForm form, String answer, String refused, List<String> working) {
    static BlendingPage of(TrialHeader header, ThresholdResult result, BlendingForm form) {
        Optional<SaltLimit> limit =
                result.limit().map(found -> SaltLimit.of(found.salinity(), result.byDrain(), form.drained()));
        Outcome<WaterBlend> blend = form.problems().isEmpty() && limit.isPresent()
                ? WaterBlend.under(limit.get().ofWater(), form.ecA(), form.ecB())
                : Outcome.notEstimable("");
        String refused = limit.isEmpty()
                ? "No threshold can be told: " + result.fit().whyNot().orElse("") + "."
                : blend.whyNot()
                        .filter(why -> !why.isEmpty())
                        .map(why -> why + ".")
                        .orElse("");
        return new BlendingPage(
                header,
                result.yield().label() + " at " + result.look().name(),
                form,
                blend.asOptional().map(BlendingPage::answer).orElse(""),
                refused,
                limit.map(known -> working(result, form, known, blend.asOptional()))
                        .orElse(List.of()));
    }

    private static String answer(WaterBlend blend) {
        return blend.shareB() >= 1
                ? "Water B can be given as it is."
                : "At most " + Decimals.percent(blend.shareB(), 0) + " % of water B, the rest water A: "
                        + shown(blend.ec()) + ".";
    }

    private static List<String> working(
            ThresholdResult result, BlendingForm form, SaltLimit limit, Optional<WaterBlend> blend) {
        List<String> working = new ArrayList<>();
        boolean byThreshold =
                result.limit().map(ThresholdResult.Limit::byThreshold).orElse(false);
        working.add(
                byThreshold
                        ? "Yield holds up to " + shown(limit.threshold()) + " in "
                                + result.axis().label()
                                + ", by the lower end of its 95 % interval, to be on the safe side."
                        : "No loss beside none was shown up to " + shown(limit.threshold()) + " in "
                                + result.axis().label()
                                + ", the strongest that was given without one; yield has no threshold here, and injury may show sooner.");
        working.add(
                result.byDrain()
                        ? "At rest what drains is as many times saltier as less of it drains: with "
                                + Decimals.percent(form.drained(), 0) + " % draining, the water given may have "
                                + shown(limit.ofWater()) + "."
                        : "It was measured in the water given, so that is its limit.");
        blend.filter(found -> found.shareB() < 1)
                .ifPresent(found -> working.add("Share of B = (" + Decimals.fixed(limit.ofWater(), 2) + " − "
                        + Decimals.fixed(form.ecA(), 2) + ") / (" + Decimals.fixed(form.ecB(), 2) + " − "
                        + Decimals.fixed(form.ecA(), 2) + ")."));
        if (form.ecB() > 0 && form.problems().isEmpty()) {
            working.add("Water B alone: "
                    + Leaching.byDrain(form.ecB(), limit.drain())
                            .asOptional()
                            .map(share -> Decimals.percent(share, 0) + " % of it must drain by the balance of salt")
                            .orElse("no draining is enough by the balance of salt")
                    + "; "
                    + Leaching.byExtract(form.ecB(), limit.extract())
                            .asOptional()
                            .map(share -> Decimals.percent(share, 0) + " %")
                            .orElse("no draining is enough")
                    + " by the saturated extract, taken as half as salty as what drains (Ayers & Westcot 1985).");
        }
        return working;
    }

    private static String shown(double ec) {
        return Decimals.fixed(ec, 2) + " mS/cm";
    }
}
