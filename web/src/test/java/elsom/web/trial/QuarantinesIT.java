package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.mix.Quarantine;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Treatments;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.platform.NotFound;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Lots that are kept apart, on a real database file: written once, lifted once, and heeded by what uses them. */
@AppTest
class QuarantinesIT {
    private static final Instant NOW = Instant.now().truncatedTo(ChronoUnit.MICROS);

    @Autowired
    private Quarantines quarantines;

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    private static Quarantine kept(String lot, long trial) {
        return new Quarantine(lot, "injured peas", NOW, "Bench A", "", trial, null, "");
    }

    private static Plan using(String mix) {
        Plan plan = GrowthPlan.plan();
        return plan.with(
                Treatments.listed(List.of(
                        PlannedTreatment.of("clean", "leaf mould", ControlKind.CONTROL),
                        PlannedTreatment.of("suspect", mix, ControlKind.NONE))),
                plan.pots());
    }

    @Test
    void whatIsWrittenIsReadBack() {
        Quarantine lot = new Quarantine("lot one", "smells", NOW, "Bench A", "the herb beds", 0, null, "");
        quarantines.keepApart(lot);
        assertThat(quarantines.all()).contains(lot);
        assertThat(quarantines.of("LOT ONE ")).contains(lot);
        assertThat(quarantines.of("lot")).isEmpty();
    }

    @Test
    void aLotIsKeptApartOnceAndLearnsWhereItWent() {
        quarantines.keepApart(kept("lot two", 0));
        quarantines.keepApart(new Quarantine("Lot Two", "again", NOW, "Bench B", "two barrows", 0, null, ""));
        assertThat(quarantines.all())
                .filteredOn(one -> one.lot().equalsIgnoreCase("lot two"))
                .singleElement()
                .satisfies(one -> {
                    assertThat(one.reason()).isEqualTo("injured peas");
                    assertThat(one.goneTo()).isEqualTo("two barrows");
                });
    }

    @Test
    void aLotThatIsLetGoKeepsItsHistoryAndCanBeKeptApartAgain() {
        quarantines.keepApart(kept("lot three", 0));
        quarantines.lift("lot three", "peas grow in it");
        assertThat(quarantines.of("lot three")).isEmpty();
        assertThatThrownBy(() -> quarantines.lift("lot three", "again")).isInstanceOf(NotFound.class);
        quarantines.keepApart(kept("lot three", 0));
        assertThat(quarantines.all())
                .filteredOn(one -> one.lot().equals("lot three"))
                .hasSize(2);
        assertThat(quarantines.of("lot three")).isPresent();
    }

    @Test
    void aPlanIsToldOfTheLotsItUses() {
        quarantines.keepApart(kept("lot four", 0));
        assertThat(quarantines.of(using("1 lot four + 3 leaf mould")))
                .extracting(Quarantine::lot)
                .containsExactly("lot four");
        assertThat(quarantines.of(using("lot forty"))).isEmpty();
    }

    @Test
    void theTrialThatShowedItMayBeDeleted() {
        TrialId trial = plans.begin(using("lot five"), UUID.randomUUID());
        quarantines.keepApart(kept("lot five", trial.value()));
        assertThat(quarantines.of("lot five").orElseThrow().trial()).isEqualTo(trial.value());
        assertThat(plans.whole(trial).quarantines()).extracting(Quarantine::lot).containsExactly("lot five");
        trials.delete(trial);
        assertThat(quarantines.of("lot five").orElseThrow().trial())
                .as("the lot stays apart")
                .isZero();
    }

    @Test
    void whatAFileTellsIsLearnedOnce() {
        List<Quarantine> told = List.of(
                kept("lot six", 0),
                new Quarantine(
                        "lot seven", "", NOW, "Bench A", "", 0, NOW.plusSeconds(60), "a laboratory found nothing"));
        quarantines.learn(told);
        quarantines.learn(told);
        assertThat(quarantines.all())
                .filteredOn(one -> one.lot().equals("lot six") || one.lot().equals("lot seven"))
                .hasSize(2);
        assertThat(quarantines.of("lot seven"))
                .as("it was let go where it came from")
                .isEmpty();
    }
}
