package elsom.core.mix;

import elsom.core.quantity.Bounds;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A lot that is kept apart because it did harm.
 *
 * @param reason what was found, without an accusation of any firm
 * @param goneTo where some of it has already gone, in the station's words; may be empty
 * @param trial number of the trial that showed it; 0 when it came from elsewhere
 * @param liftedAt when it was let go; null while it stands
 * @param liftedWhy why; empty while it stands
 */
public record Quarantine(
        String lot,
        String reason,
        Instant since,
        String station,
        String goneTo,
        long trial,
        @Nullable Instant liftedAt,
        String liftedWhy) {
    public Quarantine {
        Bounds.name("a lot", lot, Bounds.NAME);
        Bounds.note("why a lot is kept apart", reason, Bounds.NOTE);
        Bounds.instant("since when a lot is kept apart", since);
        Bounds.name("the station", station, Bounds.STATION);
        Bounds.note("where a lot has gone", goneTo, Bounds.NOTE);
        Bounds.note("why a lot was let go", liftedWhy, Bounds.NOTE);
        if (liftedAt != null) {
            Bounds.instant("when a lot was let go", liftedAt);
        }
    }

    /** The same, shown by a trial of this store. */
    public Quarantine shownBy(long number) {
        return new Quarantine(lot, reason, since, station, goneTo, number, liftedAt, liftedWhy);
    }

    public boolean stands() {
        return liftedAt == null;
    }

    /** Those that stand and whose lot is in one of the mixes. */
    public static List<Quarantine> among(List<Quarantine> all, Collection<String> mixes) {
        return all.stream()
                .filter(one -> one.stands() && mixes.stream().anyMatch(mix -> holds(mix, one.lot())))
                .toList();
    }

    /**
     * Mixes with the recipes of those they are made of, since a lot goes with a mix into the next.
     *
     * @param recipes of mixes by their names
     */
    public static Set<String> withRecipes(Collection<String> mixes, Map<String, String> recipes) {
        Set<String> all = new LinkedHashSet<>(mixes);
        Deque<String> open = new ArrayDeque<>(mixes);
        while (!open.isEmpty()) {
            String mix = open.pop();
            recipes.entrySet().stream()
                    .filter(known -> holds(mix, known.getKey()))
                    .map(Map.Entry::getValue)
                    .filter(all::add)
                    .forEach(open::push);
        }
        return all;
    }

    /** Whether a mix holds a lot; one that can't be read does when it names it. */
    public static boolean holds(String mix, String lot) {
        return Mix.read(mix).map(read -> read.share(lot) > 0).orElseGet(() -> names(mix, lot));
    }

    /** Whether a text names a lot, in any case, as a word of its own. */
    public static boolean names(String text, String lot) {
        return Pattern.compile(
                        "(?<![\\p{L}\\d-])" + Pattern.quote(lot.strip()) + "(?![\\p{L}\\d])",
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE)
                .matcher(text)
                .find();
    }

    /** Those that stand and whose lot a text names. */
    public static List<Quarantine> named(List<Quarantine> all, String text) {
        return all.stream()
                .filter(one -> one.stands() && names(text, one.lot()))
                .toList();
    }
}
