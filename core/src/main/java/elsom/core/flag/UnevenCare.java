package elsom.core.flag;

import elsom.core.quantity.Decimals;
import elsom.core.trial.CareTotals;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.TDistribution;

/** Treatments that had more water or feed than others: a second thing that differs. */
public final class UnevenCare {
    /** As much as two careful people with jugs differ. */
    private static final double TOLERATED = 0.10;
    /** So often, over all treatments, hands that mean to give all the same may be blamed. */
    private static final double OFTEN = 0.05;

    private UnevenCare() {}

    /**
     * A flag for each kind of which the treatments had unlike amounts a unit.
     *
     * @param eachToItsWeight whether the plan waters each unit back to its own weight
     */
    public static List<Flag> of(TrialRecord record, boolean eachToItsWeight) {
        List<Flag> flags = new ArrayList<>();
        for (GivenKind kind : GivenKind.values()) {
            List<CareTotals.Total> totals = CareTotals.of(record).stream()
                    .filter(total -> total.kind() == kind && total.units() > 0)
                    .toList();
            if (totals.size() < 2) {
                continue;
            }
            List<Off> off = totals.stream()
                    .map(total -> off(total, totals))
                    .filter(Off::told)
                    .toList();
            if (!off.isEmpty()) {
                flags.add(flag(record, kind, off, eachToItsWeight));
            }
        }
        return flags;
    }

    /**
     * A treatment that had more or less than the others.
     *
     * @param others mean of the other treatments: with its own share in it, its yardstick would shrink with it
     * @param chance whether hands that meant to give all the same would often differ as much
     * @param surely whether they would seldom, by how units of one treatment differ
     */
    private record Off(CareTotals.Total total, double others, boolean chance, boolean surely) {
        /** By more than jugs differ; or by half as much where it is no chance. */
        boolean told() {
            double off = Math.abs(total.millilitres() - others);
            return off > TOLERATED * others || (surely && off > TOLERATED / 2 * others);
        }
    }

    private static Off off(CareTotals.Total total, List<CareTotals.Total> all) {
        List<CareTotals.Total> others =
                all.stream().filter(one -> !one.equals(total)).toList();
        double mean = others.stream()
                .mapToDouble(CareTotals.Total::millilitres)
                .average()
                .orElse(0);
        double within = 0;
        int df = 0;
        double weight = 1.0 / total.units();
        for (CareTotals.Total one : all) {
            for (double had : one.each()) {
                within += (had - one.millilitres()) * (had - one.millilitres());
            }
            df += one.units() - 1;
            weight += one.equals(total) ? 0 : 1.0 / one.units() / others.size() / others.size();
        }
        if (df < 1 || within == 0) {
            return new Off(total, mean, false, false);
        }
        double t = Math.abs(total.millilitres() - mean) / Math.sqrt(within / df * weight);
        double p = 2 * TDistribution.of(df).survivalProbability(t);
        boolean chance = p * all.size() > OFTEN;
        return new Off(total, mean, chance, !chance);
    }

    private static Flag flag(TrialRecord record, GivenKind kind, List<Off> off, boolean eachToItsWeight) {
        String seen = kind.label() + " was not the same for all: "
                + off.stream()
                        .map(one -> record.treatment(one.total().treatment()).name() + " had "
                                + Decimals.upTo(one.total().millilitres(), 0) + " mL a unit, the others "
                                + Decimals.upTo(one.others(), 0) + " mL")
                        .collect(Collectors.joining("; "))
                + ".";
        boolean meant = kind == GivenKind.WATER && eachToItsWeight;
        if (!meant && off.stream().allMatch(Off::chance)) {
            return Flag.note(
                    FlagCode.UNEVEN_CARE,
                    seen,
                    "Units of one treatment differ by as much, so it may be chance at the can; it need not be.",
                    "Measure what each is given, or water to weight.",
                    List.of());
        }
        return meant
                ? Flag.note(
                        FlagCode.UNEVEN_CARE,
                        seen,
                        "It was planned so: each to its own weight. What differs may be the water and what it washed out.",
                        "Say so where the result is told.",
                        List.of())
                : Flag.caution(
                        FlagCode.UNEVEN_CARE,
                        seen,
                        "What had more may have grown by that, and not by its treatment.",
                        "Give all the same, or plan watering to each one's own weight.",
                        List.of());
    }
}
