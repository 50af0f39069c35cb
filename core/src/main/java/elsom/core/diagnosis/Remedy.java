package elsom.core.diagnosis;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/** Half of a pair: what is done to a lot to see whether the harm goes with it. */
public enum Remedy {
    CHARCOAL(
            "charcoal",
            "with charcoal",
            "activated charcoal",
            "Mix 10 g of activated charcoal into each litre, in the clean medium too. It binds organic residues, not salts.",
            Set.of("charcoal")),
    LEACHING(
            "leach",
            "leached",
            "leaching",
            "Rinse three volumes of clean water through, let it drain, and do the same to the clean medium. Salts go.",
            Set.of("leached", "leaching", "rinsed", "washed")),
    AIRING(
            "air",
            "aired",
            "airing for three weeks",
            "Spread it thin under cover for three weeks, turn it and keep it damp; keep some closed and cool beside it."
                    + " Ammonia and acids go.",
            Set.of("aired", "airing", "ripened")),
    NITROGEN(
            "nitrogen",
            "with nitrogen",
            "a feed of nitrogen",
            "Give half of the pots a nitrate feed of 100 mg N/L at each watering. Yellow from lack of nitrogen turns green.",
            Set.of("nitrogen", "nitrate", "fed")),
    LIME(
            "lime",
            "limed",
            "lime",
            "Lime half of it to pH 6 to 6.5 a week before sowing; the other half stays as it is.",
            Set.of("limed", "lime", "limestone"));

    private final String code;
    private final String level;
    private final String label;
    private final String how;
    private final Set<String> words;

    Remedy(String code, String level, String label, String how, Set<String> words) {
        this.code = code;
        this.level = level;
        this.label = label;
        this.how = how;
        this.words = words;
    }

    /** In the table of likelihoods: harm falls with it. */
    public String code() {
        return code;
    }

    /** What the level of a plan is called. */
    public String level() {
        return level;
    }

    public String label() {
        return label;
    }

    public String how() {
        return how;
    }

    /** The remedy that a level's name speaks of; empty for none. "No charcoal" and "unleached" are none. */
    public static Optional<Remedy> of(String level) {
        Set<String> said = NameWords.of(level);
        return said.contains("no") || said.contains("not") || said.contains("without")
                ? Optional.empty()
                : Arrays.stream(values())
                        .filter(remedy -> remedy.words.stream().anyMatch(said::contains))
                        .findFirst();
    }
}
