package elsom.core.protocol.seedling;

import elsom.core.diagnosis.Likelihoods;
import elsom.core.diagnosis.Seen;
import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/** Builds bioassays for tests: four pots of each treatment, scored at every look as an eye would. */
public final class ABioassay {
    /** What a unit of a treatment shows at a day, such as "7 cupped, twisted". */
    @FunctionalInterface
    public interface Eye {
        String sees(String treatment, double days, int replicate);
    }

    /** What a meter reads of a treatment at the end. */
    @FunctionalInterface
    public interface Meter {
        double reads(String treatment);
    }

    public static final Factor SEEDLINGS = APlan.factor("Seedling", FactorKind.HANDLING, "pea", "barley");
    public static final Factor LOT = APlan.factor("Mix", FactorKind.MATERIAL, "leaf mould", "GW-32");
    public static final Factor SHARES = APlan.factor(
            "Mix", FactorKind.MATERIAL, "leaf mould", "1 GW-32 + 3 leaf mould", "1 GW-32 + 1 leaf mould", "GW-32");

    private final Plan plan;
    private final Measured measured;

    private ABioassay(Plan plan) {
        this.plan = plan;
        this.measured = Measured.started(plan);
    }

    public static ABioassay of(Factor... factors) {
        return of(4, factors);
    }

    public static ABioassay of(int replicates, Factor... factors) {
        return new ABioassay(APlan.of("seedling-injury")
                .factors(factors)
                .replicates(replicates)
                .plan());
    }

    /** A pair with and without a remedy. */
    public static Factor pair(String with) {
        return APlan.factor("Pair", FactorKind.HANDLING, "as it is", with);
    }

    public ABioassay scored(Eye eye) {
        for (Look look : measured.record().looks()) {
            for (ExperimentalUnit unit : measured.record().units()) {
                String text = eye.sees(name(unit), look.hoursAfterStart() / 24, unit.replicate());
                measured.typed(unit, look, "injury", 1, Double.parseDouble(text.split(" ")[0]), text);
            }
        }
        return this;
    }

    /** Reads a meter, or anything else that is read once, at the last look. */
    public ABioassay read(String endpoint, Meter meter) {
        List<Look> looks = measured.record().looks();
        for (ExperimentalUnit unit : measured.record().units()) {
            measured.add(unit, looks.get(looks.size() - 1), endpoint, 1, meter.reads(name(unit)));
        }
        return this;
    }

    private String name(ExperimentalUnit unit) {
        return measured.record().treatment(unit).name();
    }

    public Plan plan() {
        return plan;
    }

    public TrialRecord record() {
        return measured.record();
    }

    public Findings found() {
        return foundAt(measured.record().looks().size(), Likelihoods.SHIPPED);
    }

    public Findings foundAt(int look, Likelihoods table) {
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(look), table));
    }

    /** What is found when later trials of GW-32 showed these signs. */
    public Findings foundWith(List<Seen> later) {
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan, measured.record(), OptionalInt.empty(), Likelihoods.SHIPPED, Map.of("GW-32", later)));
    }

    public List<BioassayResult> lots() {
        return new ArrayList<>(found().sections(BioassayResult.class).stream().toList());
    }

    /** How much of GW-32 is in a treatment. */
    public static double share(String treatment) {
        return !treatment.contains("GW-32")
                ? 0
                : treatment.contains("3 leaf") ? 0.25 : treatment.contains("1 leaf") ? 0.5 : 1;
    }

    /** Peas are cupped and twisted by the share of GW-32, more with time; barley is not. */
    public static String auxin(String treatment, double days, int replicate) {
        double harm = treatment.contains("barley") ? 0 : 9 * share(treatment) * days / 21;
        long injury = Math.round(harm + replicate % 2);
        return injury >= 3 ? injury + " cupped, twisted" : String.valueOf(injury);
    }
}
