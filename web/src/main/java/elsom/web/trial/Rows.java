package elsom.web.trial;

import elsom.core.plan.Amendment;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ControlKind;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Influence;
import elsom.core.trial.Instrument;
import elsom.core.trial.LightMap;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Side;
import elsom.core.trial.Skip;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Turn;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Flat rows of the records that are nested in the core; all others are filled directly. */
final class Rows {
    private Rows() {}

    record TreatmentRow(
            int number,
            String code,
            String name,
            String material,
            String kind,
            ControlKind control,
            Texture texture,
            Tint tint) {
        Treatment with(Map<TreatmentProperty, Double> properties) {
            return new Treatment(number, code, name, material, kind, control, texture, tint, properties);
        }
    }

    record PropertyRow(int treatment, TreatmentProperty property, double value) {}

    record UnitRow(
            UnitCode code,
            int treatment,
            int replicate,
            String container,
            double filledVolumeMl,
            int block,
            int bench,
            int benchRow,
            int benchColumn) {
        static UnitRow of(ExperimentalUnit unit) {
            BenchPosition at = unit.position();
            return new UnitRow(
                    unit.code(),
                    unit.treatment(),
                    unit.replicate(),
                    unit.container(),
                    unit.filledVolumeMl(),
                    unit.block(),
                    at.bench(),
                    at.row(),
                    at.column());
        }

        ExperimentalUnit unit() {
            return new ExperimentalUnit(
                    code,
                    treatment,
                    replicate,
                    container,
                    filledVolumeMl,
                    block,
                    new BenchPosition(bench, benchRow, benchColumn));
        }
    }

    record LookRow(int number, String name, long afterStartS, String endpoints) {
        static LookRow of(Look look) {
            return new LookRow(
                    look.number(),
                    look.name(),
                    look.afterStart().toSeconds(),
                    look.endpoints().stream().map(EndpointCode::value).collect(Collectors.joining(" ")));
        }

        Look look() {
            return new Look(
                    number,
                    name,
                    Duration.ofSeconds(afterStartS),
                    Arrays.stream(endpoints.split(" ")).map(EndpointCode::new).toList());
        }
    }

    record ReadingRow(
            ReadingId id,
            UnitCode unitCode,
            int look,
            EndpointCode endpoint,
            int subReading,
            @Nullable Double storedValue,
            String typedText,
            UnitOfMeasure typedUnit,
            Instant takenAt,
            Instant recordedAt,
            String station,
            Instrument instrument,
            @Nullable ReadingId supersedes,
            @Nullable CorrectionReason reason,
            String person) {
        Reading reading() {
            return reading(UnaryOperator.identity(), UnaryOperator.identity());
        }

        /** The reading with its codes replaced by equal ones. */
        Reading reading(UnaryOperator<UnitCode> unit, UnaryOperator<EndpointCode> measured) {
            return new Reading(
                    id,
                    new ReadingRef(unit.apply(unitCode), look, measured.apply(endpoint), subReading),
                    storedValue,
                    typedText,
                    typedUnit,
                    takenAt,
                    recordedAt,
                    station,
                    instrument,
                    supersedes,
                    reason,
                    person);
        }
    }

    record MishapRow(
            int number,
            MishapKind kind,
            String note,
            int look,
            Instant happenedAt,
            String station,
            @Nullable Instant withdrawnAt) {
        Mishap of(List<UnitCode> units) {
            return new Mishap(number, kind, note, units, look, happenedAt, station, withdrawnAt);
        }
    }

    record TurnRow(int number, Instant turnedAt, String station) {
        Turn of() {
            return new Turn(number, turnedAt, station);
        }
    }

    record SkipRow(int look, EndpointCode endpoint, String reason, Instant skippedAt, String station) {
        Skip of() {
            return new Skip(look, endpoint, reason, skippedAt, station);
        }
    }

    record SecondScoreRow(
            UnitCode unitCode, int look, EndpointCode endpoint, String station, double score, Instant scoredAt) {
        SecondScore of() {
            return new SecondScore(unitCode, look, endpoint, station, score, scoredAt);
        }
    }

    record GivenRow(
            int number,
            GivenKind kind,
            String what,
            Instant happenedAt,
            String station,
            @Nullable Instant withdrawnAt) {
        Given of(Map<UnitCode, Double> millilitres) {
            return new Given(number, kind, what, millilitres, happenedAt, station, withdrawnAt);
        }
    }

    record GivenUnitRow(int given, UnitCode unitCode, double millilitres) {}

    record MishapUnitRow(int mishap, UnitCode unitCode) {}

    record BenchRow(
            int number,
            String name,
            int benchRows,
            int benchColumns,
            double lengthCm,
            double depthCm,
            Side light,
            Side door,
            String lightMap,
            String influences,
            boolean guarded) {
        static BenchRow of(Bench bench) {
            return new BenchRow(
                    bench.number(),
                    bench.name(),
                    bench.rows(),
                    bench.columns(),
                    bench.lengthCm(),
                    bench.depthCm(),
                    bench.light(),
                    bench.door(),
                    bench.lightMap().text(),
                    Influence.text(bench.influences()),
                    bench.guarded());
        }

        Bench bench() {
            return new Bench(
                    number,
                    name,
                    benchRows,
                    benchColumns,
                    lengthCm,
                    depthCm,
                    light,
                    door,
                    LightMap.parse(lightMap),
                    Influence.parse(influences),
                    guarded);
        }
    }

    record AmendmentRow(int number, Instant happenedAt, String station, String reason, String changes) {
        static AmendmentRow of(Amendment amendment) {
            return new AmendmentRow(
                    amendment.number(),
                    amendment.at(),
                    amendment.station(),
                    amendment.reason(),
                    String.join("\n", amendment.changes()));
        }

        Amendment amendment() {
            return new Amendment(
                    number, happenedAt, station, reason, changes.lines().toList());
        }
    }
}
