package elsom.core.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.FDistribution;

/** One or two crossed factors, with or without blocks: sums of squares of types I, II and III, cells, simple effects. */
public final class Factorial {
    /** A column of levels, one a unit, in the order of the measurements. */
    public record Factor(String name, List<String> values) {
        public Factor {
            values = List.copyOf(values);
        }

        /** Levels in the order they first appear. */
        public List<String> levels() {
            return values.stream().distinct().toList();
        }
    }

    /** A line of an analysis of variance; F and p empty without a residual degree of freedom. */
    public record Line(String term, int df, double squares, OptionalDouble f, OptionalDouble p) {}

    /** The units with one combination of levels. */
    public record Cell(String first, String second, double mean, int n, OptionalDouble sd) {}

    /** One factor within a level of the other; p adjusted by Holm among the levels. */
    public record SimpleEffect(
            String factor,
            String otherFactor,
            String at,
            int df,
            double squares,
            OptionalDouble f,
            OptionalDouble p,
            OptionalDouble pHolm) {}

    /** A treatment's mean adjusted for blocks. */
    public record AdjustedMean(String level, double mean, OptionalDouble error) {}

    private final double[] y;
    private final List<Factor> factors;
    private final List<Factor> block;
    private final LinearTerms model;
    private final Map<String, List<double[]>> terms = new LinkedHashMap<>();
    private final LinearTerms.Fit full;

    private Factorial(double[] y, List<Factor> factors, List<Factor> block) {
        this.y = y.clone();
        this.factors = List.copyOf(factors);
        this.block = List.copyOf(block);
        this.model = new LinearTerms(this.y);
        block.forEach(b -> terms.put(b.name(), LinearTerms.contrasts(b.values(), b.levels())));
        factors.forEach(f -> terms.put(f.name(), LinearTerms.contrasts(f.values(), f.levels())));
        if (factors.size() == 2) {
            terms.put(
                    interaction(),
                    LinearTerms.products(
                            term(factors.get(0).name()), term(factors.get(1).name())));
        }
        this.full = model.fit(List.copyOf(terms.values()));
    }

    /**
     * A design.
     *
     * @param factors one or two
     * @param block none or one
     */
    public static Factorial of(double[] y, List<Factor> factors, List<Factor> block) {
        if (factors.isEmpty() || factors.size() > 2 || block.size() > 1) {
            throw new IllegalArgumentException("one or two factors and at most one block are possible");
        }
        if (y.length < 2 || Arrays.stream(y).anyMatch(v -> !Double.isFinite(v))) {
            throw new IllegalArgumentException("two or more finite values are needed, got " + y.length);
        }
        for (Factor factor : Stream.concat(factors.stream(), block.stream()).toList()) {
            if (factor.values().size() != y.length) {
                throw new IllegalArgumentException("“" + factor.name() + "” has "
                        + factor.values().size() + " levels for " + y.length + " values");
            }
        }
        return new Factorial(y, factors, block);
    }

    private List<double[]> term(String name) {
        return Objects.requireNonNull(terms.get(name));
    }

    private String interaction() {
        return factors.get(0).name() + ":" + factors.get(1).name();
    }

    /** The name of the first or second factor, 0 or 1. */
    public String factorName(int which) {
        return factors.get(which).name();
    }

    public int residualDf() {
        return y.length - full.rank();
    }

    public double residualSquares() {
        return residualDf() == 0 ? 0 : full.squares();
    }

    public OptionalDouble meanSquareError() {
        return residualDf() > 0 ? OptionalDouble.of(full.squares() / residualDf()) : OptionalDouble.empty();
    }

    private Line line(String term, int df, double squares) {
        double positive = Math.max(0, squares);
        OptionalDouble mse = meanSquareError();
        if (df == 0 || mse.isEmpty() || !(mse.getAsDouble() > 0)) {
            return new Line(term, df, positive, OptionalDouble.empty(), OptionalDouble.empty());
        }
        double f = positive / df / mse.getAsDouble();
        return new Line(
                term,
                df,
                positive,
                OptionalDouble.of(f),
                OptionalDouble.of(FDistribution.of(df, residualDf()).survivalProbability(f)));
    }

    private Line between(String term, List<String> with, List<String> without) {
        LinearTerms.Fit more = model.fit(with.stream().map(this::term).toList());
        LinearTerms.Fit less = model.fit(without.stream().map(this::term).toList());
        return line(term, more.rank() - less.rank(), less.squares() - more.squares());
    }

    /** Each term after those before it. */
    public List<Line> sequential() {
        List<Line> lines = new ArrayList<>();
        List<String> before = new ArrayList<>();
        for (String term : terms.keySet()) {
            List<String> with = new ArrayList<>(before);
            with.add(term);
            lines.add(between(term, with, before));
            before = with;
        }
        return lines;
    }

    /** Each main effect adjusted for the other and the block, not for the interaction; the block for everything. */
    public List<Line> marginal() {
        return terms.keySet().stream()
                .map(term -> {
                    boolean main = factors.stream().anyMatch(f -> f.name().equals(term));
                    List<String> others = terms.keySet().stream()
                            .filter(t -> !t.equals(term) && !(main && t.contains(":")))
                            .toList();
                    List<String> with = new ArrayList<>(others);
                    with.add(term);
                    return between(term, with, others);
                })
                .toList();
    }

    /** Each term adjusted for all others, by contrasts that sum to zero; not estimable with an empty cell or without residual. */
    public Outcome<List<Line>> partial() {
        if (hasEmptyCell()) {
            return Outcome.notEstimable("A combination of levels has no unit, so means over it can't be compared");
        }
        if (residualDf() == 0) {
            return Outcome.notEstimable("Nothing is left over to judge the terms by");
        }
        return Outcome.found(terms.keySet().stream()
                .map(term -> between(
                        term,
                        List.copyOf(terms.keySet()),
                        terms.keySet().stream().filter(t -> !t.equals(term)).toList()))
                .toList());
    }

    private boolean hasEmptyCell() {
        return factors.size() == 2
                && cells().size()
                        < factors.get(0).levels().size()
                                * factors.get(1).levels().size();
    }

    private double[] where(String first, String second) {
        return IntStream.range(0, y.length)
                .filter(i -> factors.get(0).values().get(i).equals(first)
                        && factors.get(1).values().get(i).equals(second))
                .mapToDouble(i -> y[i])
                .toArray();
    }

    /** Cells that have units, by the second factor's levels, then the first's. */
    public List<Cell> cells() {
        List<Cell> cells = new ArrayList<>();
        for (String second : factors.get(1).levels()) {
            for (String first : factors.get(0).levels()) {
                double[] values = where(first, second);
                if (values.length > 0) {
                    Summary summary = Summary.of(values);
                    cells.add(new Cell(first, second, summary.mean(), summary.n(), summary.sd()));
                }
            }
        }
        return cells;
    }

    /** Each factor within each level of the other, against the residual of the whole design. */
    public Outcome<List<SimpleEffect>> simpleEffects() {
        if (!block.isEmpty() && !blocksComplete()) {
            return Outcome.notEstimable("Blocks lack some combinations, so cells can't be compared directly");
        }
        List<SimpleEffect> effects = new ArrayList<>(effects(0));
        effects.addAll(effects(1));
        return Outcome.found(effects);
    }

    /** Whether every block has every combination equally often. */
    private boolean blocksComplete() {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (int i = 0; i < y.length; i++) {
            String combination = block.get(0).values().get(i) + "\u0000"
                    + factors.get(0).values().get(i) + "\u0000"
                    + factors.get(1).values().get(i);
            counts.merge(combination, 1, Integer::sum);
        }
        int combinations = block.get(0).levels().size()
                * factors.get(0).levels().size()
                * factors.get(1).levels().size();
        return counts.size() == combinations
                && counts.values().stream().distinct().count() == 1;
    }

    private List<SimpleEffect> effects(int which) {
        Factor own = factors.get(which);
        Factor other = factors.get(1 - which);
        List<Line> lines = other.levels().stream().map(at -> within(which, at)).toList();
        double[] known = lines.stream()
                .filter(line -> line.p().isPresent())
                .mapToDouble(line -> line.p().getAsDouble())
                .toArray();
        double[] adjusted = Holm.adjust(known);
        List<SimpleEffect> effects = new ArrayList<>();
        int next = 0;
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            OptionalDouble holm = line.p().isPresent() ? OptionalDouble.of(adjusted[next++]) : OptionalDouble.empty();
            effects.add(new SimpleEffect(
                    own.name(),
                    other.name(),
                    other.levels().get(i),
                    line.df(),
                    line.squares(),
                    line.f(),
                    line.p(),
                    holm));
        }
        return effects;
    }

    private Line within(int which, String at) {
        List<Cell> cells = cells().stream()
                .filter(cell -> (which == 0 ? cell.second() : cell.first()).equals(at))
                .toList();
        double n = cells.stream().mapToInt(Cell::n).sum();
        double mean = cells.stream().mapToDouble(c -> c.n() * c.mean()).sum() / n;
        double squares = cells.stream()
                .mapToDouble(c -> c.n() * (c.mean() - mean) * (c.mean() - mean))
                .sum();
        return line(at, Math.max(0, cells.size() - 1), squares);
    }

    /** Means of a single factor's levels, adjusted to equal blocks; not estimable when blocks do not connect them. */
    public Outcome<List<AdjustedMean>> adjustedMeans() {
        Factor factor = factors.get(0);
        int wanted = 1 + terms.values().stream().mapToInt(List::size).sum();
        if (full.rank() < wanted) {
            return Outcome.notEstimable("Blocks do not connect all treatments");
        }
        int before = 1 + (block.isEmpty() ? 0 : term(block.get(0).name()).size());
        List<AdjustedMean> means = new ArrayList<>();
        for (int level = 0; level < factor.levels().size(); level++) {
            double[] weights = new double[wanted];
            weights[0] = 1;
            for (int column = before; column < wanted; column++) {
                boolean last = level == factor.levels().size() - 1;
                weights[column] = last ? -1 : column - before == level ? 1 : 0;
            }
            LinearTerms.Combination mean = model.combination(List.copyOf(terms.values()), weights);
            OptionalDouble mse = meanSquareError();
            means.add(new AdjustedMean(
                    factor.levels().get(level),
                    mean.value(),
                    mse.isPresent()
                            ? OptionalDouble.of(Math.sqrt(mse.getAsDouble() * mean.varianceFactor()))
                            : OptionalDouble.empty()));
        }
        return Outcome.found(means);
    }

    /** Friedman's (1937) test by ranks within blocks, for one value of each treatment in each block. */
    public Outcome<Tests.ChiSquaredTest> friedman() {
        Factor factor = factors.get(0);
        int k = factor.levels().size();
        if (block.isEmpty()) {
            return Outcome.notEstimable("Ranks within blocks need blocks");
        }
        List<String> blocks = block.get(0).levels();
        double[] sums = new double[k];
        double ties = 0;
        for (String b : blocks) {
            int[] units = IntStream.range(0, y.length)
                    .filter(i -> block.get(0).values().get(i).equals(b))
                    .toArray();
            boolean complete = units.length == k
                    && Arrays.stream(units)
                                    .mapToObj(i -> factor.values().get(i))
                                    .distinct()
                                    .count()
                            == k;
            if (!complete) {
                return Outcome.notEstimable("A block does not have every treatment once");
            }
            Ranks ranks = Ranks.of(Arrays.stream(units).mapToDouble(i -> y[i]).toArray());
            ties += ranks.tieSum();
            for (int i = 0; i < units.length; i++) {
                sums[factor.levels().indexOf(factor.values().get(units[i]))] += ranks.rank(i);
            }
        }
        double n = blocks.size();
        double squares = Arrays.stream(sums)
                .map(s -> (s - n * (k + 1) / 2) * (s - n * (k + 1) / 2))
                .sum();
        double scale = n * k * (k + 1) - ties / (k - 1);
        return scale > 0
                ? Outcome.found(new Tests.ChiSquaredTest(
                        12 * squares / scale,
                        k - 1,
                        ChiSquaredDistribution.of(k - 1).survivalProbability(12 * squares / scale)))
                : Outcome.notEstimable("All ranks are tied");
    }
}
