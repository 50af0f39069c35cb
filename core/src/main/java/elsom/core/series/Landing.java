package elsom.core.series;

import elsom.core.quantity.Quantity;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where a laboratory's answer lands: at the look its samples were taken for, as readings of the endpoints the slip names,
 * whenever it comes.
 *
 * @param readings to be entered
 * @param there how many stand there already with the same value
 * @param nowhere what finds no place and why, in words
 */
public record Landing(List<Landed> readings, int there, List<String> nowhere) {
    private static final double SAME = 1e-9;

    public Landing {
        readings = List.copyOf(readings);
        nowhere = List.copyOf(nowhere);
    }

    /**
     * A value with its place.
     *
     * @param value in the endpoint's unit
     * @param standing an earlier answer of the laboratory, or a sensor's figure, that it replaces
     */
    public record Landed(ReadingRef ref, double value, String written, Optional<Reading> standing) {}

    /**
     * Endpoints that an answer can become.
     *
     * @param sensed what endpoints that sensors give are made of
     */
    public static List<Endpoint> endpoints(List<Endpoint> all, Map<EndpointCode, Measurand> sensed, Measurand what) {
        return all.stream()
                .filter(endpoint -> endpoint.measured() && endpoint.size() == 1 && endpoint.among() == 0)
                .filter(endpoint -> endpoint.unit().dimension() == what.unit().dimension())
                .filter(endpoint -> endpoint.bySensor()
                        ? sensed.get(endpoint.code()) == what
                        : endpoint.byHand() && named(endpoint, what))
                .toList();
    }

    /** A concentration or a share may be of anything, so its endpoint's name must say of what; pH and EC have units of their own. */
    private static boolean named(Endpoint endpoint, Measurand what) {
        return what == Measurand.PH
                || what == Measurand.EC
                || Measurand.headed(endpoint.name()).equals(Optional.of(what))
                || Measurand.headed(endpoint.code().value()).equals(Optional.of(what));
    }

    /**
     * Where values land.
     *
     * @param number of the look the samples were taken for
     * @param sent codes of the units whose samples went with the slip
     * @param asked the endpoint each thing measured becomes
     */
    public static Landing of(
            TrialRecord record,
            int number,
            List<String> sent,
            Map<Measurand, EndpointCode> asked,
            List<LabTable.Found> found) {
        List<Landed> readings = new ArrayList<>();
        List<String> nowhere = new ArrayList<>();
        int there = 0;
        for (LabTable.Found one : found) {
            Optional<String> homeless = homeless(record, number, sent, asked, one);
            if (homeless.isPresent()) {
                nowhere.add(one.what().label() + " of " + one.sample() + ", " + one.written() + ": " + homeless.get());
                continue;
            }
            Landed landed = landed(
                    record, number, Optional.ofNullable(asked.get(one.what())).orElseThrow(), one);
            if (landed.standing()
                    .filter(reading -> same(reading, landed.value()))
                    .isPresent()) {
                there++;
            } else {
                readings.add(landed);
            }
        }
        for (Measurand what : asked.keySet()) {
            List<String> silent = sent.stream()
                    .filter(code -> found.stream().noneMatch(one -> one.sample().equals(code) && one.what() == what))
                    .toList();
            if (!silent.isEmpty()) {
                nowhere.add(what.label() + ": no answer came for " + String.join(", ", silent));
            }
        }
        return new Landing(readings, there, nowhere);
    }

    private static boolean same(Reading reading, double value) {
        return reading.value() != null && Math.abs(reading.value() - value) < SAME;
    }

    private static Landed landed(TrialRecord record, int number, EndpointCode code, LabTable.Found found) {
        ReadingRef ref = new ReadingRef(new UnitCode(found.sample()), number, code);
        return new Landed(ref, inUnitOf(record.endpoint(code), found), found.written(), record.current(ref));
    }

    private static double inUnitOf(Endpoint endpoint, LabTable.Found found) {
        return new Quantity(found.value(), found.what().unit())
                .in(endpoint.unit())
                .value();
    }

    /** Why a value has no place; empty where it has one. */
    private static Optional<String> homeless(
            TrialRecord record,
            int number,
            List<String> sent,
            Map<Measurand, EndpointCode> asked,
            LabTable.Found found) {
        if (record.units().stream().noneMatch(unit -> unit.code().value().equals(found.sample()))) {
            return Optional.of("the trial has no such unit");
        }
        if (!sent.contains(found.sample())) {
            return Optional.of("its sample was not on the slip");
        }
        EndpointCode code = asked.get(found.what());
        Look look = record.look(number).orElseThrow();
        if (code == null || !look.endpoints().contains(code)) {
            return Optional.of("the look “" + look.name() + "” does not take it");
        }
        Landed landed = landed(record, number, code, found);
        if (!record.expected(landed.ref().unit(), number)) {
            return Optional.of("the unit was lost before the look “" + look.name() + "”");
        }
        Endpoint endpoint = record.endpoint(code);
        if (!endpoint.allows(landed.value())) {
            return Optional.of("it can't be; accepted: " + endpoint.allowed());
        }
        return landed.standing()
                .filter(reading -> reading.value() != null)
                .filter(reading ->
                        reading.instrument() != Instrument.LABORATORY && reading.instrument() != Instrument.SENSOR)
                .map(reading -> reading.typedText() + " stands there, "
                        + reading.instrument().label() + "; it is kept");
    }
}
