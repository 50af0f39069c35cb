package elsom.core.design;

import elsom.core.quantity.Decimals;
import elsom.core.trial.Bench;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.LightMap;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Light measured again while a trial runs, held against the first grid where units stand. What counts is not that days
 * get shorter but whether the places still compare: each place's light as a share of the bench's mean.
 *
 * @param part the mean of all places now as a share of the mean then; 0 when nothing was measured before
 * @param changed the unit whose place changed most
 * @param before its place's share of the mean then
 * @param after its place's share of the mean now
 * @param unequal treatments that now stand brighter or darker than the bench by more than a twentieth
 */
public record LightAgain(double part, Optional<UnitCode> changed, double before, double after, List<String> unequal) {
    /** A treatment's mean light off the bench's by more than this is worth a word. */
    private static final double UNEQUAL = 0.05;

    public LightAgain {
        unequal = List.copyOf(unequal);
    }

    /**
     * Of one bench, with units where they stand.
     *
     * @throws IllegalArgumentException if nothing was measured
     */
    public static LightAgain of(TrialRecord record, Bench bench, LightMap again) {
        if (!again.known()) {
            throw new IllegalArgumentException("there is no light in it");
        }
        List<ExperimentalUnit> here = record.units().stream()
                .filter(unit -> unit.position().bench() == bench.number())
                .toList();
        double now = here.stream()
                .mapToDouble(unit -> at(again, bench, unit))
                .average()
                .orElse(0);
        boolean known = bench.lightMap().known();
        double then = known
                ? here.stream()
                        .mapToDouble(unit -> at(bench.lightMap(), bench, unit))
                        .average()
                        .orElse(0)
                : 0;
        Optional<UnitCode> most = Optional.empty();
        double before = 0;
        double after = 0;
        for (ExperimentalUnit unit : here) {
            double was = then > 0 ? at(bench.lightMap(), bench, unit) / then : 1;
            double is = now > 0 ? at(again, bench, unit) / now : 1;
            if (then > 0 && Math.abs(is - was) > Math.abs(after - before)) {
                most = Optional.of(unit.code());
                before = was;
                after = is;
            }
        }
        return new LightAgain(then > 0 ? now / then : 0, most, before, after, unequal(record, bench, here, again, now));
    }

    private static double at(LightMap map, Bench bench, ExperimentalUnit unit) {
        return map.at(
                (unit.position().column() - 0.5) / bench.columns(),
                (unit.position().row() - 0.5) / bench.rows());
    }

    private static List<String> unequal(
            TrialRecord record, Bench bench, List<ExperimentalUnit> here, LightMap again, double mean) {
        List<String> unequal = new ArrayList<>();
        record.treatments()
                .forEach(treatment -> here.stream()
                        .filter(unit -> unit.treatment() == treatment.number())
                        .mapToDouble(unit -> at(again, bench, unit))
                        .average()
                        .ifPresent(light -> {
                            double off = mean > 0 ? light / mean - 1 : 0;
                            if (Math.abs(off) > UNEQUAL) {
                                unequal.add(treatment.name() + " now stands " + Decimals.percent(Math.abs(off), 0)
                                        + " % " + (off > 0 ? "brighter" : "darker") + " than the bench.");
                            }
                        }));
        return unequal;
    }

    /** In words: how much there is of it, where it changed, and which treatments stand better or worse. */
    public List<String> words() {
        List<String> words = new ArrayList<>();
        if (part > 0) {
            words.add("Light is " + Decimals.percent(part, 0) + " % of what it was.");
        }
        changed.ifPresent(unit -> words.add("The place of " + unit + " changed most: from "
                + Decimals.percent(before, 0) + " to " + Decimals.percent(after, 0) + " % of the bench's mean."));
        words.addAll(unequal);
        if (unequal.isEmpty()) {
            words.add("No treatment stands brighter or darker than the bench by more than a twentieth.");
        }
        return List.copyOf(words);
    }
}
