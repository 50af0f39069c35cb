package elsom.core.diagnosis;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A test that may split two causes: a pair with and without a remedy, a thinner mix, a meter, or another plant. */
public enum NextTest {
    CHARCOAL(Sign.CHARCOAL, Remedy.CHARCOAL),
    LEACHING(Sign.LEACHING, Remedy.LEACHING),
    AIRING(Sign.AIRING, Remedy.AIRING),
    NITROGEN(Sign.NITROGEN, Remedy.NITROGEN),
    LIME(Sign.LIME, Remedy.LIME),
    DILUTION("thin it: a quarter and a half in the clean medium", List.of(Sign.DILUTION), Optional.empty()),
    EC("measure the EC of the lot and of the clean medium", List.of(Sign.HIGH_EC), Optional.empty()),
    PH("measure the pH of the lot and of the clean medium", List.of(Sign.LOW_PH, Sign.HIGH_PH), Optional.empty()),
    GRASS("sow a grass, such as barley, beside it", List.of(Sign.INJURED), Optional.of(IndicatorGroup.GRASS)),
    LEGUME("sow a legume, such as peas, beside it", List.of(Sign.INJURED), Optional.of(IndicatorGroup.LEGUME));

    private static final double CHEAP = 1.25;

    private final String words;
    private final List<Sign> signs;
    private final Optional<IndicatorGroup> plants;
    private final Optional<Remedy> remedy;

    NextTest(Sign sign, Remedy remedy) {
        this.words = "a pair with and without " + remedy.label();
        this.signs = List.of(sign);
        this.plants = Optional.empty();
        this.remedy = Optional.of(remedy);
    }

    NextTest(String words, List<Sign> signs, Optional<IndicatorGroup> plants) {
        this.words = words;
        this.signs = signs;
        this.plants = plants;
        this.remedy = Optional.empty();
    }

    public String words() {
        return words;
    }

    /** What it takes. */
    public String cost() {
        return byMeter() ? "an hour, no pots" : this == DILUTION ? "three weeks, 12 pots" : "three weeks, 8 pots";
    }

    private boolean byMeter() {
        return this == EC || this == PH;
    }

    /** A meter's answer of today goes before one of three weeks that tells little more. */
    double ease() {
        return byMeter() ? CHEAP : 1;
    }

    List<Sign> signs() {
        return signs;
    }

    Optional<IndicatorGroup> plants() {
        return plants;
    }

    public Optional<Remedy> remedy() {
        return remedy;
    }

    /** Whether its answer is not known yet. */
    boolean open(Set<Sign> done, Set<IndicatorGroup> groups) {
        return plants.isPresent()
                ? !groups.contains(plants.get())
                : signs.stream().noneMatch(done::contains);
    }
}
