package elsom.core.design;

import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * A randomised layout (Fisher 1935; Cochran and Cox 1957): which treatment stands where, drawn by lot from a seed. The
 * same arguments always give the same layout.
 *
 * @param replicates units of each treatment: on each bench, or in all, as {@code everyBench} says
 * @param everyBench true when every treatment stands on every bench with all its replicates; false when the replicates
 *     are shared out over the benches
 */
public record Layout(
        LayoutKind kind, List<Bench> benches, List<UnitFill> fillings, int replicates, boolean everyBench, long seed) {
    /** Keeps the lots of places apart from those of codes, which come from the same seed. */
    private static final long PLACES = 0x9E3779B97F4A7C15L;

    public Layout {
        benches = List.copyOf(benches);
        fillings = List.copyOf(fillings);
        if (fillings.isEmpty() || benches.isEmpty() || replicates < 1) {
            throw new IllegalArgumentException("a layout needs a treatment, a bench and a replicate");
        }
    }

    /** How many units there will be. */
    public int size() {
        return fillings.size() * replicates * (everyBench ? benches.size() : 1);
    }

    /** Why this can't be laid out, in words for the person who plans it; empty when it can. */
    public Optional<String> problem() {
        if (kind == LayoutKind.LATIN_SQUARE && replicates != fillings.size()) {
            return Optional.of("A Latin square of " + fillings.size() + " treatments has " + fillings.size()
                    + " units of each; here are " + replicates + ". Blocks take any number.");
        }
        if (size() > UnitCodes.MOST) {
            return Optional.of("That makes " + size() + " units; one trial holds " + UnitCodes.MOST + ".");
        }
        List<Integer> shares = shares();
        for (int i = 0; i < benches.size(); i++) {
            int wanted = shares.get(i) * fillings.size();
            int room = BenchWalk.walk(benches.get(i)).size();
            if (wanted > room) {
                return Optional.of("“" + benches.get(i).name() + "” has room for " + room + " of its " + wanted
                        + " units. Make it larger, take smaller containers, or plan fewer units.");
            }
        }
        return latinRoom();
    }

    private Optional<String> latinRoom() {
        int side = fillings.size();
        if (kind != LayoutKind.LATIN_SQUARE) {
            return Optional.empty();
        }
        boolean oneBench = benches.size() == 1 || everyBench;
        boolean fits = oneBench
                && benches.stream()
                        .map(BenchWalk::levels)
                        .allMatch(
                                levels -> levels.size() >= side && levels.get(0).size() >= side);
        return fits
                ? Optional.empty()
                : Optional.of("A Latin square needs " + side + " rows and " + side + " columns on one bench.");
    }

    /** Replicates on each bench. */
    private List<Integer> shares() {
        List<Integer> shares = new ArrayList<>();
        for (int i = 0; i < benches.size(); i++) {
            shares.add(
                    everyBench ? replicates : replicates / benches.size() + (i < replicates % benches.size() ? 1 : 0));
        }
        return shares;
    }

    /** A filling on a place, before units are numbered. */
    private record Stood(UnitFill filling, int block, BenchPosition at) {}

    /**
     * Draws the units, in the order of bench, row and column.
     *
     * @throws IllegalArgumentException if there is a {@link #problem}
     */
    public List<ExperimentalUnit> draw() {
        problem().ifPresent(problem -> {
            throw new IllegalArgumentException(problem);
        });
        RandomDraw lots = new RandomDraw(seed ^ PLACES);
        List<Stood> stood = new ArrayList<>();
        List<Integer> shares = shares();
        int block = 0;
        for (int i = 0; i < benches.size(); i++) {
            List<Stood> here = onBench(benches.get(i), shares.get(i), block, lots);
            stood.addAll(here);
            block = here.stream().mapToInt(Stood::block).max().orElse(block);
        }
        return numbered(stood);
    }

    private List<Stood> onBench(Bench bench, int share, int blocksBefore, RandomDraw lots) {
        return switch (kind) {
            case COMPLETELY_RANDOM -> anywhere(bench, share, blocksBefore + 1, lots);
            case LATIN_SQUARE -> square(bench, blocksBefore, lots);
            case BLOCKS, SPLIT_PLOT -> {
                List<Stood> stood = new ArrayList<>();
                List<List<BenchPosition>> blocks = blocks(bench, share);
                for (int i = 0; i < blocks.size(); i++) {
                    List<UnitFill> order = kind == LayoutKind.BLOCKS ? lots.shuffled(fillings) : wholePlots(lots);
                    place(order, blocks.get(i), blocksBefore + i + 1, stood);
                }
                yield stood;
            }
        };
    }

    private static void place(List<UnitFill> order, List<BenchPosition> places, int block, List<Stood> to) {
        for (int i = 0; i < order.size(); i++) {
            to.add(new Stood(order.get(i), block, places.get(i)));
        }
    }

    private List<Stood> anywhere(Bench bench, int share, int block, RandomDraw lots) {
        List<UnitFill> all = new ArrayList<>();
        for (int i = 0; i < share; i++) {
            all.addAll(fillings);
        }
        List<Stood> stood = new ArrayList<>();
        place(lots.shuffled(all), BenchWalk.walk(bench), block, stood);
        return stood;
    }

    /** A level a block where levels are wide enough, so that a block shares its light; else stretches of the walk. */
    private List<List<BenchPosition>> blocks(Bench bench, int share) {
        int size = fillings.size();
        List<List<BenchPosition>> levels = BenchWalk.levels(bench);
        List<List<BenchPosition>> blocks = new ArrayList<>();
        if (levels.size() >= share && levels.get(0).size() >= size) {
            levels.subList(0, share).forEach(level -> blocks.add(level.subList(0, size)));
        } else {
            List<BenchPosition> walk = BenchWalk.walk(bench);
            for (int i = 0; i < share; i++) {
                blocks.add(walk.subList(i * size, (i + 1) * size));
            }
        }
        return blocks;
    }

    /** Whole plots in an order drawn by lot, and the treatments of each in an order of their own. */
    private List<UnitFill> wholePlots(RandomDraw lots) {
        Map<Integer, List<UnitFill>> plots = new TreeMap<>();
        fillings.forEach(filling -> plots.computeIfAbsent(filling.wholePlot(), level -> new ArrayList<>())
                .add(filling));
        List<UnitFill> order = new ArrayList<>();
        lots.shuffled(List.copyOf(plots.values())).forEach(plot -> order.addAll(lots.shuffled(plot)));
        return order;
    }

    /** A cyclic square with rows, columns and treatments each put in an order drawn by lot (Fisher and Yates 1938). */
    private List<Stood> square(Bench bench, int blocksBefore, RandomDraw lots) {
        List<List<BenchPosition>> levels = BenchWalk.levels(bench);
        int side = fillings.size();
        List<Integer> numbers = IntStream.range(0, side).boxed().toList();
        List<Integer> rows = lots.shuffled(numbers);
        List<Integer> columns = lots.shuffled(numbers);
        List<UnitFill> symbols = lots.shuffled(fillings);
        List<Stood> stood = new ArrayList<>();
        for (int row = 0; row < side; row++) {
            for (int column = 0; column < side; column++) {
                stood.add(new Stood(
                        symbols.get((rows.get(row) + columns.get(column)) % side),
                        blocksBefore + row + 1,
                        levels.get(row).get(column)));
            }
        }
        return stood;
    }

    private List<ExperimentalUnit> numbered(List<Stood> stood) {
        List<UnitCode> codes = UnitCodes.draw(stood.size(), seed);
        List<Stood> ordered = stood.stream()
                .sorted(Comparator.comparing((Stood s) -> s.at().bench())
                        .thenComparing(s -> s.at().row())
                        .thenComparing(s -> s.at().column()))
                .toList();
        Map<List<Integer>, Integer> replicatesSoFar = new HashMap<>();
        List<ExperimentalUnit> units = new ArrayList<>();
        for (Stood one : ordered) {
            UnitFill filling = one.filling();
            int replicate = replicatesSoFar.merge(
                    List.of(everyBench ? one.at().bench() : 0, filling.treatment()), 1, Integer::sum);
            units.add(new ExperimentalUnit(
                    codes.get(units.size()),
                    filling.treatment(),
                    replicate,
                    filling.container(),
                    filling.volumeMl(),
                    one.block(),
                    one.at()));
        }
        return units;
    }

    /** Every place that isn't a guard's, bench by bench, as they are walked. */
    public static List<BenchPosition> places(List<Bench> benches) {
        return benches.stream().flatMap(bench -> BenchWalk.walk(bench).stream()).toList();
    }

    /** The same items in an order drawn by lot. */
    public static <T> List<T> shuffled(List<T> items, long seed) {
        return new RandomDraw(seed ^ PLACES).shuffled(items);
    }

    /**
     * Puts a unit on another place; one that stands there changes places, and blocks, with it.
     *
     * @return the units unchanged when there is no such unit
     */
    public static List<ExperimentalUnit> moved(List<ExperimentalUnit> units, UnitCode code, BenchPosition to) {
        Optional<ExperimentalUnit> mover =
                units.stream().filter(unit -> unit.code().equals(code)).findFirst();
        if (mover.isEmpty() || mover.get().position().equals(to)) {
            return units;
        }
        ExperimentalUnit moving = mover.get();
        Optional<ExperimentalUnit> standing =
                units.stream().filter(unit -> unit.position().equals(to)).findFirst();
        return units.stream()
                .map(unit -> unit.code().equals(code)
                        ? unit.at(to, standing.map(ExperimentalUnit::block).orElse(unit.block()))
                        : unit.position().equals(to) ? unit.at(moving.position(), moving.block()) : unit)
                .toList();
    }
}
