package elsom.core.practice;

import static elsom.core.practice.Trialled.Placing.BLOCKS;
import static elsom.core.practice.Trialled.Placing.BY_LOT;
import static elsom.core.practice.Trialled.Placing.SIDE_BY_SIDE;

import elsom.core.plan.Direction;
import elsom.core.practice.Brief.Budget;
import elsom.core.practice.Brief.Measured;
import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.Optional;

/** All levels, in the order they are best learnt, and the free bench. */
public final class Levels {
    private static final Level FREE = new MixLevel(
            new Brief(
                    0,
                    "free",
                    "Free bench",
                    "Two mixes on a bench that is as you set it. Try what a trial can see, and what it can't.",
                    "Free bench: does mix B grow heavier basil than mix A?",
                    "basil",
                    BriefWords.GROWTH,
                    BriefWords.FRESH_MASS,
                    BriefWords.beside("Mix B", "mix A"),
                    new Budget(80, 40, 120),
                    "What a trial can tell is decided when it is planned: by units, places and the scatter between them."),
            new Setting(0.3, 0.15, 0.3, 0.05),
            Trialled.of(2, BY_LOT, 28, "mix a", "mix b"),
            Trialled.of(12, BLOCKS, 28, "mix a", "mix b"),
            "mix a",
            "mix b",
            10);

    private static final List<Level> ALL = List.of(
            onePotEach(),
            lightFromOneSide(),
            twoThingsChanged(),
            labelRateUntested(),
            delayedInjury(),
            lotWithResidue(),
            saltsLikeResidue(),
            bowlAndTub(),
            bestPlants(),
            twoStressors());

    private Levels() {}

    /** The ten, in order. */
    public static List<Level> all() {
        return ALL;
    }

    public static Level free() {
        return FREE;
    }

    public static Optional<Level> find(String code) {
        return FREE.brief().code().equals(code)
                ? Optional.of(FREE)
                : ALL.stream()
                        .filter(level -> level.brief().code().equals(code))
                        .findFirst();
    }

    private static Level onePotEach() {
        return new MixLevel(
                new Brief(
                        1,
                        "one-pot-each",
                        "One pot each",
                        "Somebody put one pot of each mix on the sill, and in one the basil stands taller. Half of all such benches"
                                + " have a better mix, half don’t.",
                        "Practice 1: does mix B grow heavier basil than mix A?",
                        "basil",
                        BriefWords.GROWTH,
                        BriefWords.FRESH_MASS,
                        BriefWords.beside("Mix B", "mix A"),
                        new Budget(30, 16, 45),
                        "Two pots of the same mix differ too. How much is only seen from several of each; without that, no"
                                + " difference means anything."),
                new Setting(0.35, 0.12, 0, 0.02),
                Trialled.of(1, BY_LOT, 28, "mix a", "mix b"),
                Trialled.of(12, BLOCKS, 28, "mix a", "mix b"),
                "mix a",
                "mix b",
                5);
    }

    private static Level lightFromOneSide() {
        return new MixLevel(
                new Brief(
                        2,
                        "light-from-one-side",
                        "Light from one side",
                        "The bench stands at a window. Last year mix A had the window side and won. The treatments begin on a side"
                                + " each, as they stood then.",
                        "Practice 2: does mix B grow heavier basil than mix A?",
                        "basil",
                        BriefWords.GROWTH,
                        BriefWords.FRESH_MASS,
                        BriefWords.beside("Mix B", "mix A"),
                        new Budget(30, 16, 45),
                        "What stands in a better place grows better. Blocks give every treatment its share of every place, and take"
                                + " what places do out of the comparison."),
                new Setting(0.35, 0.12, 0.7, 0.02),
                Trialled.of(12, SIDE_BY_SIDE, 28, "mix a", "mix b"),
                Trialled.of(12, BLOCKS, 28, "mix a", "mix b"),
                "mix a",
                "mix b",
                5);
    }

    private static Level twoThingsChanged() {
        return new TwoThingsLevel(
                new Brief(
                        3,
                        "two-things-changed",
                        "Two things changed",
                        "Since the new mix and the kelp feed came, plants are heavier. The kelp is dear. The plan has the old mix"
                                + " without kelp beside the new one with it.",
                        "Practice 3: does kelp grow heavier basil?",
                        "basil",
                        BriefWords.GROWTH,
                        BriefWords.FRESH_MASS,
                        BriefWords.beside("Basil with kelp", "basil without"),
                        new Budget(48, 24, 75),
                        "Where two things change together, what one did can’t be told from what the other did. Each with and"
                                + " without the other takes four treatments, and tells both."),
                new Setting(0.35, 0.12, 0.2, 0.02));
    }

    private static Level labelRateUntested() {
        return new DoseLevel(
                new Brief(
                        4,
                        "label-rate-untested",
                        "The recommended dose, untested",
                        "The bottle says 2 %. The plan stops at 1 %, to be on the safe side, and someone will ask whether the label is"
                                + " safe on marigold plugs.",
                        "Practice 4: is a 2 % drench safe on marigold plugs?",
                        "marigold",
                        BriefWords.DOSES,
                        BriefWords.INJURY,
                        BriefWords.safe("2 %"),
                        new Budget(60, 12, 70),
                        "A dose that was not given was not tested. A curve may be flat up to the last dose and break right after it."),
                new Setting(0.3, 0.1, 0, 0.02),
                Trialled.of(8, BLOCKS, 10, "0 %", "0.25 %", "0.5 %", "1 %"),
                Trialled.of(8, BLOCKS, 10, "0 %", "0.5 %", "1 %", "2 %", "4 %"),
                "2 %",
                7,
                DoseLevel.harmfulHalf(),
                0,
                5);
    }

    private static Level delayedInjury() {
        return new DoseLevel(
                new Brief(
                        5,
                        "delayed-injury",
                        "Injury that comes late",
                        "A 1 % dip for plugs. On day 3 all trays look fine, and the bench is wanted for something else. The plan looks"
                                + " on the first three days.",
                        "Practice 5: is a 1 % dip safe on marigold plugs?",
                        "marigold",
                        BriefWords.DOSES,
                        BriefWords.INJURY,
                        BriefWords.safe("1 %"),
                        new Budget(30, 10, 40),
                        "Nothing in the first days proves nothing: some harm shows when new leaves come. Look for two weeks."),
                new Setting(0.3, 0.1, 0, 0.02),
                Trialled.of(10, BLOCKS, 3, "0 %", "1 %"),
                Trialled.of(10, BLOCKS, 14, "0 %", "1 %"),
                "1 %",
                7,
                1,
                5,
                11);
    }

    private static Level lotWithResidue() {
        return new LotLevel(
                new Brief(
                        6,
                        "lot-with-residue",
                        "A lot with a residue",
                        "Compost lot C is suspected. There was barley seed in the shed, so the plan sows barley.",
                        "Practice 6: what is wrong with compost lot C, if anything?",
                        "peas and barley",
                        BriefWords.BIOASSAY,
                        BriefWords.INJURY,
                        BriefWords.causes("Lot C"),
                        new Budget(48, 16, 60),
                        "Grasses hardly feel residues of the auxin type; peas and beans do. A grass beside a legume, and charcoal"
                                + " beside none, tell what it is."),
                new Setting(0.3, 0.1, 0.1, 0.02),
                Trialled.of(8, BLOCKS, 21, "clean, barley", "lot c, barley"),
                Trialled.of(
                        8,
                        BLOCKS,
                        21,
                        "clean, peas",
                        "lot c, peas",
                        "lot c charcoal, peas",
                        "clean, barley",
                        "lot c, barley"),
                "lot c",
                List.of(new LotLevel.Chance(Call.RESIDUE, 7), new LotLevel.Chance(Call.NOTHING, 3)),
                5,
                0.8);
    }

    private static Level saltsLikeResidue() {
        return new LotLevel(
                new Brief(
                        7,
                        "salts-like-residue",
                        "Salts that look like a residue",
                        "Peas in lot D yellow and burn at the edges, and everybody says weedkiller. The plan grows peas in clean"
                                + " medium and in lot D.",
                        "Practice 7: what is wrong with compost lot D?",
                        "peas and barley",
                        BriefWords.BIOASSAY,
                        BriefWords.INJURY,
                        BriefWords.causes("Lot D"),
                        new Budget(48, 16, 60),
                        "Injury says that something is wrong, not what. Wash some of it with clean water: salts go, a residue stays."),
                new Setting(0.3, 0.1, 0.1, 0.02),
                Trialled.of(8, BLOCKS, 21, "clean, peas", "lot d, peas"),
                Trialled.of(8, BLOCKS, 21, "clean, peas", "lot d, peas", "lot d leached, peas", "lot d charcoal, peas"),
                "lot d",
                List.of(new LotLevel.Chance(Call.SALTS, 7), new LotLevel.Chance(Call.RESIDUE, 3)),
                7.5,
                0.8);
    }

    private static Level bowlAndTub() {
        return new PotsLevel(
                new Brief(
                        8,
                        "bowl-and-tub",
                        "The flat bowl against the tall tub",
                        "Mix 1 is in bowls 6 cm deep, mix 2 in tubs of 18 cm, because those were at hand. Which mix holds more"
                                + " water a litre?",
                        "Practice 8: which holds more water a litre, mix 1 or mix 2?",
                        "",
                        BriefWords.WATER,
                        new Measured(new EndpointCode("wet-mass"), Direction.HIGHER, 3, false, 1),
                        BriefWords.more("Mix 1", "mix 2"),
                        new Budget(24, 10, 60),
                        "At the bottom of any container stands water that no drain hole lets go. A flat container is all"
                                + " bottom: compare mixes at one depth."),
                new Setting(0.3, 0.035, 0, 0));
    }

    private static Level bestPlants() {
        return new MixLevel(
                new Brief(
                        9,
                        "best-plants",
                        "A claim from the best plants",
                        "At the seed swap somebody showed the five best of twenty kelp plants, a third heavier than the average. The plan"
                                + " has twenty of each.",
                        "Practice 9: does kelp grow heavier basil?",
                        "basil",
                        BriefWords.GROWTH,
                        BriefWords.FRESH_MASS,
                        BriefWords.beside("Basil with kelp", "basil without"),
                        new Budget(48, 26, 70),
                        "The best of many are always far above the mean of all. Measure every unit of both, or the same share of"
                                + " both."),
                new Setting(0.35, 0.18, 0.2, 0.02),
                Trialled.of(20, BY_LOT, 28, "no kelp", "kelp").best(5),
                Trialled.of(20, BLOCKS, 28, "no kelp", "kelp"),
                "no kelp",
                "kelp",
                3);
    }

    private static Level twoStressors() {
        return new LotLevel(
                new Brief(
                        10,
                        "two-stressors",
                        "Two stressors and a bad lot",
                        "Lot E hurts peas. Washing it helped a neighbour’s peas a little, so salts it is, he says. The plan has"
                                + " clean medium, lot E, and lot E leached.",
                        "Practice 10: what is wrong with compost lot E?",
                        "peas",
                        BriefWords.BIOASSAY,
                        BriefWords.INJURY,
                        BriefWords.causes("Lot E"),
                        new Budget(48, 18, 60),
                        "A remedy that helps proves one cause, not that there is no other. Try each remedy with and without the"
                                + " other."),
                new Setting(0.3, 0.1, 0.1, 0.02),
                Trialled.of(8, BLOCKS, 21, "clean, peas", "lot e, peas", "lot e leached, peas"),
                Trialled.of(
                        8,
                        BLOCKS,
                        21,
                        "clean, peas",
                        "lot e, peas",
                        "lot e leached, peas",
                        "lot e charcoal, peas",
                        "lot e leached charcoal, peas"),
                "lot e",
                List.of(
                        new LotLevel.Chance(Call.BOTH, 7),
                        new LotLevel.Chance(Call.SALTS, 2),
                        new LotLevel.Chance(Call.RESIDUE, 1)),
                5,
                0.4);
    }
}
