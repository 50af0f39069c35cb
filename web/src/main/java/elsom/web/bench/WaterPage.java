package elsom.web.bench;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Millilitres;
import elsom.core.trial.CareTotals;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Refill;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Json;
import elsom.web.kit.Places;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Station;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Water and feed of a trial.
 *
 * @param first where the walk by weight begins; empty when no unit stands
 * @param walk units in bench order for the walk by weight, as JSON
 * @param weighed whether units have a weight of their own to be filled up to
 */
public record WaterPage(
        TrialHeader header,
        String station,
        WaterForm.Checked read,
        List<GivenKind> kinds,
        List<Swatch> treatments,
        Optional<Stop> first,
        String walk,
        boolean weighed,
        List<Total> totals,
        List<Entry> log,
        BenchMap map,
        UUID token) {
    private static final int MOST_SHOWN = 40;
    private static final int FEW = 6;

    /** What a treatment had of a kind, a unit. */
    public record Total(String treatment, String kind, String times, String millilitres) {}

    /** An entry of the log. */
    public record Entry(int number, String when, String what, String units, String amount, String station) {}

    /** A unit as the walk knows it; {@code look} and {@code endpoint} tell the scale what is on it. */
    public record Stop(String unit, String treatment, String place, String target, int look, String endpoint) {}

    private record Walk(long trial, List<Stop> stops) {}

    static WaterPage of(TrialRecord record, Instant now, Station station, WaterForm.Checked read) {
        int look = record.nextLook()
                .orElseGet(() -> record.looks().get(record.looks().size() - 1))
                .number();
        List<Stop> stops = record.benchOrder().stream()
                .filter(unit -> record.ended(unit.code()).isEmpty())
                .map(unit -> new Stop(
                        unit.code().value(),
                        record.treatment(unit).name(),
                        Places.words(record, unit),
                        target(record, unit.code()),
                        look,
                        Refill.WHOLE.value()))
                .toList();
        return new WaterPage(
                TrialHeader.of(record, now, TrialHeader.Step.BENCH),
                station.name().orElse(""),
                read,
                List.of(GivenKind.values()),
                Swatch.of(record),
                stops.stream().findFirst(),
                Json.of(new Walk(record.trial().id().value(), stops)),
                stops.stream().anyMatch(stop -> !stop.target().isEmpty()),
                CareTotals.of(record).stream()
                        .map(total -> new Total(
                                record.treatment(total.treatment()).name(),
                                total.kind().label(),
                                Decimals.upTo(total.times(), 1) + " times",
                                Millilitres.words(Math.rint(total.millilitres()))))
                        .toList(),
                log(record),
                BenchMap.of(record, unit -> face(record, unit)),
                UUID.randomUUID());
    }

    /** A unit to be picked. */
    private static BenchMap.Face face(TrialRecord record, ExperimentalUnit unit) {
        BenchMap.State state = record.ended(unit.code()).isPresent() ? BenchMap.State.LOST : BenchMap.State.TODO;
        return new BenchMap.Face("", state, "/trials/" + record.trial().id() + "/units/" + unit.code());
    }

    private static String target(TrialRecord record, UnitCode unit) {
        OptionalDouble target = Refill.target(record, unit);
        return target.isPresent() ? Decimals.upTo(target.getAsDouble(), 0) + " g" : "";
    }

    private static List<Entry> log(TrialRecord record) {
        List<Given> standing =
                new ArrayList<>(record.given().stream().filter(Given::stands).toList());
        Collections.reverse(standing);
        return standing.stream()
                .limit(MOST_SHOWN)
                .map(one -> new Entry(
                        one.number(),
                        Times.dayAndTime(one.happenedAt(), record.trial().zone()),
                        one.kind().label() + (one.what().isEmpty() ? "" : ": " + one.what()),
                        one.millilitres().size() > FEW
                                ? one.millilitres().size() + " units"
                                : one.millilitres().keySet().stream()
                                        .map(UnitCode::value)
                                        .collect(Collectors.joining(" ")),
                        amounts(one),
                        one.station()))
                .toList();
    }

    private static String amounts(Given given) {
        double low = Collections.min(given.millilitres().values());
        double high = Collections.max(given.millilitres().values());
        return Decimals.upTo(low, 1) + (low == high ? "" : " to " + Decimals.upTo(high, 1)) + " mL"
                + (given.millilitres().size() > 1 ? " each" : "");
    }

    public WaterForm form() {
        return read.form();
    }

    public String problem(String field) {
        return read.problems().getOrDefault(field, "");
    }
}
