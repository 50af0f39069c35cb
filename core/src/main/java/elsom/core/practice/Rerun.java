package elsom.core.practice;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.design.RandomDraw;
import elsom.core.plan.Direction;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** The same truth, with another draw of places, plants and readings: what a plan would have told. */
public final class Rerun {
    private static final long STRIDE = 0x9E3779B97F4A7C15L;

    private static final double CLEARLY = 3;
    private static final double OF_ACCOUNT_PERCENT = 3;
    private static final double OF_ACCOUNT_POINTS = 0.3;

    private final Level level;
    private final Truth truth;
    private final Setting setting;
    private final Trialled plan;

    public Rerun(Level level, Truth truth, Setting setting, Trialled plan) {
        this.level = level;
        this.truth = truth;
        this.setting = setting;
        this.plan = plan;
    }

    /**
     * What many reruns said.
     *
     * @param bias how far the difference asked about was off on average, in percent of the comparator or in the endpoint's unit;
     *     empty where it is not in the plan
     * @param scatter of that difference between reruns
     */
    public record Tally(int right, int wrong, int cantTell, OptionalDouble bias, OptionalDouble scatter) {
        public int runs() {
            return right + wrong + cantTell;
        }

        /** Whether the plan is off on average by more than is of account, and by more than chance between reruns does. */
        public boolean biased(boolean inPercent) {
            double chance = CLEARLY * scatter.orElse(0) / Math.sqrt(Math.max(1, runs()));
            return Math.abs(bias.orElse(0)) > Math.max(inPercent ? OF_ACCOUNT_PERCENT : OF_ACCOUNT_POINTS, chance);
        }

        /** Share of the reruns, 0 to 1. */
        public double share(int of) {
            return of / (double) Math.max(1, runs());
        }
    }

    /** Reruns so many times; the same seed gives the same tally. */
    public Tally times(int runs, long seed) {
        int right = 0;
        int cantTell = 0;
        double sum = 0;
        double squares = 0;
        int differences = 0;
        for (int run = 0; run < runs; run++) {
            HeldBeside told = once(new RandomDraw(seed + STRIDE * (run + 1)));
            Call said = level.call(told);
            right += said == truth.right() ? 1 : 0;
            cantTell += said == Call.CANT_TELL ? 1 : 0;
            Optional<Comparison> seen = told.comparison(level.asked(), level.comparator());
            if (seen.isPresent()) {
                double off = percent(seen.get());
                if (Double.isFinite(off)) {
                    sum += off;
                    squares += off * off;
                    differences++;
                }
            }
        }
        boolean known = differences > 1;
        double mean = sum / Math.max(1, differences);
        return new Tally(
                right,
                runs - right - cantTell,
                cantTell,
                known ? OptionalDouble.of(mean - trueDifference()) : OptionalDouble.empty(),
                known
                        ? OptionalDouble.of(Math.sqrt(Math.max(0, squares / differences - mean * mean)))
                        : OptionalDouble.empty());
    }

    private double percent(Comparison comparison) {
        return level.brief().measured().inPercent() ? comparison.percent().orElse(Double.NaN) : comparison.difference();
    }

    /** The difference asked about as it truly is, in percent of the comparator or in the endpoint's unit. */
    public double trueDifference() {
        double asked = expected(level.asked());
        double other = expected(level.comparator());
        return level.brief().measured().inPercent() ? 100 * (asked - other) / other : asked - other;
    }

    private double expected(String treatment) {
        return level.figure(truth, treatment, 1, plan.lastDay(), 0, setting).orElse(Double.NaN);
    }

    /** One trial, from places to figures. */
    HeldBeside once(RandomDraw draw) {
        List<String> names = plan.treatments();
        int arms = names.size();
        int size = arms * plan.units();
        List<Integer> places = IntStream.range(0, size).boxed().toList();
        List<Integer> order = plan.placing() == Trialled.Placing.BY_LOT ? draw.shuffled(places) : places;
        Observed[] units = new Observed[size];
        for (int arm = 0; arm < arms; arm++) {
            for (int i = 0; i < plan.units(); i++) {
                int number = arm * plan.units() + i;
                double along = plan.placing() == Trialled.Placing.BLOCKS
                        ? (i + 0.5) / plan.units()
                        : (order.get(number) + 0.5) / size;
                units[number] = new Observed(
                        names.get(arm) + i,
                        arm,
                        plan.placing() == Trialled.Placing.BLOCKS ? i + 1 : 0,
                        0,
                        0,
                        0,
                        read(names.get(arm), along, draw));
            }
        }
        boolean lower = level.brief().measured().better() == Direction.LOWER;
        return new HeldBeside(
                new Observations(
                        plan.placing() == Trialled.Placing.BLOCKS ? Design.BLOCKS : Design.COMPLETELY_RANDOM,
                        List.of(),
                        IntStream.range(0, arms)
                                .mapToObj(i -> new Arm(String.valueOf(i + 1), names.get(i), List.of(), i == 0))
                                .toList(),
                        EndpointKind.MEASURED,
                        lower ? Observations.Better.LOWER : Observations.Better.HIGHER,
                        step(),
                        picked(List.of(units))),
                level.brief().measured().matters(),
                level.brief().measured().inPercent());
    }

    private double step() {
        return Math.pow(10, -level.brief().measured().decimals());
    }

    private Value read(String treatment, double along, RandomDraw draw) {
        double deviate = draw.deviate();
        boolean lost = draw.share() < setting.dropOut();
        OptionalDouble figure = level.figure(truth, treatment, light(along, setting), plan.lastDay(), deviate, setting);
        return lost || figure.isEmpty()
                ? new Value.Missing("lost")
                : new Value.Measured(Math.rint(figure.getAsDouble() / step()) * step());
    }

    /** The light of a place as a factor of the middle's; 0 is the bright end, 1 the dark one. */
    static double light(double along, Setting setting) {
        return 1 + setting.gradient() * (1 - 2 * along);
    }

    /** Only the best of each treatment but the first, where the plan picks. */
    private List<Observed> picked(List<Observed> all) {
        if (plan.best() == 0) {
            return all;
        }
        List<Observed> picked = new ArrayList<>();
        for (int arm = 0; arm < plan.treatments().size(); arm++) {
            int which = arm;
            List<Observed> own =
                    all.stream().filter(unit -> unit.arm() == which).toList();
            picked.addAll(
                    arm == 0
                            ? own
                            : own.stream()
                                    .filter(unit -> !unit.missing())
                                    .sorted(Comparator.comparingDouble((Observed unit) ->
                                                    unit.value().inSums())
                                            .reversed())
                                    .limit(plan.best())
                                    .toList());
        }
        return picked;
    }
}
