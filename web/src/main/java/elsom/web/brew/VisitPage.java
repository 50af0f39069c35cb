package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Smell;
import elsom.core.quantity.Decimals;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One brew at the bench.
 *
 * @param asks the stop rule, when this brew met it and nobody answered
 * @param last visits, the latest first
 */
record VisitPage(
        TrialHeader header,
        String base,
        String unit,
        Swatch swatch,
        List<BrewLink> brews,
        VisitForm form,
        List<String> problems,
        List<Smell> smells,
        Optional<Ask> asks,
        List<String> last,
        UUID token) {
    private static final int FEW = 5;

    /** Another brew of the trial. */
    record BrewLink(String code, String href, boolean here, String state) {}

    /** The stop rule as a question. */
    record Ask(int number, String why) {}

    static VisitPage of(
            TrialRecord record,
            List<BrewReading> log,
            UnitCode code,
            VisitForm form,
            List<String> problems,
            Instant now) {
        String base = "/trials/" + record.trial().id() + "/brews";
        List<BrewReading> own =
                log.stream().filter(visit -> visit.unit().equals(code)).toList();
        Swatch swatch = Swatch.of(record).get(record.unit(code).orElseThrow().treatment() - 1);
        return new VisitPage(
                TrialHeader.of(record, now, null),
                base,
                code.value(),
                swatch,
                record.benchOrder().stream()
                        .map(unit -> link(base, unit, code, log))
                        .toList(),
                form,
                problems,
                List.of(Smell.values()),
                own.stream()
                        .filter(BrewReading::asks)
                        .reduce((earlier, later) -> later)
                        .map(visit -> new Ask(visit.number(), visit.whyStop().orElseThrow())),
                last(record, own),
                UUID.randomUUID());
    }

    private static BrewLink link(String base, ExperimentalUnit unit, UnitCode here, List<BrewReading> log) {
        String code = unit.code().value();
        BrewReading.@Nullable Decision decision = log.stream()
                .filter(visit -> visit.unit().equals(unit.code()))
                .reduce((earlier, later) -> later)
                .map(BrewReading::decision)
                .orElse(null);
        return new BrewLink(code, base + "/log?unit=" + code, unit.code().equals(here), BrewsPage.state(decision));
    }

    private static List<String> last(TrialRecord record, List<BrewReading> own) {
        List<String> lines = new ArrayList<>();
        for (int i = own.size() - 1; i >= 0 && lines.size() < FEW; i--) {
            lines.add(line(record, own.get(i)));
        }
        return lines;
    }

    /** A visit as a line: "Mon 1 Jun, 14:00: 21.4 °C, 7.9 mg/L, smells earthy, like a wood". */
    static String line(TrialRecord record, BrewReading visit) {
        List<String> parts = Stream.of(
                        figure(visit.temperature(), " °C"),
                        figure(visit.oxygen(), " mg/L oxygen"),
                        visit.ph() == null ? "" : "pH " + Decimals.upTo(visit.ph(), 2),
                        figure(visit.ec(), " mS/cm"),
                        visit.foam() == null ? "" : Decimals.upTo(visit.foam(), 1) + " cm of foam",
                        visit.smell() == null ? "" : "smells " + visit.smell().label(),
                        visit.decision() == null ? "" : BrewsPage.state(visit.decision()),
                        visit.reason().isEmpty() ? "" : (visit.decision() == null ? "" : "because: ") + visit.reason())
                .filter(part -> !part.isEmpty())
                .toList();
        return Times.dayAndTime(visit.at(), record.trial().zone()) + ": " + String.join(", ", parts);
    }

    private static String figure(@Nullable Double value, String unit) {
        return value == null ? "" : Decimals.upTo(value, 1) + unit;
    }

    /** The brew after one in the order of the walk; the first after the last. */
    static String after(TrialRecord record, UnitCode code) {
        List<ExperimentalUnit> order = record.benchOrder();
        for (int i = 0; i < order.size(); i++) {
            if (order.get(i).code().equals(code)) {
                return order.get((i + 1) % order.size()).code().value();
            }
        }
        return code.value();
    }
}
