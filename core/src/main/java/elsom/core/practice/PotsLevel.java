package elsom.core.practice;

import elsom.core.sim.MediumTruth;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** Two mixes in a flat bowl and a tall tub: a flat one holds more of the same. */
final class PotsLevel extends Level {
    public static final double BOWL_CM = 6;
    public static final double TUB_CM = 18;

    private static final String FIRST = "mix 1";
    private static final String SECOND = "mix 2";
    private static final double HELD = 0.56;
    private static final double MORE = 0.06;
    private static final double HELD_SPREAD = 0.035;
    private static final double WET_FOOT_CM = 3.4;
    private static final int SECOND_MORE_IN_TEN = 7;

    PotsLevel(Brief brief, Setting setting) {
        super(
                brief,
                setting,
                Trialled.of(8, Trialled.Placing.BLOCKS, 1, "mix 1, bowl", "mix 2, tub"),
                Trialled.of(8, Trialled.Placing.BLOCKS, 1, "mix 1, bowl", "mix 2, bowl"));
    }

    @Override
    public Truth truth(Setting given, long seed) {
        boolean second = drawn(seed, 10) < SECOND_MORE_IN_TEN;
        return new Truth(
                second ? Call.WORSE : Call.BETTER,
                second ? -MORE : MORE,
                "At one depth " + (second ? SECOND : FIRST)
                        + " holds 6 parts in 100 more. The flat bowl adds 9 to either"
                        + " mix: its wet foot is a larger share of it.");
    }

    @Override
    public List<String> shelf() {
        return List.of("mix 1, bowl", "mix 2, bowl", "mix 1, tub", "mix 2, tub");
    }

    @Override
    public Optional<String> meant(String words) {
        String said = words.toLowerCase(Locale.ROOT);
        String mix = said.contains(FIRST) ? FIRST : said.contains(SECOND) ? SECOND : "";
        return mix.isEmpty() ? Optional.empty() : Optional.of(mix + (said.contains("tub") ? ", tub" : ", bowl"));
    }

    @Override
    OptionalDouble figure(Truth truth, String treatment, double light, double days, double deviate, Setting given) {
        return meant(treatment)
                .map(name -> OptionalDouble.of(100
                        * medium(truth, name).capacity(name.endsWith("tub") ? TUB_CM : BOWL_CM)
                        * (1 + HELD_SPREAD * deviate)))
                .orElse(OptionalDouble.empty());
    }

    /** What a mix is truly like. */
    static MediumTruth medium(Truth truth, String material) {
        double held = material.toLowerCase(Locale.ROOT).contains(SECOND)
                ? HELD - Math.min(0, truth.size())
                : HELD + Math.max(0, truth.size());
        return new MediumTruth(0.28, held, WET_FOOT_CM, 0.01, 0.1);
    }

    @Override
    Call call(HeldBeside told) {
        return told.observations().arms().size() < 2
                ? Call.CANT_TELL
                : MixLevel.said(told.beside(first(told, FIRST), first(told, SECOND)));
    }

    private static String first(HeldBeside told, String mix) {
        boolean bowls = told.has(FIRST + ", bowl") && told.has(SECOND + ", bowl");
        boolean tubs = told.has(FIRST + ", tub") && told.has(SECOND + ", tub");
        if (bowls || tubs) {
            return mix + (bowls ? ", bowl" : ", tub");
        }
        return mix + (told.has(mix + ", bowl") ? ", bowl" : ", tub");
    }

    @Override
    String asked() {
        return "mix 1, bowl";
    }

    @Override
    String comparator() {
        return "mix 2, bowl";
    }
}
