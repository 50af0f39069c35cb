package elsom.core.practice;

import elsom.core.analysis.Answer;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is wrong with a lot of compost, if anything: peas and barley in it, as it is, leached, with charcoal. */
final class LotLevel extends PlantLevel {
    private static final double LEACHING_LEAVES = 0.2;
    private static final int TENTHS = 10;

    private final String lot;
    private final List<Chance> chances;
    private final double ecMs;
    private final double residue;

    /**
     * What may be true.
     *
     * @param inTen in how many of ten seeds
     */
    record Chance(Call what, int inTen) {}

    /**
     * @param ecMs of the lot where it is too salt
     * @param residue it carries where it does, in shares of a badly loaded lot
     */
    LotLevel(
            Brief brief,
            Setting setting,
            Trialled trap,
            Trialled fair,
            String lot,
            List<Chance> chances,
            double ecMs,
            double residue) {
        super(brief, setting, trap, fair);
        this.lot = lot;
        this.chances = chances;
        this.ecMs = ecMs;
        this.residue = residue;
    }

    @Override
    public Truth truth(Setting given, long seed) {
        int at = drawn(seed, TENTHS);
        for (Chance chance : chances) {
            at -= chance.inTen();
            if (at < 0) {
                return new Truth(chance.what(), 1, words(chance.what()));
            }
        }
        return new Truth(Call.NOTHING, 0, words(Call.NOTHING));
    }

    private String words(Call what) {
        String salt = "an EC of " + ecMs + " mS/cm: peas burn, barley a little";
        String carries = "an auxin-type residue: peas twist from the second week, barley stays clean";
        return switch (what) {
            case SALTS -> "The lot has " + salt + ".";
            case RESIDUE -> "The lot carries " + carries + ".";
            case BOTH -> "The lot has " + salt + "; and " + carries + ".";
            default -> "Nothing is wrong with the lot.";
        };
    }

    private List<String> media() {
        return List.of("clean", lot, lot + " leached", lot + " charcoal", lot + " leached charcoal");
    }

    @Override
    public List<String> shelf() {
        List<String> all = new ArrayList<>();
        for (String medium : media()) {
            all.add(medium + ", peas");
            all.add(medium + ", barley");
        }
        return all;
    }

    @Override
    Optional<Living> living(Truth truth, String treatment) {
        return meant(treatment).map(name -> {
            Species species = name.contains("barley") ? Species.GRASS : Species.LEGUME;
            Surroundings at = Surroundings.GOOD;
            if (!name.startsWith("clean")) {
                boolean salt = truth.right() == Call.SALTS || truth.right() == Call.BOTH;
                boolean carries = truth.right() == Call.RESIDUE || truth.right() == Call.BOTH;
                double above = (salt ? ecMs : at.ecMs()) - at.ecMs();
                at = at.salty(at.ecMs() + above * (name.contains("leached") ? LEACHING_LEAVES : 1))
                        .residue(carries ? residue : 0);
                at = name.contains("charcoal") ? at.withCharcoal() : at;
            }
            return Living.in(species, at);
        });
    }

    @Override
    Call call(HeldBeside told) {
        String peas = lot + ", peas";
        if (!told.has(peas)) {
            return byBarley(told);
        }
        Answer hurt = told.beside(peas, "clean, peas");
        if (hurt != Answer.WORSE) {
            return hurt == Answer.CANT_TELL ? Call.CANT_TELL : Call.NOTHING;
        }
        boolean leachingHelps = helps(told, lot + " leached, peas", peas)
                || helps(told, lot + " leached charcoal, peas", lot + " charcoal, peas");
        boolean charcoalHelps = helps(told, lot + " charcoal, peas", peas)
                || helps(told, lot + " leached charcoal, peas", lot + " leached, peas");
        if (leachingHelps || charcoalHelps) {
            return leachingHelps && charcoalHelps ? Call.BOTH : leachingHelps ? Call.SALTS : Call.RESIDUE;
        }
        return switch (told.beside(lot + ", barley", "clean, barley")) {
            case WORSE -> Call.SALTS;
            case NO_DIFFERENCE -> Call.RESIDUE;
            default -> Call.CANT_TELL;
        };
    }

    private Call byBarley(HeldBeside told) {
        return switch (told.beside(lot + ", barley", "clean, barley")) {
            case WORSE, NOT_AS_GOOD -> Call.SALTS;
            case NO_DIFFERENCE, AS_GOOD, BETTER -> Call.NOTHING;
            case CANT_TELL -> Call.CANT_TELL;
        };
    }

    private static boolean helps(HeldBeside told, String treated, String plain) {
        return told.beside(treated, plain) == Answer.BETTER;
    }

    @Override
    String asked() {
        return lot + ", peas";
    }

    @Override
    String comparator() {
        return "clean, peas";
    }
}
