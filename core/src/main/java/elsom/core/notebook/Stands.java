package elsom.core.notebook;

import elsom.core.quantity.Bounds;
import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Treatment;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Where units stand as somebody drew it: a row of the bench a line, in it the letters of the treatments in the order they
 * first come, or the names of the pots; a dash for an empty place.
 *
 * @param rows from the top, each from the left
 */
public record Stands(List<List<String>> rows) {
    /** What a bench is called of which the places are known and nothing else. */
    static final String NAME = "As it stands";

    private static final Set<String> EMPTY = Set.of("-", "–", "—", ".");

    /** It does not fit the pots that are written down. */
    public static final class Unfit extends RuntimeException {
        private static final long serialVersionUID = 1;

        private Unfit(String message) {
            super(message);
        }
    }

    public Stands {
        rows = Bounds.list("rows of a bench", rows, 1, Bounds.PLACES_ALONG).stream()
                .map(row -> Bounds.list("places of a row", row, 1, Bounds.PLACES_ALONG))
                .toList();
    }

    /**
     * Reads rows: places parted by blanks, commas, semicolons or tabs.
     *
     * @throws IllegalArgumentException where there are too many
     */
    public static Stands read(String text) {
        return new Stands(text.lines()
                .map(line -> line.strip())
                .filter(line -> !line.isEmpty())
                .map(line -> Arrays.stream(line.split("[\\s,;|]+"))
                        .filter(place -> !place.isEmpty())
                        .toList())
                .filter(row -> !row.isEmpty())
                .toList());
    }

    private int columns() {
        return rows.stream().mapToInt(List::size).max().orElse(1);
    }

    Bench bench() {
        return Bench.plain(1, NAME, rows.size(), columns());
    }

    /**
     * The units where they stand.
     *
     * @param names of the pots, by unit; empty for one without a name
     * @throws Unfit saying what there is too much or too little of
     */
    List<ExperimentalUnit> placed(List<ExperimentalUnit> units, List<String> names, List<Treatment> treatments) {
        List<String> called = names.stream().map(Notebook::name).toList();
        boolean byName = called.stream().noneMatch(String::isEmpty)
                && called.stream().distinct().count() == called.size()
                && rows.stream()
                        .flatMap(List::stream)
                        .allMatch(place -> EMPTY.contains(place) || called.contains(Notebook.name(place)));
        Map<String, Deque<Integer>> waiting = new HashMap<>();
        for (int i = 0; i < units.size(); i++) {
            String key = byName
                    ? called.get(i)
                    : treatments.get(units.get(i).treatment() - 1).code().toLowerCase(Locale.ROOT);
            waiting.computeIfAbsent(key, none -> new ArrayDeque<>()).add(i);
        }
        List<ExperimentalUnit> placed = new ArrayList<>(units);
        for (int row = 0; row < rows.size(); row++) {
            for (int column = 0; column < rows.get(row).size(); column++) {
                String place = rows.get(row).get(column);
                if (!EMPTY.contains(place)) {
                    int unit = next(waiting, place, treatments);
                    placed.set(unit, units.get(unit).at(new BenchPosition(1, row + 1, column + 1), 1));
                }
            }
        }
        waiting.forEach((key, left) -> {
            if (!left.isEmpty()) {
                throw new Unfit(left.size() + (left.size() == 1 ? " pot" : " pots") + " of “"
                        + (byName ? key : key.toUpperCase(Locale.ROOT))
                        + "” that the lines above tell of " + (left.size() == 1 ? "stands" : "stand")
                        + " nowhere here.");
            }
        });
        return placed;
    }

    private static int next(Map<String, Deque<Integer>> waiting, String place, List<Treatment> treatments) {
        Deque<Integer> left = waiting.get(Notebook.name(place));
        if (left == null) {
            throw new Unfit("“" + place + "” is none of them: "
                    + treatments.stream()
                            .map(one -> one.code() + " is " + one.name())
                            .collect(Collectors.joining(", "))
                    + "; an empty place is a dash. Accepted: A B - A");
        }
        if (left.isEmpty()) {
            throw new Unfit("“" + place + "” stands here more often than the lines above have pots of it.");
        }
        return left.removeFirst();
    }
}
