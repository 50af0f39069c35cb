package elsom.core.panel;

import elsom.core.design.RandomDraw;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * In which order each taster is served: Williams (1949), Aust. J. Sci. Res. A 2:149–168. Over a full set of tasters every sample
 * stands in every place equally often, and follows every other one equally often, so that neither coming first nor what was tasted before favours any.
 *
 * @param rows one a taster, samples from 0
 */
public record ServingOrder(List<List<Integer>> rows) {
    public ServingOrder {
        rows = rows.stream().map(List::copyOf).toList();
    }

    /** Tasters of a full set: as many as samples, or twice as many where their number is odd. */
    public static int fullSet(int samples) {
        return samples % 2 == 0 ? samples : 2 * samples;
    }

    /**
     * Orders for so many tasters. Sets are drawn one after another, rows and names by lot; a last one that is not full is
     * nearly balanced.
     *
     * @param samples 2 or more
     * @param seed the same seed gives the same orders
     */
    public static ServingOrder of(int samples, int tasters, long seed) {
        if (samples < 2 || tasters < 1) {
            throw new IllegalArgumentException("two samples or more and a taster, got " + samples + " and " + tasters);
        }
        RandomDraw draw = new RandomDraw(seed);
        List<List<Integer>> rows = new ArrayList<>();
        while (rows.size() < tasters) {
            List<List<Integer>> set = draw.shuffled(square(samples));
            rows.addAll(set.subList(0, Math.min(set.size(), tasters - rows.size())));
        }
        return new ServingOrder(rows);
    }

    /** 0, 1, n−1, 2, n−2 … and all its shifts; for an odd number their mirror images too. */
    private static List<List<Integer>> square(int samples) {
        List<Integer> first = new ArrayList<>(List.of(0));
        for (int low = 1, high = samples - 1; low <= high; low++, high--) {
            first.add(low);
            if (high > low) {
                first.add(high);
            }
        }
        List<List<Integer>> rows = new ArrayList<>();
        for (int shift = 0; shift < samples; shift++) {
            List<Integer> row = new ArrayList<>();
            for (int sample : first) {
                row.add((sample + shift) % samples);
            }
            rows.add(row);
        }
        if (samples % 2 == 1) {
            for (List<Integer> row : List.copyOf(rows)) {
                List<Integer> mirrored = new ArrayList<>(row);
                Collections.reverse(mirrored);
                rows.add(mirrored);
            }
        }
        return rows;
    }
}
