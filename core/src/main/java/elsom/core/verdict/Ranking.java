package elsom.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Groups in falling order of a figure.
 *
 * @param scope what is ranked: "all" or a class such as "mineral"
 */
public record Ranking(String scope, FigureKind kind, List<Placed> places) {
    /** Means this close to the best of their place share it. */
    public static final double TIE = 0.02;

    /** A group's place; tied groups share a place and the places behind them are skipped. */
    public record Placed(int place, boolean tied, GroupKey group, double mean) {
        /** "2" or "2=". */
        public String show() {
            return place + (tied ? "=" : "");
        }
    }

    public Ranking {
        places = List.copyOf(places);
    }

    /** Ranks means; a group within {@link #TIE} of the first of a place shares that place. */
    public static Ranking of(String scope, FigureKind kind, Map<GroupKey, Double> means) {
        List<Map.Entry<GroupKey, Double>> sorted = means.entrySet().stream()
                .sorted(Map.Entry.<GroupKey, Double>comparingByValue()
                        .reversed()
                        .thenComparing(entry -> entry.getKey().treatment()))
                .toList();
        List<Placed> places = new ArrayList<>();
        int from = 0;
        while (from < sorted.size()) {
            double lead = sorted.get(from).getValue();
            int to = from + 1;
            while (to < sorted.size() && lead - sorted.get(to).getValue() <= TIE * Math.abs(lead)) {
                to++;
            }
            for (int i = from; i < to; i++) {
                places.add(new Placed(
                        from + 1,
                        to - from > 1,
                        sorted.get(i).getKey(),
                        sorted.get(i).getValue()));
            }
            from = to;
        }
        return new Ranking(scope, kind, places);
    }

    /** The groups that share the first place. */
    public List<Placed> best() {
        return places.stream().filter(placed -> placed.place() == 1).toList();
    }
}
