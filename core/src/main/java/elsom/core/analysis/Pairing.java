package elsom.core.analysis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Which treatments a question holds against which.
 *
 * @param allPairs whether each is held against each
 * @param pairs as indexes of arms, in the order of the treatments
 * @param remarks what could not be done as it was asked, as sentences
 */
record Pairing(boolean allPairs, List<Pair> pairs, List<String> remarks) {
    /**
     * A treatment beside its comparator.
     *
     * @param factor index of the only factor they differ in; −1 when they are not cells of a factorial or differ in more
     */
    record Pair(int treatment, int comparator, int factor) {}

    /** The same for those of its pairs that can be judged. */
    Pairing of(List<Pair> possible) {
        return new Pairing(allPairs, possible, remarks);
    }

    static Pairing of(Observations all, Ask ask) {
        Set<Integer> asked = new HashSet<>();
        ask.treatments().forEach(code -> asked.add(all.index(code)));
        if (ask.against() instanceof Ask.Against.AllPairs) {
            return each(all, asked, List.of());
        }
        if (ask.against() instanceof Ask.Against.Level level) {
            return level(all, level);
        }
        return ask.against() instanceof Ask.Against.Treatment one
                ? one(all, asked, all.index(one.code()))
                : controls(all, asked);
    }

    private static Pairing each(Observations all, Set<Integer> asked, List<String> remarks) {
        List<Integer> arms = wanted(all, asked);
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < arms.size(); i++) {
            for (int j = i + 1; j < arms.size(); j++) {
                pairs.add(new Pair(arms.get(j), arms.get(i), only(all, arms.get(j), arms.get(i))));
            }
        }
        return new Pairing(true, pairs, remarks);
    }

    /** Cells that differ in one factor only, from its level beside to those asked about; level by level. */
    private static Pairing level(Observations all, Ask.Against.Level asked) {
        List<Pair> pairs = new ArrayList<>();
        List<String> remarks = new ArrayList<>();
        for (String level : asked.levels()) {
            for (int arm : at(all, asked.factor(), level)) {
                List<Pair> found = at(all, asked.factor(), asked.beside()).stream()
                        .filter(other -> only(all, arm, other) == asked.factor())
                        .map(other -> new Pair(arm, other, asked.factor()))
                        .toList();
                pairs.addAll(found);
                if (found.isEmpty()) {
                    remarks.add(all.arms().get(arm).name() + " has no " + asked.beside() + " beside it.");
                }
            }
        }
        return new Pairing(false, pairs, remarks);
    }

    private static List<Integer> at(Observations all, int factor, String level) {
        return IntStream.range(0, all.arms().size())
                .filter(arm -> factor < all.arms().get(arm).levels().size()
                        && all.arms().get(arm).levels().get(factor).equals(level))
                .boxed()
                .toList();
    }

    private static List<Integer> wanted(Observations all, Set<Integer> asked) {
        return IntStream.range(0, all.arms().size())
                .filter(arm -> asked.isEmpty() || asked.contains(arm))
                .boxed()
                .toList();
    }

    private static Pairing one(Observations all, Set<Integer> asked, int comparator) {
        return new Pairing(
                false,
                wanted(all, asked).stream()
                        .filter(arm -> arm != comparator)
                        .map(arm -> new Pair(arm, comparator, only(all, arm, comparator)))
                        .toList(),
                List.of());
    }

    private static Pairing controls(Observations all, Set<Integer> asked) {
        List<Integer> controls = IntStream.range(0, all.arms().size())
                .filter(arm -> all.arms().get(arm).control())
                .boxed()
                .toList();
        if (controls.isEmpty()) {
            return each(
                    all,
                    asked,
                    List.of("There is no control, so every treatment is held against every other; what any of them does"
                            + " at all can't be said."));
        }
        if (!all.factorial()) {
            return one(all, asked, controls.get(0));
        }
        List<Pair> pairs = new ArrayList<>();
        List<String> remarks = new ArrayList<>();
        for (int arm : wanted(all, asked)) {
            if (!controls.contains(arm)) {
                List<Pair> own = beside(all, arm, controls);
                pairs.addAll(own);
                if (own.isEmpty()) {
                    remarks.add(all.arms().get(arm).name() + " has no control at the same level of the other factors.");
                }
            }
        }
        return new Pairing(false, pairs, remarks);
    }

    /** A cell beside those that differ from it in one factor only, which there stands at its control level. */
    private static List<Pair> beside(Observations all, int arm, List<Integer> controls) {
        List<Pair> pairs = new ArrayList<>();
        for (int factor = 0; factor < all.factors().size(); factor++) {
            int varied = factor;
            Set<String> levels = levels(all, varied, controls);
            boolean asked = !levels.equals(levels(all, varied, wanted(all, Set.of())))
                    && !levels.contains(all.arms().get(arm).levels().get(varied));
            if (asked) {
                IntStream.range(0, all.arms().size())
                        .filter(other -> only(all, arm, other) == varied
                                && levels.contains(
                                        all.arms().get(other).levels().get(varied)))
                        .findFirst()
                        .ifPresent(other -> pairs.add(new Pair(arm, other, varied)));
            }
        }
        return pairs;
    }

    private static Set<String> levels(Observations all, int factor, List<Integer> arms) {
        Set<String> levels = new HashSet<>();
        arms.forEach(arm -> levels.add(all.arms().get(arm).levels().get(factor)));
        return levels;
    }

    /** The only factor in which two cells differ; −1 when there is none or more than one. */
    private static int only(Observations all, int one, int other) {
        if (!all.factorial()) {
            return -1;
        }
        int found = -1;
        for (int factor = 0; factor < all.factors().size(); factor++) {
            if (!all.arms()
                    .get(one)
                    .levels()
                    .get(factor)
                    .equals(all.arms().get(other).levels().get(factor))) {
                if (found >= 0) {
                    return -1;
                }
                found = factor;
            }
        }
        return found;
    }
}
