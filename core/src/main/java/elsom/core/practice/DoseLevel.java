package elsom.core.practice;

import elsom.core.truth.Living;
import elsom.core.truth.Shapes;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Strengths of a drench: is one of them safe? */
final class DoseLevel extends PlantLevel {
    private static final Pattern STRENGTH = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*%?");
    private static final String NONE = "0 %";
    private static final double SLOPE = 4;
    private static final double HARMFUL_HALF = 2.2;
    private static final double SAFE_HALF = 9;
    private static final double STRONGEST = 8;

    private final String asked;
    private final int harmsInTen;
    private final double begins;
    private final double over;
    private final double half;

    /**
     * @param harmsInTen in how many of ten seeds the strength asked about harms
     * @param half strength of half the harm where it does
     * @param begins day on which harm begins to show
     * @param over day on which all of it shows
     */
    DoseLevel(
            Brief brief,
            Setting setting,
            Trialled trap,
            Trialled fair,
            String asked,
            int harmsInTen,
            double half,
            double begins,
            double over) {
        super(brief, setting, trap, fair);
        this.asked = asked;
        this.harmsInTen = harmsInTen;
        this.half = half;
        this.begins = begins;
        this.over = over;
    }

    @Override
    public Truth truth(Setting given, long seed) {
        return drawn(seed, 10) < harmsInTen
                ? new Truth(
                        Call.HARMFUL,
                        half,
                        asked + " harms: half of the leaf area goes at " + half + " %, from day " + Math.round(begins)
                                + " to day " + Math.round(over) + ".")
                : new Truth(Call.SAFE, SAFE_HALF, asked + " does nothing that an eye sees, at any day.");
    }

    @Override
    public List<String> shelf() {
        return List.of(NONE, "0.25 %", "0.5 %", "1 %", "2 %", "4 %");
    }

    /** Any strength up to 8 % can be mixed. */
    @Override
    public Optional<String> meant(String words) {
        Matcher number = STRENGTH.matcher(words);
        if (!number.find()) {
            return Optional.empty();
        }
        String figure = number.group(1).replace(',', '.');
        double strength = Double.parseDouble(figure);
        return strength > STRONGEST
                ? Optional.empty()
                : Optional.of(strength == 0 ? NONE : figure.replaceAll("\\.0+$", "") + " %");
    }

    @Override
    Optional<Living> living(Truth truth, String treatment) {
        return meant(treatment).map(name -> {
            double strength = Double.parseDouble(name.substring(0, name.indexOf(' ')));
            return new Living(
                    Species.BROADLEAF,
                    Surroundings.GOOD,
                    Shapes.doseEffect(strength, truth.size(), SLOPE),
                    begins,
                    over);
        });
    }

    @Override
    Call call(HeldBeside told) {
        return switch (told.beside(asked, NONE)) {
            case WORSE, NOT_AS_GOOD -> Call.HARMFUL;
            case NO_DIFFERENCE, AS_GOOD, BETTER -> Call.SAFE;
            case CANT_TELL -> Call.CANT_TELL;
        };
    }

    static double harmfulHalf() {
        return HARMFUL_HALF;
    }

    @Override
    String asked() {
        return asked;
    }

    @Override
    String comparator() {
        return NONE;
    }
}
