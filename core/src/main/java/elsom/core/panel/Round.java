package elsom.core.panel;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * A tasting under way: who has answered what, who is next, and what an answer comes to.
 *
 * @param answers of each taster by the plate's place from 0, as in {@link Tasted}; also of those who are not done
 *     ({@link IllegalArgumentException} for what nobody can have answered)
 */
public record Round(Tasting tasting, Map<Integer, Map<Integer, Double>> answers) {
    private static final double LEAST_LIKED = 1;
    private static final double BEST_LIKED = 9;
    private static final double PICKED = 1;

    public Round {
        Map<Integer, Map<Integer, Double>> copy = new HashMap<>();
        answers.forEach((taster, given) -> copy.put(taster, Map.copyOf(given)));
        answers = Map.copyOf(copy);
        answers.forEach((taster, given) -> possible(tasting, taster, given));
    }

    private static void possible(Tasting tasting, int taster, Map<Integer, Double> given) {
        boolean there = taster >= 1
                && taster <= tasting.tasters()
                && given.keySet().stream().allMatch(place -> place >= 0 && place < tasting.plates());
        boolean answered = switch (tasting.kind()) {
            case TRIANGLE, PAIR -> given.size() <= 1 && given.values().stream().allMatch(value -> value == PICKED);
            case LIKING -> given.values().stream().allMatch(value -> value >= LEAST_LIKED && value <= BEST_LIKED);
            case RANKING -> given.values().stream().sorted().toList().equals(placesUpTo(given.size()));
        };
        if (!there || !answered) {
            throw new IllegalArgumentException("taster " + taster + " can't have answered " + given + " in a "
                    + tasting.kind() + " of " + tasting.plates() + " plates and " + tasting.tasters() + " tasters");
        }
    }

    private static List<Double> placesUpTo(int last) {
        return IntStream.rangeClosed(1, last).mapToObj(place -> (double) place).toList();
    }

    /** Those who are done, and what they said. */
    public Tasted tasted() {
        return new Tasted(tasting, new TreeMap<>(answers));
    }

    /** A taster's answers so far. */
    public Map<Integer, Double> of(int taster) {
        return answers.getOrDefault(taster, Map.of());
    }

    public boolean done(int taster) {
        return of(taster).size() == tasting.kind().answers(tasting.samples().size());
    }

    public boolean allDone() {
        return next() == 0;
    }

    /** The first who is not done; 0 when all are. */
    public int next() {
        return after(0);
    }

    /** The first after a taster, and round again, who is not done: where the phone goes when somebody rather won't taste; 0 when all are. */
    public int after(int taster) {
        int tasters = tasting.tasters();
        return IntStream.range(0, tasters)
                .map(step -> (taster + step) % tasters + 1)
                .filter(other -> !done(other))
                .findFirst()
                .orElse(0);
    }

    /**
     * What is to be kept of an answer about one plate: a pick, the points, or the best place that is left; the last plate to
     * rank falls into the last place.
     *
     * @param place of the plate on the tray, from 0
     * @param points of a liking; without meaning for others
     * @throws IllegalArgumentException in a taster's words, if it can't be answered
     */
    public Map<Integer, Double> answering(int taster, int place, double points) {
        boolean liking = tasting.kind() == Tasting.Kind.LIKING;
        boolean scored = !liking || (points >= LEAST_LIKED && points <= BEST_LIKED);
        int plates = tasting.plates();
        if (taster < 1 || taster > tasting.tasters() || place < 0 || place >= plates || !scored) {
            throw new IllegalArgumentException("This tasting has no such plate or taster. Reload the page.");
        }
        if (done(taster)) {
            throw new IllegalArgumentException("Taster " + taster + " is done already. Hand the phone on.");
        }
        if (liking && of(taster).containsKey(place)) {
            throw new IllegalArgumentException(
                    "That plate has its points already. Go on with those that are left; after the last you can begin again.");
        }
        if (tasting.kind() == Tasting.Kind.RANKING) {
            return ranked(of(taster), place, plates);
        }
        return Map.of(place, liking ? points : PICKED);
    }

    private static Map<Integer, Double> ranked(Map<Integer, Double> given, int place, int plates) {
        if (given.containsKey(place)) {
            throw new IllegalArgumentException("That plate has its place already. Choose among those that are left.");
        }
        Map<Integer, Double> kept = new LinkedHashMap<>();
        kept.put(place, given.size() + 1.0);
        if (given.size() + 2 == plates) {
            for (int last = 0; last < plates; last++) {
                if (last != place && !given.containsKey(last)) {
                    kept.put(last, (double) plates);
                }
            }
        }
        return kept;
    }
}
