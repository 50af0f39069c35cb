package elsom.core.protocol.seedling;

import elsom.core.dose.DoseEffect;
import elsom.core.quantity.Decimals;
import elsom.core.results.Evidence;
import elsom.core.results.UnitValues;
import elsom.core.seedling.InjuryScore;
import elsom.core.seedling.Symptom;
import elsom.core.stats.FisherExact;
import elsom.core.stats.Proportion;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * In how many units of some treatments each symptom was seen, at any look so far; seed leaves count with the leaves.
 *
 * @param units that were scored at all
 */
record SymptomCounts(int units, Map<Symptom, Integer> seen) {
    SymptomCounts {
        seen = Map.copyOf(seen);
    }

    /**
     * A symptom that is commoner in a lot's units than in clean ones.
     *
     * @param plant in which
     * @param p of Fisher's exact test, two-sided
     */
    record Excess(String plant, Symptom symptom, Proportion lot, Proportion clean, double p) {
        private static final double SELDOM = 0.1;

        /** What residues and burning salts do, and clean media seldom. */
        private static final Set<Symptom> MARKED = EnumSet.of(
                Symptom.CUPPED,
                Symptom.STRAP,
                Symptom.TWISTED,
                Symptom.SWOLLEN,
                Symptom.BLEACHED,
                Symptom.BURNT,
                Symptom.YELLOW_VEINS,
                Symptom.STUBBY_ROOTS);

        /** Whether no all-clear is given beside it. */
        boolean speaks() {
            return MARKED.contains(symptom) || p <= SELDOM;
        }

        /** "4 of 4 of its units and 0 of 4 clean ones (exact p 0.029)". */
        String counts() {
            return lot.affected() + " of " + lot.n() + " of its units and "
                    + clean.affected() + " of " + clean.n() + " clean ones (exact p " + Decimals.significant(p, 2)
                    + ")";
        }
    }

    /** Counts them in the units of some treatments, by their indexes. */
    static SymptomCounts of(Evidence evidence, Collection<Integer> arms) {
        Endpoint injury = evidence.record().endpoint(EndpointCode.INJURY);
        Map<Symptom, Integer> counts = new EnumMap<>(Symptom.class);
        int units = 0;
        for (ExperimentalUnit unit : evidence.record().units()) {
            if (!arms.contains(unit.treatment() - 1)) {
                continue;
            }
            boolean scored = false;
            Set<Symptom> here = EnumSet.noneOf(Symptom.class);
            for (Look look : evidence.looksOf(EndpointCode.INJURY)) {
                List<Reading> readings = UnitValues.readings(evidence.record(), injury, look, unit);
                scored |= !readings.isEmpty();
                readings.stream()
                        .map(Reading::typedText)
                        .flatMap(text -> InjuryScore.typed(text).stream())
                        .flatMap(score -> score.symptoms().stream())
                        .map(Symptom::like)
                        .forEach(here::add);
            }
            units += scored ? 1 : 0;
            here.forEach(symptom -> counts.merge(symptom, 1, Integer::sum));
        }
        return new SymptomCounts(units, counts);
    }

    /** The share of the units that showed a symptom. */
    double share(Symptom symptom) {
        return units == 0 ? 0 : (double) count(symptom) / units;
    }

    private int count(Symptom symptom) {
        Integer count = seen.get(symptom);
        return count == null ? 0 : count;
    }

    /** Symptoms that are commoner with a lot, at any share of it, than without, the surest first. */
    static List<Excess> excess(Evidence evidence, String plant, List<DoseEffect.Given> given) {
        SymptomCounts lot = of(evidence, arms(given, true));
        SymptomCounts clean = of(evidence, arms(given, false));
        List<Excess> found = new ArrayList<>();
        if (lot.units > 0 && clean.units > 0) {
            for (Symptom symptom : Symptom.values()) {
                if (lot.share(symptom) > clean.share(symptom)) {
                    Proportion with = new Proportion(lot.count(symptom), lot.units);
                    Proportion without = new Proportion(clean.count(symptom), clean.units);
                    found.add(new Excess(
                            plant,
                            symptom,
                            with,
                            without,
                            FisherExact.of(with, without).p()));
                }
            }
        }
        found.sort(Comparator.comparingDouble(Excess::p));
        return List.copyOf(found);
    }

    private static List<Integer> arms(List<DoseEffect.Given> given, boolean with) {
        return given.stream()
                .filter(one -> one.dose() > 0 == with)
                .map(DoseEffect.Given::arm)
                .toList();
    }
}
