package elsom.core.practice;

import elsom.core.analysis.EndpointKind;
import elsom.core.design.RandomDraw;
import elsom.core.plan.Direction;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.sim.BenchTruth;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A plan on a practice bench under a truth that somebody supposes: all units are alike but for chance, and the last treatment
 * that is no control differs in one endpoint by so much. What the simulated instruments show is drawn about what they see of
 * a bench on which every unit got the same.
 */
public final class Rehearsal {
    private static final double MIDDLE = 0.5;
    private static final double MOST_LIVE = 0.95;
    private static final double UNHARMED = 0.15;
    private static final double READ_AGAIN = 0.01;
    private static final double PH_SCATTER = 0.1;
    private static final double MOST = 20;

    private final TrialRecord record;
    private final Plan plan;
    private final Supposed supposed;
    private final long seed;
    private final TrialRecord hidden;
    private final BenchTruth alike;

    /**
     * What is supposed.
     *
     * @param endpoint in which the treatment differs
     * @param truth by how much, in the better direction, of counts in the other: as a fraction of the control's mean, of a count's share, of half a
     *     score's scale
     * @param cv scatter between units of one treatment, as a fraction of the same
     */
    public record Supposed(EndpointCode endpoint, double truth, double cv) {
        public Supposed {
            Bounds.present("the endpoint that differs", endpoint);
            Bounds.number("the supposed difference", truth, 0, MOST);
            Bounds.number("the supposed scatter", cv, 0.001, MOST);
        }
    }

    public Rehearsal(TrialRecord record, Plan plan, Supposed supposed, long seed) {
        this.record = record;
        this.plan = plan;
        this.supposed = supposed;
        this.seed = seed;
        this.hidden = record.codesOnly();
        this.alike = new BenchTruth(hidden);
    }

    /** The number of the treatment that truly differs. */
    public int differs() {
        List<PlannedTreatment> all = plan.treatments().all();
        int last = all.size();
        return last > 1 && all.get(last - 1).isControl() ? last - 1 : last;
    }

    /** What is true, as a sentence. */
    public String told() {
        Endpoint endpoint = record.endpoint(supposed.endpoint());
        String scatter = "; units of one treatment scatter by " + amount(endpoint, supposed.cv()) + ".";
        return supposed.truth() == 0
                ? "No treatment differs in " + endpoint.name().toLowerCase(Locale.ROOT) + " or in anything else"
                        + scatter
                : "“" + record.treatment(differs()).name() + "” is truly " + amount(endpoint, supposed.truth())
                        + (up() ? " higher in " : " lower in ")
                        + endpoint.name().toLowerCase(Locale.ROOT) + "; nothing else differs" + scatter;
    }

    private static String amount(Endpoint endpoint, double fraction) {
        return scored(endpoint)
                ? Decimals.upTo(fraction * endpoint.highest() * MIDDLE, 1) + " points"
                : Decimals.percent(fraction, 0) + " %";
    }

    private static boolean scored(Endpoint endpoint) {
        return endpoint.unit().dimension() == Dimension.SCORE;
    }

    /** Whether it differs upwards; a count, of which a sound control has most already, differs downwards. */
    private boolean up() {
        return record.endpoint(supposed.endpoint()).among() == 0 && higherIsBetter(supposed.endpoint());
    }

    private boolean higherIsBetter(EndpointCode endpoint) {
        return plan.asked().measures().stream()
                .filter(measure -> measure.endpoint().code().equals(endpoint))
                .noneMatch(measure -> measure.better() == Direction.LOWER);
    }

    /** What the instruments show at a look, units in the order of the walk; what is written in words or put in order is left. */
    public List<PracticeBench.Shown> read(Look look) {
        List<PracticeBench.Shown> shown = new ArrayList<>();
        for (ExperimentalUnit unit : record.benchOrder()) {
            if (record.expected(unit.code(), look.number())) {
                for (EndpointCode code : look.endpoints()) {
                    Endpoint endpoint = record.endpoint(code);
                    for (int sub = 1; isRead(endpoint) && sub <= endpoint.readingsEach(); sub++) {
                        shown.add(shown(unit, look, endpoint, sub));
                    }
                }
            }
        }
        return shown;
    }

    private static boolean isRead(Endpoint endpoint) {
        return endpoint.measured() && endpoint.byHand() && !endpoint.ranked();
    }

    private PracticeBench.Shown shown(ExperimentalUnit unit, Look look, Endpoint endpoint, int sub) {
        ReadingRef ref = new ReadingRef(unit.code(), look.number(), endpoint.code(), sub);
        double value = endpoint.among() > 0 ? count(unit, endpoint) : measured(unit, look, endpoint, ref);
        String text =
                Decimals.fixed(Math.max(endpoint.lowest(), Math.min(endpoint.highest(), value)), endpoint.decimals());
        return new PracticeBench.Shown(ref, Double.parseDouble(text), text);
    }

    /** Chance of one thing about one unit: the same however often it is asked for. */
    private RandomDraw chance(UnitCode unit, String what) {
        return new RandomDraw(seed * 31 + unit.value().hashCode() * 1009L + what.hashCode() * 65_537L);
    }

    /** How a unit stands to the mean of all, as a factor. */
    private double factor(ExperimentalUnit unit, EndpointCode endpoint) {
        return 1
                + shift(unit, endpoint)
                + supposed.cv() * chance(unit.code(), endpoint.value()).deviate();
    }

    private double shift(ExperimentalUnit unit, EndpointCode endpoint) {
        boolean apart = unit.treatment() == differs() && endpoint.equals(supposed.endpoint());
        return apart ? up() ? supposed.truth() : -supposed.truth() : 0;
    }

    private double count(ExperimentalUnit unit, Endpoint endpoint) {
        double usual = higherIsBetter(endpoint.code()) ? MOST_LIVE : MIDDLE;
        double alone = usual * (1 - usual) / endpoint.among();
        double beyond = Math.sqrt(Math.max(0, Math.pow(supposed.cv() * MIDDLE, 2) - alone));
        double share = usual * (1 + shift(unit, endpoint.code()))
                + beyond * chance(unit.code(), endpoint.code().value()).deviate();
        // The same at every look: what came up does not go back.
        RandomDraw each = chance(unit.code(), endpoint.code().value() + ", each");
        int k = 0;
        for (int i = 0; i < endpoint.among(); i++) {
            k += each.share() < share ? 1 : 0;
        }
        return k;
    }

    private double measured(ExperimentalUnit unit, Look look, Endpoint endpoint, ReadingRef ref) {
        EndpointCode code = endpoint.code();
        if (code.equals(WaterHolding.WET)) {
            double held = weighed(look, code) - weighed(look, WaterHolding.DRY);
            return weighed(unit, look, WaterHolding.DRY) + held * factor(unit, code);
        }
        if (code.equals(WaterHolding.TARE) || code.equals(WaterHolding.DRY) || code.equals(WaterHolding.DROP)) {
            return weighed(unit, look, code);
        }
        if (scored(endpoint)) {
            double half = endpoint.highest() * MIDDLE;
            double usual = endpoint.takesSymptoms() ? endpoint.highest() * UNHARMED : half;
            return usual + half * (factor(unit, code) - 1);
        }
        if (endpoint.unit().dimension() == Dimension.ACIDITY) {
            return mean(look, endpoint) * (1 + shift(unit, code))
                    + PH_SCATTER * chance(unit.code(), code.value()).deviate();
        }
        double again = 1 + READ_AGAIN * chance(unit.code(), ref.toString()).deviate();
        return mean(look, endpoint) * factor(unit, code) * again;
    }

    private double weighed(ExperimentalUnit unit, Look look, EndpointCode code) {
        return alike.of(hidden.unit(unit.code()).orElseThrow(), look, code);
    }

    private double weighed(Look look, EndpointCode code) {
        return hidden.units().stream()
                .mapToDouble(unit -> alike.of(unit, look, code))
                .average()
                .orElseThrow();
    }

    /** What the instruments see on average where every unit got the same; of what they can't see, the middle of its range. */
    private double mean(Look look, Endpoint endpoint) {
        double seen = hidden.units().stream()
                .mapToDouble(unit -> alike.of(new ReadingRef(unit.code(), look.number(), endpoint.code(), 1)))
                .average()
                .orElseThrow();
        return endpoint.judged() == EndpointKind.MEASURED && endpoint.allows(seen) && seen > 0
                ? seen
                : Math.min(MOST, (endpoint.lowest() + endpoint.highest()) * MIDDLE);
    }
}
