package elsom.core.flag;

import elsom.core.trial.Instrument;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.TreeSet;

/** Readings of pH or EC on a meter that nobody had checked that day. */
public final class UncheckedMeter {
    private UncheckedMeter() {}

    /** One flag, or none when every meter was checked. */
    public static List<Flag> of(TrialRecord record) {
        TreeSet<String> units = new TreeSet<>();
        long[] count = new long[1];
        record.readings().stream()
                .filter(reading -> reading.instrument() == Instrument.METER_UNCHECKED)
                .filter(reading -> record.current(reading.ref())
                        .filter(standing -> standing.id().equals(reading.id()))
                        .isPresent())
                .forEach(reading -> {
                    count[0]++;
                    units.add(reading.ref().unit().value());
                });
        return count[0] == 0
                ? List.of()
                : List.of(Flag.caution(
                        FlagCode.UNCHECKED_METER,
                        count[0] + (count[0] == 1 ? " reading was" : " readings were")
                                + " taken with a meter that was not checked in its solutions that day, or failed.",
                        "A meter that drifts shifts all that was read with it, and what was read on another day is shifted"
                                + " otherwise.",
                        "Check it in two solutions before each round, and write it down under “Meters”.",
                        List.copyOf(units)));
    }
}
