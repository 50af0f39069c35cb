package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.CareTotals;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Instrument;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.platform.Refusal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** The store, on a real database file. */
@AppTest
class LogbookIT {
    private static final Instant AT = Instant.parse("2026-06-01T09:00:00.123456Z");

    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    @Autowired
    private TrialLists lists;

    @Autowired
    private JdbcTemplate jdbc;

    private TrialId trial = new TrialId(0);
    private UnitCode unit = new UnitCode("K22");

    @BeforeEach
    void aTrial() {
        trial = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        unit = trials.snapshot(trial).units().get(0).code();
    }

    private ReadingRef ref(UnitCode of) {
        return new ReadingRef(of, 1, new EndpointCode("tare-mass"));
    }

    private NewReading entry(double value, @Nullable ReadingId replaces) {
        return new NewReading(
                ref(unit),
                value,
                Double.toString(value),
                UnitOfMeasure.GRAM,
                AT,
                AT,
                "Bench A",
                Instrument.HAND,
                replaces,
                replaces == null ? null : CorrectionReason.MISTYPED,
                UUID.randomUUID());
    }

    private Reading saved(NewReading entry) {
        Entered entered = logbook.enter(trial, entry);
        assertThat(entered).isInstanceOf(Entered.Saved.class);
        return ((Entered.Saved) entered).reading();
    }

    private @Nullable Double standing() {
        return trials.snapshot(trial).current(ref(unit)).map(Reading::value).orElse(null);
    }

    @Test
    void aTrialComesBackAsItWasStored() {
        TrialRecord measured = ExchangeFixture.measured();
        TrialRecord back = trials.snapshot(trials.create(ExchangeFixture.whole(), UUID.randomUUID()));
        assertThat(back.treatments()).isEqualTo(measured.treatments());
        assertThat(back.units()).isEqualTo(measured.units());
        assertThat(back.looks()).isEqualTo(measured.looks());
        assertThat(back.endpoints()).isEqualTo(measured.endpoints());
        assertThat(back.mishaps()).isEqualTo(measured.mishaps());
        assertThat(back.given()).isEqualTo(measured.given());
        assertThat(back.readings())
                .extracting(Reading::value)
                .isEqualTo(measured.readings().stream().map(Reading::value).toList());
        assertThat(back.history(measured.readings().get(0).ref())).hasSize(2);
    }

    @Test
    void aReadingKeepsEveryDigitAndInstant() {
        Reading reading = saved(entry(412.30000000000007, null));
        assertThat(trials.snapshot(trial).readings()).containsExactly(reading);
    }

    @Test
    void theSameTokenEntersOnce() {
        NewReading entry = entry(30, null);
        assertThat(saved(entry)).isEqualTo(saved(entry));
        assertThat(trials.snapshot(trial).readings()).hasSize(1);
        UUID token = UUID.randomUUID();
        assertThat(trials.create(ExchangeFixture.fresh(), token))
                .isEqualTo(trials.create(ExchangeFixture.fresh(), token));
    }

    @Test
    void whatWasNotSeenIsNotOverwritten() {
        Reading first = saved(entry(30, null));
        assertThat(logbook.enter(trial, entry(31, null))).isEqualTo(new Entered.Stale(java.util.Optional.of(first)));
        Reading second = saved(entry(32, first.id()));
        assertThat(logbook.enter(trial, entry(33, first.id())))
                .isEqualTo(new Entered.Stale(java.util.Optional.of(second)));
        assertThat(standing()).isEqualTo(32);
    }

    @Test
    void undoGoesBackOneStepAtATime() {
        Reading first = saved(entry(30, null));
        Reading second = saved(entry(32, first.id()));
        logbook.undo(trial, second.id(), "Bench A", UUID.randomUUID());
        assertThat(standing()).isEqualTo(30);
        Reading restored = trials.snapshot(trial).current(ref(unit)).orElseThrow();
        assertThat(restored.takenAt()).isEqualTo(first.takenAt());
        assertThat(logbook.undo(trial, second.id(), "Bench A", UUID.randomUUID()))
                .isInstanceOf(Entered.Stale.class);
    }

    @Test
    void afterAnUndoneFirstReadingAnotherCanBeEntered() {
        Reading first = saved(entry(30, null));
        logbook.undo(trial, first.id(), "Bench A", UUID.randomUUID());
        assertThat(standing()).isNull();
        saved(entry(31, null));
        assertThat(standing()).isEqualTo(31);
        assertThat(trials.snapshot(trial).history(ref(unit))).hasSize(3);
    }

    @Test
    void aBatchIsEnteredWholeOrNotAtAll() {
        Reading first = saved(entry(30, null));
        UnitCode other = trials.snapshot(trial).units().get(1).code();
        NewReading fresh = new NewReading(
                ref(other),
                29.0,
                "29",
                UnitOfMeasure.GRAM,
                AT,
                AT,
                "Bench A",
                Instrument.FILE,
                null,
                null,
                UUID.randomUUID());
        assertThat(logbook.enterAll(trial, List.of(fresh, entry(31, null)))).hasSize(1);
        assertThat(trials.snapshot(trial).readings()).hasSize(1);
        NewReading impossible = entry(Double.NaN, first.id());
        assertThatThrownBy(() -> logbook.enterAll(trial, List.of(fresh, impossible)))
                .isInstanceOfAny(IllegalArgumentException.class, DataIntegrityViolationException.class);
        assertThat(trials.snapshot(trial).readings()).hasSize(1);
    }

    @Test
    void aBatchThatCorrectsWhatWasTakenBackSaysSo() {
        Reading first = saved(entry(30, null));
        logbook.undo(trial, first.id(), "Bench A", UUID.randomUUID());
        assertThatThrownBy(() -> logbook.enterAll(trial, List.of(entry(31, first.id()))))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("taken back meanwhile");
        assertThat(logbook.enterAll(trial, List.of(entry(31, null)))).isEmpty();
        assertThat(standing()).isEqualTo(31);
        assertThat(trials.snapshot(trial).history(ref(unit))).hasSize(3);
    }

    @Test
    void aBatchSentAgainIsEnteredOnceAndOfAPlaceTwiceOneStands() {
        NewReading entry = entry(30, null);
        assertThat(logbook.enterAll(trial, List.of(entry, entry(32, null)))).isEmpty();
        assertThat(standing()).isEqualTo(30);
        assertThat(logbook.enterAll(trial, List.of(entry))).hasSize(1);
        assertThat(trials.snapshot(trial).readings()).hasSize(1);
    }

    @Test
    void manyAtOnceLeaveOneStanding() {
        List<Entered> answers = IntStream.range(0, 16)
                .parallel()
                .mapToObj(i -> logbook.enter(trial, entry(30 + i, null)))
                .toList();
        assertThat(answers).filteredOn(Entered.Saved.class::isInstance).hasSize(1);
        assertThat(trials.snapshot(trial).readings()).hasSize(1);
    }

    @Test
    void waterIsWrittenOnceForItsTokenAndCanBeTakenBack() {
        UUID token = UUID.randomUUID();
        for (int send = 0; send < 2; send++) {
            logbook.give(trial, GivenKind.WATER, "", Map.of(unit, 36.5), AT, "Bench A", token);
        }
        assertThat(trials.snapshot(trial).given()).hasSize(1).allMatch(Given::stands);
        assertThat(trials.snapshot(trial).given().get(0).millilitres()).containsExactly(Map.entry(unit, 36.5));
        logbook.withdrawGiven(trial, 1);
        assertThat(trials.snapshot(trial).given()).hasSize(1).noneMatch(Given::stands);
        assertThat(CareTotals.of(trials.snapshot(trial))).isEmpty();
    }

    @Test
    void aMishapIsWrittenOnceAndCanBeTakenBack() {
        UUID token = UUID.randomUUID();
        for (int i = 0; i < 2; i++) {
            logbook.note(trial, MishapKind.LOST, "dropped", List.of(unit), 1, AT, "Bench A", token);
        }
        assertThat(trials.snapshot(trial).mishaps()).hasSize(1);
        assertThat(trials.snapshot(trial).expected(unit, 1)).isFalse();
        logbook.withdraw(trial, 1);
        assertThat(trials.snapshot(trial).expected(unit, 1)).isTrue();
        assertThat(trials.snapshot(trial).mishaps()).hasSize(1);
    }

    private NewReading of(UnitCode other, UUID token) {
        NewReading like = entry(41, null);
        return new NewReading(
                ref(other), 41.0, "41", like.typedUnit(), AT, AT, "Bench A", Instrument.HAND, null, null, token);
    }

    @Test
    void aTokenThatBelongsToAnotherUnitIsRefused() {
        UnitCode other = trials.snapshot(trial).units().get(1).code();
        UUID token = UUID.randomUUID();
        logbook.enter(trial, of(unit, token));
        assertThatThrownBy(() -> logbook.enter(trial, of(other, token))).isInstanceOf(Refusal.class);
        assertThat(trials.snapshot(trial).current(ref(other))).isEmpty();
        TrialId second = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        assertThatThrownBy(() -> logbook.enter(second, of(unit, token))).isInstanceOf(Refusal.class);
    }

    @Test
    void aSnapshotCarriedForwardIsWhatReadingItAnewGives() {
        trials.snapshot(trial);
        for (UnitCode each : trials.snapshot(trial).units().stream()
                .map(ExperimentalUnit::code)
                .toList()) {
            logbook.enter(trial, of(each, UUID.randomUUID()));
            TrialRecord carried = trials.snapshot(trial);
            TrialRecord anew = trials.read(trial);
            assertThat(carried.readings()).containsExactlyElementsOf(anew.readings());
            assertThat(carried.progress(carried.looks().get(0)))
                    .isEqualTo(anew.progress(anew.looks().get(0)));
        }
        logbook.note(trial, MishapKind.LOST, "", List.of(unit), 1, AT, "Bench A", UUID.randomUUID());
        TrialRecord lost = trials.snapshot(trial);
        assertThat(lost.expected(unit, 2)).isFalse();
        assertThat(lost.progress(lost.looks().get(1)).expected())
                .isEqualTo(trials.read(trial).progress(lost.looks().get(1)).expected());
    }

    @Test
    void aTrialThatCantBeReadIsALineAndTheRestWorks() {
        TrialId broken = trials.create(ExchangeFixture.fresh(), UUID.randomUUID());
        jdbc.update("update look set after_start_s = 9000000000000000000 where trial_id = ?", broken.value());
        jdbc.update(
                "update trial set plan_revision = plan_revision + 1, revision = revision + 1 where id = ?",
                broken.value());
        assertThatThrownBy(() -> trials.snapshot(broken)).isInstanceOf(Unreadable.class);
        TrialLists.Day day = lists.day(AT, 500, 500);
        assertThat(day.unreadable()).extracting(TrialLists.CantBeRead::trial).contains(broken);
        assertThat(lists.search(Wanted.of(""), 0, 500).trials())
                .extracting(Digest::id)
                .contains(trial)
                .doesNotContain(broken);
        assertThat(trials.stored("look", broken)).isNotEmpty();
        trials.delete(broken);
        assertThat(lists.day(AT, 500, 500).unreadable())
                .extracting(TrialLists.CantBeRead::trial)
                .doesNotContain(broken);
    }
}
