package elsom.core.protocol.dose;

import elsom.core.dose.DoseCurve;
import elsom.core.dose.DoseEffect;
import elsom.core.dose.WorkingRate;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what doses did. */
public final class DoseWording {
    private static final double NEXT_TO_NOTHING = 1e-9;
    private static final int MOST_EARLIER = 4;

    private DoseWording() {}

    /** The answer about an endpoint: the harmless dose, the harmful one, and what to work with. */
    static Findings.Answered of(DoseResult result) {
        List<String> details = new ArrayList<>();
        for (DoseResult.Line line : result.lines()) {
            withName(line, rate(result, line)).ifPresent(details::add);
            if (line.voided().isEmpty()) {
                withName(line, Optional.of(effective(result, line))).ifPresent(details::add);
                withName(line, earlier(result, line)).ifPresent(details::add);
            }
        }
        result.sensitivity().map(DoseWording::sensitivity).ifPresent(details::add);
        return Findings.Answered.unasked(verdict(result)).with(details).about(result.kind());
    }

    private static Optional<String> withName(DoseResult.Line line, Optional<String> sentence) {
        return sentence.map(said -> line.name().isEmpty() ? said : line.name() + ": " + said);
    }

    private static Verdict verdict(DoseResult result) {
        List<String> parts = result.lines().stream()
                .map(line -> (line.name().isEmpty() ? "" : line.name() + ": ")
                        + line.voided()
                                .map(why -> "can't tell, for " + why)
                                .orElseGet(() -> tested(result, line.effect())))
                .toList();
        boolean harm = result.lines().stream()
                .anyMatch(line ->
                        line.voided().isEmpty() && line.effect().tested().loec().isPresent());
        boolean told = result.lines().stream()
                .allMatch(line -> line.voided().isEmpty()
                        && line.effect().tested().refused().isEmpty());
        return new Verdict(
                !told ? Verdict.Firmness.CANT_TELL : harm ? Verdict.Firmness.SETTLED : Verdict.Firmness.SO_FAR,
                result.factor() + ", " + Sentence.inside(result.kind().label()) + " at "
                        + result.look().said() + ": " + String.join("; ", parts) + ".",
                "It holds for " + (result.crop().isBlank() ? "this species" : result.crop())
                        + " of this age and for this stock only; the label and local rules come first."
                        + " “None shown” is what these units could see, and few units see little.");
    }

    private static String tested(DoseResult result, DoseEffect effect) {
        DoseEffect.Tested tested = effect.tested();
        if (tested.refused().isPresent()) {
            return "can't tell, for "
                    + Character.toLowerCase(tested.refused().get().charAt(0))
                    + tested.refused().get().substring(1);
        }
        String deaths = tested.died().isPresent()
                ? "; at " + result.dose(tested.died().getAsDouble())
                        + " more died than in the control, so it is not called harmless"
                : "";
        if (tested.loec().isEmpty()) {
            return "no harm was shown up to " + result.dose(tested.noec().orElseThrow())
                    + (deaths.isEmpty() ? highest(result, effect) : "") + missed(result, effect) + deaths;
        }
        String harm = "harm from " + result.dose(tested.loec().getAsDouble()) + " on";
        return tested.noec().isPresent()
                ? harm + ", none shown up to " + result.dose(tested.noec().getAsDouble()) + missed(result, effect)
                        + deaths
                : harm + ", the lowest tested: nothing weaker was";
    }

    /** Whether nothing stronger was set up, or it was and nobody read it. */
    private static String highest(DoseResult result, DoseEffect effect) {
        List<String> stronger = effect.unread().stream()
                .filter(dose -> dose > effect.tested().noec().orElse(0))
                .map(result::dose)
                .toList();
        return stronger.isEmpty()
                ? ", the highest tested"
                : ", the highest read: " + String.join(" and ", stronger) + (stronger.size() == 1 ? " was" : " were")
                        + " set up and not read";
    }

    /** What a "none" of few units may hide. */
    private static String missed(DoseResult result, DoseEffect effect) {
        return effect.proven() || effect.tested().unseen().isEmpty()
                ? ""
                : Double.isInfinite(effect.tested().unseen().getAsDouble())
                        ? ", by so few units that any harm could have been missed"
                        : ", where these units could have missed a harm of "
                                + result.kind()
                                        .finer()
                                        .show(effect.tested().unseen().getAsDouble());
    }

    /** What can be worked with, and whether just that was tested. */
    public static Optional<String> rate(DoseResult result, DoseResult.Line line) {
        if (line.limit().isPresent()) {
            return Optional.of(setElsewhere(result, line.limit().get()));
        }
        return line.rate()
                .asOptional()
                .map(rate -> "To work with: " + result.dose(rate.rate()) + " at most, "
                        + rate.of().label() + ", " + result.dose(rate.basis()) + ", over a safety factor of "
                        + Decimals.upTo(rate.factor(), 2) + ". " + standing(result, rate)
                        + label(result, rate)
                        + (result.endsEarly().isEmpty() ? "" : " " + result.endsEarly()))
                .or(() -> line.rate().whyNot().map(why -> "No rate to work with: " + why + "."));
    }

    /** One rate is worked with, the least: here another endpoint's. */
    private static String setElsewhere(DoseResult result, DoseResult.Limit limit) {
        String kind = Sentence.inside(limit.kind().label());
        return limit.rate()
                .asOptional()
                .map(rate -> "The rate to work with is set by " + kind + ": " + result.dose(rate.rate()) + " at most.")
                .orElseGet(() -> "No rate to work with, for " + kind + ": "
                        + limit.rate().whyNot().orElse("it allows none") + ".");
    }

    /** What the label says where the rate would go beyond it; empty otherwise. */
    public static String label(DoseResult result, WorkingRate rate) {
        return result.labelRate().isPresent()
                        && rate.rate() > result.labelRate().getAsDouble()
                ? " The label's rate is " + result.dose(result.labelRate().getAsDouble()) + ": never go above it."
                : "";
    }

    /** Whether the rate was tested. */
    public static String standing(DoseResult result, WorkingRate rate) {
        if (rate.between().tested()) {
            return "Just this strength was tested.";
        }
        return "It was not tested itself; it lies between "
                + (rate.between().low() <= NEXT_TO_NOTHING
                        ? "none"
                        : result.dose(rate.between().low())) + " and "
                + result.dose(rate.between().high()) + ", which were.";
    }

    private static String effective(DoseResult result, DoseResult.Line line) {
        Optional<DoseCurve> curve = line.effect().curve().asOptional();
        if (curve.isEmpty()) {
            return "No curve: " + line.effect().curve().whyNot().orElse("the points hold none") + ".";
        }
        List<String> said = new ArrayList<>();
        for (int percent : new int[] {10, 50}) {
            line.effect()
                    .effective(percent)
                    .ifPresent(found -> said.add("EC" + percent + " " + shown(result, line.effect(), found)));
        }
        return said.isEmpty()
                ? "The curve is too uncertain to tell how much does how much."
                : String.join(", ", said) + "; EC10 is 10 % "
                        + curve.get().meaning().of() + ".";
    }

    /** The curves that were averaged, with their weights. */
    static String averaged(DoseCurve curve) {
        List<DoseCurve.Part> parts = curve.parts();
        return parts.size() == 1
                ? "Curve: " + parts.get(0).label()
                : "Curves averaged: "
                        + parts.stream()
                                .map(part -> part.label() + " " + Decimals.percent(part.weight(), 0) + " %")
                                .collect(Collectors.joining(", "));
    }

    /** "0.62 % (95 % interval 0.5 to 0.77)", or that it lies outside what was tested. */
    static String shown(DoseResult result, DoseEffect effect, DoseCurve.Effective found) {
        Interval within = found.interval95();
        if (found.outside()) {
            boolean above = found.dose() > effect.highest();
            String side = above
                    ? "not reached by " + result.dose(effect.highest()) + ", the highest tested"
                    : "below " + result.dose(effect.lowest()) + ", the lowest tested";
            return above && within.low() > effect.lowest()
                    ? side + " (95 %: " + Decimals.threeDigits(Math.min(within.low(), effect.highest())) + " or more)"
                    : side;
        }
        return result.dose(found.dose()) + " (95 % interval " + range(within) + ")";
    }

    private static String range(Interval within) {
        return Double.isInfinite(within.high())
                ? Decimals.threeDigits(within.low()) + " or more"
                : within.low() == 0
                        ? Decimals.threeDigits(within.high()) + " or less"
                        : Decimals.threeDigits(within.low()) + " to " + Decimals.threeDigits(within.high());
    }

    /** The same for a column of a table: "0.62 % (0.5 to 0.77)", "above 4 %". */
    static String brief(DoseResult result, DoseEffect effect, DoseCurve.Effective found) {
        if (found.outside()) {
            return found.dose() > effect.highest()
                    ? "above " + result.dose(effect.highest())
                    : "below " + result.dose(effect.lowest());
        }
        return result.dose(found.dose()) + " (" + range(found.interval95()) + ")";
    }

    /** What a trial that ended sooner would have allowed, where that was more. */
    static Optional<String> earlier(DoseResult result, DoseResult.Line line) {
        boolean tooEarly = line.rate().asOptional().isEmpty()
                && line.atLooks()
                        .get(line.atLooks().size() - 1)
                        .rate()
                        .asOptional()
                        .isPresent();
        if (tooEarly) {
            return Optional.empty();
        }
        double last = line.rate().asOptional().map(WorkingRate::rate).orElse(0.0);
        List<DoseResult.AtLook> laxer = line.atLooks().stream()
                .filter(at -> at.rate()
                        .asOptional()
                        .map(rate -> rate.rate() > last * (1 + NEXT_TO_NOTHING) + NEXT_TO_NOTHING)
                        .orElse(false))
                .toList();
        if (laxer.isEmpty()) {
            return Optional.empty();
        }
        Map<String, String> allowed = new LinkedHashMap<>();
        laxer.forEach(at -> allowed.put(
                result.dose(at.rate().asOptional().orElseThrow().rate()),
                at.look().said()));
        return Optional.of("Injury takes time: a trial that ended sooner would have allowed "
                + allowed.entrySet().stream()
                        .limit(MOST_EARLIER)
                        .map(one -> one.getKey() + " at " + one.getValue())
                        .collect(Collectors.joining(", "))
                + ".");
    }

    private static String sensitivity(DoseResult.Sensitivity found) {
        return found.first() + " stands " + Decimals.upTo(found.ratio(), 2) + " times the strength that "
                + found.second()
                + " does for half the effect (95 % interval " + Decimals.upTo(found.low(), 2) + " to "
                + Decimals.upTo(found.high(), 2) + ").";
    }
}
