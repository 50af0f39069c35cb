package elsom.web.demo;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Smell;
import elsom.core.design.RandomDraw;
import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.sim.BrewTruth;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.brew.Brews;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The demo yard's brews of last week: a log with one that ran short of air, and the laboratory's counts. */
@Component
@ConditionalOnProperty("elsom.demo")
class DemoBrews {
    private static final String STATION = "Bench B";
    private static final String RECIPE = """
            water stand 24 h
            temperature 21 C
            air 0.5 L/min per L
            compost 15 g/L
            kelp 2 g/L in kelp
            +12 h kelp 1 g/L in kelp""";
    private static final int EVERY_H = 4;
    private static final List<String> READ = List.of("oxygen", "brew-temperature", "ph", "foam");

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final Brews brews;

    DemoBrews(Trials trials, Plans plans, Logbook logbook, Brews brews) {
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
        this.brews = brews;
    }

    /** The same plan as the one that is to come, ended four days ago. */
    void brewed(Plan planned, Instant now) {
        ZoneId zone = planned.schedule().zone();
        Instant end = now.atZone(zone)
                .minusDays(4)
                .withHour(20)
                .withMinute(0)
                .withSecond(0)
                .withNano(0)
                .toInstant();
        Plan plan = new Plan(
                planned.protocol(),
                new Asked(
                        "First brews: do an air stone and kelp raise the active fungi?",
                        "",
                        planned.asked().questions(),
                        planned.asked().measures()),
                planned.treatments(),
                planned.pots(),
                planned.arrangement(),
                planned.schedule().endingTogether(end, planned.schedule().runs()),
                planned.rules(),
                null);
        TrialId id = plans.begin(plan, token("first brews"));
        plans.start(id);
        brews.keepRecipe(id, RECIPE);
        TrialRecord record = trials.key(id);
        for (ExperimentalUnit unit : record.units()) {
            visits(record, plan, unit, end);
        }
        List<NewReading> readings = new ArrayList<>();
        for (Look look : record.looks()) {
            for (ExperimentalUnit unit : record.units()) {
                for (EndpointCode code : look.endpoints()) {
                    readings.add(reading(record, plan, unit, look, code));
                }
            }
        }
        logbook.enterAll(id, readings);
    }

    private static UUID token(String name) {
        return UUID.nameUUIDFromBytes(("brews " + name).getBytes(StandardCharsets.UTF_8));
    }

    private static boolean has(TrialRecord record, ExperimentalUnit unit, String what) {
        return record.treatment(unit).name().contains(what);
    }

    private static BrewTruth truth(TrialRecord record, ExperimentalUnit unit) {
        return new BrewTruth(
                has(record, unit, "stone"),
                has(record, unit, "kelp"),
                record.trial().seed() + unit.code().value().hashCode());
    }

    private void visits(TrialRecord record, Plan plan, ExperimentalUnit unit, Instant end) {
        Instant begun = plan.schedule().startOf(unit.treatment());
        BrewTruth truth = truth(record, unit);
        for (Instant at = begun.plus(Duration.ofHours(2)); at.isBefore(end); at = at.plus(Duration.ofHours(EVERY_H))) {
            double hours = Duration.between(begun, at).toMinutes() / 60.0;
            double oxygen = tenths(truth.oxygen(hours));
            boolean low = oxygen < BrewReading.LEAST_OXYGEN;
            note(
                    record,
                    new BrewReading(
                            1,
                            unit.code(),
                            at,
                            STATION,
                            tenths(truth.temperature(hours)),
                            oxygen,
                            tenths(truth.ph(hours)),
                            null,
                            has(record, unit, "kelp") ? 4.0 : 1.0,
                            low ? Smell.SWEET : Smell.EARTHY,
                            low ? BrewReading.Decision.GOES_ON : null,
                            low ? "hose moved to the bottom, smells right" : ""),
                    at);
        }
        note(record, done(unit, end), end);
    }

    private static BrewReading done(ExperimentalUnit unit, Instant end) {
        @Nullable Double none = null;
        return new BrewReading(
                1, unit.code(), end, STATION, none, none, none, none, none, null, BrewReading.Decision.DONE, "");
    }

    private void note(TrialRecord record, BrewReading visit, Instant at) {
        brews.note(record.trial().id(), visit, token(visit.unit() + "/" + at));
    }

    private static double tenths(double value) {
        return Math.rint(value * 10) / 10;
    }

    private static NewReading reading(
            TrialRecord record, Plan plan, ExperimentalUnit unit, Look look, EndpointCode code) {
        Instant at = look.plannedAt(record.trial().start());
        double hours = Math.max(
                0,
                Duration.between(plan.schedule().startOf(unit.treatment()), at).toMinutes() / 60.0);
        BrewTruth truth = truth(record, unit);
        double value = switch (code.value()) {
            case "oxygen" -> truth.oxygen(hours);
            case "brew-temperature" -> truth.temperature(hours);
            case "ph" -> truth.ph(hours);
            case "foam" -> has(record, unit, "kelp") ? 4 : 1;
            default -> counted(record, unit, code.value());
        };
        String text = Decimals.fixed(value, record.endpoint(code).decimals());
        boolean lab = !READ.contains(code.value());
        return new NewReading(
                new ReadingRef(unit.code(), look.number(), code),
                Double.parseDouble(text),
                text,
                record.endpoint(code).unit(),
                at,
                at,
                STATION,
                lab ? Instrument.FILE : Instrument.HAND,
                null,
                null,
                token(unit.code() + "/" + look.number() + "/" + code));
    }

    /** Kelp feeds bacteria; the stone helps fungi; the active part is a quarter or less. */
    private static double counted(TrialRecord record, ExperimentalUnit unit, String code) {
        RandomDraw draw = new RandomDraw(unit.code().value().hashCode() * 31L + code.hashCode());
        boolean stone = has(record, unit, "stone");
        boolean kelp = has(record, unit, "kelp");
        double bacteria = 34 * (kelp ? 2.2 : 1) * (stone ? 1.1 : 1);
        double fungi = 1.3 * (stone ? 2.3 : 1) * (kelp ? 1.5 : 1);
        double middle = switch (code) {
            case "bacteria" -> bacteria;
            case "total-bacteria" -> 5 * bacteria;
            case "fungi" -> fungi;
            default -> 4 * fungi;
        };
        return middle * Math.exp(0.22 * draw.deviate());
    }
}
