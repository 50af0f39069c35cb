package elsom.core.audit;

import elsom.core.plan.APlan;
import elsom.core.plan.Amendment;
import elsom.core.plan.Asked;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.Rules;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** A trial made ready for its audit: fair unless a test breaks it. */
final class Prepared {
    private Plan plan;
    private UnaryOperator<Reading> reading = one -> one;
    private UnaryOperator<TrialRecord> after = record -> record;
    private Function<TrialRecord, List<Mishap>> mishaps = record -> List.of();
    private List<Amendment> amendments = List.of();
    private int looksRead = Integer.MAX_VALUE;
    private Duration later = Duration.ofDays(28);
    private double step = 6;

    private Prepared(Plan plan) {
        this.plan = plan;
    }

    /** Three treatments in four units each, blind, drawn in blocks, asked about beforehand, with a clear answer. */
    static Prepared fair() {
        return of(APlan.ofGrowth().list("none", "kelp", "nettle").replicates(4).asking(APlan.question("height")));
    }

    static Prepared of(APlan made) {
        Plan plan = made.plan();
        return new Prepared(plan.with(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, true)));
    }

    Prepared plan(UnaryOperator<Plan> change) {
        plan = change.apply(plan);
        return this;
    }

    Prepared crop(String crop) {
        return plan(old -> old.with(new Asked(
                old.question(), crop, old.asked().questions(), old.asked().measures())));
    }

    Prepared asking(Question... questions) {
        return plan(old -> old.with(new Asked(
                old.question(),
                old.asked().crop(),
                List.of(questions),
                old.asked().measures())));
    }

    Prepared readings(UnaryOperator<Reading> change) {
        reading = change;
        return this;
    }

    Prepared step(double difference) {
        step = difference;
        return this;
    }

    Prepared mishap(MishapKind kind, int look, Function<TrialRecord, List<UnitCode>> units) {
        mishaps = record -> List.of(new Mishap(
                1, kind, "", units.apply(record), look, record.trial().start(), "Bench A", null));
        return this;
    }

    Prepared given(Function<ExperimentalUnit, Double> millilitres) {
        after = record -> record.with(record.beside()
                .given(List.of(new Given(
                        1,
                        GivenKind.FEED,
                        "kelp feed",
                        record.units().stream().collect(Collectors.toMap(ExperimentalUnit::code, millilitres)),
                        record.trial().start(),
                        "Bench A",
                        null))));
        return this;
    }

    /** Water written down at every so manieth planned watering. */
    Prepared watered(int everyOther) {
        after = record -> {
            List<Given> given = new ArrayList<>();
            List<Duration> times = plan.schedule().steps().get(0).times();
            for (int i = 0; i < times.size(); i += everyOther) {
                given.add(new Given(
                        given.size() + 1,
                        GivenKind.WATER,
                        "",
                        record.units().stream().collect(Collectors.toMap(ExperimentalUnit::code, unit -> 100.0)),
                        record.trial().start().plus(times.get(i)),
                        "Bench A",
                        null));
            }
            return record.with(record.beside().given(given));
        };
        return this;
    }

    Prepared amended(Amendment amendment) {
        amendments = List.of(amendment);
        return this;
    }

    /** Only so many looks are read, and it is asked so long after the start. */
    Prepared until(int looks, Duration days) {
        looksRead = looks;
        later = days;
        return this;
    }

    AuditCase made() {
        TrialRecord record = read(Measured.started(plan).record());
        return new AuditCase(
                plan,
                record,
                Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, record, OptionalInt.empty())),
                amendments,
                record.trial().start().plus(later));
    }

    Audit audited() {
        return Audit.of(made());
    }

    private TrialRecord read(TrialRecord record) {
        List<Reading> readings = new ArrayList<>();
        for (Look look : record.looks()) {
            if (look.number() > looksRead) {
                continue;
            }
            for (ExperimentalUnit unit : record.units()) {
                for (var code : look.endpoints()) {
                    Endpoint endpoint = record.endpoint(code);
                    for (int sub = 1; sub <= endpoint.readingsEach(); sub++) {
                        readings.add(reading.apply(reading(readings.size() + 1, record, look, unit, endpoint, sub)));
                    }
                }
            }
        }
        return after.apply(TrialRecord.of(
                        record.trial(),
                        record.treatments(),
                        record.containers(),
                        record.benches(),
                        record.units(),
                        record.endpoints(),
                        record.looks(),
                        readings,
                        mishaps.apply(record))
                .with(record.chores()));
    }

    private Reading reading(int id, TrialRecord record, Look look, ExperimentalUnit unit, Endpoint endpoint, int sub) {
        double value = Math.max(
                endpoint.lowest(),
                Math.min(
                        endpoint.highest(),
                        (endpoint.highest() <= 10 ? 0 : 20 + 0.01 * look.number())
                                + step * (unit.treatment() - 1)
                                + (unit.replicate() * 7 + unit.treatment() * 3) % 5 * 0.4));
        Instant at = look.plannedAt(record.trial().start()).plusSeconds(60L * unit.replicate());
        return new Reading(
                new ReadingId(id),
                new ReadingRef(unit.code(), look.number(), endpoint.code(), sub),
                endpoint.whole() ? Math.rint(value) : value,
                "typed",
                endpoint.unit(),
                at,
                at,
                "Bench A",
                Instrument.HAND,
                null,
                null);
    }

    /** A reading taken otherwise than it was. */
    static Reading as(Reading one, Instant at, String station, Instrument instrument) {
        return new Reading(
                one.id(),
                one.ref(),
                one.value(),
                one.typedText(),
                one.typedUnit(),
                at,
                at,
                station,
                instrument,
                null,
                (CorrectionReason) null);
    }

    /** The treatment of each unit, by code. */
    static Map<UnitCode, Integer> treatments(Plan plan) {
        return plan.draw(new TrialId(1)).units().stream()
                .collect(Collectors.toMap(ExperimentalUnit::code, ExperimentalUnit::treatment));
    }
}
