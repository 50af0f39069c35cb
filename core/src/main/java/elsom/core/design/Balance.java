package elsom.core.design;

import elsom.core.quantity.Decimals;
import elsom.core.trial.Bench;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Influence;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;

/**
 * How evenly a layout shares out light and edges, and which treatments are tied to a place.
 *
 * @param meanLight over all units in µmol/m²/s; empty unless every bench's light was measured
 * @param edgeShare units on an edge, of all
 * @param ties each as a sentence about one treatment
 */
public record Balance(OptionalDouble meanLight, double edgeShare, List<Share> shares, List<Tie> ties) {
    /** Growth follows light closely; beyond this a difference may be the light's (see the fair-test rules). */
    public static final double LIGHT_TOLERANCE = 0.10;

    private static final double EDGE_TOLERANCE = 0.35;
    private static final int FEWEST = 2;

    /** What one treatment gets. */
    public record Share(int treatment, int units, OptionalDouble meanLight, double edgeShare, double meanRow) {}

    /** A treatment that can't be told from where it stands. */
    public record Tie(int treatment, Kind kind, String what) {
        /** What a treatment is tied to. */
        public enum Kind {
            LIGHT,
            EDGE,
            PLACE
        }
    }

    public Balance {
        shares = List.copyOf(shares);
        ties = List.copyOf(ties);
    }

    /** The balance of units on their benches, benches by number. */
    public static Balance of(List<Bench> benches, List<ExperimentalUnit> units) {
        boolean lit = !units.isEmpty()
                && benches.stream().allMatch(bench -> bench.lightMap().known());
        Map<Integer, List<ExperimentalUnit>> byTreatment = units.stream()
                .collect(Collectors.groupingBy(ExperimentalUnit::treatment, TreeMap::new, Collectors.toList()));
        Share all = share(benches, 0, units, lit);
        List<Share> shares = byTreatment.entrySet().stream()
                .map(group -> share(benches, group.getKey(), group.getValue(), lit))
                .toList();
        List<Tie> ties = new ArrayList<>();
        if (byTreatment.size() > 1) {
            shares.forEach(share -> ties.addAll(ties(all, share)));
            byTreatment.forEach((treatment, group) -> ties.addAll(places(benches, treatment, group, units)));
        }
        return new Balance(all.meanLight(), all.edgeShare(), shares, ties);
    }

    private static Share share(List<Bench> benches, int treatment, List<ExperimentalUnit> units, boolean lit) {
        double light = 0;
        int edges = 0;
        double rows = 0;
        for (ExperimentalUnit unit : units) {
            Bench bench = benches.get(unit.position().bench() - 1);
            light += lit ? bench.lightAt(unit.position()) : 0;
            edges += bench.edge(unit.position()) ? 1 : 0;
            rows += unit.position().row();
        }
        int n = Math.max(1, units.size());
        return new Share(
                treatment,
                units.size(),
                lit ? OptionalDouble.of(light / n) : OptionalDouble.empty(),
                edges / (double) n,
                rows / n);
    }

    private static List<Tie> ties(Share all, Share share) {
        List<Tie> ties = new ArrayList<>();
        if (share.meanLight().isPresent()
                && all.meanLight().isPresent()
                && all.meanLight().getAsDouble() > 0) {
            double off = share.meanLight().getAsDouble() / all.meanLight().getAsDouble() - 1;
            if (Math.abs(off) > LIGHT_TOLERANCE) {
                ties.add(new Tie(
                        share.treatment(),
                        Tie.Kind.LIGHT,
                        "gets " + Decimals.percent(Math.abs(off), 0) + " % " + (off > 0 ? "more" : "less")
                                + " light than the average unit"));
            }
        }
        double edge = share.edgeShare() - all.edgeShare();
        if (share.units() >= FEWEST && Math.abs(edge) > EDGE_TOLERANCE) {
            ties.add(new Tie(
                    share.treatment(),
                    Tie.Kind.EDGE,
                    "has " + Decimals.percent(share.edgeShare(), 0) + " % of its units on the edge; over all it is "
                            + Decimals.percent(all.edgeShare(), 0) + " %"));
        }
        return ties;
    }

    private static List<Tie> places(
            List<Bench> benches, int treatment, List<ExperimentalUnit> group, List<ExperimentalUnit> all) {
        List<Tie> ties = new ArrayList<>();
        if (group.size() < FEWEST) {
            return ties;
        }
        alone("bench", unit -> unit.position().bench(), treatment, group, all).ifPresent(ties::add);
        alone("block", ExperimentalUnit::block, treatment, group, all)
                .or(() -> missing(treatment, group, all))
                .ifPresent(ties::add);
        alone("row", unit -> 1000 * unit.position().bench() + unit.position().row(), treatment, group, all)
                .ifPresent(ties::add);
        alone("column", unit -> 1000 * unit.position().bench() + unit.position().column(), treatment, group, all)
                .ifPresent(ties::add);
        for (Bench bench : benches) {
            for (Influence influence : bench.influences()) {
                if (group.stream().allMatch(unit -> under(influence, bench, unit))
                        && !all.stream().allMatch(unit -> under(influence, bench, unit))) {
                    ties.add(new Tie(
                            treatment,
                            Tie.Kind.PLACE,
                            "has all its units at the " + influence.kind().label()));
                }
            }
        }
        return ties;
    }

    /** Blocks are compared within; a treatment that is missing from one says nothing there. */
    private static Optional<Tie> missing(int treatment, List<ExperimentalUnit> group, List<ExperimentalUnit> all) {
        Set<Integer> without = all.stream().map(ExperimentalUnit::block).collect(Collectors.toCollection(TreeSet::new));
        int blocks = without.size();
        group.forEach(unit -> without.remove(unit.block()));
        return without.isEmpty() || group.size() < blocks
                ? Optional.empty()
                : Optional.of(new Tie(
                        treatment,
                        Tie.Kind.PLACE,
                        (without.size() == 1 ? "is missing from block " : "is missing from blocks ")
                                + without.stream().map(String::valueOf).collect(Collectors.joining(", "))
                                + ", where nothing can be compared with it"));
    }

    private static boolean under(Influence influence, Bench bench, ExperimentalUnit unit) {
        return unit.position().bench() == bench.number() && influence.covers(unit.position());
    }

    private static Optional<Tie> alone(
            String what,
            ToIntFunction<ExperimentalUnit> where,
            int treatment,
            List<ExperimentalUnit> group,
            List<ExperimentalUnit> all) {
        boolean together = group.stream().mapToInt(where).distinct().count() == 1;
        boolean others = all.stream().mapToInt(where).distinct().count() > 1;
        return together && others
                ? Optional.of(new Tie(treatment, Tie.Kind.PLACE, "stands in one " + what + " only"))
                : Optional.empty();
    }
}
