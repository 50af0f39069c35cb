package elsom.core.protocol.liming;

import elsom.core.protocol.Caution;
import elsom.core.protocol.Cautions;
import java.time.Duration;
import java.util.Locale;
import java.util.regex.Pattern;

/** What is stirred into the jars, by the name that it has in the plan. */
public enum Product {
    LIME(
            "lime",
            Pattern.compile(
                    "\\b(?:lime|limestone|dolomite|dolomitic|chalk|carbonate|marl|wood ash|ash|hydrated|slaked)\\b"),
            Duration.ofDays(14),
            Cautions.LIME),
    /** Elemental sulfur: microbes make acid of it, in weeks. */
    SULFUR("sulfur", Pattern.compile("\\b(?:sulfur|sulphur|flowers of s)\\b"), Duration.ofDays(42), Cautions.SULFUR),
    /** What works otherwise, such as a sulfate, an acid or a peat. */
    OTHER("the product", Pattern.compile("^$"), Duration.ofDays(14), Cautions.ACID);

    private final String word;
    private final Pattern named;
    private final Duration acts;
    private final Caution caution;

    Product(String word, Pattern named, Duration acts, Caution caution) {
        this.word = word;
        this.named = named;
        this.acts = acts;
        this.caution = caution;
    }

    /** What a name speaks of; a lime that also holds sulfur is told by neither. */
    public static Product called(String name) {
        String text = name.toLowerCase(Locale.ROOT);
        boolean lime = LIME.named.matcher(text).find();
        boolean sulfur = SULFUR.named.matcher(text).find();
        return lime == sulfur ? OTHER : lime ? LIME : SULFUR;
    }

    public String word() {
        return word;
    }

    /** How long it takes in a warm, moist medium until most of it has worked. */
    public Duration acts() {
        return acts;
    }

    public Caution caution() {
        return caution;
    }

    /** What a share of the product is a share of: carbonate, or the sulfur itself. */
    public String measuredBy() {
        return this == LIME ? "CaCO₃ equivalent" : this == SULFUR ? "Purity" : "Strength";
    }
}
