package elsom.core.quick;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Which kind of trial answers a question, by its words. */
public final class KindFinder {
    /** Beginnings of words that speak for a kind; a second one in the same question speaks louder. */
    private static final Map<String, List<String>> WORDS = Map.ofEntries(
            Map.entry("water-holding", List.of("water", "hold", "dry", "dries", "wet", "moist", "thirst", "drain")),
            Map.entry("dry-down", List.of("sun", "shade", "wind", "sill", "cover", "bench dry", "last longer")),
            Map.entry(
                    "growth",
                    List.of(
                            "grow", "heavier", "bigger", "taller", "yield", "feed", "fertili", "medium", "potting",
                            "leav")),
            Map.entry("germination", List.of("germinat", "sprout", "cress", "extract")),
            Map.entry(
                    "seedling-injury",
                    List.of(
                            "kill",
                            "harm",
                            "injur",
                            "hurt",
                            "weedkiller",
                            "herbicid",
                            "contamin",
                            "residue",
                            "cupped",
                            "twist",
                            "clean",
                            "peas",
                            "beans",
                            "safe to use")),
            Map.entry(
                    "plant-back",
                    List.of("how soon", "how long after", "plant back", "days after", "wait", "sown after")),
            Map.entry(
                    "dose-series",
                    List.of(
                            "strength",
                            "strong",
                            "dose",
                            "drench",
                            "dip",
                            "safe",
                            "rate",
                            "dilut",
                            "how much",
                            "too much")),
            Map.entry("salinity", List.of("salt", "salin", "brackish", "ditch", "ec ", "digestate water")),
            Map.entry("sodium", List.of("sodium", "sar ", "leaching")),
            Map.entry("liming", List.of("how much lime", "lime", "limestone", "raise", "acid", "ph up")),
            Map.entry("sulfur", List.of("how much sul", "sulfur", "sulphur", "lower the ph", "ph down")),
            Map.entry("cuttings", List.of("cutting", "root better", "rooting", "slips")),
            Map.entry("brew", List.of("brew", "tea", "aerat", "air stone")),
            Map.entry("panel", List.of("taste", "flavour", "prefer", "bitter")));

    private KindFinder() {}

    /** The kind whose words the question has most of, the earlier one of two alike; empty where it has none of any. */
    public static Optional<Protocol> of(String question) {
        String words = " " + String.join(" ", question.toLowerCase(Locale.ROOT).split("[^\\p{L}0-9]+")) + " ";
        Protocol best = null;
        int most = 0;
        for (Protocol protocol : Protocols.all()) {
            int score = score(words, protocol.code().value());
            if (score > most) {
                best = protocol;
                most = score;
            }
        }
        return Optional.ofNullable(best);
    }

    /** Longer beginnings say more: "weedkiller" more than "hold". */
    private static int score(String words, String kind) {
        return WORDS.getOrDefault(kind, List.of()).stream()
                .filter(word -> words.contains(" " + word))
                .mapToInt(word -> Arrays.asList(word.split(" ")).size() > 1 ? 3 : word.length() > 4 ? 2 : 1)
                .sum();
    }
}
