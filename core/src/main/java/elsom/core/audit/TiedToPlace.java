package elsom.core.audit;

import elsom.core.design.Balance;
import elsom.core.design.LayoutKind;
import elsom.core.design.Rotation;
import elsom.core.notebook.Notebook;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * Treatments that can be told from where they stand. What was drawn by lot is held against lots: the largest association of
 * treatment with row, column, edge, bench or light must be rarer than 1 in 20 among draws that keep the blocks (a
 * permutation test of the largest of several; Westfall and Young 1993), so that a fair draw is called so in 19 of 20. What
 * was put there by hand is tied as soon as a treatment has a place of its own.
 */
final class TiedToPlace implements AuditRule {
    private static final int DRAWS = 199;
    private static final int RARER = 10;
    private static final int FEWEST = 2;

    @Override
    public List<Fault> check(AuditCase trial) {
        TrialRecord stood = Rotation.at(trial.record(), trial.now());
        if ((trial.copied() && !Notebook.takenUp(trial.record()))
                || !trial.compares()
                || trial.byTreatment().values().stream().anyMatch(units -> units.size() < FEWEST)) {
            return List.of();
        }
        boolean byHand = trial.copied() || !trial.plan().arrangement().moves().isEmpty();
        List<Balance.Tie> ties = Balance.of(stood.benches(), stood.units()).ties().stream()
                .filter(tie -> tie.kind() == Balance.Tie.Kind.PLACE)
                .toList();
        if (byHand && !ties.isEmpty()) {
            return List.of(fault(
                    stood,
                    ties.get(0).treatment(),
                    (trial.copied()
                                    ? "It was not drawn there at random, as far as is known: "
                                    : "It was put there by hand: ")
                            + trial.name(ties.get(0).treatment()) + " "
                            + ties.get(0).what() + ".",
                    Grade.UNFAIR));
        }
        if (trial.plan().arrangement().kind() == LayoutKind.LATIN_SQUARE
                || trial.plan().arrangement().kind() == LayoutKind.SPLIT_PLOT) {
            return List.of();
        }
        return rare(stood) ? List.of(drawn(trial, stood)) : List.of();
    }

    private static Fault drawn(AuditCase trial, TrialRecord stood) {
        Map<Integer, Double> rows = new TreeMap<>();
        stood.units().stream()
                .collect(Collectors.groupingBy(ExperimentalUnit::treatment))
                .forEach((treatment, units) -> rows.put(
                        treatment,
                        units.stream()
                                .mapToDouble(unit ->
                                        unit.position().row() + unit.position().column())
                                .average()
                                .orElse(0)));
        double mean = rows.values().stream()
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
        int furthest = rows.entrySet().stream()
                .max(Comparator.comparing(entry -> Math.abs(entry.getValue() - mean)))
                .map(Map.Entry::getKey)
                .orElse(1);
        return fault(
                stood,
                furthest,
                "Treatments stand less evenly over the bench than 19 of 20 draws would; " + trial.name(furthest)
                        + " most of all.",
                Grade.SHAKY);
    }

    private static Fault fault(TrialRecord stood, int treatment, String seen, Grade grade) {
        return Fault.of(
                        FaultCode.PLACE,
                        grade,
                        seen,
                        "Light, draught and warmth differ from place to place, so part of what it shows is its place.",
                        "Let the lot place them, in blocks across the light; turn them on as they grow.")
                .at(stood.units().stream()
                        .filter(unit -> unit.treatment() == treatment)
                        .map(ExperimentalUnit::code)
                        .toList());
    }

    /** Whether the association is rarer than in 19 of 20 draws of the same blocks. */
    private static boolean rare(TrialRecord record) {
        List<double[]> places = places(record);
        int[] treatments =
                record.units().stream().mapToInt(ExperimentalUnit::treatment).toArray();
        int[] blocks = record.units().stream()
                .mapToInt(unit -> 1000 * unit.position().bench() + unit.block())
                .toArray();
        double seen = largest(places, treatments);
        SplittableRandom lot = new SplittableRandom(record.trial().seed());
        int asLarge = 1;
        for (int draw = 0; draw < DRAWS && asLarge < RARER; draw++) {
            asLarge += largest(places, shuffled(treatments, blocks, lot)) >= seen - 1e-9 ? 1 : 0;
        }
        return asLarge < RARER;
    }

    /** What a place is, standardised: row, column, edge, bench and light where it was measured. */
    private static List<double[]> places(TrialRecord record) {
        List<ToDoubleFunction<ExperimentalUnit>> measures = new ArrayList<>(List.of(
                unit -> unit.position().row(),
                unit -> unit.position().column(),
                unit -> unit.position().bench(),
                unit -> record.bench(unit.position().bench()).edge(unit.position()) ? 1 : 0));
        if (record.benches().stream().allMatch(bench -> bench.lightMap().known())) {
            measures.add(unit -> record.bench(unit.position().bench()).lightAt(unit.position()));
        }
        return measures.stream()
                .map(measure -> record.units().stream().mapToDouble(measure).toArray())
                .map(TiedToPlace::standardised)
                .filter(values -> values.length > 0)
                .toList();
    }

    private static double[] standardised(double[] values) {
        double mean = Arrays.stream(values).average().orElse(0);
        double sd = Math.sqrt(Arrays.stream(values)
                .map(value -> (value - mean) * (value - mean))
                .average()
                .orElse(0));
        return sd > 0 ? Arrays.stream(values).map(value -> (value - mean) / sd).toArray() : new double[0];
    }

    /** The largest sum of squares between treatments over the measures of place. */
    private static double largest(List<double[]> places, int[] treatments) {
        int most = Arrays.stream(treatments).max().orElse(0);
        double largest = 0;
        for (double[] values : places) {
            double[] sums = new double[most + 1];
            int[] counts = new int[most + 1];
            for (int i = 0; i < values.length; i++) {
                sums[treatments[i]] += values[i];
                counts[treatments[i]]++;
            }
            double between = 0;
            for (int treatment = 1; treatment <= most; treatment++) {
                between += counts[treatment] > 0 ? sums[treatment] * sums[treatment] / counts[treatment] : 0;
            }
            largest = Math.max(largest, between);
        }
        return largest;
    }

    /** Treatments dealt anew within each block. */
    private static int[] shuffled(int[] treatments, int[] blocks, SplittableRandom lot) {
        int[] dealt = treatments.clone();
        Map<Integer, List<Integer>> places = new LinkedHashMap<>();
        for (int i = 0; i < blocks.length; i++) {
            places.computeIfAbsent(blocks[i], none -> new ArrayList<>()).add(i);
        }
        for (List<Integer> block : places.values()) {
            for (int i = block.size() - 1; i > 0; i--) {
                int one = block.get(i);
                int other = block.get(lot.nextInt(i + 1));
                int kept = dealt[one];
                dealt[one] = dealt[other];
                dealt[other] = kept;
            }
        }
        return dealt;
    }
}
