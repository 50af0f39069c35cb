package elsom.core.analysis;

import elsom.core.stats.FisherExact;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.stats.Proportion;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Shares of counted plants or seeds. Each treatment has Wilson's (1927) interval at an effective number of plants, its own
 * divided by how much more units scatter than chance among plants alone would make them (Rao and Scott 1992; never less
 * than 1); combinations are put together from them as Newcombe (1998) does for a difference, and for any combination by
 * Zou and Donner (2008). The t instead of the normal allows for the scatter being guessed from few units.
 */
final class SharesModel implements Model {
    private static final double FURTHEST = 60;
    private static final int HALVINGS = 60;

    private final Observations all;
    private final Model units;
    private final double[] shares;
    private final double[] counted;
    private final int[] trays;
    private final double chance;
    private final boolean plantsAreUnits;

    private SharesModel(Observations all, Model units, boolean plantsAreUnits) {
        int arms = all.arms().size();
        this.all = all;
        this.units = units;
        this.plantsAreUnits = plantsAreUnits;
        this.shares = new double[arms];
        this.counted = new double[arms];
        this.trays = new int[arms];
        for (Observed unit : all.seen()) {
            Value.CountOf count = (Value.CountOf) unit.value();
            shares[unit.arm()] += count.k();
            counted[unit.arm()] += count.n();
            trays[unit.arm()]++;
        }
        double[] nearer = new double[arms];
        for (int i = 0; i < arms; i++) {
            // Half a plant either way keeps all-or-nothing from having no scatter.
            nearer[i] = (shares[i] + 0.5) / (counted[i] + 1);
            shares[i] = counted[i] == 0 ? Double.NaN : shares[i] / counted[i];
        }
        this.chance = all.seen().stream()
                .mapToDouble(unit -> nearer[unit.arm()] * (1 - nearer[unit.arm()]) / ((Value.CountOf) unit.value()).n())
                .average()
                .orElse(0);
    }

    /** Refused for one tray each: its plants share what befell the tray, and are no replicates. */
    static Outcome<SharesModel> of(Observations all, Ask.Scatter scatter) {
        boolean plantsAreUnits =
                all.seen().stream().allMatch(unit -> unit.value() instanceof Value.CountOf count && count.n() == 1);
        Observations shares =
                new Observations(all.design(), all.factors(), all.arms(), all.kind(), all.better(), 1e-9, all.units());
        SeenRows rows = new SeenRows(shares);
        Outcome<Model> units = all.design() == Design.SPLIT_PLOT
                ? SplitPlotModel.of(rows, false)
                : scatter == Ask.Scatter.AS_SEEN ? WeighedModel.of(rows) : PooledModel.of(rows);
        return units.asOptional().isPresent()
                ? Outcome.found(new SharesModel(all, units.asOptional().orElseThrow(), plantsAreUnits))
                : Outcome.notEstimable(units.whyNot().orElseThrow()
                        + "; plants in one container share what befell it, and are no replicates");
    }

    /**
     * Fisher's exact test of a pair, for so many comparisons by Bonferroni, where each plant is a unit of its own: with so few
     * no interval by a formula keeps its size.
     *
     * @return empty where plants share a container
     */
    @Override
    public OptionalDouble exact(Pairing.Pair pair, int comparisons) {
        return plantsAreUnits
                ? OptionalDouble.of(Math.min(
                        1,
                        comparisons
                                * FisherExact.of(counted(pair.treatment()), counted(pair.comparator()))
                                        .p()))
                : OptionalDouble.empty();
    }

    private Proportion counted(int arm) {
        return new Proportion((int) Math.round(shares[arm] * counted[arm]), (int) counted[arm]);
    }

    /** How much more units scatter than chance among their plants; 1 when each plant is a unit. */
    private double excess(double[] combination) {
        if (plantsAreUnits) {
            return 1;
        }
        double perUnit = 0;
        for (int i = 0; i < combination.length; i++) {
            perUnit += combination[i] == 0 ? 0 : combination[i] * combination[i] / trays[i];
        }
        return Math.max(1, units.variance(combination) / perUnit / chance);
    }

    boolean plantsAreUnits() {
        return plantsAreUnits;
    }

    /** The largest excess among treatments, as a number for people. */
    double excess() {
        return plantsAreUnits ? 1 : Math.max(1, units.scatter() * units.scatter() / chance);
    }

    @Override
    public Optional<Method> method() {
        return Optional.of(Method.SCORE_INTERVALS);
    }

    @Override
    public double[] means() {
        return shares.clone();
    }

    @Override
    public double covariance(double[] one, double[] other) {
        return units.covariance(one, other);
    }

    @Override
    public Spread spread(double[] combination) {
        return plantsAreUnits ? Spread.of(Simultaneous.Freedom.MOST) : units.spread(combination);
    }

    @Override
    public double own(int arm) {
        return units.own(arm);
    }

    @Override
    public double[] residuals() {
        return units.residuals();
    }

    @Override
    public double scatter() {
        return Math.sqrt(Math.max(chance, units.scatter() * units.scatter()));
    }

    @Override
    public Optional<Interval> percent(int treatment, int comparator, double critical) {
        double base = shares[comparator];
        Interval difference = interval(Model.difference(shares.length, treatment, comparator), critical);
        // In percent of the share that was seen, itself taken as known.
        return base > 0
                ? Optional.of(new Interval(100 * difference.low() / base, 100 * difference.high() / base))
                : Optional.empty();
    }

    @Override
    public Interval interval(double[] combination, double critical) {
        double excess = excess(combination);
        double value = 0;
        double below = 0;
        double above = 0;
        for (int i = 0; i < combination.length; i++) {
            if (combination[i] == 0) {
                continue;
            }
            Interval own = wilson(shares[i], counted[i] / excess, critical);
            double down = combination[i] * (shares[i] - (combination[i] > 0 ? own.low() : own.high()));
            double up = combination[i] * ((combination[i] > 0 ? own.high() : own.low()) - shares[i]);
            value += combination[i] * shares[i];
            below += down * down;
            above += up * up;
        }
        return new Interval(value - Math.sqrt(below), value + Math.sqrt(above));
    }

    @Override
    public Optional<Interaction.Odds> odds(double[] combination, double alpha) {
        boolean placed = all.design() == Design.COMPLETELY_RANDOM || all.design() == Design.BLOCKS;
        return plantsAreUnits && placed ? OddsRatios.of(all, combination, alpha) : Optional.empty();
    }

    static Interval wilson(double p, double n, double z) {
        double centre = (p + z * z / (2 * n)) / (1 + z * z / n);
        double half = z / (1 + z * z / n) * Math.sqrt(p * (1 - p) / n + z * z / (4 * n * n));
        return new Interval(Math.max(0, Math.min(p, centre - half)), Math.min(1, Math.max(p, centre + half)));
    }

    /** By halving: a longer reach only makes the interval wider. */
    @Override
    public double distance(double[] combination) {
        double near = 0;
        double far = FURTHEST;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (near + far) / 2;
            Interval interval = interval(combination, middle);
            if (interval.low() > 0 || interval.high() < 0) {
                near = middle;
            } else {
                far = middle;
            }
        }
        return near;
    }
}
