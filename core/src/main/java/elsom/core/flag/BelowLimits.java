package elsom.core.flag;

import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnderLimit;
import java.util.List;

/** Readings that are only known to lie below a limit. */
public final class BelowLimits {
    private BelowLimits() {}

    /** Readings that stand and lie below a limit. */
    public static List<Reading> in(TrialRecord record) {
        return record.readings().stream()
                .filter(reading ->
                        UnderLimit.is(reading, record.endpoint(reading.ref().endpoint())))
                .filter(reading -> record.current(reading.ref())
                        .filter(standing -> standing.id().equals(reading.id()))
                        .isPresent())
                .toList();
    }

    /** One flag, or none when everything was measured. */
    public static List<Flag> of(TrialRecord record) {
        List<Reading> below = in(record);
        return below.isEmpty()
                ? List.of()
                : List.of(Flag.caution(
                        FlagCode.BELOW_LIMIT,
                        below.size() == 1
                                ? "1 reading lies below what could be measured: it counts as half of that limit."
                                : below.size()
                                        + " readings lie below what could be measured: each counts as half of its limit.",
                        "No substitute is right. An answer that is another with none, or with the whole limit, is not given.",
                        "A method that reaches lower, or a larger sample.",
                        below.stream()
                                .map(reading -> reading.ref().unit().value())
                                .distinct()
                                .sorted()
                                .toList()));
    }
}
