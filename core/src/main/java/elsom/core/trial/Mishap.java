package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that went wrong, to which units, when.
 *
 * @param number 1-based within the trial, in order of entry
 * @param note in the station's own words; may be empty
 * @param look the look during which it was seen
 * @param withdrawnAt when it was taken back; null while it stands
 */
public record Mishap(
        int number,
        MishapKind kind,
        String note,
        List<UnitCode> units,
        int look,
        Instant happenedAt,
        String station,
        @Nullable Instant withdrawnAt) {
    public static final int LONGEST_NOTE = Bounds.NOTE;

    public Mishap {
        units = Bounds.list("units of a mishap", units, 0, Bounds.UNITS);
        Bounds.count("a mishap's number", number, 1, Integer.MAX_VALUE);
        Bounds.present("what happened", kind);
        Bounds.note("a note", note, LONGEST_NOTE);
        Bounds.instant("when it happened", happenedAt);
        Bounds.name("the station", station, Bounds.STATION);
        if (withdrawnAt != null) {
            Bounds.instant("when it was taken back", withdrawnAt);
        }
    }

    public boolean stands() {
        return withdrawnAt == null;
    }
}
