package elsom.web.today;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Instrument;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What Today shows of a trial, asked of a real store that holds others too. */
@AppTest
class TodayIT {
    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Logbook logbook;

    private TodayPage at(Instant now) {
        return TodayPage.of(
                lists.day(now, 500, 500),
                lists.agenda(now.minus(Duration.ofDays(2)), now.plus(Duration.ofDays(9))),
                lists.late(now),
                now,
                ZoneOffset.UTC);
    }

    private static List<TodayPage.Task> of(TrialId id, TodayPage.Tasks tasks) {
        return tasks.shown().stream()
                .filter(task -> (task.href() + "/").replace("?", "/").startsWith("/trials/" + id + "/"))
                .toList();
    }

    private TrialId stored(TrialRecord record) {
        return trials.create(new WholeTrial(record, ExchangeFixture.whole().plan(), List.of()), UUID.randomUUID());
    }

    @Test
    void aPlanIsNothingThatIsDue() {
        TrialId draft = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        TodayPage page = at(GrowthPlan.START.plus(Duration.ofDays(40)));
        assertThat(of(draft, page.due())).isEmpty();
        assertThat(of(draft, page.plans())).singleElement().satisfies(task -> {
            assertThat(task.action()).isEqualTo("Open the plan");
            assertThat(task.what()).isEqualTo("Growth in trays or pots · start planned");
        });
    }

    @Test
    void todaysCareIsListedByTheTrialsOwnClock() {
        TrialId running = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        plans.start(running);
        TodayPage page = at(GrowthPlan.START.plus(Duration.ofDays(3)).plus(Duration.ofHours(3)));
        assertThat(late("/trials/" + running + "/water", page)).anySatisfy(care -> {
            assertThat(care.what()).startsWith("Water");
            assertThat(care.when()).endsWith("09:00");
        });
        assertThat(of(running, page.coming()))
                .singleElement()
                .satisfies(task -> assertThat(task.action()).isEqualTo("Start measuring"));
    }

    @Test
    void theWeekAddsUpWhatIsToBeDoneAndWateringIsTickedOff() {
        TrialId running = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        plans.start(running);
        Instant morning = GrowthPlan.START.plus(Duration.ofDays(3)).plus(Duration.ofHours(3));
        TodayPage page = at(morning);
        assertThat(page.week()).hasSize(7);
        assertThat(page.week().get(0).today()).isTrue();
        // Other trials of the same store may have their steps on that day too.
        assertThat(page.week().get(0).says()).containsPattern("about \\d[\\d. ]*(min|h)|\\d min");
        assertThat(page.prepare()).extracting(TodayPage.Care::what).anyMatch(what -> what.contains("tap water"));
        String water = "/trials/" + running + "/water";
        assertThat(late(water, page))
                .singleElement()
                .satisfies(care -> assertThat(care.says()).matches("\\d h( \\d+ min)? late"));
        List<UnitCode> units = trials.snapshot(running).units().stream()
                .map(unit -> unit.code())
                .toList();
        logbook.give(running, GivenKind.WATER, "", Map.of(units.get(0), 5.0), morning, "Bench A", UUID.randomUUID());
        assertThat(late(water, at(morning))).singleElement().satisfies(care -> {
            assertThat(care.says()).endsWith("late: 1 of " + units.size() + " watered");
            assertThat(care.tick()).isNotNull();
            assertThat(care.tick().same()).as("one unit is not all").isEmpty();
        });
        logbook.give(
                running,
                GivenKind.WATER,
                "",
                units.stream().collect(Collectors.toMap(unit -> unit, unit -> 40.0)),
                morning,
                "Bench A",
                UUID.randomUUID());
        assertThat(late(water, at(morning))).isEmpty();
        assertThat(at(morning).care())
                .filteredOn(care -> care.href().equals(water))
                .isNotEmpty()
                .allMatch(TodayPage.Care::done)
                .allMatch(care -> care.tick() == null);
        Instant nextDay = morning.plus(Duration.ofDays(7));
        assertThat(late(water, at(nextDay)))
                .isNotEmpty()
                .allSatisfy(care -> assertThat(care.tick().same()).isEqualTo("40 mL each"));
    }

    private static List<TodayPage.Care> late(String href, TodayPage page) {
        return page.late().stream().filter(care -> care.href().equals(href)).toList();
    }

    @Test
    void allDatesCanBeSubscribedToAtOneAddress(@LocalServerPort int port) throws Exception {
        TrialId running = plans.begin(GrowthPlan.plan(), UUID.randomUUID());
        plans.startNow(running);
        String calendar = new Web(port).get("/calendar.ics").body();
        assertThat(calendar).startsWith("BEGIN:VCALENDAR").contains("/trials/" + running, "Water");
        assertThat(calendar).doesNotContain("Stand tap water");
    }

    @Test
    void whatIsWeighedSaysSoAndWhatIsDoneIsFinished() {
        TrialId weighed = stored(ExchangeFixture.drawn());
        assertThat(of(weighed, at(ExchangeFixture.START).due()))
                .singleElement()
                .satisfies(task -> assertThat(task.action()).isEqualTo("Start weighing"));
        TrialId measured = stored(ExchangeFixture.measured());
        assertThat(of(
                        measured,
                        at(ExchangeFixture.START.plus(Duration.ofDays(9))).finished()))
                .hasSize(1);
    }

    @Test
    void aReadingIsCountedOnTheNextVisitAndATrialPutAwayIsNot() {
        TrialId id = stored(ExchangeFixture.drawn());
        Instant now = ExchangeFixture.START;
        assertThat(of(id, at(now).due()))
                .singleElement()
                .satisfies(task -> assertThat(task.progress()).startsWith("0 of"));
        logbook.enter(
                id,
                new NewReading(
                        new ReadingRef(trials.key(id).units().get(0).code(), 1, new EndpointCode("tare-mass")),
                        31.0,
                        "31",
                        UnitOfMeasure.GRAM,
                        now,
                        now,
                        "Bench A",
                        Instrument.HAND,
                        null,
                        null,
                        UUID.randomUUID()));
        assertThat(of(id, at(now).due()))
                .singleElement()
                .satisfies(task -> assertThat(task.progress()).startsWith("1 of"));
        trials.putAway(id, true);
        assertThat(of(id, at(now).due())).isEmpty();
        assertThat(lists.putAway(500)).extracting(TrialLists.PutAway::trial).contains(id);
        trials.putAway(id, false);
        assertThat(of(id, at(now).due())).hasSize(1);
    }
}
