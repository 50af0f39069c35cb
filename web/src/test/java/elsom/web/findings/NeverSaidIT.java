package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.seedling.ABioassay;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.util.List;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What no findings page may say: an all-clear from silence, a rate that hurts, a claim beside a control that failed. */
@AppTest
class NeverSaidIT {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4};

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    private String page(Plan plan, TrialRecord record) throws Exception {
        TrialId id = trials.create(new WholeTrial(record, plan, List.of()), UUID.randomUUID());
        return new Web(port).get("/trials/" + id + "/findings").body().replace("&#39;", "'");
    }

    private String page(ABioassay trial) throws Exception {
        return page(trial.plan(), trial.record());
    }

    private static Plan series(int replicates, String... asked) {
        return APlan.of("dose-series")
                .factors(APlan.doses(null, null, DOSES))
                .replicates(replicates)
                .asking(List.of(asked).stream().map(APlan::question).toArray(elsom.core.plan.Question[]::new))
                .plan();
    }

    private static Measured scored(Plan plan, int looks, String endpoint, ToDoubleFunction<ExperimentalUnit> value) {
        Measured measured = Measured.started(plan);
        List<Look> all = measured.record().looks();
        for (Look look : looks > 0 ? all.subList(0, looks) : all.subList(all.size() - 1, all.size())) {
            for (ExperimentalUnit unit : measured.record().units()) {
                measured.add(unit, look, endpoint, 1, value.applyAsDouble(unit));
            }
        }
        return measured;
    }

    private static double dose(ExperimentalUnit unit) {
        return DOSES[unit.treatment() - 1];
    }

    @Test
    void onePotEachThatIsCuppedIsNoAllClear() throws Exception {
        assertThat(page(ABioassay.of(1, ABioassay.LOT)
                        .scored((treatment, days, replicate) ->
                                ABioassay.share(treatment) > 0 ? "7 cupped, twisted" : "0")))
                .contains("Find out before it is used.", "symptoms are commoner in the lot")
                .doesNotContain("Nothing here points to a contaminant");
    }

    @Test
    void marksAtOnePointAreEvidence() throws Exception {
        assertThat(page(ABioassay.of(ABioassay.LOT)
                        .scored((treatment, days, replicate) ->
                                ABioassay.share(treatment) > 0 ? "1 cupped, twisted" : "1")))
                .contains("Symptoms: ", "exact p 0.029")
                .doesNotContain("Nothing here points to a contaminant");
    }

    @Test
    void withoutACleanMediumThereIsNoBioassay() throws Exception {
        Factor mixes = APlan.factor(
                "Mix", FactorKind.MATERIAL, "1 GW-32 + 3 leaf mould", "1 GW-32 + 1 leaf mould", "GW-32 + leaf mould");
        assertThat(page(ABioassay.of(mixes).scored((treatment, days, replicate) -> "1")))
                .contains("no clean medium beside it")
                .doesNotContain("Use it.");
    }

    @Test
    void aTrialThatWasTooShortAllowsNoRate() throws Exception {
        Plan plan = series(6, "injury");
        Measured early = scored(plan, 3, "injury", unit -> dose(unit) > 1 ? 6 : unit.replicate() % 2);
        assertThat(page(plan, early.record()))
                .contains("No rate to work with: The last look, “day 10”, is still to come")
                .doesNotContain("To work with: ");
    }

    @Test
    void aFailedControlClaimsNothing() throws Exception {
        Plan plan = series(6, "injury");
        Measured failed = scored(plan, 6, "injury", unit -> 6 + unit.replicate() % 2);
        assertThat(page(plan, failed.record()))
                .contains("can't tell, for the control failed")
                .doesNotContain("none shown up to", "no harm was shown");
    }

    @Test
    void fewUnitsSayWhatTheyCouldHaveMissed() throws Exception {
        Plan plan = series(2, "injury");
        Measured few = scored(plan, 6, "injury", unit -> 3 * ((unit.replicate() + unit.treatment()) % 2));
        assertThat(page(plan, few.record())).contains("could have missed");
    }

    @Test
    void ofThreeEndpointsThereIsOneRate() throws Exception {
        Plan plan = series(6, "injury", "fresh-mass", "alive");
        Measured measured = scored(plan, 0, "injury", unit -> dose(unit) >= 2 ? 6 : unit.replicate() % 2);
        Look last = measured.record().looks().get(measured.record().looks().size() - 1);
        for (ExperimentalUnit unit : measured.record().units()) {
            measured.add(
                            unit,
                            last,
                            "fresh-mass",
                            1,
                            (dose(unit) < 1 ? 20 : 12) + (unit.replicate() + unit.treatment()) % 3)
                    .add(unit, last, "alive", 1, 4);
        }
        String page = page(plan, measured.record());
        assertThat(page).contains("The rate to work with is set by fresh mass");
        assertThat(page.split("To work with: ", -1)).hasSizeLessThanOrEqualTo(2);
    }
}
