package elsom.core.practice;

import elsom.core.analysis.Answer;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A feed that came together with a new mix: does the feed do anything? */
final class TwoThingsLevel extends PlantLevel {
    private static final String OLD = "old mix";
    private static final String OLD_FED = "old mix with kelp";
    private static final String NEW = "new mix";
    private static final String NEW_FED = "new mix with kelp";
    private static final int KELP_HELPS_IN_TEN = 3;

    TwoThingsLevel(Brief brief, Setting setting) {
        super(
                brief,
                setting,
                Trialled.of(10, Trialled.Placing.BLOCKS, 28, OLD, NEW_FED),
                Trialled.of(10, Trialled.Placing.BLOCKS, 28, OLD, OLD_FED, NEW, NEW_FED));
    }

    @Override
    public Truth truth(Setting given, long seed) {
        return drawn(seed, 10) < KELP_HELPS_IN_TEN
                ? new Truth(Call.BETTER, given.effect(), "The kelp does it: the two mixes grow alike without.")
                : new Truth(Call.NO_DIFFERENCE, 0, "The new mix does it: kelp does nothing, in either mix.");
    }

    @Override
    public List<String> shelf() {
        return List.of(OLD, OLD_FED, NEW, NEW_FED);
    }

    @Override
    Optional<Living> living(Truth truth, String treatment) {
        String name = treatment.toLowerCase(Locale.ROOT);
        if (!shelf().contains(name)) {
            return Optional.empty();
        }
        boolean does = truth.size() > 0 ? name.contains("kelp") : name.contains("new");
        double ratio = does ? 1 + setting().effect() : 1;
        return Optional.of(Living.in(Species.BROADLEAF, Surroundings.GOOD.nitrogen(MixLevel.feeding(ratio))));
    }

    /** Kelp is judged within a mix: where both mixes say so, or one does and the other says nothing else. */
    @Override
    Call call(HeldBeside told) {
        if (!told.has(OLD_FED) && !told.has(NEW)) {
            return MixLevel.said(told.beside(NEW_FED, OLD));
        }
        List<Answer> answers = List.of(told.beside(NEW_FED, NEW), told.beside(OLD_FED, OLD));
        for (Answer one : List.of(Answer.BETTER, Answer.WORSE, Answer.NO_DIFFERENCE)) {
            if (answers.contains(one) && answers.stream().allMatch(a -> a == one || a == Answer.CANT_TELL)) {
                return MixLevel.said(one);
            }
        }
        return Call.CANT_TELL;
    }

    @Override
    String asked() {
        return NEW_FED;
    }

    @Override
    String comparator() {
        return NEW;
    }
}
