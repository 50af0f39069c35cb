package elsom.core.results;

import elsom.core.analysis.Value;
import elsom.core.formula.Expression;
import elsom.core.formula.Known;
import elsom.core.formula.OverTime;
import elsom.core.plan.FormulaCheck;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.working.Term;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Puts endpoints that are worked out from others beside those that were read, so that they are asked about, judged and drawn
 * like any other. A unit has a value at a look where all that its formula names at that look was read.
 */
public final class WorkedEndpoints {
    private static final int THOUSAND = 1000;

    private WorkedEndpoints() {}

    /** The trial with all its worked endpoints, each of which may stand on those before it. */
    public static TrialRecord in(Plan plan, TrialRecord record) {
        TrialRecord all = record;
        for (Measure measure : plan.asked().measures()) {
            if (measure.formula() != null
                    && FormulaCheck.problem(plan.asked().measures(), measure).isEmpty()) {
                all = all.with(measure.endpoint(), new Made(plan, all, measure).readings());
            }
        }
        return all;
    }

    /** What a worked figure of a unit was made of: readings first, then what the unit has. */
    static List<Term> terms(Plan plan, TrialRecord record, Measure measure, Look look, ExperimentalUnit unit) {
        return new Made(plan, record, measure).terms(unit, look);
    }

    /** One endpoint being worked out. */
    private static final class Made {
        private final TrialRecord record;
        private final Measure measure;
        private final Expression expression;
        private final Pots pots;

        Made(Plan plan, TrialRecord record, Measure measure) {
            this.record = record;
            this.measure = measure;
            this.expression = Objects.requireNonNull(measure.formula()).expression();
            this.pots = plan.pots();
        }

        List<Reading> readings() {
            long id = record.readings().stream()
                    .mapToLong(reading -> reading.id().value())
                    .max()
                    .orElse(0);
            List<Reading> made = new ArrayList<>();
            for (Look look : record.looks()) {
                for (ExperimentalUnit unit : record.units()) {
                    double value = expression.value(new OfUnit(unit, look))
                            / measure.endpoint().unit().coherent();
                    List<Reading> from = readings(unit, look);
                    if (Math.abs(value) <= Bounds.LARGEST && !from.isEmpty()) {
                        made.add(reading(new ReadingId(++id), unit, look, value, from.get(from.size() - 1)));
                    }
                }
            }
            return made;
        }

        private Reading reading(ReadingId id, ExperimentalUnit unit, Look look, double value, Reading last) {
            Endpoint endpoint = measure.endpoint();
            return new Reading(
                    id,
                    new ReadingRef(unit.code(), look.number(), endpoint.code(), 1),
                    value,
                    Decimals.upTo(value, endpoint.decimals()),
                    endpoint.unit(),
                    last.takenAt(),
                    last.recordedAt(),
                    last.station(),
                    Instrument.FORMULA,
                    null,
                    null);
        }

        /** Readings of that look that the formula names: a look at which nothing of it was read has no value. */
        private List<Reading> readings(ExperimentalUnit unit, Look look) {
            return expression.names().stream()
                    .sorted()
                    .flatMap(name -> endpoint(name).stream())
                    .filter(endpoint -> look.endpoints().contains(endpoint.code()))
                    .flatMap(endpoint -> UnitValues.readings(record, endpoint, look, unit).stream())
                    .toList();
        }

        private Optional<Endpoint> endpoint(String name) {
            return record.endpoints().stream()
                    .filter(endpoint -> endpoint.code().value().equals(name))
                    .findFirst();
        }

        List<Term> terms(ExperimentalUnit unit, Look look) {
            List<Term> terms = new ArrayList<>();
            for (Reading reading : readings(unit, look)) {
                Endpoint endpoint = record.endpoint(reading.ref().endpoint());
                terms.add(Term.read(
                        endpoint.name(),
                        Objects.requireNonNull(reading.value()),
                        endpoint.unit(),
                        endpoint.decimals(),
                        reading.ref()));
            }
            expression.names().stream()
                    .sorted()
                    .filter(name -> endpoint(name).isEmpty())
                    .flatMap(name -> Known.named(name).stream())
                    .forEach(known -> terms.add(Term.given(
                            known.meaning(),
                            new OfUnit(unit, look).has(known) / known.unit().coherent(),
                            known.unit(),
                            2)));
            return terms;
        }

        /** Values of one unit at one look. */
        private final class OfUnit implements Expression.Values {
            private final ExperimentalUnit unit;
            private final Look look;

            OfUnit(ExperimentalUnit unit, Look look) {
                this.unit = unit;
                this.look = look;
            }

            @Override
            public double now(String name) {
                return endpoint(name)
                        .map(endpoint -> at(endpoint, look))
                        .orElseGet(() -> Known.named(name).map(this::has).orElse(Double.NaN));
            }

            @Override
            public List<OverTime.Point> course(String name) {
                Endpoint endpoint = endpoint(name).orElse(null);
                if (endpoint == null) {
                    return List.of();
                }
                return record.looks().stream()
                        .filter(one -> one.number() <= look.number())
                        .map(one -> new OverTime.Point(one.hoursAfterStart(), at(endpoint, one)))
                        .filter(point -> !Double.isNaN(point.value()))
                        .toList();
            }

            private double at(Endpoint endpoint, Look when) {
                return endpoint.seen(UnitValues.readings(record, endpoint, when, unit))
                                .map(Value::inSums)
                                .orElse(Double.NaN)
                        * endpoint.unit().coherent();
            }

            double has(Known known) {
                double value = switch (known) {
                    case AREA ->
                        record.container(unit).areaCm2(record.container(unit).depthCm());
                    case VOLUME -> unit.filledVolumeMl();
                    case PLANTS -> pots.plants();
                    case SEEDS -> pots.seeds();
                    case SEED_MASS -> pots.seeds() * pots.thousandSeedG() / THOUSAND;
                    case AGE -> look.hoursAfterStart();
                };
                return value > 0 ? value * known.unit().coherent() : Double.NaN;
            }
        }
    }
}
