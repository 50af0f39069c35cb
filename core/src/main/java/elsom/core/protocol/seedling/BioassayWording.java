package elsom.core.protocol.seedling;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.NextTest;
import elsom.core.diagnosis.Seen;
import elsom.core.dose.DoseEffect;
import elsom.core.quantity.Decimals;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.trial.EndpointCode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what a lot did to seedlings and what is likely behind it: never a bare percentage, never a product or firm. */
public final class BioassayWording {
    private static final int MOST_REASONS = 4;
    private static final int MOST_SYMPTOMS = 4;

    /** What comes from outside says nothing of the lot. */
    private static final Set<Cause> FROM_OUTSIDE = EnumSet.of(Cause.EATEN, Cause.COLD, Cause.SEED);

    private BioassayWording() {}

    static Findings.Answered of(BioassayResult result) {
        return Findings.Answered.unasked(new Verdict(
                        firmness(result),
                        line(result) + " " + result.lot() + " at "
                                + result.look().said() + ": "
                                + result.species().stream()
                                        .map(BioassayWording::harm)
                                        .collect(Collectors.joining("; "))
                                + ". "
                                + symptoms(result)
                                        .filter(told -> !result.injurious())
                                        .map(told -> told + " ")
                                        .orElse("")
                                + cause(result),
                        "It shows injury, not the substance: a laboratory names it, and no product or firm is accused by"
                                + " it. It holds for this lot and these plants.",
                        brief(result)))
                .with(details(result))
                .about(EndpointCode.INJURY);
    }

    private static String brief(BioassayResult result) {
        boolean clear = result.diagnosis().isEmpty()
                && result.refused().isEmpty()
                && AllClear.of(result).told();
        return line(result) + " " + result.lot() + ": "
                + result.species().stream().map(BioassayWording::brief).collect(Collectors.joining("; ")) + ". "
                + (clear ? "Nothing points to a contaminant." : cause(result));
    }

    private static String brief(BioassayResult.Species species) {
        DoseEffect.Tested tested = species.line().effect().tested();
        if (species.line().voided().isPresent() || tested.refused().isPresent()) {
            return species.name() + " can't be told";
        }
        return tested.loec().isPresent()
                ? species.name() + " injured from "
                        + Decimals.threeDigits(tested.loec().getAsDouble()) + " % on" + deaths(tested)
                : unharmed(species, tested, "");
    }

    private static String unharmed(BioassayResult.Species species, DoseEffect.Tested tested, String shown) {
        return "no injury of " + species.name() + shown + " up to "
                + Decimals.threeDigits(tested.noec().orElseThrow()) + " %"
                + (species.line().effect().proven() ? "" : ", though few units could have missed it") + deaths(tested);
    }

    private static Verdict.Firmness firmness(BioassayResult result) {
        if (result.refused().isPresent()) {
            return Verdict.Firmness.CANT_TELL;
        }
        if (result.diagnosis().isEmpty()) {
            return AllClear.of(result).told() ? Verdict.Firmness.SO_FAR : Verdict.Firmness.CANT_TELL;
        }
        return result.diagnosis().get().together().isPresent()
                ? Verdict.Firmness.SO_FAR
                : named(result).isEmpty() || fromOutside(result)
                        ? Verdict.Firmness.CANT_TELL
                        : Verdict.Firmness.SETTLED;
    }

    /** Whether what harmed came from outside, so that the trial says nothing of the lot. */
    private static boolean fromOutside(BioassayResult result) {
        return named(result).filter(FROM_OUTSIDE::contains).isPresent();
    }

    /** What to do with the lot, in a line: use it, don't, or find out by the one test that parts most. */
    private static String line(BioassayResult result) {
        if (result.diagnosis().isEmpty()) {
            return AllClear.of(result).told() && result.refused().isEmpty() ? "Use it." : "Find out before it is used.";
        }
        if (fromOutside(result)) {
            return "Find out before it is used: repeat it, safe from that.";
        }
        boolean told =
                named(result).isPresent() || result.diagnosis().get().together().isPresent();
        return told || result.next().isEmpty()
                ? "Don't use it."
                : "Don't use it; find out: " + result.next().get().words() + " ("
                        + result.next().get().cost() + ").";
    }

    private static Optional<Cause> named(BioassayResult result) {
        return result.diagnosis().flatMap(Diagnosis::named).filter(cause -> cause != Cause.NONE);
    }

    private static String harm(BioassayResult.Species species) {
        if (species.line().voided().isPresent()) {
            return species.name() + " can't be told";
        }
        DoseEffect.Tested tested = species.line().effect().tested();
        if (tested.refused().isPresent()) {
            return species.name() + " can't be told, for "
                    + Character.toLowerCase(tested.refused().get().charAt(0))
                    + tested.refused().get().substring(1);
        }
        if (tested.loec().isEmpty()) {
            return unharmed(species, tested, " was shown");
        }
        return species.name() + " is injured from "
                + Decimals.threeDigits(tested.loec().getAsDouble()) + " % on"
                + (tested.noec().isPresent()
                        ? ", not shown at " + Decimals.threeDigits(tested.noec().getAsDouble()) + " %" + deaths(tested)
                        : ", the least that was tested");
    }

    private static String deaths(DoseEffect.Tested tested) {
        return tested.died().isPresent()
                ? "; at " + Decimals.threeDigits(tested.died().getAsDouble()) + " % more died than in the control"
                : "";
    }

    /** Symptoms are evidence by themselves, whatever the points: of each plant the surest are told. */
    private static Optional<String> symptoms(BioassayResult result) {
        Map<String, List<String>> together = new LinkedHashMap<>();
        result.symptoms().stream()
                .filter(SymptomCounts.Excess::speaks)
                .limit(MOST_SYMPTOMS)
                .forEach(excess -> together.computeIfAbsent(
                                excess.plant() + "\n" + excess.counts(), none -> new ArrayList<>())
                        .add(excess.symptom().label()));
        String told = together.entrySet().stream()
                .map(entry -> entry.getKey().split("\n")[0] + " shows " + String.join(", ", entry.getValue()) + " in "
                        + entry.getKey().split("\n")[1])
                .collect(Collectors.joining("; "));
        return told.isEmpty() ? Optional.empty() : Optional.of("Symptoms: " + told + ".");
    }

    /** A bioassay without a clean medium is none. */
    static Findings.Answered withoutCleanMedium(LotArms arms) {
        return Findings.Answered.unasked(new Verdict(
                        Verdict.Firmness.CANT_TELL,
                        arms.clean().isEmpty()
                                ? "There is no clean medium to hold a lot against, so nothing can be said of one."
                                : "What is called clean, " + arms.clean()
                                        + ", holds all that the other treatments hold: there is no lot to judge, and no clean"
                                        + " medium beside it.",
                        "Units of a clean medium without the lot, as many as of the lot, would tell."))
                .about(EndpointCode.INJURY);
    }

    private static String cause(BioassayResult result) {
        if (result.refused().isPresent()) {
            return "The cause can't be asked for: " + result.refused().get()
                    + ". What strikes the clean medium too is no lot's: look for cold, old seed, eaters, watering.";
        }
        if (result.diagnosis().isEmpty()) {
            return AllClear.of(result).words();
        }
        Diagnosis found = result.diagnosis().get();
        if (found.together().isPresent()) {
            return "No one cause explains what was seen; "
                    + found.together().get().words() + " together would.";
        }
        Optional<Cause> named = named(result);
        return named.isPresent()
                ? named.get() == Cause.OTHER
                        ? "None of the causes known here explains what was seen: look for a disease or a virus, or ask a"
                                + " laboratory."
                        : upper(named.get().label()) + " is likely."
                : "What did it can't be told yet: " + likeliest(found).get(0) + " or "
                        + likeliest(found).get(1) + ".";
    }

    /** The two likeliest causes, "nothing of these" left out, since something did injure. */
    private static List<String> likeliest(Diagnosis found) {
        return found.standings().stream()
                .map(Diagnosis.Standing::cause)
                .filter(cause -> cause != Cause.NONE)
                .map(Cause::label)
                .limit(2)
                .toList();
    }

    private static List<String> details(BioassayResult result) {
        List<String> details = new ArrayList<>();
        symptoms(result).filter(told -> result.injurious()).ifPresent(details::add);
        if (!result.learnt().isEmpty()) {
            details.add("Taken in from a later trial of it: "
                    + result.learnt().stream().map(Seen::words).collect(Collectors.joining(", ")) + ".");
        }
        result.diagnosis().ifPresent(found -> {
            reasons(found.first(), Diagnosis.Weight.STRONGLY_FOR, Diagnosis.Weight.FOR)
                    .ifPresent(said -> details.add("For it: " + said + "."));
            reasons(found.first(), Diagnosis.Weight.STRONGLY_AGAINST, Diagnosis.Weight.AGAINST)
                    .ifPresent(said -> details.add("Against it: " + said + "."));
        });
        result.next().ifPresent(test -> details.add(test(result, test)));
        if (result.diagnosis().isEmpty() && result.symptoms().stream().anyMatch(SymptomCounts.Excess::speaks)) {
            details.add(
                    "Don't use the lot until that is known: four units of each or more, scored for signs until the last"
                            + " look, would tell.");
        }
        if ((result.injurious() || result.marked()) && !fromOutside(result)) {
            details.add("Keep the lot apart: don't compost it on, don't spread it where sensitive crops will grow, ask"
                    + " the supplier and a laboratory.");
        }
        return details;
    }

    private static String test(BioassayResult result, NextTest test) {
        Diagnosis found = result.diagnosis().orElseThrow();
        return named(result).isPresent()
                ? "What would test that best: " + test.words() + "."
                : "What would part " + found.first().cause().label() + " from "
                        + found.second().cause().label() + " best: " + test.words() + ".";
    }

    /** What was seen that speaks one way, the strongest first. */
    static Optional<String> reasons(Diagnosis.Standing standing, Diagnosis.Weight strong, Diagnosis.Weight clear) {
        String said = Stream.of(strong, clear)
                .flatMap(weight -> standing.reasons().stream().filter(reason -> reason.weight() == weight))
                .map(Diagnosis.Reason::seen)
                .map(Seen::words)
                .limit(MOST_REASONS)
                .collect(Collectors.joining(", "));
        return said.isEmpty() ? Optional.empty() : Optional.of(said);
    }

    /** What speaks for or against a cause in a sentence, for the end of its row. */
    public static String sentence(Diagnosis.Standing standing) {
        String pro = reasons(standing, Diagnosis.Weight.STRONGLY_FOR, Diagnosis.Weight.FOR)
                .map(said -> "For: " + said + ".")
                .orElse("Nothing speaks for it.");
        String contra = reasons(standing, Diagnosis.Weight.STRONGLY_AGAINST, Diagnosis.Weight.AGAINST)
                .map(said -> " Against: " + said + ".")
                .orElse("");
        return pro + contra;
    }

    private static String upper(String label) {
        return Character.toUpperCase(label.charAt(0)) + label.substring(1);
    }
}
