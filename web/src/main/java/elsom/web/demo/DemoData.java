package elsom.web.demo;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Hours;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCopy;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.plan.WateringSchool;
import elsom.core.practice.Level;
import elsom.core.practice.Levels;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.sim.BenchTruth;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.practice.Practices;
import elsom.web.trial.Entered;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.sql.init.dependency.DependsOnDatabaseInitialization;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/** Fills an empty store with the trials of the demo yard; dates are relative to the day it is first started. */
@Component
@ConditionalOnProperty("elsom.demo")
@DependsOnDatabaseInitialization
class DemoData implements SmartInitializingSingleton {
    private static final Container TRAY = Container.tray("Roof tray 6 cm", 6, 20, 15);
    private static final Container TUB = Container.taperedRound("Tub 18 cm", 18, 20, 16);
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);
    private static final double TRAY_ML = 1700;
    private static final double TUB_ML = 4400;
    private static final double POT_ML = 380;
    private static final long PRACTICE_SEED = 21;
    private static final String STATION = "Bench A";

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final DemoBrews brews;
    private final Practices practices;
    private final Clock clock;
    private final TransactionOperations transaction;
    private final DemoGrowth growth;
    private final DemoShelf shelf;

    DemoData(
            Trials trials,
            Plans plans,
            Logbook logbook,
            Clock clock,
            TransactionOperations transaction,
            DemoGrowth growth,
            DemoShelf shelf,
            Practices practices,
            DemoBrews brews) {
        this.practices = practices;
        this.brews = brews;
        this.shelf = shelf;
        this.growth = growth;
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** Before the first page can be asked for, and whole or not at all. */
    @Override
    public void afterSingletonsInstantiated() {
        if (trials.none()) {
            transaction.executeWithoutResult(status -> {
                roofTrays();
                plugPots();
                DemoPlans demo = new DemoPlans(clock.instant(), ZoneId.systemDefault());
                TrialId roof = new TrialId(1);
                Plan planned = demo.brews(trials.snapshot(roof).trial());
                plans.begin(planned, token("brews"));
                growth.fill(demo, clock.instant());
                TrialId mix = plugMix();
                growth.probed(demo, clock.instant());
                shelf.fill(LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()), List.of(roof, mix));
                roofTraysAgain(roof);
                brews.brewed(planned, clock.instant());
                Level level = Levels.find("light-from-one-side").orElseThrow();
                practices.begin(level, level.setting(), PRACTICE_SEED, token("practice"));
            });
        }
    }

    private static UUID token(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static PlannedTreatment medium(String name, String kind, double organicMatter, Container in, double ml) {
        String shown = in.equals(TUB) ? name + ", tub 18 cm" : name;
        ControlKind control = name.equals("Leaf mould") ? ControlKind.CONTROL : ControlKind.NONE;
        return new PlannedTreatment(
                shown, name, kind, control, Map.of(TreatmentProperty.ORGANIC_MATTER, organicMatter), in, ml, List.of());
    }

    /** A water-holding trial, begun, laid out in blocks on each of its places, and started. */
    private TrialId waterHolding(
            String name,
            String question,
            Instant start,
            WateringSchool school,
            List<PlannedTreatment> media,
            List<Site> places,
            List<PlannedLook> looks,
            long seed) {
        Plan begun = new WaterHolding().begin(question, ZoneId.systemDefault(), start, Pots.of(POT), seed);
        Plan plan = begun.with(Treatments.listed(media), begun.pots())
                .with(new Arrangement(LayoutKind.BLOCKS, 4, places, true, 0, false, 0, seed, List.of()))
                .with(begun.schedule().with(looks, List.of(), Hours.ANY))
                .with(new Rules(school, 0.5, false));
        TrialId id = plans.begin(plan, token(name));
        plans.start(id);
        return id;
    }

    /** Finished: five media in roof trays, one of them also in a deep tub, in sun and in shade. */
    private void roofTrays() {
        ZoneId zone = ZoneId.systemDefault();
        Instant start = LocalDate.ofInstant(clock.instant(), zone)
                .minusDays(9)
                .atTime(14, 0)
                .atZone(zone)
                .toInstant();
        TrialId id = waterHolding(
                "roof trays",
                "Roof-tray blends: which still has water after a hot week?",
                start,
                WateringSchool.SAME_FOR_ALL,
                List.of(
                        medium("Wood fibre", "organic", 0.94, TRAY, TRAY_ML),
                        medium("Crushed brick 2–8 mm", "mineral", 0.02, TRAY, TRAY_ML),
                        medium("Composted bracken", "organic", 0.82, TRAY, TRAY_ML),
                        medium("Foamed-glass grit", "mineral", 0.01, TRAY, TRAY_ML),
                        medium("Green-waste compost GW-31", "organic", 0.42, TRAY, TRAY_ML),
                        medium("Wood fibre", "organic", 0.94, TUB, TUB_ML)),
                List.of(Site.named("Sunny sill"), Site.named("Under the bench")),
                WaterHolding.looks(hours(2, 6, 24, 48, 72, 120), true),
                4711);
        TrialRecord drawn = trials.snapshot(id);
        drawn.looks().forEach(look -> measure(id, look, drawn.units().size()));
        mistakes(id);
    }

    /** Finished: four of the media again, from the next delivery of each. */
    private void roofTraysAgain(TrialId first) {
        ZoneId zone = ZoneId.systemDefault();
        Instant start = LocalDate.ofInstant(clock.instant(), zone)
                .minusDays(7)
                .atTime(10, 0)
                .atZone(zone)
                .toInstant();
        Plan again = PlanCopy.anew(plans.plan(first), trials.snapshot(first), Set.of(5, 6), 4, start, 4712);
        PlanOrigin origin = Objects.requireNonNull(again.origin());
        TrialId id = plans.begin(
                again.from(origin.told(
                        "Another lot: the next delivery of each; without the compost and the tub", FollowUp.OTHER_LOT)),
                token("roof trays again"));
        plans.start(id);
        TrialRecord drawn = trials.snapshot(id);
        drawn.looks().forEach(look -> measure(id, look, drawn.units().size()));
    }

    /** Half-way: four media in pots; the day's look is due and a third of it is done. */
    private void plugPots() {
        Instant start = clock.instant().minus(Duration.ofMinutes(48 * 60 + 25));
        TrialId id = waterHolding(
                "plug pots",
                "Which plug medium carries a weekend without watering?",
                start,
                WateringSchool.EACH_TO_REFILL_WEIGHT,
                List.of(
                        medium("Leaf mould", "organic", 0.71, POT, POT_ML),
                        medium("Rice hulls", "organic", 0.81, POT, POT_ML),
                        medium("Sheep-wool compost", "organic", 0.63, POT, POT_ML),
                        medium("Wood fibre", "organic", 0.94, POT, POT_ML)),
                List.of(Site.named("Tunnel shelf")),
                WaterHolding.looks(hours(6, 24, 48, 72, 96), false),
                2203);
        TrialRecord drawn = trials.snapshot(id);
        drawn.looks().stream()
                .filter(look -> look.hoursAfterStart() <= 24)
                .forEach(look -> measure(id, look, drawn.units().size()));
        drawn.looks().stream().filter(look -> look.hoursAfterStart() == 48).forEach(look -> measure(id, look, 5));
        logbook.note(
                id,
                MishapKind.FLOATED,
                "stayed afloat for ten minutes, held under",
                List.of(firstOf(drawn, 2)),
                look(drawn, "drained").number(),
                start,
                STATION,
                token("plug pots floated"));
    }

    /** Finished: a mix beside its parts, measured once drained. */
    private TrialId plugMix() {
        TrialId id = waterHolding(
                "plug mix",
                "Does plug mix 1 hold what its parts foretell?",
                clock.instant().minus(Duration.ofDays(13)),
                WateringSchool.SAME_FOR_ALL,
                List.of(
                        medium("Leaf mould", "organic", 0.71, POT, POT_ML),
                        medium("Wood fibre", "organic", 0.94, POT, POT_ML),
                        medium(DemoShelf.MEASURED_MIX, "organic", 0.83, POT, POT_ML)),
                List.of(Site.named("Tunnel shelf")),
                WaterHolding.looks(hours(24), false),
                1905);
        TrialRecord drawn = trials.snapshot(id);
        drawn.looks().forEach(look -> measure(id, look, drawn.units().size()));
        return id;
    }

    private static List<Duration> hours(int... hours) {
        return Arrays.stream(hours).mapToObj(Duration::ofHours).toList();
    }

    private static Look look(TrialRecord record, String name) {
        return record.looks().stream()
                .filter(look -> look.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static UnitCode firstOf(TrialRecord record, int treatment) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .findFirst()
                .orElseThrow()
                .code();
    }

    /** Weighs the first units of the walk, half a minute each. */
    private void measure(TrialId id, Look look, int units) {
        TrialRecord record = trials.snapshot(id);
        BenchTruth truth = new BenchTruth(record);
        Random noise = new Random(record.trial().seed() + look.number());
        Instant at = look.plannedAt(record.trial().start());
        List<NewReading> readings = new ArrayList<>();
        for (ExperimentalUnit unit : record.benchOrder().subList(0, units)) {
            at = at.plusSeconds(20 + noise.nextInt(20));
            for (var endpoint : look.endpoints()) {
                double value = truth.of(unit, look, endpoint) + 0.08 * noise.nextGaussian();
                boolean mass = record.endpoint(endpoint).unit() == UnitOfMeasure.GRAM;
                String text = Decimals.fixed(Math.max(0, value), mass ? 1 : 0);
                readings.add(new NewReading(
                        new ReadingRef(unit.code(), look.number(), endpoint),
                        Double.parseDouble(text),
                        text,
                        record.endpoint(endpoint).unit(),
                        at,
                        at,
                        STATION,
                        mass ? Instrument.SCALE : Instrument.HAND,
                        null,
                        null,
                        token(id + "/" + unit.code() + "/" + look.number() + "/" + endpoint)));
            }
        }
        logbook.enterAll(id, readings);
    }

    /** One value typed wrong and put right, and one tray knocked over on its last day. */
    private void mistakes(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        Look third = look(record, "24 h");
        ReadingRef ref = new ReadingRef(firstOf(record, 3), third.number(), WaterHolding.WET);
        Reading right = record.current(ref).orElseThrow();
        Entered wrong = logbook.enter(id, correction(right, right, 1000, token("roof trays typed wrong")));
        if (wrong instanceof Entered.Saved saved) {
            logbook.enter(id, correction(right, saved.reading(), 0, token("roof trays put right")));
        }
        Look last = record.looks().get(record.looks().size() - 1);
        logbook.note(
                id,
                MishapKind.KNOCKED,
                "turned round by the cat, nothing spilled",
                List.of(firstOf(record, 5)),
                last.number(),
                last.plannedAt(record.trial().start()),
                STATION,
                token("roof trays knocked"));
    }

    private NewReading correction(Reading of, Reading standing, double off, UUID token) {
        double value = Objects.requireNonNull(of.value()) + off;
        return new NewReading(
                of.ref(),
                value,
                Decimals.fixed(value, 1),
                of.typedUnit(),
                of.takenAt(),
                of.takenAt().plusSeconds(off == 0 ? 300 : 240),
                STATION,
                Instrument.HAND,
                standing.id(),
                CorrectionReason.MISTYPED,
                token);
    }
}
