package elsom.core.practice;

import elsom.core.analysis.Answer;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** One thing beside another, by the mass of plants: two mixes, or a feed and none. */
final class MixLevel extends PlantLevel {
    /** Leaves room above: plants in the comparator get 0.62 of what nitrogen can do. */
    private static final double POOR_PPM = 70;

    private static final double HALF_PPM = 50;

    private final String comparator;
    private final String asked;
    private final int helpsInTen;

    /** @param helpsInTen in how many of ten seeds the thing does what the setting says; in the others it does nothing */
    MixLevel(
            Brief brief,
            Setting setting,
            Trialled trap,
            Trialled fair,
            String comparator,
            String asked,
            int helpsInTen) {
        super(brief, setting, trap, fair);
        this.comparator = comparator;
        this.asked = asked;
        this.helpsInTen = helpsInTen;
    }

    @Override
    public Truth truth(Setting given, long seed) {
        double effect = drawn(seed, 10) < helpsInTen ? given.effect() : 0;
        double matters = brief().measured().matters() / 100;
        Call right = effect >= matters ? Call.BETTER : effect <= -matters ? Call.WORSE : Call.NO_DIFFERENCE;
        String more = Math.round(Math.abs(effect) * 100) + " % " + (effect > 0 ? "heavier" : "lighter");
        return new Truth(
                right,
                effect,
                effect == 0
                        ? "Plants with “" + Draft.shown(asked) + "” and “" + Draft.shown(comparator) + "” grow alike."
                        : "Plants with “" + Draft.shown(asked) + "” grow " + more + " than with “"
                                + Draft.shown(comparator) + "”.");
    }

    @Override
    public List<String> shelf() {
        return List.of(comparator, asked);
    }

    @Override
    Optional<Living> living(Truth truth, String treatment) {
        String name = treatment.toLowerCase(Locale.ROOT);
        if (!name.equals(comparator) && !name.equals(asked)) {
            return Optional.empty();
        }
        double ratio = name.equals(asked) ? 1 + truth.size() : 1;
        return Optional.of(Living.in(Species.BROADLEAF, Surroundings.GOOD.nitrogen(feeding(ratio))));
    }

    /** The nitrogen under which plants grow by so much more than in the comparator. */
    static double feeding(double ratio) {
        double poor = 1 - Math.pow(2, -POOR_PPM / HALF_PPM);
        return -HALF_PPM * Math.log(1 - Math.min(0.995, poor * ratio)) / Math.log(2);
    }

    @Override
    Call call(HeldBeside told) {
        return said(told.beside(asked, comparator));
    }

    static Call said(Answer answer) {
        return switch (answer) {
            case BETTER -> Call.BETTER;
            case WORSE, NOT_AS_GOOD -> Call.WORSE;
            case NO_DIFFERENCE, AS_GOOD -> Call.NO_DIFFERENCE;
            case CANT_TELL -> Call.CANT_TELL;
        };
    }

    @Override
    String asked() {
        return asked;
    }

    @Override
    String comparator() {
        return comparator;
    }
}
