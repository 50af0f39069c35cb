package elsom.web.plan;

import elsom.core.flag.Flag;
import elsom.core.flag.FlagCode;
import elsom.core.mix.Mix;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Materials of a plan that the shelf does not know: most are mistyped, and two spellings would be two lots. */
final class Strangers {
    /** So many letters apart two names are likely one; of short names one. */
    private static final int LETTERS = 2;

    private static final int SHORT = 5;
    private static final LevenshteinDistance DISTANCE = new LevenshteinDistance(LETTERS);

    private Strangers() {}

    /** What is asked about each, with the lot that is most like it. */
    static List<Flag> of(Plan plan, List<String> shelf) {
        Set<String> names = new LinkedHashSet<>();
        plan.treatments().all().stream()
                .map(PlannedTreatment::mix)
                .flatMap(mix -> Mix.read(mix).stream())
                .flatMap(mix -> mix.parts().stream())
                .map(Mix.Part::material)
                .filter(name -> shelf.stream().noneMatch(name::equalsIgnoreCase))
                .forEach(names::add);
        List<Flag> flags = new ArrayList<>();
        List<String> others = names.stream()
                .filter(name -> near(name, shelf).isEmpty())
                .map(name -> "“" + name + "”")
                .toList();
        if (!others.isEmpty()) {
            flags.add(new Flag(
                    FlagCode.PLAN,
                    Flag.Severity.NOTE,
                    "Not on the shelf: " + String.join(", ", others) + ". New, or another name of what is there?",
                    others.size() == 1
                            ? "It is taken as a lot of its own, of which nothing is known."
                            : "Each is taken as a lot of its own, of which nothing is known.",
                    "Put what is new on the shelf; write what is there by its name there.",
                    List.of()));
        }
        for (String name : names) {
            near(name, shelf)
                    .ifPresent(like -> flags.add(new Flag(
                            FlagCode.PLAN,
                            Flag.Severity.CAUTION,
                            "“" + name + "” is not on the shelf. Did you mean “" + like + "”?",
                            "Two spellings are two lots: what is known of the one is not found for the other.",
                            "Write “" + like + "”, or put “" + name + "” on the shelf if it is another.",
                            List.of())));
        }
        return flags;
    }

    private static Optional<String> near(String name, List<String> shelf) {
        String own = name.toLowerCase(Locale.ROOT);
        return shelf.stream()
                .filter(lot -> apart(own, lot) >= 0 && apart(own, lot) <= (own.length() <= SHORT ? 1 : LETTERS))
                // Lots are told apart by their numbers: GW-31 is no misspelt GW-32.
                .filter(lot -> digits(own).equals(digits(lot)))
                .min(Comparator.comparingInt(lot -> apart(own, lot)));
    }

    /** Letters by which two names differ; −1 for too many. */
    private static int apart(String own, String lot) {
        return DISTANCE.apply(own, lot.toLowerCase(Locale.ROOT));
    }

    private static String digits(String name) {
        return name.replaceAll("[^0-9]", "");
    }
}
